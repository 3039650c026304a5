import { describe, expect, it } from '@jest/globals';
import { boxRegion } from '../geometry';
import { demoShop } from '../../test/sampleJobs';
import type { WorkEvent } from './event';
import { filmTaken } from './event';
import { piecesOf } from './filmPieces';
import { asCounted } from './stockCounts';

const shop = demoShop();
const film = { ...shop.films[0]!, pieces: [{ id: 'sheet', kind: 'sheet' as const, width: 300, length: 300, count: 3 }] };
const outline = boxRegion({ minX: 0, minY: 0, maxX: 200, maxY: 120 });
const cut = (id: string, at: number, from: string, job = 'j', left = false): WorkEvent => ({
  ...{ id, at, kind: 'cut', job, step: `${job}/cut`, film: film.id, length: 300 },
  from: { kind: from === 'sheet' ? 'sheet' : 'offcut', id: from },
  ...(left ? { left: [{ id: `${id}-left`, width: 200, length: 120, outline }] } : {}),
});
const now = (events: readonly WorkEvent[]) => piecesOf(film, events).map(({ id, count }) => `${id} ${count}`);

describe('sheets and offcuts beside the roll', () => {
  it('are used up one a cut, however many jobs are cut from it at once; the roll is left alone', () => {
    const events = [cut('a', 1, 'sheet'), cut('b', 1, 'sheet', 'k'), cut('c', 2, 'sheet')];
    expect(now([])).toEqual(['sheet 3']);
    expect(now(events)).toEqual(['sheet 1']);
    expect(filmTaken(events).get(film.id) ?? 0).toBe(0);
    // of one job each cut is a piece of its own, also at one moment; of two jobs that cut two at once there are two
    expect(now([cut('a', 1, 'sheet'), cut('b', 1, 'sheet')])).toEqual(['sheet 1']);
    expect(now(['j', 'k'].flatMap((job) => [cut(`a${job}`, 1, 'sheet', job), cut(`b${job}`, 1, 'sheet', job)]))).toEqual(['sheet 1']);
    expect(now([...events, cut('d', 3, 'sheet'), cut('e', 4, 'sheet')])).toEqual([]);
  });
  it('what a cut leaves is an offcut with its outline, until it is cut up or gone; all of it can be taken back', () => {
    const first = cut('a', 1, 'sheet', 'j', true);
    expect(now([first])).toEqual(['sheet 2', 'a-left 1']);
    expect(piecesOf(film, [first])[1]).toMatchObject({ kind: 'offcut', width: 200, length: 120, outline });
    const second = cut('b', 2, 'a-left', 'j', true);
    expect(now([first, second])).toEqual(['sheet 2', 'b-left 1']);
    const gone: WorkEvent = { id: 'g', at: 3, kind: 'pieceGone', film: film.id, piece: 'b-left', name: film.name };
    expect(now([first, second, gone])).toEqual(['sheet 2']);
    const back = (event: string, at: number): WorkEvent => ({ id: `x${event}`, at, kind: 'reversed', event });
    expect(now([first, second, gone, back('g', 4)])).toEqual(['sheet 2', 'b-left 1']);
    expect(now([first, second, back('b', 4)])).toEqual(['sheet 2', 'a-left 1']);
    expect(now([first, back('a', 4)])).toEqual(['sheet 3']);
  });
  it('are in the shop as it is now; a film of which nothing was cut stays the very same', () => {
    const stocked = { ...shop, films: [film, ...shop.films.slice(1)] };
    const counted = asCounted(stocked, [cut('a', 1, 'sheet', 'j', true)]);
    expect(counted.films[0]!.pieces!.map(({ id }) => id)).toEqual(['sheet', 'a-left']);
    expect(asCounted(stocked, [])).toBe(stocked);
  });
});
