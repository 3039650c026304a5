import fc from 'fast-check';
import { describe, expect, it } from '@jest/globals';
import { Memo, planWorkshop } from '@kolleta/core/plan';
import { shippedFaces } from '../../../core/test/faces';
import { DEMO_START, demoWorkshop } from '../../../core/test/sampleJobs';
import { Receiver, Sender } from './carried';

/** What anybody has of a plan: large things of a small stock, so that they come again, at fields of any kind. */
const large = Array.from({ length: 6 }, (_, i) => ({ region: [[i, i + 1]] }));
const plans = fc.array(
  fc.dictionary(
    fc.constantFrom('a', 'fitted', 'flat', 'layouts', '#'),
    fc.oneof(
      fc.constantFrom(...large),
      fc.array(fc.constantFrom(...large)),
      fc.constantFrom(undefined, null, 0.5, 'word'),
      fc.constantFrom(...large).map((one) => new Map<string, unknown>([['job', { copies: one, place: [1, 2] }]])),
    ),
    { noNullPrototype: true },
  ),
  { maxLength: 6 },
);

describe('plans that are carried over one after the other', () => {
  it('arrive as they were sent, whatever came before, also where the worker or the page begins again in between', () => {
    fc.assert(
      fc.property(plans, fc.nat(12), (sent, restart) => {
        let [sender, receiver] = [new Sender(), new Receiver()];
        sent.forEach((plan, i) => {
          if (restart === i) sender = new Sender();
          if (restart === i + 6) receiver = new Receiver();
          expect(receiver.receive(structuredClone(sender.send(plan, receiver.known)))).toEqual(plan);
        });
      }),
    );
  });
  it('are refused by a page that lacks the one before', () => {
    const [sender, plan] = [new Sender(), { fitted: large[0] }];
    sender.send(plan, 0);
    expect(() => new Receiver().receive(sender.send(plan, 1))).toThrow('plan 2 goes with plan 1, and plan 0 was the last');
  });
  it('bring of the workshop only what changed, and what did not is the same as before', () => {
    const { jobs, shop, events } = demoWorkshop();
    const [sender, receiver, memo, faces] = [new Sender(), new Receiver(), new Memo(), shippedFaces()];
    const some = jobs.filter(({ id }) => ['regatta-prizes', 'boat-numbers'].includes(id));
    const carry = (nudge: number) => {
      // as they come into the worker: new every time
      const nudged = structuredClone(some);
      for (const mark of nudged.find(({ id }) => id === 'boat-numbers')!.marks) Object.assign(mark, { offset: { x: nudge, y: 0 } });
      const plan = planWorkshop(nudged, shop, events, DEMO_START, faces, memo);
      const carried = structuredClone(sender.send(plan, receiver.known));
      const bytes = JSON.stringify(carried.large).length;
      const received = receiver.receive(carried);
      expect(received).toEqual(plan);
      return { received, bytes };
    };
    const [first, second] = [carry(0), carry(1)];
    expect(second.bytes).toBeLessThan(first.bytes / 5);
    const fittedOf = ({ received }: typeof first) => received.jobs.get('regatta-prizes')!.marks[0]!.fitted;
    expect(fittedOf(second)).toBe(fittedOf(first));
    // and no more is kept than the last plan has
    expect(carry(1).bytes).toBe(2);
  });
});
