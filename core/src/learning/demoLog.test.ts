import { expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { factorFor, learntFrom } from './learning';
import type { WorkEvent } from '../job';

type Run = Extract<WorkEvent, { kind: 'done' }>;
const { events } = demoWorkshop({ past: true });
const runs = events.filter((event): event is Run => event.kind === 'done' && event.work !== undefined && event.timed === true);

/** How far minutes lie from what they took, in all, with what some of the log has taught and without. */
function errors(taught: readonly WorkEvent[], held: readonly Run[]): { unlearned: number; learnt: number } {
  const learnt = learntFrom(taught);
  return held.reduce(
    (sum, { work, of = {}, unlearned = 0, actual }) => ({
      unlearned: sum.unlearned + Math.abs(actual - unlearned),
      learnt: sum.learnt + Math.abs(actual - unlearned * factorFor(learnt, work!, of).value),
    }),
    { unlearned: 0, learnt: 0 },
  );
}

it('the demo log of about 40 runs teaches something: on runs held out the error of minutes falls by a third at least', () => {
  expect(runs.length).toBeGreaterThanOrEqual(38);
  const folds = [0, 1, 2, 3].map((fold) => {
    const held = runs.filter((_, i) => i % 4 === fold);
    return errors(
      events.filter((event) => !held.includes(event as Run)),
      held,
    );
  });
  const sum = folds.reduce((all, one) => ({ unlearned: all.unlearned + one.unlearned, learnt: all.learnt + one.learnt }));
  expect(sum.learnt).toBeLessThan((2 / 3) * sum.unlearned);
  // and what comes after is foretold by the half that came before, by as much as three runs of a kind can tell
  const half = Math.floor(runs.length / 2);
  const later = errors(
    events.filter((event) => event.at <= runs[half]!.at),
    runs.slice(half + 1),
  );
  expect(later.learnt).toBeLessThan(0.75 * later.unlearned);
});
