import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { law } from '../../../test/depth';
import { difference, flatten, regionArea, regionOf, type Point, type Region } from '../../geometry';
import { importDxf } from './importDxf';

const RADIUS = 10;
const pairs = (...values: (string | number)[]) => values.join('\n');
const section = (name: string, ...entities: string[]) => [pairs(0, 'SECTION', 2, name), ...entities, pairs(0, 'ENDSEC')];
const file = (entities: string[], block: string[] = []) =>
  [...(block.length > 0 ? section('BLOCKS', pairs(0, 'BLOCK', 2, 'b', 10, 0, 20, 0), ...block, pairs(0, 'ENDBLK')) : [])]
    .concat(section('ENTITIES', ...entities), pairs(0, 'EOF'), '')
    .join('\n');
const line = ([ax, ay]: Point, [bx, by]: Point) => pairs(0, 'LINE', 8, '0', 10, ax, 20, ay, 11, bx, 21, by);

function regionIn(text: string): Region {
  let n = 0;
  const found = importDxf(text, 'arc.dxf', () => `p${n++}`);
  if (!found.ok) throw new Error(found.problem.found);
  return found.value.parts.flatMap(({ path, fill }) => regionOf(flatten(path, [1, 0, 0, 1, 0, 0], 0.001), fill));
}
const apart = (a: Region, b: Region) => regionArea(difference(a, b)) + regionArea(difference(b, a));

/** A file with an arc that is closed by its chord, of so many degrees from one to the other counter-clockwise, in some way of writing it. */
type Writing = (from: number, to: number, ends: readonly [Point, Point], ratio: number) => string[];
const hatch = (...edge: (string | number)[]) =>
  pairs(
    ...[0, 'HATCH', 8, '0', 10, 0, 20, 0, 30, 0, 2, 'SOLID', 70, 1, 71, 0, 91, 1, 92, 1, 93, 2],
    ...edge,
    ...[97, 0, 75, 0, 76, 1, 98, 0],
  );
const chord = ([start, end]: readonly [Point, Point]) => [72, 1, 10, end[0], 20, end[1], 11, start[0], 21, start[1]];
const back = ([start, end]: readonly [Point, Point]) => [72, 1, 10, start[0], 20, start[1], 11, end[0], 21, end[1]];
const WRITINGS: Readonly<Record<string, Writing>> = {
  arc: (from, to, ends) => [pairs(0, 'ARC', 8, '0', 10, 0, 20, 0, 40, RADIUS, 50, from, 51, to), line(...ends)],
  'arc seen from behind': (from, to, ends) => [
    pairs(0, 'ARC', 8, '0', 10, 0, 20, 0, 40, RADIUS, 50, 180 - to, 51, 180 - from, 210, 0, 220, 0, 230, -1),
    line(...ends),
  ],
  ellipse: (from, to, ends, ratio) => {
    const [a, b] = [from, to].map((angle) => (angle * Math.PI) / 180);
    return [pairs(0, 'ELLIPSE', 8, '0', 10, 0, 20, 0, 11, RADIUS, 21, 0, 40, ratio, 41, a!, 42, b!), line(...ends)];
  },
  hatch: (from, to, ends) => [hatch(72, 2, 10, 0, 20, 0, 40, RADIUS, 50, from, 51, to, 73, 1, ...chord(ends))],
  'hatch that runs clockwise': (from, to, ends) => [hatch(72, 2, 10, 0, 20, 0, 40, RADIUS, 50, -to, 51, -from, 73, 0, ...back(ends))],
};

describe('arcs of a DXF', () => {
  it('an arc by its angles is the arc by its points: over 0 degrees, in both directions, in blocks that are mirrored and turned', () => {
    const angle = fc.integer({ min: 0, max: 35 }).map((tens) => tens * 10);
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(WRITINGS)),
        ...[angle, fc.integer({ min: 2, max: 34 }).map((tens) => tens * 10)],
        fc.constantFrom(0, 360, -360),
        fc.option(fc.record({ x: fc.constantFrom(1, -1), y: fc.constantFrom(1, -1), turn: fc.constantFrom(0, 30, 270) }), {
          nil: undefined,
        }),
        (writing, from, sweep, turns, block) => {
          const ratio = writing === 'ellipse' ? 0.5 : 1;
          const at = (degrees: number): Point => [
            RADIUS * Math.cos((degrees * Math.PI) / 180),
            ratio * RADIUS * Math.sin((degrees * Math.PI) / 180),
          ];
          const points = Array.from({ length: sweep / 5 + 1 }, (_, i) => at(from + 5 * i));
          const ends = [points[0]!, points.at(-1)!] as const;
          // as programs write it: what goes over 360 begins anew at 0, or not
          const to = turns === 0 ? (from + sweep) % 360 : from + sweep + turns;
          const placed = (entities: string[]) =>
            block
              ? file([pairs(0, 'INSERT', 8, '0', 2, 'b', 10, 3, 20, 5, 41, block.x, 42, block.y, 50, block.turn)], entities)
              : file(entities);
          const byAngles = regionIn(placed(WRITINGS[writing]!(from, to, ends, ratio)));
          const byPoints = regionIn(placed(points.map((p, i) => line(p, points[(i + 1) % points.length]!))));
          expect(apart(byAngles, byPoints)).toBeLessThan(0.006 * RADIUS ** 2);
        },
      ),
      law(60),
    );
  });
  it('a plate with round corners has the area that a formula gives', () => {
    const [w, h, r] = [40, 20, 5];
    const corner = (x: number, y: number, from: number) => pairs(0, 'ARC', 8, '0', 10, x, 20, y, 40, r, 50, from, 51, (from + 90) % 360);
    const plate = [
      ...[corner(w - r, h - r, 0), corner(r, h - r, 90), corner(r, r, 180), corner(w - r, r, 270)],
      ...[line([r, 0], [w - r, 0]), line([r, h], [w - r, h]), line([0, r], [0, h - r]), line([w, r], [w, h - r])],
    ];
    expect(regionArea(regionIn(file(plate)))).toBeCloseTo(w * h - (4 - Math.PI) * r * r, 1);
  });
  it('a measure with a decimal comma is read whole, and one that is no number is refused with its line', () => {
    const circle = (radius: string) => file([pairs(0, 'CIRCLE', 8, '0', 10, '1,5', 20, 0, 40, radius)]);
    expect(regionArea(regionIn(circle('40,5'))) / (Math.PI * 40.5 ** 2)).toBeCloseTo(1, 3);
    const found = importDxf(circle('1,240.5'), 'arc.dxf', () => 'p');
    expect(found.ok ? '' : found.problem.found).toContain('near line 14');
  });
});
