import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { plateJob, textMark } from '../../test/sampleJobs';
import { applyPatch, type Job, type Shape } from '../job';
import { checkShape } from './checkShape';
import { reshape } from './reshape';
import { takenFor } from './takenFor';
import { uprightOf } from './unroll/taper';
import { usualBreathing } from './zone';

const mm = fc.integer({ min: 5, max: 4000 });
const anyShape: fc.Arbitrary<Shape> = fc
  .oneof(
    fc.record({ kind: fc.constant('flat' as const), width: mm, height: mm }),
    fc.record({ kind: fc.constant('cylinder' as const), diameter: mm, height: mm }),
    fc.record({ kind: fc.constant('taper' as const), rim: mm, foot: mm, height: mm }),
    fc.record({ kind: fc.constant('bulb' as const), diameter: mm, along: mm, height: mm }),
  )
  .filter((shape) => checkShape(shape).ok);

describe('a piece taken for another shape', () => {
  it('is always one that can be', () => {
    fc.assert(
      fc.property(anyShape, fc.constantFrom('flat', 'cylinder', 'taper', 'bulb'), (shape, kind) => {
        const taken = takenFor(shape, kind);
        expect(checkShape(taken)).toMatchObject({ ok: true });
        if (taken.kind === 'taper') expect(uprightOf(taken)).toBeGreaterThan(0);
      }),
    );
  });
});

it('a tall thin piece taken for a bulb curves so little that its wall does not close', () => {
  for (const height of [3924, 5000]) expect(checkShape(takenFor({ kind: 'flat', width: 16, height }, 'bulb'))).toMatchObject({ ok: true });
});

describe('a piece measured anew', () => {
  const job = (breathing: number): Job => {
    const plate = plateJob(textMark('Tern'));
    return { ...plate, zones: [{ ...plate.zones[0]!, breathing }] };
  };
  it('that cannot be is refused, and changes nothing', () => {
    for (const shape of [
      { kind: 'taper', rim: 300, foot: 20, height: 100 },
      { kind: 'flat', width: 0, height: 100 },
      { kind: 'cylinder', diameter: Number.NaN, height: 100 },
      { kind: 'bulb', diameter: 60, along: 20, height: 400 },
    ] as Shape[]) {
      const found = reshape(job(10), shape);
      expect(found.ok).toBe(false);
      if (!found.ok) expect(found.problem.wayOut.length).toBeGreaterThan(10);
    }
  });
  it('keeps the breathing room that a maker set, whatever it is; the usual one follows the zone down', () => {
    const usual = usualBreathing(200, 120, false);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 50 }), mm, mm, (breathing, width, height) => {
        fc.pre(breathing !== usual && breathing !== usualBreathing(200, 120, true));
        const changed = reshape(job(breathing), { kind: 'flat', width, height });
        expect(changed.ok && applyPatch(job(breathing), changed.value).document.zones[0]!.breathing).toBe(breathing);
      }),
    );
    const smaller = reshape(job(usual), { kind: 'flat', width: 40, height: 24 });
    expect(smaller.ok && applyPatch(job(usual), smaller.value).document.zones[0]!.breathing).toBe(usualBreathing(40, 24, false));
  });
  it('changes fields, and nothing that stands beside them', () => {
    const changed = reshape(job(10), { kind: 'flat', width: 100, height: 60 });
    if (!changed.ok) throw new Error('refused');
    // somebody names the zone and adds another meanwhile
    const meanwhile = applyPatch(job(10), [
      { op: 'set', path: ['zones', 'z', 'name'], value: 'Lid' },
      { op: 'set', path: ['zones', 'y'], value: { ...job(10).zones[0]!, id: 'y' } },
    ]).document;
    expect(applyPatch(meanwhile, changed.value).document.zones).toMatchObject([{ id: 'z', name: 'Lid', width: 100 }, { id: 'y' }]);
  });
});
