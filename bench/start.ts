import { gzipSync } from 'node:zlib';
import { atMost, median, type Figure } from './figure';
import { inBrowser } from './inBrowser';

/** From the first request to a Bench whose Done can be pressed, cold cache, and the script that it takes. */
export const startFigures = (): Promise<Figure[]> =>
  inBrowser(async (browser, address) => {
    const times: number[] = [];
    let script = 0;
    for (let i = 0; i < 6; i++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      const page = await context.newPage();
      const bodies: Promise<number>[] = [];
      page.on('response', (response) => {
        const url = response.url();
        if (url.endsWith('.js') && !url.includes('worker')) {
          bodies.push(
            response.body().then(
              (b) => gzipSync(b).length,
              () => 0,
            ),
          );
        }
      });
      const start = performance.now();
      await page.goto(address, { waitUntil: 'commit' });
      await page.waitForFunction(() =>
        [...document.querySelectorAll('button')].some((b) => b.textContent?.trim() === 'Done' && !b.disabled),
      );
      if (i > 0) times.push(performance.now() - start);
      script = (await Promise.all(bodies)).reduce((sum, size) => sum + size, 0);
      await context.close();
    }
    return [atMost('start/usable-bench', median(times) / 1000, 1.5, 's'), atMost('start/script-gzip', script / 1000, 250, 'kB')];
  });
