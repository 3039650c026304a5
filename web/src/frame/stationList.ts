import { TECHNIQUES, type Technique } from '@kolleta/core/facts';
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
  { id: 'price', name: 'Price' },
];

/**
 * The stations of one job: the one where marks are painted, etched or pressed only where some are, and called by that; tape and placing only
 * where something is taped or placed.
 */
export const stationsOf = (job: Job): readonly { id: StationId; name: string }[] => {
  const made = [...new Set(job.marks.flatMap((m) => TECHNIQUES[m.technique].madeAt ?? []))];
  const of = (is: (technique: Technique) => boolean) => job.marks.length === 0 || job.marks.some((m) => is(TECHNIQUES[m.technique]));
  return STATIONS.flatMap((station) => {
    if (station.id === 'paint') return made.length > 0 ? [{ ...station, name: made.join(' & ') }] : [];
    if (station.id === 'weed' && !of(({ penned }) => !penned)) return [];
    if (station.id === 'tape' && !of(({ taped }) => taped)) return [];
    if (station.id === 'place' && !of(({ filmBy }) => filmBy !== 'heat')) return [];
    return [station];
  });
};

/** Whether a station's work is behind: the first three once all film is cut, the others once their steps are done. */
export function isPeeled(id: StationId, plan: JobPlan | undefined): boolean {
  const steps = plan?.schedule.steps ?? [];
  if (id === 'measure' || id === 'draw' || id === 'fit') {
    // what is still to be cut may still be changed
    const cuts = steps.filter((s) => s.step.station === 'cut');
    return cuts.length > 0 && cuts.every((s) => s.state === 'done');
  }
  if (id === 'log' || id === 'price') return false;
  const own = steps.filter((s) => s.step.station === id);
  return own.length > 0 && own.every((s) => s.state === 'done');
}

/** What needs attention at a station. */
export function attentionAt(id: StationId, plan: JobPlan | undefined): 'watch' | 'stop' | undefined {
  const worst = gravest((plan?.readings ?? []).filter((r) => r.station === id));
  return worst === 'fine' || isPeeled(id, plan) ? undefined : worst;
}
