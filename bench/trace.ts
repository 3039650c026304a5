import { TRACE_USUAL, tracePicture, type Picture } from '../core/src/artwork';
import { atMost, seeded, timed, type Figure } from './figure';

/** A picture of 2 megapixels: a hundred and twenty soft blobs of four colours on a light ground, with noise. */
function blobs(): Picture {
  const [width, height] = [1632, 1224];
  const random = seeded(7);
  const colours = [[200, 60, 40], [20, 90, 110], [30, 40, 45], [240, 170, 40]] as const; // prettier-ignore
  const all = Array.from({ length: 120 }, () => ({
    x: random() * width,
    y: random() * height,
    r: 20 + random() * 60,
    c: colours[Math.floor(random() * 4)]!,
  }));
  const data = new Uint8ClampedArray(4 * width * height).fill(235);
  for (const { x, y, r, c } of all) {
    for (let py = Math.max(0, Math.floor(y - r - 2)); py < Math.min(height, y + r + 2); py++) {
      for (let px = Math.max(0, Math.floor(x - r - 2)); px < Math.min(width, x + r + 2); px++) {
        const share = Math.max(0, Math.min(1, r - Math.hypot(px - x, py - y) + 0.5));
        const i = 4 * (py * width + px);
        for (let k = 0; k < 3; k++) data[i + k] = data[i + k]! * (1 - share) + c[k]! * share;
      }
    }
  }
  for (let i = 0; i < data.length; i += 4) {
    const noise = (random() - 0.5) * 14;
    for (let k = 0; k < 3; k++) data[i + k]! += noise;
    data[i + 3] = 255;
  }
  return { width, height, data };
}

/** How long a picture of 2 megapixels takes to trace. */
export async function traceFigures(): Promise<Figure[]> {
  const picture = blobs();
  let n = 0;
  const trace = (colours: number) => () => {
    const found = tracePicture(picture, { ...TRACE_USUAL, colours }, 'blobs', () => `t${n++}`);
    if (!found.ok) throw new Error(found.problem.found);
  };
  return [
    atMost('trace/2-mp-one-colour', await timed(trace(1)), 5000, 'ms'),
    atMost('trace/2-mp-four-colours', await timed(trace(4)), 5000, 'ms'),
  ];
}
