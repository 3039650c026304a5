import { expect, it } from '@jest/globals';
import { colourAt } from './colourAt';

const picture = (width: number, height: number, at: (x: number, y: number) => readonly [number, number, number]) => {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set([...at(x, y), 255], (y * width + x) * 4);
  return { data, width, height };
};

it('the colour of an even film is that colour, at its corners too', () => {
  const even = picture(20, 10, () => [31, 78, 121]);
  for (const [x, y] of [
    [10, 5],
    [0, 0],
    [19.9, 9.9],
  ] as const)
    expect(colourAt(even, x, y)).toBe('#1f4e79');
});

it('grain does not count: the mean of what is around is taken, and nothing beyond it', () => {
  const grain = picture(40, 40, (x, y) => ((x + y) % 2 === 0 ? [100, 0, 0] : [140, 0, 0]));
  expect(Number.parseInt(colourAt(grain, 20, 20).slice(1, 3), 16)).toBeCloseTo(120, -0.5);
  const halves = picture(40, 40, (x) => (x < 20 ? [255, 255, 255] : [0, 0, 0]));
  expect([colourAt(halves, 10, 20), colourAt(halves, 30, 20)]).toEqual(['#ffffff', '#000000']);
});
