import { wrap, type Remote } from 'comlink';
import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import type { Plan } from '@kolleta/core/plan';
import type { Planner } from './planner.worker';

/** A worker that has not answered for this long is ended. */
const WATCHDOG_MS = 20_000;

/** The worker was ended; what to do is in the message. */
export class PlannerStopped extends Error {}

let worker: Worker | undefined;
let remote: Remote<Planner> | undefined;
let broken: ((error: Error) => void)[] = [];

function start(): Remote<Planner> {
  if (remote) return remote;
  worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  worker.onerror = (event) => stopPlanner(`The planner failed (${event.message || 'it did not load'}). Reload the page; nothing is lost.`);
  remote = wrap<Planner>(worker);
  return remote;
}

/** Starts the worker before it is needed, so that it loads beside the page. */
export const warmPlanner = (): void => void start();

/** Ends the worker and tells everybody who waits for it; the next call starts a new one. */
export function stopPlanner(message: string): void {
  worker?.terminate();
  worker = undefined;
  remote = undefined;
  const waiting = broken;
  broken = [];
  for (const fail of waiting) fail(new PlannerStopped(message));
}

/** Calls the worker under the watchdog. */
export async function callPlanner<T>(call: (planner: Remote<Planner>) => Promise<T>, limit = WATCHDOG_MS): Promise<T> {
  let fail: (error: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    fail = reject;
    broken.push(reject);
  });
  const timer = setTimeout(() => stopPlanner('This took too long and was stopped. Undo the last change, or simplify the drawing.'), limit);
  try {
    return await Promise.race([call(start()), stopped]);
  } finally {
    clearTimeout(timer);
    broken = broken.filter((other) => other !== fail);
  }
}

interface Request {
  jobs: Job[];
  shop: Shop;
  events: WorkEvent[];
  now: number;
}

/** One line of plans: while one is computed only the newest request waits, and all who wait get its answer. */
class NewestWins {
  #running = false;
  #next: { request: Request; settle: { resolve: (plan: Plan) => void; reject: (error: unknown) => void }[] } | undefined;
  readonly #which: 'workshop' | 'draft';

  constructor(which: 'workshop' | 'draft') {
    this.#which = which;
  }

  plan(request: Request): Promise<Plan> {
    return new Promise((resolve, reject) => {
      this.#next = { request, settle: [...(this.#next?.settle ?? []), { resolve, reject }] };
      if (!this.#running) void this.#run();
    });
  }

  async #run(): Promise<void> {
    this.#running = true;
    while (this.#next) {
      const { request, settle } = this.#next;
      this.#next = undefined;
      try {
        const plan = await callPlanner((planner) => planner.plan(this.#which, request.jobs, request.shop, request.events, request.now));
        for (const { resolve } of settle) resolve(plan);
      } catch (error) {
        for (const { reject } of settle) reject(error);
      }
    }
    this.#running = false;
  }
}

const lines = { workshop: new NewestWins('workshop'), draft: new NewestWins('draft') };

/** Plans the workshop, or a draft beside it, in the worker. */
export const requestPlan = (which: 'workshop' | 'draft', request: Request): Promise<Plan> => lines[which].plan(request);
