import { noteFrames } from './frameGaps';
import { atMost, type Figure } from './figure';
import { inBrowser } from './inBrowser';

/** Gaps between frames while a mark is dragged about for three seconds, in the built application with the demo. */
export async function dragFigures(): Promise<Figure[]> {
  const gaps = await inBrowser(async (browser, address) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
    await page.goto(`${address}#/job/regatta-prizes/fit`);
    const mark = page.getByRole('button', { name: /^prize mark, / });
    await mark.waitFor();
    await page.waitForTimeout(4000);
    const box = (await mark.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    const gapsSoFar = await noteFrames(page);
    const start = Date.now();
    for (let i = 0; Date.now() - start < 3000; i++) {
      await page.mouse.move(x + 60 * Math.sin(i / 9), y + 30 * Math.cos(i / 7));
      await page.waitForTimeout(8);
    }
    const seen = await gapsSoFar();
    await page.mouse.up();
    return seen;
  });
  const sorted = gaps.toSorted((a, b) => a - b);
  return [
    atMost('drag/95-of-100-frame-gaps', sorted[Math.floor(sorted.length * 0.95)] ?? Infinity, 20, 'ms'),
    atMost('drag/longest-frame-gap', sorted.at(-1) ?? Infinity, 50, 'ms'),
  ];
}
