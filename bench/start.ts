import { gzipSync } from 'node:zlib';
import type { Browser, Page } from '@playwright/test';
import { writeWorkshopFile } from '../core/src/jobFile';
import type { WorkEvent } from '../core/src/job';
import { DEMO_START, demoWorkshop } from '../core/test/sampleJobs';
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
    const large = await largeWorkshop(browser, address);
    const word = await firstWord(browser, address);
    return [
      atMost('start/usable-bench', median(times) / 1000, 1.5, 's'),
      atMost('start/script-gzip', script / 1000, 250, 'kB'),
      atMost('start/bench-200-jobs-5000-entries', large / 1000, 1.5, 's'),
      atMost('start/quick-first-word', word / 1000, 1, 's'),
    ];
  });

/** From a word typed on a page that was just opened to its cut file, ms, the demo's jobs being planned meanwhile. */
async function firstWord(browser: Browser, address: string): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 6; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(`${address}#/quick`);
    const field = page.getByLabel('Word', { exact: true });
    await field.waitFor();
    const start = performance.now();
    await field.fill('Galley');
    await page.waitForFunction(
      () => [...document.querySelectorAll('button')].some((b) => b.textContent === 'Save the cut file' && !b.disabled),
      null,
      { polling: 20 },
    );
    if (i > 0) times.push(performance.now() - start);
    await context.close();
  }
  return median(times);
}

/** A workshop of 200 jobs, 30 of them open, with 5,000 log entries, as a file. */
function largeFile(): string {
  const demo = demoWorkshop();
  const jobs = Array.from({ length: 200 }, (_, i) => {
    const job = demo.jobs[i % demo.jobs.length]!;
    return { ...job, id: `job-${i}`, name: `${job.name} ${i + 1}`, closed: i >= 30, createdAt: job.createdAt + i };
  });
  const events = Array.from({ length: 5000 }, (_, i): WorkEvent => {
    const job = jobs[30 + (i % 170)]!;
    const at = DEMO_START - (5000 - i) * 600_000;
    return {
      id: `e${i}`,
      at,
      kind: 'done',
      job: job.id,
      step: `${job.id}/step${i}`,
      title: 'Weed a mark',
      planned: 12,
      actual: 8 + (i % 9),
    };
  });
  return writeWorkshopFile({ shop: demo.shop, jobs, events });
}

const usable = (page: Page) =>
  page.waitForFunction(() => [...document.querySelectorAll('button')].some((b) => b.textContent?.trim() === 'Done' && !b.disabled), null, {
    timeout: 120_000,
  });

/** From opening the page again to a Bench whose Done can be pressed, ms, in a workshop that has grown for years. */
async function largeWorkshop(browser: Browser, address: string): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(address);
  await usable(page);
  await page.goto(`${address}#/workshop`);
  await page
    .getByLabel('Workshop file', { exact: true })
    .setInputFiles({ name: 'large.json', mimeType: 'application/json', buffer: Buffer.from(largeFile()) });
  await page.getByRole('alertdialog').getByRole('button', { name: 'Do it' }).click();
  // a file that is opened in the demo is one's own workshop: the page begins anew there
  await page.getByRole('button', { name: 'Leave the demo' }).waitFor({ state: 'detached' });
  await usable(page);
  await page.goto(`${address}#/`);
  await usable(page);
  // until the whole plan is there and its Bench is kept
  await page.waitForTimeout(15_000);
  const times: number[] = [];
  for (let i = 0; i < 6; i++) {
    const again = await context.newPage();
    const start = performance.now();
    await again.goto(address, { waitUntil: 'commit' });
    await usable(again);
    if (i > 0) times.push(performance.now() - start);
    await again.close();
  }
  await context.close();
  return median(times);
}
