import { describe, expect, it } from '@jest/globals';
import { plateJob, textMark } from '../../test/sampleJobs';
import { COAT_SURFACES, CONTACTS, GRIP_LIMITS, GROUNDS, type CoatId, type Contact, type GroundId } from '../facts';
import type { Paint, Piece } from '../job';
import { coatPaint, filmSurface, isClear, isCoated, surfaceOf, type CoatAge } from './surface';

const plain = plateJob(textMark('x')).piece;
const piece = (more: Partial<Piece>): Piece => ({ ...plain, ...more });
const grounds = Object.keys(GROUNDS) as GroundId[];
const coats = (Object.keys(COAT_SURFACES) as CoatId[]).filter((id) => id !== 'sealer');
const contacts = Object.keys(CONTACTS) as Contact[];
const ages: CoatAge[] = ['sameDay', 'fresh', 'cured'];
const paints: Paint[] = [
  { id: 'red', name: 'Buoy red', coat: 'acrylic', colour: '#aa2211', volume: 100 },
  { id: 'sand', name: 'Sand', coat: 'chalkPaint', colour: '#e0d0b0', volume: 100 },
  { id: 'navy', name: 'Navy', coat: 'acrylic', colour: '#112244', volume: 100 },
];

describe('the topmost layer counts', () => {
  it('over all grounds, coats and ages: energy, hold, wear, colour and clearness are those of the coat', () => {
    for (const ground of grounds)
      for (const contact of contacts)
        for (const coat of coats)
          for (const age of ages) {
            const bare = surfaceOf(piece({ ground, contact }), paints, age);
            const coated = surfaceOf(piece({ ground, contact, coat }), paints, age);
            const row = COAT_SURFACES[coat]!;
            expect(coated).toMatchObject({ energy: row.energy.range[0], hold: row.hold.typical, wear: row.wear });
            expect(coated.colour).toBe(coatPaint({ coat }, paints)?.colour ?? bare.colour);
            expect(coated.clear).toBe(false);
            // rough paint keeps the shape of what lies under it, but two coats fill open grain
            expect(coated.contact).toBe(contact === 'openGrain' && row.fills ? CONTACTS.satin.share.typical : bare.contact);
            // the weakest of all layers is what tape may pull at
            expect(coated.strength).toBeLessThanOrEqual(bare.strength);
            expect(coated.strength).toBeLessThanOrEqual(row.strength.cured.typical);
          }
  });
  it('a coat is weakest on the day it is put on, and on what is bare, smooth and hard', () => {
    for (const coat of coats) {
      const strengths = ages.map((age) => surfaceOf(piece({ ground: 'rawWood', coat }), [], age).strength);
      expect(strengths).toEqual(strengths.toSorted((a, b) => a - b));
      expect(strengths[0]).toBeCloseTo(strengths[1]! / 2, 9);
      expect(surfaceOf(piece({ ground: 'glass', coat }), []).strength).toBeCloseTo(strengths[1]! / 2, 9);
      for (const sound of ['sealedWood', 'enamel', 'terracotta', 'paintedWall'] as const)
        expect(surfaceOf(piece({ ground: sound, coat }), []).strength).toBeCloseTo(
          Math.min(strengths[1]!, surfaceOf(piece({ ground: sound }), []).strength),
          9,
        );
    }
  });
  it('what is sanded, primed or painted before holds a coat as what is porous does; what was left unsanded by half', () => {
    for (const coat of coats) {
      const strength = (more: Partial<Piece>) => surfaceOf(piece({ coat, ...more }), []).strength;
      const sound = strength({ ground: 'rawWood' });
      for (const ground of ['bareMetal', 'abs'] as const) {
        expect(strength({ ground })).toBeCloseTo(sound, 9);
        expect(strength({ ground, leftOut: ['sand'] })).toBeCloseTo(sound / 2, 9);
      }
      expect(strength({ ground: 'rawWood', contact: 'smooth', leftOut: ['sand'] })).toBeCloseTo(sound / 2, 9);
      expect(strength({ ground: 'rawWood', primed: true })).toBeCloseTo(sound, 9);
      // on glass the whole comes off as weakly as its lowest coat
      expect(strength({ ground: 'glass', painted: { coat } })).toBeLessThanOrEqual(sound);
    }
  });
  it('a coat that is on it already is what film meets: weaker for as long as it is not long dry', () => {
    for (const ground of grounds)
      for (const coat of coats) {
        const now = surfaceOf(piece({ ground, painted: { coat, at: 0 } }), paints);
        const long = surfaceOf(piece({ ground, painted: { coat } }), paints);
        expect(now.name).toBe(surfaceOf(piece({ ground, coat }), paints).name);
        // its colour is the colour that the piece is seen in
        expect(now.colour).toBe(piece({}).colour);
        expect(now.strength).toBeLessThanOrEqual(long.strength);
        expect(isCoated(piece({ ground, painted: { coat } }))).toBe(true);
      }
  });
  it('a sealer holds weak paint together, lets its colour through, and takes nothing away', () => {
    for (const ground of grounds)
      for (const coat of coats) {
        const open = surfaceOf(piece({ ground, coat }), paints);
        const sealed = surfaceOf(piece({ ground, coat, sealedFirst: true }), paints);
        expect(sealed.name).toBe('clear sealer');
        expect(sealed.colour).toBe(open.colour);
        if (sealed.peels === undefined) expect(sealed.strength).toBeGreaterThanOrEqual(Math.max(open.strength, 4));
        expect(sealed.hold).toBeGreaterThanOrEqual(open.hold);
        expect(sealed.contact).toBeGreaterThanOrEqual(open.contact);
        expect(sealed.sealable).toBe(false);
      }
  });
  it('what is chosen in stock gives the colour, the first of its kind where nothing is', () => {
    expect(surfaceOf(piece({ coat: 'acrylic' }), paints).colour).toBe('#aa2211');
    expect(surfaceOf(piece({ coat: 'acrylic', coatPaint: 'navy' }), paints).colour).toBe('#112244');
    expect(surfaceOf(piece({ coat: 'acrylic', coatPaint: 'sand' }), paints).colour).toBe('#aa2211');
    expect(surfaceOf(piece({ coat: 'chalkboard' }), paints).colour).toBe(plain.colour);
    expect(coatPaint({}, paints)).toBeUndefined();
  });
  it('whether light passes is as the ground has it, until it is said', () => {
    for (const ground of grounds) expect(isClear({ ground })).toBe(GROUNDS[ground].clear);
    expect(isClear({ ground: 'glass', seeThrough: false })).toBe(false);
    expect(surfaceOf(piece({ ground: 'glass', seeThrough: false, colour: '#ffffff' }), [])).toMatchObject({
      clear: false,
      colour: '#ffffff',
    });
    expect(surfaceOf(piece({ ground: 'glass', sealedFirst: true }), []).clear).toBe(true);
  });
  it('film on film is smooth, and stands less than what it lies on', () => {
    for (const ground of grounds) {
      const below = surfaceOf(piece({ ground }), []);
      const film = filmSurface(below, { name: 'White gloss', kind: 'permanent', colour: '#ffffff' });
      expect(film).toMatchObject({ energy: 38, hold: 0.8, contact: 1, colour: '#ffffff', clear: false, weakest: 'film below' });
      expect(film.strength).toBeLessThanOrEqual(below.strength);
      expect(film.strength).toBeCloseTo(Math.min(below.strength, 0.7 * 15 * GRIP_LIMITS.atOnce * below.hold * below.contact), 9);
    }
  });
  it('no coat holds on wax and on plastics that refuse everything, and a film on it comes off with it', () => {
    for (const ground of grounds) {
      const refusing = ['polyethylene', 'polypropylene', 'silicone', 'waxedWood'].includes(ground);
      for (const coat of coats) {
        const coated = surfaceOf(piece({ ground, coat }), []);
        expect([ground, coated.peels]).toEqual([ground, refusing ? GROUNDS[ground].name : undefined]);
        if (refusing) expect(coated.strength).toBeLessThan(1);
        expect(filmSurface(coated, { name: 'x', kind: 'permanent', colour: '#ffffff' }).peels).toBe(coated.peels);
        expect(surfaceOf(piece({ ground, coat, waxed: true }), []).peels).toBe(`waxed ${GROUNDS[ground].name}`);
      }
      expect(surfaceOf(piece({ ground, sealedFirst: true }), []).peels !== undefined).toBe(refusing);
      expect(surfaceOf(piece({ ground }), []).peels).toBeUndefined();
    }
  });
});
