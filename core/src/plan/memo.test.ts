import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { changedWorld, randomJob, type World } from '../../test/randomWorkshop';
import { DEMO_START, demoShop } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import { numbersFrom } from '../geometry';
import { keyOf, Memo } from './memo';
import { planWorkshop } from './planWorkshop';
import { seeds } from '../../test/depth';

let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});

describe('a stage', () => {
  it('is computed once while its result is in use, told when it was, and let go two plans later', () => {
    let [times, told] = [0, 0];
    const memo = new Memo(() => (told += 1));
    const count = () => ++times;
    const get = () => memo.stage('count', { k: 1 }, count);
    expect([get(), get(), told]).toEqual([1, 1, 1]);
    memo.next();
    expect(get()).toBe(1);
    memo.next();
    memo.next();
    expect(get()).toBe(2);
  });
  it('of another name, or of another input, is another', () => {
    const memo = new Memo();
    const text = (input: object) => JSON.stringify(input);
    const b = () => 'b';
    expect(memo.stage('a', { x: 1 }, text)).toBe('{"x":1}');
    expect(memo.stage('a', { x: 2 }, text)).toBe('{"x":2}');
    expect(memo.stage('b', { x: 1 }, b)).toBe('b');
  });
});

describe('the key of an input', () => {
  it('is the same for the same data, and for a field that is not there or is undefined', () => {
    expect(keyOf({ a: [1, { b: 'c' }] })).toBe(keyOf({ a: [1, { b: 'c' }] }));
    expect(keyOf({ a: 1, b: undefined })).toBe(keyOf({ a: 1 }));
  });
  it('tells apart what differs, however deep it lies', () => {
    const deep = (n: number) => ({ a: { b: { c: { d: { e: { f: { g: [n] } } } } } } });
    const long = (n: number) => ({ points: Array.from({ length: 500 }, (_, i) => [i, i === 250 ? n : 0]) });
    const inputs = [
      { a: 'ab' },
      { a: ['a', 'b'] },
      { a: 'a', b: 'b' },
      { b: 'a' },
      { a: 1 },
      { a: '1' },
      { a: null },
      { a: NaN },
      {},
      deep(1),
      deep(2),
      long(1),
      long(2),
    ];
    expect(new Set(inputs.map(keyOf)).size).toBe(inputs.length);
  });
  it('tells results of stages by which they are, and finds them again as long as it keeps them', () => {
    const memo = new Memo();
    const ring = (input: { n: number }) => ({ ring: Array.from({ length: 100 }, (_, i) => [i, input.n]) });
    const [one, other] = [memo.stage('ring', { n: 1 }, ring), memo.stage('ring', { n: 2 }, ring)];
    memo.next();
    const again = memo.stage('ring', { n: 1 }, ring);
    expect(again).toBe(one);
    expect(keyOf({ ring: one.ring })).toBe(keyOf({ ring: again.ring }));
    expect(keyOf({ ring: one.ring })).not.toBe(keyOf({ ring: other.ring }));
    // what was let go and made anew is another result: what follows from it is worked out anew as well
    memo.next();
    memo.next();
    const anew = memo.stage('ring', { n: 1 }, ring);
    expect(anew).toEqual(one);
    expect(keyOf({ ring: anew.ring })).not.toBe(keyOf({ ring: one.ring }));
  });
  it('reads of a long list of results only which they are, and whatever else is said of each', () => {
    const memo = new Memo();
    const ring = ({ n }: { n: number }) => [{ outer: Array.from({ length: 100 }, (_, i) => [i, n]), holes: [] }];
    const parts = (count: number, other?: number) =>
      Array.from({ length: count }, (_, i) => ({
        mark: `m${i}`,
        copies: i === other ? 2 : 1,
        region: memo.stage('ring', { n: i % 7 }, ring),
      }));
    const seen: unknown[] = [];
    const spied = parts(100).map((part) => ({ ...part, region: Object.assign(part.region, { toJSON: () => seen.push(part) }) }));
    keyOf({ parts: spied });
    expect(seen).toEqual([]);
    const keys = [parts(100), parts(101), parts(100, 0), parts(100, 99), parts(100).reverse()].map((list) => keyOf({ parts: list }));
    expect(new Set(keys).size).toBe(keys.length);
    expect(keyOf({ parts: parts(100) })).toBe(keys[0]);
  });
  it('tells what can do something by which it is, and refuses a function by itself', () => {
    const face = (id: string) => ({ id, file: () => undefined });
    const mine = face('a');
    expect(keyOf({ face: mine })).toBe(keyOf({ face: mine }));
    expect(keyOf({ face: mine })).not.toBe(keyOf({ face: face('a') }));
    expect(() => keyOf({ f: () => 1 })).not.toThrow();
    expect(() => keyOf([() => 1])).toThrow('got a function');
  });
});

/** A plan in plain data. */
const plain = (plan: ReturnType<typeof planWorkshop>): string =>
  JSON.stringify(plan, (_, value: unknown) => (value instanceof Map ? [...(value as Map<unknown, unknown>)] : value));

describe('the law of memory', () => {
  it.each(seeds(2, 12, 18))('a plan that remembers is the plan that does not: workshop %i and a change of each kind', (seed) => {
    const random = numbersFrom(seed);
    const shop = demoShop();
    let world: World = { jobs: [randomJob(random, shop, 'a'), randomJob(random, shop, 'b')], shop, events: [], now: DEMO_START };
    const memo = new Memo();
    for (let n = 0; n <= 31; n++) {
      const remembered = planWorkshop(world.jobs, world.shop, world.events, world.now, faces, memo);
      const fresh = planWorkshop(world.jobs, world.shop, world.events, world.now, faces);
      expect(remembered.faults).toEqual([]);
      // one comparison of all of it: where it fails, the first difference is looked for
      if (plain(remembered) !== plain(fresh)) expect(JSON.parse(plain(remembered))).toEqual(JSON.parse(plain(fresh)));
      world = changedWorld(world, random, n);
    }
  });
  it.each(seeds(2, 12, 4))('what is planned again, the very same or a copy of it, works nothing out: workshop %i', (seed) => {
    const shop = demoShop();
    const world = { jobs: [randomJob(numbersFrom(seed), shop, 'a'), randomJob(numbersFrom(seed + 1), shop, 'b')], shop };
    let told = 0;
    const memo = new Memo(() => (told += 1));
    const stagesOf = ({ jobs, shop: its }: typeof world) => {
      const before = told;
      planWorkshop(jobs, its, [], DEMO_START, faces, memo);
      return told - before;
    };
    expect(stagesOf(world)).toBeGreaterThan(0);
    expect([world, structuredClone(world), structuredClone(world), world].map(stagesOf)).toEqual([0, 0, 0, 0]);
  });
});
