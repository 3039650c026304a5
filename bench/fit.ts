import { largestFit } from '../core/src/fit';
import type { Point, Ring } from '../core/src/geometry';
import { atMost, type Figure } from './figure';

const polygon = (n: number, r: number): Point[] =>
  Array.from({ length: n }, (_, i) => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)] as Point);
const square: Ring = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
];

/** Largest fits whose answer is known: the error in percent. */
export function fitFigures(): Figure[] {
  const circle = polygon(2000, 50);
  const cases: [string, number, number][] = [
    ['square-in-circle', largestFit(square, circle, 0).scale, 50 / Math.SQRT2],
    [
      'circle-in-square',
      largestFit(
        polygon(2000, 1),
        [
          [0, 0],
          [100, 0],
          [100, 100],
          [0, 100],
        ],
        10,
      ).scale,
      40,
    ],
    [
      'square-in-triangle',
      largestFit(
        square,
        [
          [0, 0],
          [60, 0],
          [30, 60],
        ],
        0,
      ).scale,
      15,
    ],
    [
      'rectangle-in-circle',
      largestFit(
        [
          [-3, -1],
          [3, -1],
          [3, 1],
          [-3, 1],
        ],
        circle,
        0,
      ).scale,
      50 / Math.sqrt(10),
    ],
  ];
  return cases.map(([name, found, known]) => atMost(`fit/error/${name}`, (100 * Math.abs(found - known)) / known, 0.5, '%'));
}
