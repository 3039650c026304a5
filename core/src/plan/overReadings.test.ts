import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import type { Job, Mark } from '../job';
import { stepText } from '../words';
import { Memo, planWorkshop } from './index';

let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});
const planOf = (job: Job) => planWorkshop([job], demoShop(), [], DEMO_START, faces, new Memo()).jobs.get(job.id)!;
const read = (job: Job, id: string) => planOf(job).readings.find((reading) => reading.id === id);
const mark = (id: string, text: string, more: Partial<Mark>): Mark => ({ ...textMark(text, more), id, name: id });
const two = (first: Partial<Mark>, second: Partial<Mark>): Job => ({
  ...plateJob(textMark('x')),
  marks: [mark('a', 'III', first), mark('b', 'OOO', second)],
});
const at = (x: number, film = 'white-gloss'): Partial<Mark> => ({ film, size: { mode: 'width', width: 40 }, offset: { x, y: 0 } });

describe('what lies under a mark', () => {
  it('another mark in part is said, and both colours count for contrast', () => {
    const over = read(two(at(0), at(12)), 'over:b');
    expect([over?.verdict, over?.why]).toEqual(['watch', expect.stringContaining('“a”')]);
    expect(read(two(at(-30), at(30)), 'over:b')).toBeUndefined();
    // white letters partly on white letters
    const contrast = read(two(at(0), at(12)), 'contrast:b');
    expect([contrast?.verdict, contrast?.why]).toEqual(['stop', expect.stringContaining('White gloss')]);
    expect(read(two(at(-30), at(30)), 'contrast:b')?.verdict).toBe('fine');
  });
  it('white on a white plate of film vanishes', () => {
    const plate: Partial<Mark> = {
      ...at(0),
      size: { mode: 'width', width: 100 },
      artwork: {
        kind: 'drawing',
        name: 'plate',
        parts: [{ id: 'p', colour: '#000000', path: [['M', [0, 0]], ['L', [9, 0]], ['L', [9, 3]], ['L', [0, 3]], ['Z']], fill: 'nonzero' }],
        leftOut: [],
      },
    };
    const contrast = read(two(plate, { ...at(0), size: { mode: 'width', width: 20 } }), 'contrast:b');
    expect([contrast?.verdict, contrast?.value]).toEqual(['stop', '1.0 : 1']);
  });
  it('film over the gaps between slats has nothing to hold on, over tight joints it is slit', () => {
    const plate = plateJob(textMark('OOO'));
    const slatted = (gap: number): Job => ({
      ...plate,
      piece: { ...plate.piece, slats: { run: 'upright', slat: 20, gap, first: 20 } },
    });
    expect(read(slatted(6), 'slats:m')?.verdict).toBe('watch');
    expect(read(slatted(0.5), 'slats:m')?.verdict).toBe('fine');
    expect(read(plate, 'slats:m')).toBeUndefined();
  });
  it('a mark that has left the middle for a keep-out says how far', () => {
    const plate = plateJob(textMark('OOO', { size: { mode: 'width', width: 20 } }));
    const [zone] = plate.zones;
    const left = {
      id: 'k',
      kind: 'print' as const,
      x: zone!.x - zone!.width / 2 + 10,
      y: zone!.y,
      width: 20,
      height: zone!.height,
      round: false,
      clear: 2,
    };
    const job = { ...plate, piece: { ...plate.piece, features: [left] } };
    expect(read(job, 'size:m')?.why).toMatch(/has moved \d+(\.\d)? mm to the right from the middle of its zone/);
    expect(read(plate, 'size:m')?.why).not.toContain('moved');
  });
});

describe('a list', () => {
  it('of a height has capitals of that height, whatever hangs below the line', () => {
    const base = plateJob(textMark('{name}', { size: { mode: 'height', height: 12 } }));
    const job: Job = {
      ...base,
      count: 3,
      list: { columns: ['name'], rows: ['HILDE', 'Peggy', 'Ada'].map((name, i) => ({ id: `r${i}`, cells: [name] })) },
    };
    const { variants } = planOf(job).marks[0]!;
    expect(new Set(variants.map(({ em }) => em.toFixed(3))).size).toBe(1);
    expect(variants[0]!.fitted.height).toBeCloseTo(12, 0);
    expect(variants[1]!.fitted.height).toBeGreaterThan(14);
  });
  it('is weeded row by row: its minutes are those of its own words, and its tape fits them as they are bent', () => {
    const base = plateJob(textMark('{name}', { size: { mode: 'height', height: 12 } }));
    const wide = { ...base.piece, shape: { kind: 'flat' as const, width: 600, height: 200 } };
    const zones = [{ ...base.zones[0]!, x: 0, y: 0, width: 600, height: 200 }];
    const of = (...names: string[]): Job => ({
      ...base,
      ...{ piece: wide, zones, count: names.length },
      list: { columns: ['name'], rows: names.map((name, i) => ({ id: `r${i}`, cells: [name] })) },
    });
    const minutes = (job: Job) => planOf(job).layers[0]!.weeding.minutes * job.count;
    const [short, long] = [minutes(of('il')), minutes(of('Bartholomew Boggs'))];
    expect(long).toBeGreaterThan(short * 1.5);
    // the layout may size them together: never beyond what each takes alone
    expect(minutes(of('il', 'il', 'il', 'Bartholomew Boggs'))).toBeCloseTo(3 * short + long, 1);
  });
});

describe('a mark whose parts are laid out apart', () => {
  it('is apart everywhere: on film, on tape, in minutes, and each part has its place', () => {
    const of = (lift: 'one' | 'apart') =>
      planOf({ ...plateJob(textMark('HELLO', { lift, size: { mode: 'width', width: 120 } })), count: 3 });
    const [one, apart] = [of('one'), of('apart')];
    expect([one.layers[0]!.parts, apart.layers[0]!.parts]).toEqual([1, 5]);
    expect(one.layouts[0]!.parts).toHaveLength(3);
    expect(apart.layouts[0]!.parts).toHaveLength(15);
    // tape for the largest letter, not for the word; lifted five times as often
    expect(apart.layers[0]!.width).toBeLessThan(one.layers[0]!.width / 3);
    const lifts = (plan: typeof one) => plan.layers[0]!.pieces!.pieces * plan.layers[0]!.pieces!.usesEach;
    expect(lifts(apart)).toBeGreaterThanOrEqual(15);
    const place = (plan: typeof one) => plan.recipe.steps.find(({ kind }) => kind === 'place')!;
    expect(place(apart).hands).toBeGreaterThan(place(one).hands + 10);
    expect(stepText(place(apart), 'mm')).toContain('5 parts, each on tape of its own');
    expect(stepText(place(one), 'mm')).not.toContain('parts');
    expect([one.marks[0]!.places.length, apart.marks[0]!.places.length]).toEqual([0, 5]);
  });
});
