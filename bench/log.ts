import { DEMO_START, demoWorkshop } from '../core/test/sampleJobs';
import { writeWorkshopFile } from '../core/src/jobFile';
import type { WorkEvent } from '../core/src/job';
import { logOf } from '../core/src/logbook';
import { learntFrom } from '../core/src/learning';
import { atMost, median, timed, type Figure } from './figure';
import { inBrowser } from './inBrowser';

const ENTRIES = 5000;

/** The demo's runs over and over, back into the past: every kind, with notes and what went wrong. */
function longLog(): WorkEvent[] {
  const runs = demoWorkshop({ past: true }).events.filter(({ kind }) => kind === 'done' || kind === 'wrong');
  return Array.from({ length: ENTRIES }, (_, i): WorkEvent => {
    const run = runs[i % runs.length]!;
    return {
      ...run,
      id: `long${i}`,
      at: DEMO_START - (ENTRIES - i) * 1_800_000,
      ...('step' in run ? { step: `${run.step}x${i}` } : {}),
    } as WorkEvent;
  });
}

/** Five thousand entries: what they teach, and the Logbook opened from the Bench until it can be read. */
export async function logFigures(): Promise<Figure[]> {
  const events = longLog();
  const factors = await timed(() => learntFrom(events));
  const list = await timed(() => logOf(events));
  const open = await inBrowser(async (browser, address) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(`${address}#/workshop`);
    await page.getByLabel('Workshop file', { exact: true }).setInputFiles({
      ...{ name: 'log.json', mimeType: 'application/json' },
      buffer: Buffer.from(writeWorkshopFile({ ...demoWorkshop({ past: true }), events })),
    });
    await page.getByRole('alertdialog').getByRole('button', { name: 'Do it' }).click();
    await page.getByRole('button', { name: 'Leave the demo' }).waitFor({ state: 'detached' });
    const times: number[] = [];
    for (let i = 0; i < 6; i++) {
      await page.getByRole('link', { name: 'Jobs', exact: true }).click();
      await page.getByRole('heading', { name: 'Jobs', exact: true }).waitFor();
      await page.waitForTimeout(2500);
      const start = performance.now();
      await page.getByRole('link', { name: 'Logbook', exact: true }).click();
      await page.getByText(/Placing takes you/).waitFor();
      await page.getByRole('list', { name: 'Log' }).getByRole('listitem').first().waitFor();
      if (i > 0) times.push(performance.now() - start);
    }
    return median(times);
  });
  return [
    atMost('log/factors-of-5000', factors, 100, 'ms'),
    atMost('log/lines-of-5000', list, 100, 'ms'),
    atMost('log/open-with-5000', open, 500, 'ms'),
  ];
}
