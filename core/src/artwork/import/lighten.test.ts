import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { difference, flatten, numbersFrom, regionArea, regionOf, union, type Path, type Segment } from '../../geometry';
import type { DrawnPart } from '../../job';
import { importDxf } from './importDxf';
import { importSvg } from './importSvg';
import { lighten, segmentsIn } from './lighten';
import { law } from '../../../test/depth';

const part = (path: Path): DrawnPart => ({ id: 'p', colour: '#000000', path, fill: 'nonzero' });
/** A wavy ring of many straight edges. */
const ring = (points: number, waves: number, noise = 0): Path => {
  const random = numbersFrom(points + waves);
  const segments = Array.from({ length: points }, (_, i): Segment => {
    const a = (i / points) * 2 * Math.PI;
    const r = 100 + 10 * Math.sin(a * waves) + noise * random();
    return [i === 0 ? 'M' : 'L', [r * Math.cos(a), r * Math.sin(a)]];
  });
  return [...segments, ['Z']];
};
let n = 0;
const ids = () => `i${++n}`;

describe('drawings of very many edges', () => {
  it('lose only what no knife could follow', () => {
    fc.assert(
      fc.property(fc.integer({ min: 6000, max: 20_000 }), fc.integer({ min: 0, max: 30 }), (points, waves) => {
        const before = part(ring(points, waves));
        const light = lighten([before], 'x');
        if (!light.ok) throw new Error('refused');
        const [a, b] = [before, light.value[0]!].map(({ path }) => regionOf(flatten(path)));
        const changed = regionArea(difference(union(a!, b!), a!)) + regionArea(difference(a!, b!));
        // a ring of about 700 mm of edge, moved by at most a hundredth of a mm or so
        expect(changed).toBeLessThan(700 * 0.015);
        expect(segmentsIn(light.value)).toBeLessThan(points / 2);
      }),
      law(5, 36),
    );
  });
  it('are left as they are where they are few, or where their edges are curves', () => {
    const few = [part(ring(400, 5))];
    expect(lighten(few, 'x')).toEqual({ ok: true, value: few });
    const curves = Array.from({ length: 6000 }, (_, i): Segment => (i === 0 ? ['M', [0, 0]] : ['Q', [i, i % 7], [i + 1, 0]]));
    const light = lighten([part(curves)], 'x');
    expect(light.ok && light.value[0]!.path).toEqual(curves);
  });
  it('are refused with the way out where too many are left, as SVG and as DXF', () => {
    const noisy = ring(30_000, 3, 2);
    const d = noisy.map(([kind, ...points]) => kind + points.flat().join(' ')).join('');
    const svg = importSvg(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="-120 -120 240 240"><path d="${d}"/></svg>`, 'noise.svg', ids);
    const vertices = noisy.flatMap((segment) => (segment[0] === 'Z' ? [] : ['10', String(segment[1]![0]), '20', String(segment[1]![1])]));
    const head = ['0', 'SECTION', '2', 'ENTITIES', '0', 'LWPOLYLINE', '8', '0', '90', '30000', '70', '1'];
    const dxf = importDxf([...head, ...vertices, '0', 'ENDSEC', '0', 'EOF'].join('\n'), 'noise.dxf', ids);
    for (const result of [svg, dxf]) {
      expect(result.ok).toBe(false);
      if (!result.ok)
        expect(`${result.problem.found} ${result.problem.wayOut}`).toMatch(/noise.* edges, more than can be worked with\. Simplify/);
    }
  });
});
