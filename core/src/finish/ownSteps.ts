import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { OwnStep } from '../job';
import type { Lag } from './workStep';

/** Adds the maker's own steps of one moment of the job, one after the other; what comes next waits for the last of them. */
export function ownSteps({ input, id, add, pieces }: RecipeDraft, when: OwnStep['when'], before: readonly Lag[]): readonly Lag[] {
  let after = before;
  for (const { id: own, name, minutes, wait = 0 } of (input.job.steps ?? []).filter((step) => step.when === when)) {
    const step = id(`own:${own}`);
    add({
      id: step,
      about: { kind: when === 'beforePacking' ? 'finish' : 'own', name, pieces },
      hands: minutesFor({ start: 0, piece: minutes }, pieces.count, 0),
      after,
      cautions: [],
    });
    after = [{ step, least: wait, why: 'own' }];
  }
  return after;
}
