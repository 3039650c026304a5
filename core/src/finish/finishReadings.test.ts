import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { finishReadings } from './finishReadings';
import type { RecipeLayer } from './recipeInput';

const demo = demoWorkshop();
const board = demo.jobs.find((j) => j.id === 'honour-board')!;
const layers = (area: number) => [{ mark: board.marks[0]!, area } as RecipeLayer];
const read = (id: string, area = 9000, job = board, climate = demo.shop.climate) =>
  finishReadings(job, layers(area), climate, demo.shop.paints, false, 'C').find((r) => r.id === id)!;

describe('what preparing, painting and curing tell', () => {
  it('the room, with both factors and what they stand against', () => {
    const room = read('climate');
    expect(room).toMatchObject({ verdict: 'fine', value: '×1.45 water, ×1.15 others' });
    expect(room.why).toContain('18 °C and 61 % humidity');
  });
  it('a room that drying times cannot be trusted in is a watch', () => {
    expect(read('climate', 9000, board, { celsius: 14, humidity: 0.92 })).toMatchObject({
      verdict: 'watch',
      advice: expect.stringContaining('fingertip'),
    });
    expect(read('climate', 9000, board, { celsius: 34, humidity: 0.2 }).verdict).toBe('watch');
  });
  it('enough paint is fine, too little is a watch that offers another, none is a stop', () => {
    const painted = (paint: string | undefined) => ({
      ...board,
      marks: board.marks.map((m) => (m.technique === 'stencil' ? { ...m, paint } : m)),
    });
    expect(read('paint:title').verdict).toBe('fine');
    const short = read('paint:title', 9000, painted('moss'));
    expect(short.verdict).toBe('watch');
    expect(short.cures.map((c) => c.label)).toEqual(['Cream acrylic — 45 ml left', 'Navy acrylic — 60 ml left']);
    expect(read('paint:title', 9000, painted(undefined)).verdict).toBe('stop');
  });
  it('more openings and more coats want more paint', () => {
    const needs = (area: number, coats: number) =>
      Number(/(\d+) ml/.exec(read('paint:title', area, { ...board, marks: board.marks.map((m) => ({ ...m, coats })) }).limit)![1]);
    expect(needs(40_000, 2)).toBeGreaterThan(needs(9000, 2));
    expect(needs(40_000, 4)).toBeGreaterThan(needs(40_000, 2));
    expect(needs(10, 1)).toBe(2);
  });
  it('a ground without a written recipe is said', () => {
    const said = finishReadings(board, [], demo.shop.climate, [], true, 'C').find((r) => r.id === 'recipe')!;
    expect(said).toMatchObject({ verdict: 'watch', station: 'prepare' });
  });
});
