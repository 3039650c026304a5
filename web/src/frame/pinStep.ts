import { setAt, type StepId } from '@kolleta/core/job';
import { editJob } from '../storage/editJob';
import type { Saving } from '../ui/held';

/** Puts a step at a moment. */
export const pinStep = (job: string, step: StepId, at: number): Saving =>
  editJob(
    job,
    (saved) => setAt(['pins'], [...(saved.pins ?? []).filter((pin) => pin.step !== step), { step, at }]),
    'Put a step at a time',
  );

/** Lets a step find its own time again. */
export const unpinStep = (job: string, step: StepId): Saving =>
  editJob(
    job,
    (saved) =>
      setAt(
        ['pins'],
        (saved.pins ?? []).filter((pin) => pin.step !== step),
      ),
    'Let a step find its own time',
  );
