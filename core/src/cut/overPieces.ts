import type { Film, FilmPiece, KeptLayout, Machine } from '../job';
import { gapOf, layoutFilm, type CutPart, type FilmLayout } from './layout';
import { partsOf } from './layTogether';
import { skyline } from './nest/skyline';
import { layOnPiece } from './onPiece';

/** What was to be cut from the roll, spread over sheets and offcuts first. */
export interface Spread {
  /** One layout a piece, in the order in which they are cut; each says which jobs go on afterwards. */
  readonly sheets: readonly { readonly piece: FilmPiece; readonly layout: FilmLayout }[];
  /** What then still comes off the roll; nothing where the pieces hold it all. */
  readonly roll?: FilmLayout;
}

/** How many marks each piece and the roll hold, as a list of words: "2 from the offcut of 260 mm × 200 mm". */
export function spreadWords({ sheets, roll }: Spread, say: (mm: number) => string): string[] {
  const own = [...new Set(sheets.map(({ piece }) => piece.id))].map((id) => sheets.filter(({ piece }) => piece.id === id));
  return [
    ...own.map((all) => {
      const { kind, width, length } = all[0]!.piece;
      const marks = all.reduce((sum, { layout }) => sum + layout.parts.length, 0);
      return `${marks} from ${all.length === 1 ? `the ${kind}` : `${all.length} ${kind}s`} of ${say(width)} × ${say(length)}`;
    }),
    ...(roll && roll.parts.length > 0 ? [`${roll.parts.length} from ${say(roll.taken)} of roll`] : []),
  ];
}

/** Whether sheets, offcuts and what the roll has, mm, hold all of it. */
export const holdsAll = ({ roll }: Spread, left: number): boolean => !roll || (roll.tooWide.length === 0 && roll.taken <= left);

/** So many different pieces are looked at. */
const MOST_PIECES = 12;

const area = ({ width, length }: FilmPiece) => width * length;

/** Sheets and offcuts of a film in the order in which they are used up: offcuts before sheets, the smallest first. */
export const piecesBeside = ({ pieces = [] }: Pick<Film, 'pieces'>): FilmPiece[] =>
  pieces.toSorted((a, b) => Number(a.kind === 'sheet') - Number(b.kind === 'sheet') || area(a) - area(b)).slice(0, MOST_PIECES);

/** So many sheets are looked at ahead: each takes a good part of a second, and what follows is looked at once they are cut. */
const MOST_SHEETS = 8;

/** Parts without those that were laid. */
const withoutLaid = (parts: readonly CutPart[], { parts: laid }: FilmLayout): CutPart[] =>
  parts.flatMap((part, i) => {
    const copies = part.copies - laid.filter(({ outline }) => outline === i).length;
    return copies > 0 ? [{ ...part, copies }] : [];
  });

/**
 * Layouts of one film spread over pieces of it, one after the other: on each as much as finds room, the rest off the roll.
 *
 * @param layouts of one film, as they would lie on the roll; at least one
 * @param pieces in the order in which they are used up
 * @param kept layouts on pieces that were looked for before
 */
export function overPieces(
  layouts: readonly FilmLayout[],
  pieces: readonly FilmPiece[],
  machines: readonly Machine[],
  rounds?: number,
  kept: readonly KeptLayout[] = [],
): Spread {
  const [first] = layouts;
  if (!first) throw new Error('overPieces: nothing is to be cut');
  let parts = layouts.flatMap(partsOf);
  const sheets: { piece: FilmPiece; layout: FilmLayout }[] = [];
  for (const piece of pieces.flatMap((one) => Array.from({ length: Math.min(one.count, MOST_SHEETS) }, () => one))) {
    if (parts.length === 0 || sheets.length >= MOST_SHEETS) break;
    const rest = layoutFilm(first.film, parts, machines, skyline, gapOf(first));
    const found = layOnPiece([rest], piece, machines, rounds, kept);
    if (!found || found.layout.parts.length === 0) continue;
    sheets.push({ piece, layout: found.layout });
    parts = withoutLaid(partsOf(rest), found.layout);
  }
  if (parts.length === 0) return { sheets };
  return { sheets, roll: layoutFilm(first.film, parts, machines, skyline, gapOf(first)) };
}
