import { expect, it } from '@jest/globals';
import { layOnPiece, layoutFilm, overPieces, type CutPart } from '@kolleta/core/cut';
import { boxRegion } from '@kolleta/core/geometry';
import type { FilmPiece } from '@kolleta/core/job';
import { demoShop } from '../../../../core/test/sampleJobs';
import { pieceFrom, PIECES_FIRST, piecesFirst } from './cutFirst';

const { films, machines } = demoShop();
const part = (width: number, height: number, copies: number): CutPart => ({
  ...{ job: 'j', mark: 'm', name: 'Tern', copies },
  region: boxRegion({ minX: 0, minY: 0, maxX: width, maxY: height }),
});
const sheet = (id: string, width: number, length: number): FilmPiece => ({ id, kind: 'sheet', width, length, count: 1 });

/** What Cut looks at, of film so wide and long with some sheets beside it. */
function look(width: number, left: number, pieces: readonly FilmPiece[], ...parts: CutPart[]) {
  const roll = layoutFilm({ ...films[0]!, width, pieces: [...pieces] }, parts, machines);
  const offers = pieces.flatMap((piece) => {
    const found = layOnPiece([roll], piece, machines);
    return found ? [{ ...found, piece }] : [];
  });
  return { roll, offers, left, spread: overPieces([roll], pieces, machines) };
}

it('nothing said, it is cut from a piece that holds all; else from the roll while that has enough and is wide enough', () => {
  const all = look(300, 4000, [sheet('a', 110, 110), sheet('b', 280, 280)], part(100, 100, 2));
  expect(pieceFrom(all.offers, undefined)?.piece.id).toBe('b');
  expect(piecesFirst(undefined, all)).toBe(false);
  const some = look(300, 4000, [sheet('a', 110, 110)], part(100, 100, 2));
  expect(pieceFrom(some.offers, undefined)).toBeUndefined();
  expect(piecesFirst(undefined, some)).toBe(false);
  expect(piecesFirst(PIECES_FIRST, some)).toBe(true);
});

it('pieces come first by themselves where the roll is too short or too narrow, and they hold what it does not; never where the roll was chosen', () => {
  const short = look(300, 130, [sheet('a', 110, 110), sheet('b', 110, 110)], part(100, 100, 4));
  expect(piecesFirst(undefined, short)).toBe(true);
  expect(piecesFirst('roll', short)).toBe(false);
  expect(piecesFirst('a', short)).toBe(false);
  // the roll cannot hold what is wanting then
  expect(piecesFirst(undefined, { ...short, left: 100 })).toBe(false);
  const narrow = look(90, 4000, [sheet('a', 280, 120)], part(100, 100, 2), part(40, 40, 9));
  expect(narrow.roll.tooWide.map(({ name }) => name)).toEqual(['Tern']);
  expect(piecesFirst(undefined, narrow)).toBe(true);
  expect(piecesFirst(undefined, look(90, 4000, [sheet('a', 280, 120)], part(100, 100, 3)))).toBe(false);
});

it('nothing comes first where no piece holds anything', () => {
  const none = look(300, 10, [sheet('a', 30, 30)], part(100, 100, 1));
  expect(piecesFirst(undefined, none)).toBe(false);
  expect(piecesFirst(PIECES_FIRST, none)).toBe(false);
});
