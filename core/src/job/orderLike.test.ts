import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { linesOf, orderLike, type Asked } from './orderLike';

const { jobs } = demoWorkshop();
const prizes = jobs.find(({ id }) => id === 'regatta-prizes')!;
let made = 0;
const like = (job: (typeof jobs)[number], asked: Partial<Asked>, names: readonly string[] = []) =>
  orderLike(
    { job, name: job.name },
    { like: job.id, count: 12, lines: undefined, wanted: undefined, ...asked },
    names,
    () => `new${(made += 1)}`,
    1000,
  );
const textOf = (job: ReturnType<typeof like>) =>
  job.marks.flatMap(({ artwork }) => (artwork.kind === 'text' ? [artwork.lines.map(({ text }) => text)] : []));

describe('an order like a job', () => {
  it('is a job of its own, for as many pieces as are asked for, wanted when it is wanted', () => {
    const order = like(prizes, { count: 5, wanted: 99_000 }, [prizes.name]);
    expect(order).toMatchObject({ count: 5, deadline: 99_000, createdAt: 1000, closed: false, overrides: [] });
    expect(order.id).not.toBe(prizes.id);
    expect(order.name).not.toBe(prizes.name);
    expect(textOf(order)).toEqual(textOf(prizes));
    expect(like(prizes, {}).deadline).toBeUndefined();
  });
  it('has as many lines as are asked for in its first mark of words, each with an id of its own', () => {
    const lines = linesOf(prizes);
    for (const count of [1, lines, 2 * lines + 1]) {
      const order = like(prizes, { lines: count });
      expect(linesOf(order)).toBe(count);
      const [first] = order.marks.flatMap(({ artwork }) => (artwork.kind === 'text' ? [artwork.lines] : []));
      expect(new Set(first!.map(({ id }) => id)).size).toBe(count);
      // those that are not known yet are as long as those that are
      first!.forEach(({ text }, i) => expect(text).toBe(textOf(prizes)[0]![i % lines]));
      expect(textOf(order).slice(1)).toEqual(textOf(prizes).slice(1));
    }
    expect(linesOf({ marks: [] })).toBe(0);
  });
  it('has a row of its list for each piece', () => {
    const listed = jobs.find(({ list }) => (list?.rows.length ?? 0) > 0)!;
    const order = like(listed, { count: 30 });
    expect(order.list!.rows).toHaveLength(30);
    expect(new Set(order.list!.rows.map(({ id }) => id)).size).toBe(30);
  });
});
