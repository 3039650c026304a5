import { noteFrames } from './frameGaps';
import { inBrowser } from './inBrowser';
import { TRACE_USUAL, tracePicture, type Picture } from '../core/src/artwork';
import { atMost, seeded, timed, type Figure } from './figure';

/** A picture of 2 megapixels: a hundred and twenty soft blobs of four colours on a light ground, with noise. */
function blobs(): Picture {
  const [width, height] = [1632, 1224];
  const random = seeded(7);
  const colours = [
    [200, 60, 40],
    [20, 90, 110],
    [30, 40, 45],
    [240, 170, 40],
  ] as const;
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
  const gaps = (await gapsWhileTracing(picture)).toSorted((a, b) => a - b);
  return [
    // the longest is the one in which the finished trace is drawn
    atMost('trace/95-of-100-frame-gaps', gaps[Math.floor(gaps.length * 0.95)] ?? Infinity, 100, 'ms'),
    atMost('trace/longest-frame-gap', gaps.at(-1) ?? Infinity, 400, 'ms'),
    atMost('trace/2-mp-one-colour', await timed(trace(1)), 5000, 'ms'),
    atMost('trace/2-mp-four-colours', await timed(trace(4)), 5000, 'ms'),
  ];
}

/** Frame gaps of the page while a picture of 2 megapixels is traced into four colours, ms. */
async function gapsWhileTracing(picture: Picture): Promise<number[]> {
  return inBrowser(async (browser, address) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
    await page.goto(`${address}#/job/regatta-prizes/draw`);
    await page.getByRole('button', { name: 'Open a drawing or picture' }).waitFor();
    await page.waitForTimeout(4000);
    const png = await page.evaluate(
      async ({ width, height, data }) => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [width, height];
        const bytes = Uint8ClampedArray.from(atob(data), (c) => c.charCodeAt(0));
        canvas.getContext('2d')!.putImageData(new ImageData(bytes, width, height), 0, 0);
        return canvas.toDataURL('image/png').split(',')[1]!;
      },
      { width: picture.width, height: picture.height, data: Buffer.from(picture.data).toString('base64') },
    );
    await page
      .getByLabel('Drawing or picture', { exact: true })
      .setInputFiles({ name: 'blobs.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
    await page.getByText(/^What would be cut/).waitFor();
    await page.waitForTimeout(500);
    const gapsSoFar = await noteFrames(page);
    const colours = page.getByLabel('Colours to trace');
    await colours.fill('4');
    await colours.press('Enter');
    await page.getByText('What would be cut, 4 colours').waitFor({ timeout: 60_000 });
    return gapsSoFar();
  });
}
