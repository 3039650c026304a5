import type { StepKind } from '../facts';
import { standing, type StepId, type StepOf, type WorkEvent } from '../job';
import { formatDate } from '../schedule';
import { formatDuration, inSentence } from '../units';

type Ended = Extract<WorkEvent, { kind: 'done' | 'wrong' }>;

/** What happened the last times at work like a step. */
export interface LastTime {
  /** The newest run that was like it and ended well. */
  readonly run?: Ended;
  /** What went wrong, the newest first. */
  readonly wrongs: readonly Ended[];
  /** Notes that one left oneself, the newest first, but those that stand with what went wrong. */
  readonly notes: readonly Ended[];
}

/** How much a run was like a step: what differs where both say it makes it another work. */
function likeness(run: StepOf, of: StepOf): number {
  const facets = ['film', 'technique', 'ground', 'tape'] as const;
  return facets.reduce((sum, facet) => {
    if (run[facet] === undefined || of[facet] === undefined) return sum;
    // another film is handled otherwise, whatever else is the same
    return sum + (run[facet] === of[facet] ? 1 : facet === 'film' ? -3 : -1);
  }, 0);
}

/** So many things are recalled of each sort. */
const RECALLED = 2;

/**
 * What the log remembers of work like a step: of the same kind, with the film, by the technique and on the ground that are most like its own.
 *
 * @param step what is at hand; its own entries are not what happened last time
 */
export function lastTimeOf(
  events: readonly WorkEvent[],
  step: { readonly id: StepId; readonly kind: StepKind; readonly of?: StepOf | undefined },
): LastTime {
  const of = step.of ?? {};
  const like = standing(events)
    .filter(
      (event): event is Ended => (event.kind === 'done' || event.kind === 'wrong') && event.work === step.kind && event.step !== step.id,
    )
    .map((event) => ({ event, like: likeness(event.of ?? {}, of) }))
    .filter(({ like: much }) => much >= 0)
    .toSorted((a, b) => b.like - a.like || b.event.at - a.event.at)
    .map(({ event }) => event);
  const run = like.find((event) => event.kind === 'done' && event.timed === true);
  const newest = (some: readonly Ended[]) => some.slice(0, RECALLED).toSorted((a, b) => b.at - a.at);
  return {
    ...(run ? { run } : {}),
    wrongs: newest(like.filter(({ kind }) => kind === 'wrong')),
    notes: newest(like.filter(({ kind, note }) => kind === 'done' && note !== undefined && note.trim() !== '')),
  };
}

/** The same as sentences, the most useful first. */
export function lastTimeWords({ run, wrongs, notes }: LastTime, zone: string): string[] {
  const on = (at: number) => formatDate(at, zone);
  return [
    ...wrongs.map((event) => {
      const what = event.kind === 'wrong' ? inSentence(event.what).replace(/\.$/, '') : '';
      return `On ${on(event.at)} it went wrong: ${what}.${event.note ? ` You noted: ${event.note}` : ''}`;
    }),
    ...notes.map(({ at, note }) => `On ${on(at)} you noted: ${note!}`),
    ...(run ? [`Last time, on ${on(run.at)}, it took ${formatDuration(run.actual)}; ${formatDuration(run.planned)} were planned.`] : []),
  ];
}
