import { beforeCutOf, type FilmLayout } from '@kolleta/core/cut';
import type { StepPiece } from '@kolleta/core/finish';
import type { Id } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';

/** What is cut from beside the roll: a piece or several, whether they hold all of it, and how it lies on the first of them. */
export interface CutFrom extends StepPiece {
  readonly layout: FilmLayout;
}

/**
 * A plan as it reads while a film is cut from pieces of it rather than from the roll: its cut says so, and whether the roll has
 * enough or is wide enough is nothing that matters then.
 *
 * @param from nothing where it is cut from the roll
 */
export function asCutFrom(plan: JobPlan, film: Id, from: CutFrom | undefined): JobPlan {
  if (!from) return plan;
  const { kind, all, layout } = from;
  return {
    ...plan,
    readings: plan.readings.filter(({ id, verdict }) => !all || (id !== `film:${film}` && id !== `wide:${film}`) || verdict === 'stop'),
    schedule: {
      ...plan.schedule,
      steps: plan.schedule.steps.map((placed) => {
        const { about, takes } = placed.step;
        if (about.kind !== 'cut' || about.again || takes?.film !== film) return placed;
        const { before: _ofRoll, ...rest } = about;
        const { before } = beforeCutOf(layout);
        return { ...placed, step: { ...placed.step, about: { ...rest, ...(before ? { before } : {}), piece: { kind, all } } } };
      }),
    },
  };
}
