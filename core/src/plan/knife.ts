import { knifeEvents, testCutWanted, type FilmLayout, type TestCutWhy } from '../cut';
import { testCutStepId, withKnife, type KnifeWork, type Recipe } from '../finish';
import { standing, type Film, type Id, type Job, type JobId, type StepId, type WorkEvent } from '../job';
import type { StepFact } from '../schedule';

/** What the log says of the knife: which film wants a test cut on which machine, and whose liner was cut. */
export interface KnifeSoFar {
  readonly wanted: (film: Film, machine: Id) => TestCutWhy | undefined;
  readonly linerCut: (job: JobId, film: Id) => boolean;
}

/** Reads the log once for all jobs. */
export function knifeSoFar(events: readonly WorkEvent[]): KnifeSoFar {
  const own = knifeEvents(events);
  const known = new Map<string, TestCutWhy | undefined>();
  const through = new Set(
    standing(events).flatMap((event) => (event.kind === 'cut' && event.linerCut === true ? [JSON.stringify([event.job, event.film])] : [])),
  );
  return {
    wanted: (film, machine) => {
      const key = JSON.stringify([film.id, machine]);
      if (!known.has(key)) known.set(key, testCutWanted(own, film, machine));
      return known.get(key);
    },
    linerCut: (job, film) => through.has(JSON.stringify([job, film])),
  };
}

/** The steps of a job with what the knife asks for. */
export function knifeOf(
  job: Job,
  recipe: Recipe,
  layouts: readonly FilmLayout[],
  { wanted, linerCut }: KnifeSoFar,
  facts: ReadonlyMap<StepId, StepFact>,
): Recipe {
  const works = layouts.flatMap(({ film, machine }): KnifeWork[] => {
    // a test that was made stays in the plan, also where none is wanted any more
    const why = machine && (wanted(film, machine.id) ?? (facts.has(testCutStepId(job.id, film.id)) ? 'blade' : undefined));
    const through = linerCut(job.id, film.id);
    return why || through ? [{ film, ...(why ? { test: { why, machine } } : {}), ...(through ? { linerCut: true } : {}) }] : [];
  });
  return works.length === 0 ? recipe : withKnife(job, recipe, works, (step) => facts.has(step));
}
