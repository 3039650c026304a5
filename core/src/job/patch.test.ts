import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { standing, type WorkEvent } from './event';
import { applyPatch, GoneFromDocument, removeAt, setAt, valueAt, type Patch } from './patch';
import { stillHolds, withSight } from './reading';
import type { Job } from './job';

const document = {
  name: 'a',
  list: [
    { id: 'x', n: 1 },
    { id: 'y', n: 2 },
    { id: 'z', n: 3 },
  ],
  deep: { here: { value: 1 } as Record<string, unknown> },
};
const op = fc.oneof(
  fc.record({
    op: fc.constant('set' as const),
    path: fc.constantFrom(['name'], ['list', 'x', 'n'], ['deep', 'here', 'value'], ['deep', 'here', 'new']),
    value: fc.anything(),
  }),
  fc.record({
    op: fc.constant('set' as const),
    path: fc.constant(['list', 'w']),
    value: fc.record({ id: fc.constantFrom('w'), n: fc.integer() }),
  }),
  fc.record({ op: fc.constant('remove' as const), path: fc.constantFrom(['list', 'y'], ['deep', 'here', 'value']) }),
);

describe('patches', () => {
  it('taken back leave the document as it was, and never touch the original', () => {
    const before = JSON.parse(JSON.stringify(document));
    fc.assert(
      fc.property(fc.array(op, { maxLength: 4 }), (ops) => {
        let result;
        try {
          result = applyPatch(document, ops as Patch);
        } catch (error) {
          // a path may have been removed on the way: that is said, with the path
          expect(String(error)).toMatch(/patch: no /);
          expect(document).toEqual(before);
          return;
        }
        expect(applyPatch(result.document, result.inverse).document).toEqual(document);
        expect(document).toEqual(before);
      }),
    );
  });
  it('refuse to put a thing under another id', () => {
    expect(() => applyPatch(document, [{ op: 'set', path: ['list', 'x'], value: { id: 'w' } }])).toThrow(/patch: .*"x".*"w"/);
  });
  it('name things in a list by id', () => {
    expect(applyPatch(document, [{ op: 'set', path: ['list', 'y', 'n'], value: 9 }]).document.list[1]).toEqual({
      id: 'y',
      n: 9,
    });
  });
});

describe('changes of single fields', () => {
  const field = fc.constantFrom(['name'], ['list', 'x', 'n'], ['list', 'y', 'n'], ['deep', 'here', 'value'], ['deep', 'here', 'new']);
  it('of two fields both stand, in whichever order they come', () => {
    fc.assert(
      fc.property(field, field, fc.integer(), fc.string(), (one, other, a, b) => {
        fc.pre(one.join() !== other.join());
        const both = applyPatch(document, [...setAt(one, a), ...setAt(other, b)]).document;
        expect([valueAt(both, one), valueAt(both, other)]).toEqual([a, b]);
        expect(applyPatch(document, [...setAt(other, b), ...setAt(one, a)]).document).toEqual(both);
      }),
    );
  });
  it('of something that was taken away say so', () => {
    const without = applyPatch(document, removeAt(['list', 'y'])).document;
    expect(() => applyPatch(without, setAt(['list', 'y', 'n'], 3))).toThrow(GoneFromDocument);
  });
  it('the first thing of a list begins it, another one may be put before all others, and both are taken back', () => {
    const thing = { id: 'a', n: 0 };
    const begun = applyPatch(document, setAt(['deep', 'things', 'a'], thing));
    expect(valueAt(begun.document, ['deep', 'things'])).toEqual([thing]);
    expect(applyPatch(begun.document, begun.inverse).document).toEqual(document);
    const first = applyPatch(document, [{ op: 'set', path: ['list', 'a'], value: thing, first: true }]);
    expect(first.document.list.map(({ id }) => id)).toEqual(['a', 'x', 'y', 'z']);
    expect(applyPatch(first.document, first.inverse).document).toEqual(document);
  });
  it('what every object inherits is not in a document', () => {
    for (const name of ['toString', 'constructor', '__proto__']) {
      expect(valueAt(document, ['deep', name])).toBeUndefined();
      expect(() => applyPatch(document, setAt(['deep', name, 'polluted'], 1))).toThrow(GoneFromDocument);
    }
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });
});

describe('a remedy', () => {
  const job = { name: 'a', marks: [{ id: 'm', size: { mode: 'largest' }, edits: [] }] } as unknown as Job;
  const remedy = withSight({ label: 'x', patch: setAt(['marks', 'm', 'size'], { mode: 'width', width: 9 }) }, job);
  it('holds while the fields that it changes are as it saw them, whatever else has changed', () => {
    expect(stillHolds(remedy, applyPatch(job, setAt(['name'], 'b')).document)).toBe(true);
    expect(stillHolds(remedy, structuredClone(job))).toBe(true);
    expect(stillHolds(remedy, applyPatch(job, setAt(['marks', 'm', 'size'], { mode: 'width', width: 5 })).document)).toBe(false);
    expect(stillHolds(remedy, applyPatch(job, removeAt(['marks', 'm'])).document)).toBe(false);
  });
});

describe('events', () => {
  it('undone by their reversal no longer stand', () => {
    const done: WorkEvent = { id: 'a', at: 2, kind: 'done', job: 'j', step: 's', title: 't', planned: 1, actual: 1 };
    expect(standing([done])).toHaveLength(1);
    expect(standing([done, { id: 'b', at: 3, kind: 'reversed', event: 'a' }])).toEqual([]);
  });
});
