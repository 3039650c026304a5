import type { Page } from '@playwright/test';

/** Begins to note the gaps between a page's frames; what it gives back tells them so far, ms. */
export async function noteFrames(page: Page): Promise<() => Promise<number[]>> {
  await page.evaluate(() => {
    const seen: number[] = [];
    Object.assign(globalThis, { seen });
    let last = performance.now();
    const tick = (now: number) => {
      seen.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  return () => page.evaluate(() => (globalThis as unknown as { seen: number[] }).seen.slice(2));
}
