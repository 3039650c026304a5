import type { Bench, Plan } from '@kolleta/core/plan';
import { keepDerived, readDerived } from './derived';
import type { WorkshopState } from './useWorkshop';

/** Written so long after a plan, ms: plans that follow each other quickly are written once. */
const LATER_MS = 800;

/** A number that tells states of the workshop apart (FNV-1a over everything but the text of the log). */
function signatureOf({ jobs, shop, events }: WorkshopState): string {
  const text = JSON.stringify([jobs, shop, events.length]) + events.map((event) => event.id).join();
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return `${text.length.toString(36)}.${(hash >>> 0).toString(36)}`;
}

let kept: { signature: string; bench: Bench } | undefined;

/** Reads the Bench as it was last laid out, so that a large workshop need not be planned before hands can begin. */
export async function loadBench(): Promise<void> {
  const row = await readDerived('bench');
  kept = row?.signature !== undefined && row.bench ? { signature: row.signature, bench: row.bench } : undefined;
}

/** The Bench as it was last laid out for just this state of the workshop. */
export const benchOfState = (state: WorkshopState): Bench | undefined => (kept?.signature === signatureOf(state) ? kept.bench : undefined);

/** Takes a Bench that was laid out ahead of time for a state of the workshop. */
export function assumeBench(state: WorkshopState, bench: Bench): void {
  kept = { signature: signatureOf(state), bench };
}

let timer: ReturnType<typeof setTimeout> | undefined;
/** Keeps the Bench of a whole plan for the next start. */
export function keepBench(state: WorkshopState, plan: Plan): void {
  clearTimeout(timer);
  timer = setTimeout(() => {
    void keepDerived({ id: 'bench', signature: signatureOf(state), bench: plan.bench });
  }, LATER_MS);
}
