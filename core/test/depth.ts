/** Whether laws run with many cases: `npm run test:deep`. */
const deep = process.env['LAWS'] === 'deep';
/** Moves every seed that a law names itself, so that a deep run with another `LAWS_SEED` meets other cases. */
const shift = deep ? Number(process.env['LAWS_SEED'] ?? 0) % 1_000_000 : 0;

/** So many cases in `npm test`, so many in a deep run: ten times as many where nothing else is said. */
export const cases = (usual: number, many = 10 * usual): number => (deep ? many : usual);

/** What fast-check is told of a law: how many cases, and its own seed where it has one. */
export const law = (usual: number, many?: number, seed?: number) => ({
  numRuns: cases(usual, many),
  ...(seed === undefined ? {} : { seed: seed + shift }),
});

/** The seeds of a law that makes its cases by itself: so many, or those named that together meet every kind; many in a deep run, and others. */
export const seeds = (usual: number | readonly number[], many: number, first = 1): readonly number[] => {
  if (!deep && typeof usual !== 'number') return usual;
  return Array.from({ length: deep ? many : Number(usual) }, (_, i) => first + shift + i);
};

/** Some of all that there is to try, evenly spread; all of it in a deep run. */
export const some = <T>(all: readonly T[], usual: number): T[] => {
  const every = deep ? 1 : Math.max(1, Math.ceil(all.length / usual));
  return all.filter((_, i) => i % every === 0);
};
