import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { FILM_KINDS, GROUNDS, type Contact, type FilmFinish, type FilmKindId, type GroundId, type TapeKindId } from '../facts';
import { chooseTape } from './chooseTape';
import { gripWindow, tapeUses, type Transfer } from './grip';
import { tapePieces } from './tapePieces';
import type { Tape } from '../job';

const base: Transfer = {
  kind: 'permanent',
  finish: 'gloss',
  ground: 'glass',
  contact: 'smooth',
  sealed: false,
  sameDay: false,
  daysCut: 0,
};
const uses = (transfer: Partial<Transfer>) => {
  const t = { ...base, ...transfer };
  const window = gripWindow(t);
  return (['paperLow', 'clearMedium', 'clearStrong'] as TapeKindId[])
    .map((tape) => {
      const { from, to } = tapeUses(tape, window, t.finish);
      return from === undefined ? '–' : from === to ? `${from}` : `${from}-${to}`;
    })
    .join(' / ');
};

const transfer = fc.record({
  kind: fc.constantFrom(...(Object.keys(FILM_KINDS) as FilmKindId[])),
  finish: fc.constantFrom<FilmFinish>('gloss', 'matt', 'glitter'),
  ground: fc.constantFrom(...(Object.keys(GROUNDS) as GroundId[])),
  contact: fc.constantFrom<Contact>('smooth', 'satin', 'openGrain', 'ribbed'),
  sealed: fc.boolean(),
  sameDay: fc.boolean(),
  daysCut: fc.integer({ min: 0, max: 20 }),
});

describe('the grip window', () => {
  it.each<[string, Partial<Transfer>, string]>([
    ['gloss permanent on glass', {}, '1-3 / 1-12 / 1-15'],
    ['removable on glass', { kind: 'removable' }, '1-3 / 3-12 / 6-15'],
    ['stencil on sealed open grain', { kind: 'stencil', ground: 'sealedWood', contact: 'openGrain', sealed: true }, '1-3 / 7-9 / 9-11'],
    ['stencil on raw open grain', { kind: 'stencil', ground: 'rawWood', contact: 'openGrain' }, '– / – / –'],
    ['permanent on chalk-like paint the same day', { ground: 'chalkPaint', sameDay: true }, '– / – / –'],
    ['permanent on chalk-like paint next day', { ground: 'chalkPaint' }, '1-2 / 4-5 / 5-6'],
    ['glitter on powder coat', { kind: 'glitter', finish: 'glitter', ground: 'powderCoat' }, '– / 1 / 1-4'],
  ])('%s: low paper / clear medium / clear strong', (_name, transfer, expected) => expect(uses(transfer)).toBe(expected));

  it('a tape that works lies within the window at every use from first to last', () => {
    fc.assert(
      fc.property(
        transfer,
        fc.constantFrom<TapeKindId>('paperLow', 'paperMedium', 'clearMedium', 'clearStrong', 'substitute'),
        (t, tape) => {
          const window = gripWindow(t);
          const { from, to, grips } = tapeUses(tape, window, t.finish);
          if (from === undefined) return;
          for (let use = from; use <= to!; use++) {
            expect(grips[use - 1]!).toBeGreaterThanOrEqual(window.low);
            expect(grips[use - 1]!).toBeLessThanOrEqual(window.high);
          }
        },
      ),
    );
  });
  it('waiting to weed never widens it, and sealing never narrows it', () => {
    fc.assert(
      fc.property(transfer, (t) => {
        const width = (x: Transfer) => gripWindow(x).high / gripWindow(x).low;
        expect(width({ ...t, daysCut: t.daysCut + 2 })).toBeLessThanOrEqual(width(t) + 1e-12);
        expect(width({ ...t, sealed: true })).toBeGreaterThanOrEqual(width({ ...t, sealed: false }) - 1e-12);
      }),
    );
  });
});

describe('the figures of the window', () => {
  it('film left on its liner holds half as much again after a week, and no more after two', () => {
    const low = (daysCut: number) => gripWindow({ ...base, daysCut }).low;
    expect(low(0)).toBeCloseTo(0.5, 9);
    expect(low(7)).toBeCloseTo(0.75, 9);
    expect(low(3.5)).toBeCloseTo(0.625, 9);
    expect(low(14)).toBe(low(7));
  });
  it('says whether the film or the paint lets go first, and seals raise weak paint to 4', () => {
    expect(gripWindow({ ...base, ground: 'chalkPaint' })).toMatchObject({ limitedBy: 'coating', coating: 1.5 });
    expect(gripWindow({ ...base, ground: 'chalkPaint', sealed: true }).coating).toBe(4);
    expect(gripWindow({ ...base, ground: 'sealedWood', sealed: true, kind: 'stencil' }).limitedBy).toBe('film on the piece');
    expect(gripWindow({ ...base, sealed: true })).toMatchObject({ coating: Infinity, limitedBy: 'film on the piece' });
  });
  it('beside the film a tape touches the ground with its share of grip, never with more than all of it', () => {
    fc.assert(
      fc.property(transfer, (t) => {
        const { groundShare } = gripWindow(t);
        expect(groundShare).toBeGreaterThan(0);
        expect(groundShare).toBeLessThanOrEqual(1);
        expect(groundShare).toBeLessThanOrEqual(Math.max(GROUNDS[t.ground].hold.typical, GROUNDS.sealedWood.hold.typical));
      }),
    );
  });
  it('a window is open just from 1.3 times its lower edge on', () => {
    fc.assert(
      fc.property(transfer, (t) => {
        const { low, high, open } = gripWindow(t);
        expect(open).toBe(high / low >= 1.3);
      }),
    );
  });
  const window = { ...gripWindow(base), low: 0.8, high: 3, coating: 5, wear: 0.5, groundShare: 1, open: true };
  it('edges belong to the window, the paint beside the film has its own limit, and no tape lasts for ever', () => {
    // 3.0, 1.5, 0.75 …
    expect(tapeUses('clearMedium', window, 'gloss')).toMatchObject({ from: 1, to: 2 });
    expect(tapeUses('clearMedium', { ...window, low: 0.75 }, 'gloss')).toMatchObject({ from: 1, to: 3 });
    // 0.7 of 3 is 2.1: the first use would lift the paint
    expect(tapeUses('clearMedium', { ...window, coating: 3 }, 'gloss')).toMatchObject({ from: 2, to: 2 });
    expect(tapeUses('clearMedium', { ...window, coating: 2.15 }, 'gloss').from).toBe(2);
    // three uses of low paper tape however little it wears
    expect(tapeUses('paperLow', { ...window, wear: 1 }, 'gloss')).toMatchObject({ from: 1, to: 3 });
    expect(tapeUses('clearMedium', { ...window, wear: 1 }, 'gloss')).toMatchObject({ from: 1, to: 40 });
    const never = tapeUses('clearMedium', { ...window, low: 3.5, high: 4 }, 'gloss');
    expect(never).toMatchObject({ tape: 'clearMedium' });
    expect(never.from).toBeUndefined();
    expect(never.grips[1]).toBeCloseTo(1.5, 9);
  });
  it('a substitute wears as fast as it does by itself, or as the ground wears it', () => {
    expect(tapeUses('substitute', { ...window, wear: 0.85 }, 'gloss').grips[1]! / 1.8).toBeCloseTo(0.65, 9);
    expect(tapeUses('substitute', { ...window, wear: 0.5 }, 'gloss').grips[1]! / 1.8).toBeCloseTo(0.5, 9);
  });
});

describe('choosing tape', () => {
  const tape = (kind: TapeKindId): Tape => ({ id: kind, name: kind, kind, width: 150, length: 5000, price: 1 });
  const shop = (['paperLow', 'clearMedium', 'clearStrong', 'substitute'] as TapeKindId[]).map(tape);
  it('takes the strongest within the preferred half, substitutes last', () => {
    expect(chooseTape(shop, gripWindow(base), 'gloss')!.tape.kind).toBe('clearMedium');
    expect(chooseTape([tape('substitute')], gripWindow(base), 'gloss')!.tape.kind).toBe('substitute');
    expect(chooseTape(shop, gripWindow({ ...base, ground: 'chalkPaint' }), 'gloss')!.tape.kind).toBe('paperLow');
    expect(chooseTape(shop, gripWindow({ ...base, ground: 'chalkPaint', sameDay: true }), 'gloss')).toBeUndefined();
  });
  it('says how to dull a tape where only a worn one works', () => {
    expect(chooseTape([tape('clearMedium')], gripWindow({ ...base, ground: 'chalkPaint' }), 'gloss')!.dull).toBe(3);
  });
  it('cuts pieces for the set with 8 mm all round', () => {
    const choice = chooseTape(shop, gripWindow(base), 'gloss')!;
    expect(tapePieces({ width: 66, height: 29 }, 12, choice)).toEqual({
      width: 82,
      height: 45,
      pieces: 1,
      usesEach: 12,
      length: 45,
      strips: 1,
    });
    expect(tapePieces({ width: 66, height: 29 }, 30, choice).pieces).toBe(3);
    expect(tapePieces({ width: 300, height: 200 }, 1, choice).strips).toBeGreaterThan(1);
    expect(tapePieces({ width: 540, height: 45 }, 1, choice)).toMatchObject({ strips: 1, length: 556 });
  });
});
