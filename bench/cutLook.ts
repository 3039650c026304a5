import type { Page } from '@playwright/test';
import { atMost, type Figure } from './figure';
import { noteFrames } from './frameGaps';
import { inBrowser } from './inBrowser';

const SECONDS = 5;

/** The gap between frames that 95 of 100 do not exceed while something runs on the Cut station of a demo job, ms. */
const gapsAt = (job: string, begin: (page: Page) => Promise<void>): Promise<number> =>
  inBrowser(async (browser, address) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
    await page.goto(`${address}#/job/${job}/cut`);
    await page.getByText('film taken').waitFor();
    await page.waitForTimeout(4000);
    await begin(page);
    const gapsSoFar = await noteFrames(page);
    await page.waitForTimeout(SECONDS * 1000);
    const sorted = (await gapsSoFar()).toSorted((a, b) => a - b);
    return sorted[Math.floor(sorted.length * 0.95)] ?? Infinity;
  });

/** The interface while the rehearsal of some 500 contours is watched, and while a tighter layout is looked for by both workers. */
export async function cutLookFigures(): Promise<Figure[]> {
  const rehearsing = await gapsAt('regatta-prizes', async (page) => {
    await page.getByRole('button', { name: /^Rehearse it/ }).click();
    await page.getByRole('region', { name: 'The cutter' }).waitFor();
  });
  const nesting = await gapsAt('bailer-buckets', async (page) => {
    await page.getByRole('button', { name: 'Lay it out tighter' }).click();
    await page.getByRole('button', { name: 'Stop and keep the best' }).waitFor();
  });
  return [
    atMost('look/rehearsing-95-of-100-frame-gaps', rehearsing, 20, 'ms'),
    atMost('look/nesting-95-of-100-frame-gaps', nesting, 34, 'ms'),
  ];
}
