import { checkNesting, freeEnd, nestedLength, NestingSearch, skyline, startByOutlines, type NestPart } from '../core/src/cut';
import { applyToRegion, boxRegion, intersection, numbersFrom, regionArea, rotation, type Region } from '../core/src/geometry';
import { demoShop } from '../core/test/sampleJobs';
import { type Figure } from './figure';

const [WIDTH, HEIGHT] = [240, 240];
const OPTIONS = { gap: 0, holdDown: 0 };

/** A rectangle cut into so many parts by straight lines, each turned by quarters: how they fill it again is known. */
function jigsaw(count: number, seed: number): NestPart[] {
  const random = numbersFrom(seed * 131);
  let parts: Region[] = [boxRegion({ minX: 0, minY: 0, maxX: WIDTH, maxY: HEIGHT })];
  while (parts.length < count) {
    parts = parts.toSorted((a, b) => regionArea(b) - regionArea(a));
    const [largest, ...others] = parts as [Region, ...Region[]];
    const points = largest[0]!.outer;
    const [cx, cy] = [0, 1].map((k) => points.reduce((sum, p) => sum + p[k]!, 0) / points.length) as [number, number];
    const angle = random() * Math.PI;
    const far = 2000;
    const [dx, dy] = [Math.cos(angle) * far, Math.sin(angle) * far];
    const [nx, ny] = [-Math.sin(angle) * far, Math.cos(angle) * far];
    const half = (sign: number): Region => {
      const ring = [
        [cx - dx, cy - dy],
        [cx + dx, cy + dy],
        [cx + dx + sign * nx, cy + dy + sign * ny],
        [cx - dx + sign * nx, cy - dy + sign * ny],
      ] as const;
      return [{ outer: sign > 0 ? ring : ring.toReversed(), holes: [] }];
    };
    parts = [...others, intersection(largest, half(1)), intersection(largest, half(-1))];
  }
  return parts.map((region) => ({ region: applyToRegion(rotation((Math.floor(random() * 4) * Math.PI) / 2), region), copies: 1 }));
}

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
      const parts = jigsaw(count, seed);
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
