import { drawMark, findGlyph, type DrawnMark, type Faces, type Layer } from '../artwork';
import { bendRegion, diameterAt, sectorOf, usableOf, type Usable } from '../blanks';
import { boxCentre, boxHeight, boxRegion, boxWidth, intersection, regionArea, type Box, type Point } from '../geometry';
import { FILM_KINDS, GROUNDS } from '../facts';
import type { Job, Mark, Reading, Shape, Shop, Zone } from '../job';
import {
  fitReadings,
  inspectMark,
  outlinePoints,
  placeMark,
  shapeMark,
  sizeMark,
  type FitContext,
  type FittedMark,
  type LayerInspection,
} from '../fit';
import { keyOf, type Memo } from './memo';

/** A mark through draw and fit. */
export interface MarkPlan {
  readonly mark: Mark;
  readonly zone: Zone;
  readonly usable: Usable;
  /** Layers on the wall, mm. */
  readonly fitted: FittedMark;
  /** The layers as they lie on the film laid flat, mm: bent on a taper, else the same. */
  readonly flat: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  /** Characters that its faces lack. */
  readonly missing: readonly string[];
  /** What the mark is seen against. */
  readonly behind: { colour: string; name: string };
}

/** What fitting keeps for the readings, besides the plan. */
export interface FittingWork {
  readonly plan: MarkPlan;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly shaped: readonly Layer[];
  /** Key of the shaped mark. */
  readonly key: string;
}

/** Typed sides larger than the zone are drawn for their own size, so that curves stay fine. */
function referenceFor(mark: Mark, usable: Usable): { width: number; height: number } {
  const box = usable.inner ?? usable.clear;
  const side = mark.size.mode === 'width' ? mark.size.width : mark.size.mode === 'height' ? mark.size.height : 0;
  return { width: Math.max(boxWidth(box), side, 5), height: Math.max(boxHeight(box), side, 5) };
}

/**
 * What a zone leaves, counted where the mark lies. A zone is measured at the middle height of a taper; a mark higher or lower has more or less room across, by the share
 * of the diameters.
 */
function trueAtMark(shape: Shape, usable: Usable, mark: Mark): Usable {
  if (shape.kind !== 'taper' || !sectorOf(shape)) return usable;
  const along = boxCentre(usable.inner ?? usable.clear)[1] + mark.offset.y;
  const share = Math.max(0.05, diameterAt(shape, along) / diameterAt(shape, shape.height / 2));
  const wider = (box: Box): Box => ({ ...box, minX: box.minX * share, maxX: box.maxX * share });
  return { clear: wider(usable.clear), ...(usable.inner ? { inner: wider(usable.inner) } : {}) };
}

/** The layers as they lie on the film laid flat: bent on a taper, unless the mark is left straight. */
function laidFlat(fitted: FittedMark, shape: Shape, mark: Mark): Layer[] {
  if (mark.straight) return [...fitted.layers];
  return fitted.layers.map(({ film, region }) => ({ film, region: bendRegion(region, shape, fitted.at[1]) }));
}

/**
 * Draws, sizes, shapes, inspects and places one mark.
 *
 * @param memo keeps what a nudge does not change
 * @param quick a first look, without the checks of ADR 7
 */
export function fitOne(job: Job, mark: Mark, zone: Zone, shop: Shop, faces: Faces, memo: Memo, quick: boolean): FittingWork {
  const usable = trueAtMark(job.piece.shape, usableOf(zone, job.piece), mark);
  const reference = referenceFor(mark, usable);
  const drawKey = keyOf('draw', mark.artwork, mark.flip, mark.film, mark.colourFilms, reference, quick);
  const drawn = memo.get(drawKey, () => drawMark(mark, reference, faces, quick));
  const outline = memo.get(`outline ${drawKey}`, () => outlinePoints(drawn));
  const sizing = sizeMark(drawn, outline, mark, usable);
  const key = keyOf('shape', drawKey, sizing.scale.toPrecision(9), mark.edits);
  const shaped = memo.get(key, () => shapeMark(drawn, sizing.scale, mark));
  const kinds = drawn.layers.map((layer) => shop.films.find((f) => f.id === layer.film));
  const inspections = memo.get(keyOf('inspect', key, kinds), () => inspectMark(shaped, shop.films));
  const fitted = placeMark(shaped, sizing);
  const flat = memo.get(keyOf('flat', key, sizing.at, job.piece.shape, mark.straight ?? false), () =>
    laidFlat(fitted, job.piece.shape, mark),
  );
  const behind = GROUNDS[job.piece.ground].clear
    ? { colour: job.piece.behind, name: 'what stands behind it' }
    : { colour: job.piece.colour, name: `the ${job.piece.name}` };
  return {
    plan: {
      mark,
      zone,
      usable,
      fitted,
      flat,
      inspections,
      missing: [...new Set(drawn.missing.map((m) => m.character))],
      behind,
    },
    drawn,
    outline,
    shaped,
    key,
  };
}

/** Marks seen in front of others are judged against those. */
export function seenAgainst(works: readonly FittingWork[], shop: Shop): FittingWork[] {
  return works.map((work, i) => {
    const { mark, fitted } = work.plan;
    if (fitted.layers.length === 0) return work;
    const cover = works.filter((other, j) => j !== i && other.plan.mark.technique === 'decal' && (mark.seenThrough ? j > i : j < i));
    for (const other of mark.seenThrough ? cover : cover.toReversed()) {
      for (const layer of other.plan.fitted.layers) {
        const film = shop.films.find((f) => f.id === layer.film);
        const box = boxRegion(fitted.box);
        if (film && layer.film !== mark.film && regionArea(intersection(box, layer.region)) > 0.6 * regionArea(box)) {
          return { ...work, plan: { ...work.plan, behind: { colour: film.colour, name: film.name } } };
        }
      }
    }
    return work;
  });
}

/** What drawing tells: missing letters, things left out of a drawing, nothing to cut, film that does not suit. */
export function drawReadings(work: FittingWork, job: Job, shop: Shop, faces: Faces): Reading[] {
  const { mark, missing } = work.plan;
  const readings: Reading[] = [];
  const label = job.marks.length > 1 ? ` · ${mark.name}` : '';
  if (missing.length > 0 && mark.artwork.kind === 'text') {
    const { lines } = mark.artwork;
    const has = (id: string, character: string) => {
      const face = faces.get(id);
      return face !== undefined && findGlyph(face, character) !== undefined;
    };
    const other = [...faces.keys()].find((face) => missing.every((character) => has(face, character)));
    const stripped = lines.map((line) => ({
      ...line,
      text: [...line.text].filter((c) => !missing.includes(c)).join(''),
    }));
    const left = stripped.some((line) => line.text.trim() !== '');
    const setLines = (value: typeof lines) => [{ op: 'set' as const, path: ['marks', mark.id, 'artwork', 'lines'], value }];
    readings.push({
      id: `glyphs:${mark.id}`,
      station: 'draw',
      verdict: 'stop',
      title: `Missing letters${label}`,
      value: missing.map((c) => `“${c}”`).join(' '),
      limit: 'every letter',
      why: 'The chosen face cannot draw them, and a gap would be cut instead.',
      cures: [
        ...(other
          ? [
              {
                label: 'Use a face that has them',
                patch: setLines(
                  lines.map((line) => ({
                    ...line,
                    face: [...line.text].some((c) => missing.includes(c)) ? other : line.face,
                  })),
                ),
              },
            ]
          : []),
        ...(left ? [{ label: 'Leave them out', patch: setLines(stripped) }] : []),
      ],
      advice: left ? undefined : 'Type other words, or bring the mark as an SVG drawing.',
    });
  }
  if (work.drawn.layers.length === 0) {
    readings.push({
      id: `empty:${mark.id}`,
      station: 'draw',
      verdict: 'stop',
      title: `Nothing to cut yet${label}`,
      value: 'empty',
      limit: 'a word or a drawing',
      why: 'The mark has no outline.',
      cures: [],
      advice: 'Type a word, or drop an SVG drawing on the piece.',
    });
  }
  if (mark.artwork.kind === 'drawing' && mark.artwork.leftOut.length > 0) {
    const { artwork } = mark;
    readings.push({
      id: `left:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: `Left out of ${artwork.name}`,
      value: `${artwork.leftOut.length}`,
      limit: 'nothing',
      why: `${artwork.leftOut.join('; ')}.`,
      cures: [
        {
          label: 'That is all right',
          patch: [{ op: 'set', path: ['marks', mark.id, 'artwork', 'leftOut'], value: [] }],
        },
      ],
    });
  }
  const unsuited = work.plan.inspections.filter(({ film }) => FILM_KINDS[film.kind].stays !== (mark.technique === 'decal'));
  if (unsuited.length > 0 && !(mark.technique === 'decal' && job.piece.use.dryShort)) {
    const film = unsuited[0]!.film;
    const stays = mark.technique === 'decal';
    const better =
      shop.films.find((f) => FILM_KINDS[f.kind].stays === stays && f.kind !== 'bargain' && (stays || f.kind === 'stencil')) ??
      shop.films.find((f) => FILM_KINDS[f.kind].stays === stays);
    const onlyOne = work.plan.inspections.length === 1 && Object.keys(mark.colourFilms).length === 0;
    readings.push({
      id: `kind:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: `Kind of film${label}`,
      value: FILM_KINDS[film.kind].name,
      limit: stays ? 'film that stays' : 'film that comes off clean',
      why: stays
        ? 'It is made to come off again: good for a season, not for washing.'
        : 'It holds better at the edge, but pulls harder at the ground when it comes off.',
      cures: [
        ...(better && onlyOne
          ? [
              {
                label: `Cut it from ${better.name}`,
                patch: [{ op: 'set' as const, path: ['marks', mark.id, 'film'], value: better.id }],
              },
            ]
          : []),
        ...(stays
          ? [
              {
                label: 'It is for a short, dry use',
                patch: [{ op: 'set' as const, path: ['piece', 'use', 'dryShort'], value: true }],
              },
            ]
          : []),
      ],
    });
  }
  return readings;
}

/** Readings of one fitted mark; a mark with nothing to cut has none. */
export function markReadings(
  work: FittingWork,
  job: Job,
  shop: Shop,
  filmLeft: (film: string) => number,
  memo: Memo,
  quick: boolean,
): Reading[] {
  const { plan, drawn, outline, shaped } = work;
  if (drawn.layers.length === 0) return [];
  const size = plan.mark.size.mode === 'largest' ? plan.usable : plan.mark.size;
  const remember = <T>(name: string, compute: () => T): T =>
    memo.get(keyOf(name, work.key, size, plan.mark.technique, shop.films), compute);
  const context: FitContext = {
    job,
    mark: plan.mark,
    zone: plan.zone,
    usable: plan.usable,
    drawn,
    outline,
    fitted: plan.fitted,
    shaped,
    inspections: plan.inspections,
    shop,
    behind: plan.behind,
    filmLeft,
    remember,
    quick,
  };
  return fitReadings(context);
}
