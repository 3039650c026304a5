import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { standing, type WorkEvent } from './event';
import { applyPatch, type Patch } from './patch';

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

describe('events', () => {
  it('undone by their reversal no longer stand', () => {
    const done: WorkEvent = { id: 'a', at: 2, kind: 'done', job: 'j', step: 's', title: 't', planned: 1, actual: 1 };
    expect(standing([done])).toHaveLength(1);
    expect(standing([done, { id: 'b', at: 3, kind: 'reversed', event: 'a' }])).toEqual([]);
  });
});
