import { describe, expect, it } from '@jest/globals';
import { testStep } from '../../test/steps';
import { withBehind } from './behind';

const sand = testStep('j/sand', { kind: 'sand', hands: 7 });
const stain = testStep('j/stain', { kind: 'stain', after: [{ step: 'j/sand', least: 0, why: 'bare' }] });
const seal = testStep('j/seal', { kind: 'seal', after: [{ step: 'j/stain', least: 60, why: 'beforeSealer' }] });
const cut = testStep('j/cut', { kind: 'cut' });
const weed = testStep('j/weed', { kind: 'weed', after: [{ step: 'j/cut', least: 0, why: 'weedSoon' }] });
const steps = [sand, stain, seal, cut, weed];
const at = 1_000_000_000;

describe('what lies behind', () => {
  it('whatever made the piece ready for a step that has begun is done, one before the other', () => {
    const found = withBehind(new Map([['j/seal', { startedAt: at, doneAt: at + 1 }]]), steps);
    expect(found.get('j/stain')!.doneAt).toBe(at - 60 * 60_000);
    expect(found.get('j/sand')!.doneAt).toBe(found.get('j/stain')!.startedAt);
    expect(found.get('j/sand')!.startedAt).toBe(found.get('j/sand')!.doneAt! - 7 * 60_000);
  });
  it('a step that runs has its preparation behind it too; what was noted stays as it was', () => {
    const found = withBehind(
      new Map([
        ['j/stain', { startedAt: at }],
        ['j/sand', { startedAt: 5, doneAt: 9 }],
      ]),
      steps,
    );
    expect(found.get('j/sand')).toEqual({ startedAt: 5, doneAt: 9 });
    expect(withBehind(new Map([['j/stain', { startedAt: at }]]), steps).get('j/sand')!.doneAt).toBe(at);
  });
  it('film that was not noted stays to be cut', () => {
    expect(withBehind(new Map([['j/weed', { startedAt: at, doneAt: at }]]), steps).has('j/cut')).toBe(false);
    expect(withBehind(new Map(), steps).size).toBe(0);
  });
});
