import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { applyToRegion, boxOf, boxRegion, difference, type Region } from '../../geometry';
import { demoShop } from '../../../test/sampleJobs';
import { layByHand } from './byHand';
import { checkNesting } from './checkNesting';
import { asKept, copyKey, lyingOf, placesOf } from './keptLayout';
import { fillSheet } from './fillSheet';
import type { NestPart, Nesting } from './nester';
import { nestedLength } from './nestedLength';
import { Separation } from './separate';
import { freeEnd, type Sheet } from './sheet';
import { skyline } from './skyline';
import { quartersOf, TURNS, turnBy } from './turns';
import { law } from '../../../test/depth';

const OPTIONS = { gap: 3, holdDown: 10 };
const sheet = freeEnd(demoShop().films[0]!, 300);
const box = (w: number, h: number): Region => boxRegion({ minX: 0, minY: 0, maxX: w, maxY: h });
const corner = (w: number, h: number): Region => [
  {
    outer: [
      [0, 0],
      [w, 0],
      [w, h / 3],
      [w / 3, h / 3],
      [w / 3, h],
      [0, h],
    ],
    holes: [],
  },
];
const part = fc
  .record({
    w: fc.integer({ min: 8, max: 120 }),
    h: fc.integer({ min: 8, max: 90 }),
    angled: fc.boolean(),
    copies: fc.integer({ min: 1, max: 4 }),
  })
  .map(({ w, h, angled, copies }): NestPart => ({ region: angled ? corner(w, h) : box(w, h), copies }));
const laid = (parts: readonly NestPart[]) => skyline(parts, [sheet], OPTIONS, { rounds: 1, seed: 1 });

describe('a layout by hand', () => {
  it('turns by quarters without rounding, and tells how much a place is turned', () => {
    for (const turn of [...TURNS.freely, 0.3, 3.99]) expect(quartersOf(turnBy(turn))).toBeCloseTo(turn, 9);
    expect(turnBy(5)).toEqual(turnBy(1));
    expect(turnBy(-1)).toEqual(turnBy(3));
  });
  it('stays without a fault wherever a part is put and however it is turned: it lies on the film, locked parts stay, no copy is lost', () => {
    const move = fc.record({
      which: fc.nat(1000),
      turn: fc.constantFrom(...TURNS.freely),
      x: fc.double({ min: -50, max: 350, noNaN: true }),
      y: fc.double({ min: -50, max: 400, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), fc.array(move, { minLength: 1, maxLength: 4 }), (parts, moves) => {
        let nesting = laid(parts);
        const locked = new Set<string>();
        for (const { which, turn, x, y } of moves) {
          const one = nesting.nested[which % nesting.nested.length]!;
          const before = new Map(nesting.nested.map((own) => [copyKey(own), own.place]));
          const found = layByHand(parts, sheet, OPTIONS, nesting, { part: one.part, copy: one.copy, turn, x, y }, locked);
          if (!found.ok) {
            expect(found.why).toBe('locked');
            expect(found.others.every((other) => locked.has(copyKey(other)))).toBe(true);
            continue;
          }
          expect(checkNesting(found.nesting, parts, [sheet], OPTIONS)).toEqual([]);
          const now = new Map(found.nesting.nested.map((own) => [copyKey(own), own.place]));
          for (const key of locked) if (key !== copyKey(one)) expect(now.get(key)).toEqual(before.get(key));
          expect(quartersOf(now.get(copyKey(one))!)).toBeCloseTo(turn, 6);
          const changed = [...now].filter(([key, place]) => key !== copyKey(one) && place !== before.get(key));
          expect(changed).toHaveLength(found.pushed);
          locked.add(copyKey(one));
          nesting = found.nesting;
        }
      }),
      law(12, 120),
    );
  });
  it('puts a part just where it was asked where nothing is in the way, and beside others where it is a little too near', () => {
    const parts = [{ region: box(40, 20), copies: 2 }];
    const start = laid(parts);
    const free = layByHand(parts, sheet, OPTIONS, start, { part: 0, copy: 1, turn: 0, x: 150, y: 200 });
    expect(free.ok && lyingOf(free.nesting.nested.find(({ copy }) => copy === 1)!.place, parts[0]!.region)).toEqual({
      turn: 0,
      x: 150,
      y: 200,
    });
    const other = lyingOf(start.nested.find(({ copy }) => copy === 0)!.place, parts[0]!.region);
    const near = layByHand(parts, sheet, OPTIONS, start, { part: 0, copy: 1, turn: 0, x: other.x, y: other.y + 22 }, new Set(['0/0']));
    expect(near.ok && near.pushed).toBe(0);
    expect(near.ok && checkNesting(near.nesting, parts, [sheet], OPTIONS)).toEqual([]);
  });
  it('on an offcut lies within its outline and off its holes; what finds no room any more is said', () => {
    const hole = boxRegion({ minX: 60, minY: 60, maxX: 100, maxY: 100 });
    const offcut: Sheet = { ...sheet, outline: difference(box(160, 160), hole), from: { kind: 'offcut', id: 'o' } };
    const options = { gap: 3, holdDown: 3 };
    const move = fc.record({
      which: fc.nat(1000),
      turn: fc.constantFrom(...TURNS.freely),
      x: fc.double({ min: -30, max: 190, noNaN: true }),
      y: fc.double({ min: -30, max: 190, noNaN: true }),
    });
    const faults = (nesting: Nesting, parts: readonly NestPart[]) =>
      checkNesting({ ...nesting, tooLarge: parts.map((_, p) => p) }, parts, [offcut], options);
    const refused = new Set<string>();
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), fc.array(move, { minLength: 1, maxLength: 4 }), (parts, moves) => {
        let nesting: Nesting = { nested: fillSheet(parts, offcut, options, { rounds: 1, seed: 1 }).nested, tooLarge: [] };
        for (const { which, turn, x, y } of moves) {
          if (nesting.nested.length === 0) return;
          const one = nesting.nested[which % nesting.nested.length]!;
          const found = layByHand(parts, offcut, options, nesting, { part: one.part, copy: one.copy, turn, x, y });
          if (!found.ok) {
            refused.add(found.why);
            continue;
          }
          expect(faults(found.nesting, parts)).toEqual([]);
          const now = new Set(found.nesting.nested.map(copyKey));
          expect(nesting.nested.filter((own) => !now.has(copyKey(own)))).toHaveLength(found.off);
          nesting = found.nesting;
        }
      }),
      law(12, 120),
    );
    expect([...refused].toSorted()).toEqual(['offFilm']);
    const bars = [{ region: box(150, 50), copies: 2 }];
    const full = { nested: fillSheet(bars, offcut, options, { rounds: 1, seed: 1 }).nested, tooLarge: [] };
    expect(full.nested).toHaveLength(2);
    const [first] = full.nested;
    const turned = layByHand(bars, offcut, options, full, { part: 0, copy: first!.copy, turn: 1, x: 30, y: 80 });
    expect(turned).toMatchObject({ ok: true, pushed: 1, off: 0 });
    const middle = layByHand([{ region: box(30, 150), copies: 2 }], offcut, options, full, { part: 0, copy: 0, turn: 0, x: 80, y: 80 });
    expect(middle).toMatchObject({ ok: false, why: 'offFilm' });
  });
  it('refuses what does not go on the film, and to turn film that has a direction', () => {
    const parts: NestPart[] = [
      { region: box(270, 290), copies: 1 },
      { region: box(20, 10), copies: 1, fixed: true },
    ];
    const start = laid(parts);
    expect(layByHand(parts, sheet, OPTIONS, start, { part: 0, copy: 0, turn: 1, x: 0, y: 0 })).toMatchObject({ ok: false, why: 'tooWide' });
    expect(layByHand(parts, sheet, OPTIONS, start, { part: 1, copy: 0, turn: 1, x: 0, y: 0 })).toMatchObject({ ok: false, why: 'fixed' });
  });
  it('is kept with free turns and locks, and comes back as it was', () => {
    const parts = [{ region: corner(60, 40), copies: 2 }];
    const found = layByHand(parts, sheet, OPTIONS, laid(parts), { part: 0, copy: 0, turn: 0.5, x: 100, y: 150 });
    if (!found.ok) throw new Error(found.why);
    const places = placesOf(found.nesting, parts, new Set(['0/0']));
    expect(places.find(({ copy }) => copy === 0)).toMatchObject({ turn: 0.5, locked: true });
    const again = asKept({ places }, skyline)(parts, [sheet], OPTIONS, { rounds: 1, seed: 1 });
    const placeIn = (nesting: typeof again, copy: number) => nesting.nested.find((one) => one.copy === copy)!.place;
    for (const copy of [0, 1]) placeIn(again, copy).forEach((n, i) => expect(n).toBeCloseTo(placeIn(found.nesting, copy)[i]!, 9));
  });
  it('is laid anew where the film has become narrower since', () => {
    const parts = [{ region: corner(60, 40), copies: 2 }];
    const found = layByHand(parts, sheet, OPTIONS, laid(parts), { part: 0, copy: 0, turn: 0, x: 250, y: 150 });
    if (!found.ok) throw new Error(found.why);
    const kept = asKept({ places: placesOf(found.nesting, parts) }, skyline);
    const narrow = freeEnd(demoShop().films[0]!, 260);
    const again = kept(parts, [narrow], OPTIONS, { rounds: 1, seed: 1 });
    expect(checkNesting(again, parts, [narrow], OPTIONS)).toEqual([]);
    expect(kept(parts, [sheet], OPTIONS, { rounds: 1, seed: 1 }).nested).toHaveLength(2);
  });
  it('goes on round locked parts: they stay where they are, nothing overlaps, the film is no longer than it was, and seeds repeat', () => {
    const parts: NestPart[] = [
      { region: corner(90, 70), copies: 4 },
      { region: box(30, 30), copies: 3 },
    ];
    const hand = layByHand(parts, sheet, OPTIONS, laid(parts), { part: 0, copy: 0, turn: 1 / 3, x: 150, y: 120 });
    if (!hand.ok) throw new Error(hand.why);
    const locked = new Set(['0/0', '1/2']);
    const run = (turns: readonly number[]) => {
      const search = new Separation(parts, sheet, OPTIONS, hand.nesting, 7, turns, locked);
      for (let round = 0; round < 120; round++) search.round();
      return search;
    };
    const search = run(TURNS.freely);
    const nesting = { nested: search.nested(), tooLarge: [] };
    expect(search.length).toBeLessThan(Infinity);
    expect(checkNesting(nesting, parts, [sheet], OPTIONS)).toEqual([]);
    for (const one of nesting.nested)
      if (locked.has(copyKey(one))) {
        const before = hand.nesting.nested.find((own) => copyKey(own) === copyKey(one))!.place;
        one.place.forEach((n, i) => expect(n).toBeCloseTo(before[i]!, 9));
      }
    expect(run(TURNS.freely).nested()).toEqual(nesting.nested);
    // gathered to one side it is sound and no longer, nothing lies further right, and what is locked stays
    const gathered = { nested: search.gathered(), tooLarge: [] };
    expect(checkNesting(gathered, parts, [sheet], OPTIONS)).toEqual([]);
    expect(nestedLength(gathered, parts)).toBeLessThanOrEqual(nestedLength(nesting, parts) + 1e-6);
    gathered.nested.forEach((one, i) => {
      const before = nesting.nested[i]!;
      expect(one.place[4]).toBeLessThanOrEqual(before.place[4] + 1e-9);
      if (locked.has(copyKey(one))) expect(one.place).toEqual(before.place);
    });
    expect(search.nested()).toEqual(nesting.nested);
  });
  it('what lies loose is gathered to one side, so that the film beside it is in one piece', () => {
    const parts: NestPart[] = [{ region: box(40, 100), copies: 2 }];
    const at = (copy: number, x: number) => ({ part: 0, copy, sheet: 0, place: [1, 0, 0, 1, x, OPTIONS.holdDown] as const });
    const apart = { nested: [at(0, 60), at(1, 200)], tooLarge: [] };
    const search = new Separation(parts, sheet, OPTIONS, apart, 1);
    const right = search.gathered().map(({ part, place }) => boxOf(applyToRegion(place, parts[part]!.region)).maxX);
    expect(Math.max(...right)).toBeLessThan(2 * 40 + OPTIONS.holdDown + OPTIONS.gap + 0.5);
  });
});
