/** One measured figure. */
export interface Figure {
  name: string;
  value: number;
  unit: string;
  /** What is wanted, as a sentence. */
  goal: string;
  holds: boolean;
}

/** A figure that holds when it is at most the limit. */
export const atMost = (name: string, value: number, limit: number, unit: string): Figure => ({
  name,
  value: Math.round(value * 1000) / 1000,
  unit,
  goal: `at most ${limit} ${unit}`,
  holds: value <= limit,
});

export const median = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** The median time of five warm runs, ms. */
export async function timed(run: (i: number) => unknown): Promise<number> {
  await run(-1);
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    const start = performance.now();
    await run(i);
    times.push(performance.now() - start);
  }
  return median(times);
}

/** Random numbers from a seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
