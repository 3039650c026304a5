import { STEP_KINDS, type StepKind } from '../src/facts';
import type { WorkStep } from '../src/finish';

/** A step for tests, told by its id: "Check, wrap and label the a". */
export const testStep = (id: string, more: Partial<WorkStep> = {}): WorkStep => {
  const kind: StepKind = more.kind ?? 'place';
  const { needs, station, mayPause } = STEP_KINDS[kind];
  return {
    ...{ id, job: 'j', kind, station, needs, mayPause, about: { kind: 'pack', pieces: { count: 1, name: id } } },
    ...{ hands: 12, after: [], cautions: [], ...more },
  };
};
