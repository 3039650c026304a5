import { setAt, type Id, type StepId } from '@kolleta/core/job';
import { editJob } from '../storage/editJob';
import type { Saving } from '../ui/held';

/** Gives a step to somebody; to nobody, whoever has time does it. */
export const giveStep = (job: string, step: StepId, who: Id | undefined): Saving =>
  editJob(
    job,
    (saved) => {
      const others = (saved.given ?? []).filter((one) => one.step !== step);
      return setAt(['given'], who === undefined ? others : [...others, { step, who }]);
    },
    'Give a step to somebody',
  );
