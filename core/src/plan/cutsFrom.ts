import { beforeCutOf, overPieces, piecesBeside, type BeforeCut, type FilmLayout } from '../cut';
import type { StepPiece } from '../finish';
import type { CutFrom, KeptLayout, Machine } from '../job';

/** What a step of cutting takes: minutes of the machine, mm and mm² of film, and of what. */
export interface CutsFrom {
  readonly minutes: number;
  readonly taken: number;
  readonly area: number;
  readonly from: CutFrom;
  readonly before?: BeforeCut;
  /** Where it is no roll by itself. */
  readonly piece?: StepPiece;
}

interface Input {
  readonly layout: FilmLayout;
  readonly machines: readonly Machine[];
  readonly kept?: readonly KeptLayout[] | undefined;
}

/** So few orders are tried on each piece: how it is laid there is looked for at the cut. */
const ROUNDS = 2;

const areaOf = ({ taken, width }: FilmLayout): number => Math.round(taken * width);

/** What a film is cut from, as it is planned: the roll; where some of it is too wide for that, sheets and offcuts first, as far as they hold it. */
export function cutsFrom({ layout, machines, kept }: Input): CutsFrom {
  const { minutes, taken, sheet } = layout;
  const ofRoll = { ...{ minutes, taken, area: areaOf(layout), from: sheet.from }, ...beforeCutOf(layout) };
  const pieces = layout.noRoom ? piecesBeside(layout.film) : [];
  if (pieces.length === 0) return ofRoll;
  const { sheets, roll } = overPieces([layout], pieces, machines, ROUNDS, kept);
  const [first] = sheets;
  if (!first) return ofRoll;
  const all = [...sheets.map((one) => one.layout), ...(roll ? [roll] : [])];
  const minutesOfAll = all.reduce((sum, one) => sum + one.minutes, 0);
  const areaOfAll = all.reduce((sum, one) => sum + areaOf(one), 0);
  if (all.length > 1) {
    const piece = { kind: 'pieces', all: !roll } as const;
    return { minutes: minutesOfAll, taken: roll?.taken ?? 0, area: areaOfAll, from: sheet.from, piece };
  }
  const { kind } = first.piece;
  return {
    ...{ minutes: minutesOfAll, taken: first.layout.taken, area: areaOfAll, from: first.layout.sheet.from },
    ...beforeCutOf(first.layout),
    piece: { kind, all: true },
  };
}
