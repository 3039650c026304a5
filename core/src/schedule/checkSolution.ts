import { MINUTE_MS } from '../units';
import type { Window } from './calendar';
import { overfull } from './rackRoom';
import { GRAIN_MS, handsOf, peopleOf, type PlacedStep, type Problem, type Solution } from './problem';
import { waitCloses, waitOver } from './waitOver';

/** Less than this is rounding, ms. */
const SLIP_MS = 1;

/** Every wait that steps in time do not keep, and every overlap of hands: of all that is not done, with all that runs. */
export function brokenWaits(steps: readonly PlacedStep[]): string[] {
  const at = new Map(steps.map((s) => [s.step.id, s]));
  const waits = steps
    .filter((s) => s.state === 'waiting')
    .flatMap((s) =>
      s.step.after.flatMap((lag) => {
        const other = at.get(lag.step);
        if (!other) return [];
        const gap = (s.start - other.end) / MINUTE_MS;
        if (s.start < waitOver(other.end, lag) - 0.06) return [`${s.step.id} begins ${gap} min after ${lag.step}, at least ${lag.least}`];
        if (s.start > waitCloses(other.end, lag) + 0.06) return [`${s.step.id} begins ${gap} min after ${lag.step}, at most ${lag.most}`];
        return [];
      }),
    );
  const spans = steps
    .filter((s) => s.state !== 'done')
    .flatMap((s) => s.spans.map((span) => ({ ...span, id: s.step.id, by: s.by, runs: s.state === 'running' })))
    .toSorted((a, b) => a.start - b.start);
  const overlaps: string[] = [];
  for (const [i, one] of spans.entries())
    for (let k = i + 1; k < spans.length && spans[k]!.start < one.end - SLIP_MS; k++) {
      const other = spans[k]!;
      const shared = !one.by || !other.by || one.by.some((id) => other.by!.includes(id));
      // two that run at once do so because somebody began both
      if (shared && !(one.runs && other.runs)) overlaps.push(`${one.id} and ${other.id} need the same hands`);
    }
  return [...waits, ...overlaps];
}

/**
 * Everything in which a solution is none: steps left out or twice, too short, before now or outside the hours, waits broken without saying
 * so, hands in two places.
 */
export function checkSolution(problem: Problem, solution: Solution): string[] {
  const hands = handsOf(problem);
  const resources = new Map(problem.resources.map((resource) => [resource.id, resource]));
  const several = peopleOf(problem).length > 1;
  const faults: string[] = [];
  const all: PlacedStep[] = [];
  const said = new Set<string>();
  for (const job of problem.jobs) {
    const placed = solution.get(job.job);
    if (!placed) faults.push(`${job.job} has no answer`);
    if (!placed || 'unplaced' in placed) continue;
    const ids = placed.steps.map((s) => s.step.id);
    if (ids.length !== job.steps.length || job.steps.some((step) => !ids.includes(step.id)))
      faults.push(`${job.job} has not each step once`);
    for (const { step } of placed.broken) said.add(step);
    all.push(...placed.steps);
  }
  const placedAt = new Map(all.map((one) => [one.step.id, one]));
  for (const at of overfull(problem, placedAt)) faults.push(`the rack is overfull at ${at}`);
  for (const { step, spans, state, start, end, by, follows } of all) {
    const fact = problem.fixed.get(step.id);
    if ((state === 'done') !== (fact?.doneAt !== undefined)) faults.push(`${step.id} is ${state}`);
    if (fact?.startedAt !== undefined && start !== fact.startedAt) faults.push(`${step.id} began at another time`);
    if (state !== 'waiting') continue;
    const minutes = spans.reduce((sum, span) => sum + span.end - span.start, 0) / MINUTE_MS;
    const given = problem.given?.get(step.id);
    if (given !== undefined && several && resources.has(given) && !by?.includes(given)) faults.push(`${step.id} was given to ${given}`);
    const before = follows && placedAt.get(follows.step);
    if (
      follows &&
      !(
        before &&
        step.setup?.key === before.step.setup?.key &&
        follows.saved <= (step.setup?.minutes ?? 0) &&
        start >= before.end &&
        start - before.end < GRAIN_MS &&
        (!by || by[0] === before.by?.[0])
      )
    )
      faults.push(`${step.id} is spared what was not got ready for it`);
    if (Math.abs(minutes - Math.max(1, step.hands - (follows?.saved ?? 0))) > 1e-6)
      faults.push(`${step.id} has ${minutes} of ${step.hands} minutes`);
    if (step.opens && start < step.opens.at) faults.push(`${step.id} begins before what is on the piece is dry`);
    if (start < problem.now || spans[0]!.start !== start || spans.at(-1)!.end !== end) faults.push(`${step.id} has no true start or end`);
    const within = (calendar: readonly Window[]) =>
      spans.every((span) => calendar.some((window) => window.start <= span.start && span.end <= window.end));
    const calendars = several ? (by ?? []).map((id) => resources.get(id)?.calendar ?? []) : [hands];
    if (!calendars.every(within)) faults.push(`${step.id} is outside the hours`);
    // a machine of which nothing is known is there whenever it is wanted
    const needed = step.needs.filter((need) => need === 'hands' || problem.resources.some(({ kind }) => kind === need));
    const has = (by ?? []).map((id) => resources.get(id)?.kind);
    if (several && (new Set(by).size !== needed.length || needed.toSorted().join() !== has.toSorted().join()))
      faults.push(`${step.id} has not who and what it needs`);
  }
  return [...faults, ...brokenWaits(all).filter((fault) => ![...said].some((id) => fault.startsWith(`${id} begins`)))];
}
