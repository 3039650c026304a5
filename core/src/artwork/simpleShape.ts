import type { Path, Point, Segment } from '../geometry';
import { arcAbout } from './import/arc';

/** Simple shapes to begin with, about 100 units large around the origin. */
export const SIMPLE_SHAPES = {
  disc: 'disc',
  ring: 'ring',
  box: 'box',
  rounded: 'box with rounded corners',
  triangle: 'triangle',
  hexagon: 'hexagon',
  star: 'star',
  heart: 'heart',
  pennant: 'pennant',
  arrow: 'arrow',
  bar: 'line',
  wave: 'wave',
} as const;
export type SimpleShapeId = keyof typeof SIMPLE_SHAPES;

const circle = (r: number): Segment[] => [['M', [r, 0]], ...arcAbout([0, 0], [r, r], 0, 0, 2 * Math.PI), ['Z']];
const polygon = (points: readonly Point[]): Segment[] => [['M', points[0]!], ...points.slice(1).map((p): Segment => ['L', p]), ['Z']];
const regular = (n: number, r: number, from = Math.PI / 2): Point[] =>
  Array.from({ length: n }, (_, i): Point => [r * Math.cos(from + (2 * Math.PI * i) / n), r * Math.sin(from + (2 * Math.PI * i) / n)]);

function roundedPath(w: number, h: number, r: number): Segment[] {
  const corner = (x: number, y: number, from: number) => arcAbout([x, y], [r, r], 0, from, Math.PI / 2);
  return [
    ['M', [w / 2, h / 2 - r]],
    ...corner(w / 2 - r, h / 2 - r, 0),
    ['L', [-w / 2 + r, h / 2]],
    ...corner(-w / 2 + r, h / 2 - r, Math.PI / 2),
    ['L', [-w / 2, -h / 2 + r]],
    ...corner(-w / 2 + r, -h / 2 + r, Math.PI),
    ['L', [w / 2 - r, -h / 2]],
    ...corner(w / 2 - r, -h / 2 + r, (3 * Math.PI) / 2),
    ['Z'],
  ];
}

function wave(): Segment[] {
  const half = 6;
  const top = (x: number): Segment => ['C', [x + 8, 10 + half], [x + 17, 10 + half], [x + 25, half]];
  const down = (x: number): Segment => ['C', [x + 8, -10 + half], [x + 17, -10 + half], [x + 25, half]];
  const back = (x: number, y: number): Segment => ['C', [x - 8, y - half], [x - 17, y - half], [x - 25, -half]];
  return [
    ['M', [-50, half]],
    top(-50),
    down(-25),
    top(0),
    down(25),
    ['L', [50, -half]],
    back(50, -10),
    back(25, 10),
    back(0, -10),
    back(-25, 10),
    ['Z'],
  ];
}

/**
 * A ring, about 100 units large.
 *
 * @param inner its inner diameter as a share of the outer one
 */
export const ringShape = (inner: number): Path => [...circle(50), ...circle(50 * Math.min(0.98, Math.max(0.02, inner)))];

/** The outline of a simple shape; holes run the other way and are taken even-odd. */
export function simpleShape(id: SimpleShapeId): Path {
  switch (id) {
    case 'disc':
      return circle(50);
    case 'ring':
      return ringShape(0.76);
    case 'box':
      return polygon([
        [-50, -30],
        [50, -30],
        [50, 30],
        [-50, 30],
      ]);
    case 'rounded':
      return roundedPath(100, 60, 10);
    case 'triangle':
      return polygon(regular(3, 55));
    case 'hexagon':
      return polygon(regular(6, 50));
    case 'star':
      return polygon(regular(5, 50).flatMap((p, i) => [p, regular(5, 20, Math.PI / 2 + Math.PI / 5)[i]!]));
    case 'heart':
      return [
        ['M', [0, -45]],
        ['C', [30, -20], [50, 0], [50, 20]],
        ['C', [50, 42], [15, 52], [0, 22]],
        ['C', [-15, 52], [-50, 42], [-50, 20]],
        ['C', [-50, 0], [-30, -20], [0, -45]],
        ['Z'],
      ];
    case 'pennant':
      return polygon([
        [-50, 28],
        [50, 8],
        [34, 0],
        [50, -8],
        [-50, -28],
      ]);
    case 'arrow':
      return polygon([
        [-50, 9],
        [12, 9],
        [12, 28],
        [50, 0],
        [12, -28],
        [12, -9],
        [-50, -9],
      ]);
    case 'bar':
      return polygon([
        [-50, -2],
        [50, -2],
        [50, 2],
        [-50, 2],
      ]);
    case 'wave':
      return wave();
  }
}
