import { describe, expect, it } from '@jest/globals';
import { SCHEDULE_NOW } from '../../test/randomSchedules';
import { testStep } from '../../test/steps';
import type { WorkStep } from '../finish';
import { meanwhile } from './meanwhile';
import type { PlacedStep } from './problem';

const MIN = 60_000;
const windows = [{ start: SCHEDULE_NOW - 60 * MIN, end: SCHEDULE_NOW + 240 * MIN }];
const placed = (step: WorkStep, start: number, state: PlacedStep['state'] = 'waiting'): PlacedStep => {
  const span = { start: SCHEDULE_NOW + start * MIN, end: SCHEDULE_NOW + (start + step.hands) * MIN };
  return { step, ...span, spans: [span], state };
};
/** A coat that was put on half an hour ago, its next coat in half an hour, and other steps later. */
const coat = placed(testStep('coat', { hands: 10 }), -40, 'done');
const next = placed(testStep('next', { hands: 15, after: [{ step: 'coat', least: 60, why: 'recoat' }] }), 30);
const offered = (steps: readonly PlacedStep[], now = SCHEDULE_NOW) =>
  meanwhile({ steps: [coat, next, ...steps], windows }, next, now).map(({ step }) => step.id);

describe('what fits while something dries', () => {
  it('is ready, short enough, and not what is waited for', () => {
    expect(offered([placed(testStep('short', { hands: 20 }), 60), placed(testStep('long', { hands: 31 }), 80)])).toEqual(['short']);
    expect(offered([placed(testStep('just', { hands: 30 }), 60)])).toEqual(['just']);
    expect(offered([])).toEqual([]);
  });
  it('waits for nothing that is not done or not dry, and opens nothing that has to go on at once', () => {
    const follows = placed(testStep('follows', { hands: 5, after: [{ step: 'next', least: 0, why: 'placed' }] }), 90);
    const wet = placed(testStep('wet', { hands: 5, after: [{ step: 'coat', least: 50, why: 'firm' }] }), 90);
    const dry = placed(testStep('dry', { hands: 5, after: [{ step: 'coat', least: 20, why: 'firm' }] }), 90);
    expect(offered([follows, wet, dry])).toEqual(['dry']);
    const cut = placed(testStep('cut', { hands: 5 }), 60);
    const weed = placed(testStep('weed', { hands: 30, after: [{ step: 'cut', least: 0, most: 20, why: 'weedSoon' }] }), 65);
    expect(offered([cut, weed])).toEqual([]);
  });
  it('is nothing where nobody works, and ends with the day', () => {
    const short = placed(testStep('short', { hands: 20 }), 300);
    expect(offered([short], SCHEDULE_NOW + 241 * MIN)).toEqual([]);
    const late = placed(testStep('late', { hands: 15 }), 400);
    expect(meanwhile({ steps: [short, late], windows }, late, SCHEDULE_NOW + 225 * MIN)).toEqual([]);
    expect(meanwhile({ steps: [short, late], windows }, late, SCHEDULE_NOW + 220 * MIN)).toEqual([short]);
  });
});
