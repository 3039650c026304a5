import type { TestCutWhy } from '../cut';
import { HANDS_ON, STEP_KINDS } from '../facts';
import { cutStepId, stepIdOf, type Id, type Job, type StepId } from '../job';
import type { Recipe, WorkStep } from './workStep';

/** What the knife asks for before or after a film of a job is cut. */
export interface KnifeWork {
  readonly film: { readonly id: Id; readonly name: string };
  /** A test cut comes first. */
  readonly test?: { readonly why: TestCutWhy; readonly machine: { readonly id: Id; readonly name: string } };
  /** Its liner was cut through too. */
  readonly linerCut?: boolean;
}

/** The step in which a job's film is tested before it is cut. */
export const testCutStepId = (job: Job['id'], film: Id): StepId => stepIdOf(job, `test:${film}`);

/** The step in which film whose liner was cut is saved. */
export const backFilmStepId = (job: Job['id'], film: Id): StepId => stepIdOf(job, `back:${film}`);

/**
 * Adds a test cut before the cut of a film that wants one, and tape over film whose liner was cut before it is weeded.
 *
 * @param begun whether a step runs or is done: what is done is not asked for any more, and what was done stays in the plan
 */
export function withKnife(job: Job, recipe: Recipe, works: readonly KnifeWork[], begun: (step: StepId) => boolean): Recipe {
  return works.reduce((so, work) => withOne(job, so, work, begun), recipe);
}

function withOne(job: Job, recipe: Recipe, { film, test, linerCut }: KnifeWork, begun: (step: StepId) => boolean): Recipe {
  const cut = cutStepId(job.id, film.id);
  const at = recipe.steps.findIndex(({ id }) => id === cut);
  if (at < 0) return recipe;
  let steps = recipe.steps;
  const testId = testCutStepId(job.id, film.id);
  if (test && (!begun(cut) || begun(testId))) {
    const { machine, why } = test;
    const about = { kind: 'testCut' as const, film: film.name, machine: machine.name, why, of: { film: film.id, machine: machine.id } };
    const step: WorkStep = {
      ...STEP_KINDS.testCut,
      id: testId,
      job: job.id,
      kind: 'testCut',
      about,
      hands: HANDS_ON.testCut,
      after: [],
      cautions: ['cutter', 'blade'],
    };
    steps = steps.toSpliced(at, 0, step).map((one) =>
      one.id === cut
        ? // the test is a step of its own now
          {
            ...one,
            hands: Math.max(1, one.hands - HANDS_ON.testCut),
            after: [...one.after, { step: testId, least: 0, why: 'tested' as const }],
          }
        : one,
    );
  }
  if (linerCut) {
    const id = backFilmStepId(job.id, film.id);
    const weeds = new Set(
      steps.filter((step) => step.kind === 'weed' && step.after.some((lag) => lag.step === cut)).map((step) => step.id),
    );
    const open = [...weeds].filter((weed) => !begun(weed));
    if (open.length > 0 || begun(id)) {
      const about = { kind: 'backFilm', film: film.name } as const;
      const step: WorkStep = {
        ...{ ...STEP_KINDS.backFilm, id, job: job.id, kind: 'backFilm', about, hands: HANDS_ON.backFilm },
        after: [{ step: cut, least: 0, why: 'lifted' }],
        cautions: ['blade'],
      };
      const where = steps.findIndex(({ id: own }) => weeds.has(own));
      steps = steps
        .toSpliced(where, 0, step)
        .map((one) => (open.includes(one.id) ? { ...one, after: [...one.after, { step: id, least: 0, why: 'backed' as const }] } : one));
    }
  }
  return { ...recipe, steps };
}
