import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { plateJob, textMark } from '../../test/sampleJobs';
import { filmSurface, surfaceOf, type CoatAge } from '../blanks';
import {
  COAT_SURFACES,
  FILM_KINDS,
  GROUNDS,
  TAPE_KINDS,
  type CoatId,
  type Contact,
  type FilmFinish,
  type FilmKindId,
  type GroundId,
  type TapeKindId,
} from '../facts';
import { chooseTape, tapeOffers } from './chooseTape';
import { gripWindow, tapeUses, type GripWindow, type Transfer } from './grip';
import { tapePieces } from './tapePieces';
import type { Tape } from '../job';
import { law } from '../../test/depth';

/** What is taped, on a ground that is as it was bought, on a coat of this job, or sealed. */
interface Told {
  kind: FilmKindId;
  finish: FilmFinish;
  ground: GroundId;
  contact: Contact;
  sealed: boolean;
  coat?: CoatId;
  age: CoatAge;
  sheet: boolean;
  daysCut: number;
}
const base: Told = {
  ...{ kind: 'permanent', finish: 'gloss', ground: 'glass', contact: 'smooth', sealed: false },
  ...{ age: 'fresh', sheet: false, daysCut: 0 },
};
const transferOf = ({ kind, finish, ground, contact, sealed, coat, age, sheet, daysCut }: Told): Transfer => {
  const piece = { ...plateJob(textMark('x')).piece, ground, contact, sealedFirst: sealed, ...(coat ? { coat } : {}) };
  return { kind, finish, sheet, daysCut, surface: surfaceOf(piece, [], age) };
};
const windowOf = (told: Partial<Told>) => gripWindow(transferOf({ ...base, ...told }));
const usesIn = (window: GripWindow, finish: FilmFinish): string =>
  (['paperLow', 'clearMedium', 'clearStrong'] as TapeKindId[])
    .map((tape) => {
      const { from, to } = tapeUses(tape, window, finish);
      return from === undefined ? '–' : from === to ? `${from}` : `${from}-${to}`;
    })
    .join(' / ');
const uses = (told: Partial<Told>): string => usesIn(windowOf(told), told.finish ?? base.finish);

const transfer = fc.record({
  kind: fc.constantFrom(...(Object.keys(FILM_KINDS) as FilmKindId[])),
  finish: fc.constantFrom<FilmFinish>('gloss', 'matt', 'glitter'),
  ground: fc.constantFrom(...(Object.keys(GROUNDS) as GroundId[])),
  contact: fc.constantFrom<Contact>('smooth', 'satin', 'openGrain', 'ribbed'),
  sealed: fc.boolean(),
  age: fc.constantFrom<CoatAge>('sameDay', 'fresh', 'cured'),
  coat: fc.option(fc.constantFrom(...(Object.keys(COAT_SURFACES) as CoatId[]).filter((id) => id !== 'sealer')), { nil: undefined }),
  sheet: fc.boolean(),
  daysCut: fc.integer({ min: 0, max: 20 }),
});

describe('the grip window', () => {
  it.each<[string, Partial<Told>, string]>([
    ['gloss permanent on glass', {}, '1-3 / 1-12 / 1-15'],
    ['removable on glass', { kind: 'removable' }, '1-3 / 3-12 / 6-15'],
    ['stencil on sealed open grain', { kind: 'stencil', ground: 'sealedWood', contact: 'openGrain' }, '1-3 / 7-9 / 9-11'],
    ['stencil on raw open grain', { kind: 'stencil', finish: 'matt', ground: 'rawWood', contact: 'openGrain', sheet: true }, '1 / – / 6'],
    ['permanent on chalk-like paint the same day', { ground: 'rawWood', coat: 'chalkPaint', age: 'sameDay' }, '– / – / –'],
    ['permanent on chalk-like paint next day', { ground: 'rawWood', coat: 'chalkPaint' }, '1-2 / 4-5 / 5-6'],
    ['permanent on chalk-like paint of old', { ground: 'chalkPaint' }, '1-2 / 4-5 / 5-6'],
    ['glitter on powder coat', { kind: 'glitter', finish: 'glitter', ground: 'powderCoat' }, '– / 1 / 1-4'],
  ])('%s: low paper / clear medium / clear strong', (_name, transfer, expected) => expect(uses(transfer)).toBe(expected));

  // the lower film holds on glass at once with 0.65 of its 15, 5 or 4.5 N, and stands 0.7 of that, of which tape may pull with 0.7
  it.each<[FilmKindId, FilmKindId, FilmFinish, string]>([
    ['permanent', 'permanent', 'gloss', '1-3 / 1-12 / 2-15'],
    ['glitter', 'permanent', 'glitter', '– / 1 / 1-4'],
    ['removable', 'permanent', 'matt', '1-3 / 4-11 / 7-14'],
    ['permanent', 'removable', 'gloss', '1-3 / 5-12 / 9-15'],
    ['permanent', 'stencil', 'gloss', '1-3 / 6-12 / 9-15'],
    ['glitter', 'stencil', 'glitter', '– / – / –'],
  ])('%s over %s on glass, %s: the tape of the second layer is the gentler one', (kind, lower, finish, expected) => {
    const glass = surfaceOf({ ...plateJob(textMark('x')).piece, ground: 'glass', contact: 'smooth' }, []);
    const surface = filmSurface(glass, { name: 'lower', kind: lower, colour: '#ffffff' });
    const window = gripWindow({ kind, finish, sheet: false, daysCut: 0, surface });
    expect(usesIn(window, finish)).toBe(expected);
    expect(window.high).toBeLessThan(gripWindow({ kind, finish, sheet: false, daysCut: 0, surface: glass }).high);
  });

  it('a tape that works lies within the window at every use from first to last', () => {
    fc.assert(
      fc.property(
        transfer,
        fc.constantFrom<TapeKindId>('paperLow', 'paperMedium', 'clearMedium', 'clearStrong', 'substitute'),
        (t, tape) => {
          const window = windowOf(t);
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
        const width = (x: Told) => windowOf(x).high / windowOf(x).low;
        expect(width({ ...t, daysCut: t.daysCut + 2 })).toBeLessThanOrEqual(width(t) + 1e-12);
        // on bare glass a sealer is one more thing that can come off
        const bare = surfaceOf({ ...plateJob(textMark('x')).piece, ...t, sealedFirst: false }, [], t.age);
        if (bare.sealable || bare.strength < Infinity)
          expect(width({ ...t, sealed: true })).toBeGreaterThanOrEqual(width({ ...t, sealed: false }) - 1e-12);
      }),
    );
  });
});

describe('the figures of the window', () => {
  it('film left on its liner holds half as much again after a week, and no more after two', () => {
    const low = (daysCut: number) => windowOf({ daysCut }).low;
    expect(low(0)).toBeCloseTo(0.5, 9);
    expect(low(7)).toBeCloseTo(0.75, 9);
    expect(low(3.5)).toBeCloseTo(0.625, 9);
    expect(low(14)).toBe(low(7));
  });
  it('says whether the film or the paint lets go first, and seals raise weak paint to 4', () => {
    expect(windowOf({ ground: 'chalkPaint' })).toMatchObject({ limitedBy: 'coating', coating: 1.5 });
    expect(windowOf({ ground: 'chalkPaint', sealed: true }).coating).toBe(4);
    expect(windowOf({ ground: 'sealedWood', sealed: true, kind: 'stencil' }).limitedBy).toBe('film on the piece');
    expect(windowOf({})).toMatchObject({ coating: Infinity, limitedBy: 'film on the piece' });
    // on bare glass nothing holds a sealer
    expect(windowOf({ sealed: true })).toMatchObject({ coating: 2, limitedBy: 'coating' });
  });
  it('beside the film a tape touches the ground with its share of grip, never with more than all of it', () => {
    fc.assert(
      fc.property(transfer, (t) => {
        const { groundShare } = windowOf(t);
        expect(groundShare).toBeGreaterThan(0);
        expect(groundShare).toBeLessThanOrEqual(1);
        expect(groundShare).toBe(Math.min(1, transferOf(t).surface.hold));
      }),
    );
  });
  it('a window is open just from 1.3 times its lower edge on', () => {
    fc.assert(
      fc.property(transfer, (t) => {
        const { low, high, open } = windowOf(t);
        expect(open).toBe(high / low >= 1.3);
      }),
    );
  });
  const window = { ...windowOf({}), low: 0.8, high: 3, coating: 5, wear: 0.5, groundShare: 1, open: true };
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
  it('takes the one nearest to the middle of the window, substitutes last', () => {
    expect(chooseTape(shop, windowOf({}), 'gloss')!.tape.kind).toBe('clearMedium');
    expect(chooseTape([tape('substitute')], windowOf({}), 'gloss')!.tape.kind).toBe('substitute');
    expect(chooseTape(shop, windowOf({ ground: 'chalkPaint' }), 'gloss')!.tape.kind).toBe('paperLow');
    expect(chooseTape(shop, windowOf({ ground: 'rawWood', coat: 'chalkPaint', age: 'sameDay' }), 'gloss')).toBeUndefined();
  });
  it('says how to dull a tape where only a worn one works', () => {
    expect(chooseTape([tape('clearMedium')], windowOf({ ground: 'chalkPaint' }), 'gloss')!.dull).toBe(3);
  });
  it('cuts pieces for the set with 8 mm all round', () => {
    const choice = chooseTape(shop, windowOf({}), 'gloss')!;
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

describe('the maker’s own choice of tape', () => {
  const tapes = (Object.keys(TAPE_KINDS) as TapeKindId[]).map((kind): Tape => ({
    id: kind,
    name: kind,
    kind,
    width: 300,
    length: 9000,
    price: 0,
  }));
  it('is taken wherever it works, and never where it does not; every tape says what it means', () => {
    fc.assert(
      fc.property(transfer, fc.constantFrom(...tapes), (told, wanted) => {
        const window = windowOf(told);
        const offers = tapeOffers(tapes, window, told.finish);
        expect(offers).toHaveLength(tapes.length);
        for (const offer of offers) expect(offer.says).toMatch(/^[A-Z].*\.$/);
        // those that work come first
        expect(offers.map(({ works }) => works)).toEqual(offers.map(({ works }) => works).toSorted((a, b) => Number(b) - Number(a)));
        const works = tapeUses(wanted.kind, window, told.finish).from !== undefined;
        const chosen = chooseTape(tapes, window, told.finish, wanted.id);
        if (works) expect(chosen!.tape.id).toBe(wanted.id);
        else expect(chosen?.tape.id).toBe(chooseTape(tapes, window, told.finish)?.tape.id);
      }),
      law(300),
    );
  });
});
