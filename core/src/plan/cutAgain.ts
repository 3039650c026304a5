import { cutPieces } from '../artwork';
import { FILM_KINDS, TECHNIQUES } from '../facts';
import { boxHeight, boxOf, boxWidth, edgeLength } from '../geometry';
import { beforeCutOf, onMat, keptOf, weedingOf, type CutPart } from '../cut';
import { againStepId, tapingOf, withAgain, type AgainWork, type LostLayer, type Recipe, type TapeAbout } from '../finish';
import type { Film, Id, Job, Mark, StepId } from '../job';
import type { CutAgain, LostOf } from '../logbook';
import type { StepFact } from '../schedule';
import { tapePieces } from '../tape';
import { layouts, lostParts, type FilmWork, type LaidWith } from './film';
import type { Memo } from './memo';
import { daysBetween } from './sinceCut';
import type { LayerPlan } from './steps';

/** The mark that a part of a layout is of. */
const markOfPart = (job: Pick<Job, 'marks'>, part: Id): Mark | undefined =>
  job.marks.find(({ id }) => part === id || part.startsWith(`${id}~`));

/** Tape for parts that were lost: the same as the mark's, so large as they are. */
function tapeFor(layer: LayerPlan, mark: Mark, parts: readonly CutPart[], count: number): TapeAbout | undefined {
  if (!layer.choice) return undefined;
  const boxes = parts.map(({ region }) => boxOf(region));
  const [width, height] = [Math.max(...boxes.map(boxWidth)), Math.max(...boxes.map(boxHeight))];
  const { pieces, width: wide, height: high, usesEach, length } = tapePieces({ width, height }, count, layer.choice);
  return {
    ...{ name: layer.choice.tape.name, pieces, width: wide, height: high, usesEach, length, dull: layer.choice.dull },
    taping: tapingOf(mark, layer.film.kind, width, height),
  };
}

function lostLayer(mark: Mark, film: Film, layers: readonly LayerPlan[], parts: readonly CutPart[], days: number): LostLayer {
  const layer = layers.find((one) => one.mark === mark.id && one.film.id === film.id);
  const count = parts.reduce((sum, { copies }) => sum + copies, 0);
  const kept = keptOf(mark, film.id);
  const weedings = parts.map(({ region, copies }) => ({
    copies,
    ...weedingOf(cutPieces(region), edgeLength(region), film.kind, kept, days),
  }));
  const tape = layer && tapeFor(layer, mark, parts, count);
  return {
    ...{ mark: mark.id, name: mark.name, count },
    layered: layers.filter((one) => one.mark === mark.id).length > 1,
    weeding: {
      ...{ kept, letters: mark.artwork.kind === 'text', onCarrier: weedings.some(({ onCarrier }) => onCarrier) },
      waste: weedings.reduce((sum, one) => sum + one.wastePieces, 0),
      small: weedings.reduce((sum, one) => sum + one.smallPieces, 0),
    },
    weedMinutes: weedings.reduce((sum, one) => sum + one.minutes * one.copies, 0),
    ...(tape ? { tape } : {}),
  };
}

/** The steps of a job with those of what was lost. */
export function cutAgainOf(
  job: Job,
  recipe: Recipe,
  layers: readonly LayerPlan[],
  film: FilmWork,
  laid: LaidWith,
  lost: LostOf,
  facts: ReadonlyMap<StepId, StepFact>,
  now: number,
  memo: Memo,
): Recipe {
  const workOf = (again: CutAgain): AgainWork[] => {
    const parts = lostParts(film.every, again.losses, memo);
    const [layout] = layouts(parts, laid, memo);
    if (!layout) return [];
    const { before } = beforeCutOf(layout);
    const cutAt = facts.get(again.step)?.doneAt;
    const marks = [...new Set(again.losses.map(({ mark }) => markOfPart(job, mark)))].filter((mark) => mark !== undefined);
    const own = marks.flatMap((mark): LostLayer[] => {
      const of = parts.filter(({ of: part }) => markOfPart(job, part) === mark).map(({ part }) => part);
      const weededAt = facts.get(againStepId(again.step, 'weed', mark.id))?.doneAt ?? now;
      const days = cutAt === undefined ? 0 : daysBetween(cutAt, weededAt);
      if (of.length === 0) return [];
      const lost = lostLayer(mark, layout.film, layers, of, days);
      return [onMat(before) ? { ...lost, weeding: { ...lost.weeding, mat: true } } : lost];
    });
    if (own.length === 0) return [];
    return [
      {
        ...{ step: again.step, film: { id: again.film, name: layout.film.name }, minutes: layout.minutes, taken: layout.taken },
        ...{ area: Math.round(layout.taken * layout.width), from: layout.sheet.from, ...(before ? { before } : {}) },
        hot: FILM_KINDS[layout.film.kind].by === 'heat',
        penned: marks.some(({ technique }) => TECHNIQUES[technique].penned),
        layers: own,
      },
    ];
  };
  const begun = (step: StepId) => facts.has(step);
  return lost.again.length === 0 ? recipe : withAgain(job, recipe, lost.again.flatMap(workOf), begun);
}
