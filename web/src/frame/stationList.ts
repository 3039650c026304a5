import { TECHNIQUES } from '@kolleta/core/facts';
import { gravest, type Job, type StationId } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';

/** The stations in working order. */
const STATIONS: readonly { id: StationId; name: string }[] = [
  { id: 'measure', name: 'Measure' },
  { id: 'draw', name: 'Draw' },
  { id: 'fit', name: 'Fit' },
  { id: 'cut', name: 'Cut' },
  { id: 'weed', name: 'Weed' },
  { id: 'tape', name: 'Tape' },
  { id: 'prepare', name: 'Prepare' },
  { id: 'place', name: 'Place' },
  { id: 'paint', name: 'Paint' },
  { id: 'cure', name: 'Cure' },
  { id: 'log', name: 'Log' },
];

/** The stations of one job: painting only where something is painted. */
export const stationsOf = (job: Job) =>
  STATIONS.filter(({ id }) => id !== 'paint' || job.marks.some((m) => TECHNIQUES[m.technique].painted));

/** Whether a station's work is behind: the first three once film is cut, the others once their steps are done. */
export function isPeeled(id: StationId, plan: JobPlan | undefined): boolean {
  const steps = plan?.schedule.steps ?? [];
  if (id === 'measure' || id === 'draw' || id === 'fit') return steps.some((s) => s.step.station === 'cut' && s.state === 'done');
  if (id === 'log') return false;
  const own = steps.filter((s) => s.step.station === id);
  return own.length > 0 && own.every((s) => s.state === 'done');
}

/** What needs attention at a station. */
export function attentionAt(id: StationId, plan: JobPlan | undefined): 'watch' | 'stop' | undefined {
  const worst = gravest((plan?.readings ?? []).filter((r) => r.station === id));
  return worst === 'fine' || isPeeled(id, plan) ? undefined : worst;
}
