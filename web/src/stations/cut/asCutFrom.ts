import { beforeCutOf, type FilmLayout } from '@kolleta/core/cut';
import type { StepPiece } from '@kolleta/core/finish';
import type { Id } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';

/** What is cut from beside the roll: a piece or several, whether they hold all of it, and how it lies on the first of them; or the roll, as was said. */
export type CutFrom = (StepPiece | { readonly kind: 'roll' }) & { readonly layout: FilmLayout };

/**
 * A plan as it reads while a film is cut from what was chosen: its cut says so, and of pieces that hold all whether the roll has enough or is wide enough
 * is nothing that matters.
 *
 * @param from nothing where it is cut as it was planned
 */
export function asCutFrom(plan: JobPlan, film: Id, from: CutFrom | undefined): JobPlan {
  if (!from) return plan;
  const { layout } = from;
  const piece = from.kind === 'roll' ? undefined : { kind: from.kind, all: from.all };
  return {
    ...plan,
    readings: plan.readings.filter(
      ({ id, verdict }) => !piece?.all || (id !== `film:${film}` && id !== `wide:${film}`) || verdict === 'stop',
    ),
    schedule: {
      ...plan.schedule,
      steps: plan.schedule.steps.map((placed) => {
        const { about, takes } = placed.step;
        if (about.kind !== 'cut' || about.again || takes?.film !== film) return placed;
        const { before: _planned, piece: _ofPlan, ...rest } = about;
        const { before } = beforeCutOf(layout);
        return {
          ...placed,
          step: { ...placed.step, about: { ...rest, ...(before ? { before } : {}), ...(piece ? { piece } : { taken: layout.taken }) } },
        };
      }),
    },
  };
}
