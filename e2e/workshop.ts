import { readFileSync } from 'node:fs';
import { expect, test as base, type Download, type Page } from '@playwright/test';

/** So many times slower the browser's processor is made, to see that no journey hangs on its pace: `E2E_SLOW=4 npm run e2e`. */
const SLOW = Number(process.env['E2E_SLOW'] ?? 1);

/** Slows a page's processor. */
export async function slowed(page: Page, rate: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
}

/** A page on which every error is a failure and no request leaves the machine. */
export const test = base.extend<{ page: Page; tolerated: RegExp }>({
  /** Messages of the console that a test brings about on purpose. */
  tolerated: [/(?!)/, { option: true }],
  page: async ({ page, tolerated }, use) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error') errors.push(message.text());
    });
    page.on('request', (request) => {
      if (!/^(http:\/\/127\.0\.0\.1|blob:|data:)/.test(request.url())) errors.push(`a request left the machine: ${request.url()}`);
    });
    if (SLOW > 1) {
      await slowed(page, SLOW);
      page.context().on('page', (other) => void slowed(other, SLOW).catch(() => undefined));
    }
    await use(page);
    expect(errors.filter((error) => !tolerated.test(error))).toEqual([]);
  },
});
export { expect };

/** Waits until every change on the screen is on the disk. */
export const kept = (page: Page) => expect(page.locator('[data-kept]')).toHaveText('saved');

/** Waits until the plan is that of everything that was changed. */
export const planned = async (page: Page): Promise<void> => {
  await kept(page);
  await expect(page.locator('[data-plan=fresh]')).toBeAttached();
};

/**
 * Lets the page's clock run on so many seconds, by little and each time with its plan: a plan that is under way while minutes pass at once would be
 * taken for one that hangs.
 */
export async function secondsPass(page: Page, seconds: number): Promise<void> {
  for (let left = seconds; left > 0; left -= 5) {
    await planned(page);
    await page.clock.runFor(Math.min(5, left) * 1000);
  }
}

/** Opens the Bench with the demo workshop and waits until it can be used. */
export async function openBench(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Done' }).first()).toBeEnabled();
}

/** Leaves the demo for a workshop of one's own, with these answers to the questions at its beginning. */
export async function beginOwn(page: Page, answers: readonly (string | RegExp)[]): Promise<void> {
  await openBench(page);
  await page.getByRole('button', { name: 'My own workshop' }).click();
  for (const answer of answers) await page.getByRole('button', { name: answer }).click();
  await page.getByRole('button', { name: 'Begin with my first mark' }).first().click();
  await expect(page.getByRole('heading', { name: 'Quick mark' })).toBeVisible();
  await kept(page);
}

/** Waits until a file that was opened in the demo is one's own workshop on the screen. */
export const atOwn = async (page: Page): Promise<void> => {
  await expect(page.getByRole('button', { name: 'Leave the demo' })).toHaveCount(0);
  await kept(page);
};

/** Opens one station of a demo job. */
export async function openStation(page: Page, job: string, station: string): Promise<void> {
  if (page.url() === 'about:blank') await openBench(page);
  await page.goto(`/#/job/${job}/${station}`);
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
}

/** A reading's card by its title. */
export const reading = (page: Page, title: string | RegExp) =>
  page.getByRole('region', {
    name: title instanceof RegExp ? title : new RegExp(`^${title}[^:]*: (fine|watch|stop)$`),
  });

/** Types into a word of a sentence. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** The text of a download. */
export async function textOf(download: Download): Promise<string> {
  return readFileSync(await download.path(), 'utf8');
}

/** Drops a file's text into a hidden file field. */
export async function drop(page: Page, field: string, name: string, content: string | Uint8Array): Promise<void> {
  await page.getByLabel(field, { exact: true }).setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
}
