import { boxHeight, boxOf, boxWidth, edgeLength } from '../geometry';
import { beforeCutOf, gapOf, holdsAll, overPieces, piecesBeside, type BeforeCut, type FilmLayout } from '../cut';
import type { StepPiece, TakenPiece } from '../finish';
import type { CutFrom, KeptLayout, Machine } from '../job';

/** What a step of cutting takes: minutes of the machine, mm of the roll, mm² of film in all, and pieces where it is no roll by itself. */
export interface CutsFrom {
  readonly minutes: number;
  readonly taken: number;
  readonly area: number;
  readonly from: CutFrom;
  readonly before?: BeforeCut;
  readonly piece?: StepPiece;
  readonly pieces?: readonly TakenPiece[];
}

interface Input {
  readonly layout: FilmLayout;
  readonly machines: readonly Machine[];
  readonly kept?: readonly KeptLayout[] | undefined;
  /** Whether pieces may be taken, and mm of the roll that are left; nothing once it is cut, and where the roll holds all of it. */
  readonly left?: number | undefined;
}

/** So few orders are tried on each piece: how it is laid there is looked for at the cut. */
const ROUNDS = 2;

const areaOf = ({ taken, width }: FilmLayout): number => Math.round(taken * width);

/** All of it as off the roll; what found no room there by its boxes with their gap, for the time that the knife is in it. */
function offRoll(layout: FilmLayout): CutsFrom {
  const { minutes, taken, sheet, machine, noRoom = [] } = layout;
  const gap = gapOf(layout);
  const boxes = noRoom.map(({ region, copies }) => {
    const box = boxOf(region);
    return copies * (boxWidth(box) + gap) * (boxHeight(box) + gap);
  });
  const knife = noRoom.reduce((sum, { region, copies }) => sum + copies * edgeLength(region), 0);
  const loading = machine && knife > 0 ? (layout.parts.length === 0 ? machine.load : 0) + knife / machine.knife / 60 : 0;
  return {
    ...{ minutes: minutes + loading, taken, area: areaOf(layout) + Math.round(boxes.reduce((sum, one) => sum + one, 0)) },
    ...{ from: sheet.from, ...beforeCutOf(layout) },
  };
}

/**
 * What a film is cut from, as it is planned: the roll; where that has not enough or is too narrow, sheets and offcuts first and the rest of the roll, if
 * they hold all of it. Its price does not hang on that: an offcut is left of a piece too.
 */
export function cutsFrom({ layout, machines, kept, left }: Input): CutsFrom {
  const ofRoll = offRoll(layout);
  const beside = left === undefined ? [] : piecesBeside(layout.film);
  if (left === undefined || beside.length === 0) return ofRoll;
  const spread = overPieces([layout], beside, machines, ROUNDS, kept);
  const { sheets, roll } = spread;
  const [first] = sheets;
  if (!first || !holdsAll(spread, left)) return ofRoll;
  const before = { ...(roll && beforeCutOf(roll).before), ...beforeCutOf(first.layout).before };
  return {
    minutes: sheets.reduce((sum, one) => sum + one.layout.minutes, roll?.minutes ?? 0),
    taken: roll?.taken ?? 0,
    area: ofRoll.area,
    from: ofRoll.from,
    ...(Object.keys(before).length > 0 ? { before } : {}),
    piece: { kind: sheets.length === 1 ? first.piece.kind : 'pieces', all: !roll },
    pieces: sheets.map(({ layout: on }) => ({ from: on.sheet.from, length: on.taken, area: areaOf(on) })),
  };
}
