import { checkNesting, freeEnd, nestedLength, NestingSearch, skyline, startByOutlines } from '../core/src/cut';
import { cutUp } from '../core/test/cutUp';
import { demoShop } from '../core/test/sampleJobs';
import { type Figure } from './figure';

const [WIDTH, HEIGHT] = [240, 240];
const OPTIONS = { gap: 0, holdDown: 0 };

const median = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** How full the strip is in the end, of a rectangle whose parts fill it wholly; a median of five seeds. */
export function jigsawFigures(): Figure[] {
  const film = demoShop().films[0]!;
  const sheet = freeEnd(film, WIDTH);
  return [
    { count: 10, seconds: 15, goal: 99.5 },
    { count: 25, seconds: 15, goal: 86 },
    { count: 50, seconds: 60, goal: 77 },
  ].map(({ count, seconds, goal }): Figure => {
    const shares = [1, 2, 3, 4, 5].map((seed) => {
      const parts = cutUp(WIDTH, HEIGHT, count, seed * 131);
      const laid = skyline(parts, [sheet], OPTIONS, { rounds: 1, seed });
      const start = startByOutlines(parts, sheet, OPTIONS, { rounds: 24, seed }, laid);
      // as two workers look at once: each has the whole time of a core
      const lengths = [laid, start].map((from, i) => {
        const search = new NestingSearch(parts, sheet, OPTIONS, from, seed + i * 100, i === 0 ? 'asItIs' : 'corners');
        const until = performance.now() + seconds * 1000;
        while (performance.now() < until) search.round();
        const found = { nested: search.nested(), tooLarge: [] };
        const faults = checkNesting(found, parts, [sheet], OPTIONS);
        if (faults.length > 0) throw new Error(faults.join('; '));
        return nestedLength(found, parts);
      });
      return (100 * HEIGHT) / Math.min(...lengths);
    });
    const value = Math.round(median(shares) * 10) / 10;
    return { name: `jigsaw/${count}-parts-${seconds}s`, value, unit: '%', goal: `at least ${goal} %`, holds: value >= goal };
  });
}
