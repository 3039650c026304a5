import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop } from '../../test/sampleJobs';
import { COATS, type CoatId } from '../facts';
import { dryingFactor, dryingTimes } from './drying';
import { paintNeeded, pullWindow } from './paint';

const demo = demoWorkshop();
const climate = fc.record({
  celsius: fc.integer({ min: 5, max: 35 }),
  humidity: fc.double({ min: 0.1, max: 0.95, noNaN: true }),
});

describe('drying', () => {
  it('at 18 °C and 61 % takes 1.45 times as long for water, 1.15 for the rest', () => {
    expect(dryingFactor('water', demo.shop.climate).factor).toBeCloseTo(1.45, 2);
    expect(dryingFactor('solvent', demo.shop.climate).factor).toBeCloseTo(1.15, 2);
    expect(dryingFactor('water', { celsius: 20, humidity: 0.5 }).factor).toBeCloseTo(1, 9);
  });
  it('a damper or colder room never dries faster, and factors stay within their bounds', () => {
    fc.assert(
      fc.property(climate, fc.constantFrom(...(Object.keys(COATS) as CoatId[])), (room, coat) => {
        const times = dryingTimes(coat, room);
        const damper = dryingTimes(coat, { ...room, humidity: Math.min(0.99, room.humidity + 0.04) });
        const colder = dryingTimes(coat, { ...room, celsius: room.celsius - 2 });
        expect(damper.touchDry).toBeGreaterThanOrEqual(times.touchDry - 1e-9);
        expect(colder.recoat).toBeGreaterThanOrEqual(times.recoat - 1e-9);
        expect(times.touchDry).toBeGreaterThanOrEqual(COATS[coat].touchDry * 0.5 - 1e-9);
        expect(times.touchDry).toBeLessThanOrEqual(COATS[coat].touchDry * 4 + 1e-9);
      }),
    );
  });
  it('the three schools pull the stencil one after another, and their windows scale', () => {
    const times = dryingTimes('acrylic', { celsius: 20, humidity: 0.5 });
    expect(pullWindow('halfDry', times)).toEqual({ least: 15, most: 30 });
    expect(pullWindow('nearlyDry', times)).toEqual({ least: 30, most: 60 });
    expect(pullWindow('dry', times)).toEqual({ least: 60 });
  });
});

describe('paint', () => {
  it('paint is at least 2 ml and grows with coats', () => {
    expect(paintNeeded(100, 2, 1)).toBe(2);
    expect(paintNeeded(100_000, 2, 1)).toBeCloseTo((0.1 * 2 * 1000 * 1.4) / 6, 6);
  });
});
