import { reshapes, thickenedBy, type DrawnMark, type Layer } from '../../artwork';
import type { Usable } from '../../blanks';
import { TECHNIQUES } from '../../facts';
import type { Point } from '../../geometry';
import type { Edit, Film, Mark } from '../../job';
import { sizeMark, type Sized } from '../fitMark';
import { shapeMark } from '../shapeMark';
import { measureStrokes } from './thinness';

const STEP = 0.05;
const MOST = 1.5;
/** Thickening by 1 mm takes at most so many mm off a side, the rounding of the hulls with it. */
const SHRINKS = 2.2;

/** What makes a mark stout enough. */
export interface ThinRemedies {
  /** Width to make it, mm. */
  readonly width?: number;
  /** The thickening to give it in all, mm a side; below 0 for a stencil, whose openings are slimmed. */
  readonly thicken?: number;
}

/** What they are looked for by. */
export interface ThinRemediesInput {
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly mark: Sized & Pick<Mark, 'technique'>;
  readonly usable: Usable;
  readonly films: readonly Film[];
  /** The mark as it is: mm a unit of the drawn mark, its width and the widest that fits, mm. */
  readonly scale: number;
  readonly width: number;
  readonly largestWidth: number;
  /** Its thinnest stroke, and the least that this film keeps, mm. */
  readonly least: number;
  readonly limit: number;
  /** Whether it may be made larger by itself: not where a list sets its size. */
  readonly mayGrow: boolean;
}

/** A thickening of a whole mark. */
export const thickening = (by: number): Edit => ({ id: 'thicken', kind: 'thicken', by });

type Tried = ThinRemediesInput['mark'];

/** The same mark with another thickening. */
const withThickness = (mark: Tried, by: number): Tried => {
  const others = mark.edits.filter((edit) => edit.kind !== 'thicken');
  return { ...mark, edits: by === 0 ? others : [thickening(by), ...others] };
};

/** Whether a changed mark keeps all its strokes, looking at it as the plan will. */
function keepsStrokes({ drawn, outline, usable, films }: ThinRemediesInput, mark: Tried, known?: number): boolean {
  const scale = known ?? sizeMark(drawn, outline, mark, usable).scale;
  return scale > 0.001 && keepsAt({ drawn, films }, mark, scale);
}

const insides = (layers: readonly Layer[]): number =>
  layers.reduce((sum, { region }) => sum + region.reduce((n, part) => n + part.holes.length, 0), 0);

/** The same, at a scale. */
function keepsAt({ drawn, films }: Pick<ThinRemediesInput, 'drawn' | 'films'>, mark: Tried, scale: number): boolean {
  const shaped = shapeMark(drawn, scale, mark);
  // stouter letters whose insides have closed are no letters any more
  if (TECHNIQUES[mark.technique].kept === 'shapes' && thickenedBy(mark.edits) > 0) {
    const others = { edits: mark.edits.filter((edit) => edit.kind !== 'thicken') };
    if (insides(shaped) < insides(shapeMark(drawn, scale, others))) return false;
  }
  // copies are turned, and rounded as they are
  const measured = measureStrokes({ drawn, scale, mark, films, shaped });
  // nothing left is nothing kept
  return measured.length > 0 && measured.every(({ strokes, limit, copies }) => strokes.least >= limit * (copies > 1 ? 1.005 : 1));
}

/** The least change of thickness that keeps every stroke, mm per side; a stencil is slimmed, so that the film between grows. */
function thickenBy(input: ThinRemediesInput): number | undefined {
  const { drawn, outline, mark, usable, scale, limit } = input;
  const sign = TECHNIQUES[mark.technique].thickening === 'stouter' ? 1 : -1;
  const now = thickenedBy(mark.edits);
  const bare = input.least - 2 * sign * now;
  // what the mark loses in size to its thickening is known without drawing it: only promising changes are looked at
  const scaleWith = (by: number) => (reshapes(mark.edits) ? scale : sizeMark(drawn, outline, withThickness(mark, by), usable).scale);
  const promising = (by: number) => (bare * scaleWith(by)) / scale + 2 * sign * by >= limit * 1.01;
  // a mark whose parts move takes long to size: it is looked at as small as thickening can make it
  const surely = (by: number) =>
    mark.edits.some((edit) => edit.kind === 'part' || edit.kind === 'scatter')
      ? scale - (SHRINKS * Math.abs(by - now)) / Math.min(drawn.width, drawn.height)
      : undefined;
  let tries = 0;
  for (let more = STEP; more <= MOST && tries < 4; more += STEP) {
    const by = Math.round((now + sign * more) * 100) / 100;
    if (!promising(by)) continue;
    tries += 1;
    const least = surely(by);
    const tried = withThickness(mark, by);
    // what is a tip when small may be a tapering stroke when larger
    if (keepsStrokes(input, tried, least) && (least === undefined || keepsStrokes(input, tried))) return by;
    more += STEP * tries;
  }
  return undefined;
}

/** The width at which every stroke is stout enough, mm, where there is room for it. */
function growTo(input: ThinRemediesInput): number | undefined {
  const { mark, width: now, largestWidth, least, limit, mayGrow } = input;
  if (!mayGrow || mark.size.mode === 'largest' || largestWidth <= now * 1.01) return undefined;
  const width = Math.ceil(((now * limit) / least) * 1.04);
  return width <= largestWidth && keepsStrokes(input, { ...mark, size: { mode: 'width', width } }) ? width : undefined;
}

/** Looks for what makes a mark stout enough. */
export const thinRemedies = (input: ThinRemediesInput): ThinRemedies => ({ width: growTo(input), thicken: thickenBy(input) });

/** A row of a list, as far as its strokes are concerned. */
export type ThinRow = Pick<ThinRemediesInput, 'drawn' | 'outline' | 'mark' | 'usable' | 'films' | 'scale'>;

/** Whether a row keeps all its strokes with another thickening, as small as that can make it. */
export function rowKeepsStrokes({ row, by }: { row: ThinRow; by: number }): boolean {
  const { drawn, mark, films, scale } = row;
  const tried = withThickness(mark, by);
  const shrunk = scale - (SHRINKS * Math.abs(by - thickenedBy(mark.edits))) / Math.min(drawn.width, drawn.height);
  return shrunk > 0.001 && keepsAt({ drawn, films }, tried, shrunk);
}
