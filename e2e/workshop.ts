import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer, request, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { expect as plain, test as base, type Download, type Locator, type Page } from '@playwright/test';
import type { Job } from '../core/src/job';
import type { Workshop } from '../core/src/jobFile';

/** So many times slower the browser's processor is made, to see that no journey hangs on its pace: `E2E_SLOW=4 npm run e2e`. */
const SLOW = Number(process.env['E2E_SLOW'] ?? 1);

/** Slows a page's processor so many times, and at least as it is slowed in this run. */
export async function slowed(page: Page, rate: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: Math.max(rate, SLOW) });
}

/** Starts a server of Kolleta at a free port; it ends with whoever started it, however that ends. */
export async function startServer(): Promise<{ readonly address: string; readonly end: () => void }> {
  const port = await new Promise<number>((resolve) => {
    const asking = createServer().listen(0, '127.0.0.1', () => {
      const { port: free } = asking.address() as AddressInfo;
      asking.close(() => resolve(free));
    });
  });
  const until = new URL('untilLeft.mjs', import.meta.url).href;
  const server = spawn(process.execPath, ['--import', until, fileURLToPath(new URL('../server/dist/main.js', import.meta.url))], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  const address = `http://127.0.0.1:${port}/`;
  const answers = () =>
    fetch(address).then(
      ({ ok }) => ok,
      () => false,
    );
  while (!(await answers())) await new Promise((later) => setTimeout(later, 50));
  return { address, end: () => server.kill('SIGKILL') };
}

/** Scripts of the built application that a journey has otherwise, by the beginning of their names. */
const instead = new Map<string, string>();

/** Hands on what is asked of a server, but for those scripts: a page whose requests are looked at one by one takes twice as long to load. */
const inFrontOf =
  (server: string): RequestListener =>
  (asked, answer) => {
    const [, script] = [...instead].find(([name]) => asked.url!.startsWith(`/assets/${name}-`)) ?? [];
    if (script !== undefined) answer.setHeader('Content-Type', 'text/javascript').end(script);
    else {
      const { method, headers, url } = asked;
      const on = request(new URL(url!, server), { method, headers }, (from) => from.pipe(answer.writeHead(from.statusCode!, from.headers)));
      asked.pipe(on.on('error', () => answer.destroy()));
    }
  };

/** A page on which every error is a failure and no request leaves the machine, at a server that only its worker uses. */
export const test = base.extend<{ page: Page; tolerated: RegExp }, { home: string }>({
  home: [
    async ({}, use) => {
      const { address, end } = await startServer();
      const front = createServer(inFrontOf(address)).listen(0, '127.0.0.1');
      await once(front, 'listening');
      await use(`http://127.0.0.1:${(front.address() as AddressInfo).port}/`);
      front.close();
      end();
    },
    { scope: 'worker' },
  ],
  baseURL: ({ home }, use) => use(home),
  /** Messages of the console that a test brings about on purpose. */
  tolerated: [/(?!)/, { option: true }],
  page: async ({ page, tolerated }, use, info) => {
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
    instead.clear();
    await use(page);
    // where nobody can look at the page, it says for itself what it showed
    if (info.status !== info.expectedStatus)
      console.log(`The page showed: ${await page.innerText('body', { timeout: 5_000 }).catch(String)}`);
    expect(errors.filter((error) => !tolerated.test(error))).toEqual([]);
  },
});

/** So a locator is asked once its element is there: at every try before, the whole page would be told in words, for a message that nobody sees. */
const onceThere = (matcher: 'toContainText' | 'toHaveAccessibleName' | 'toHaveText' | 'toHaveValue') =>
  async function (this: { readonly isNot: boolean }, locator: Locator, wanted: string | RegExp) {
    if (!this.isNot) await locator.first().waitFor({ state: 'attached' });
    await (this.isNot ? plain(locator).not : plain(locator))[matcher](wanted);
    return { pass: !this.isNot, message: () => matcher };
  };

export const expect = plain.extend({
  async toBeVisible(locator: Locator) {
    await locator.waitFor();
    return { pass: true, message: () => `${String(locator)} is visible` };
  },
  toContainText: onceThere('toContainText'),
  toHaveAccessibleName: onceThere('toHaveAccessibleName'),
  toHaveText: onceThere('toHaveText'),
  toHaveValue: onceThere('toHaveValue'),
});

/** Waits until every change on the screen is on the disk. Asked in the page itself: at once, and without a picture of the page at every try. */
export const kept = (page: Page) => page.waitForFunction(() => document.querySelector('[data-kept]')?.textContent === 'saved');

/** Waits until the plan is that of everything that was changed. */
export const planned = (page: Page) =>
  page.waitForFunction(
    () => document.querySelector('[data-kept]')?.textContent === 'saved' && document.querySelector('[data-plan=fresh]') !== null,
  );

/**
 * Holds the page's clock at a moment: what is to be done at once is done, and no minute passes but by `secondsPass`, however slow the machine is.
 */
export async function clockStands(page: Page, moment: string): Promise<void> {
  await page.clock.pauseAt(new Date(moment));
  void (async () => {
    while (!page.isClosed()) {
      await page.clock.runFor(1).catch(() => undefined);
      await new Promise((later) => setTimeout(later, 10));
    }
  })();
}

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

const demo = JSON.parse(readFileSync(new URL('../web/src/generated/demoWorkshop.json', import.meta.url), 'utf8')) as Workshop;

/** Pages whose jobs were chosen. */
const chosen = new WeakSet<Page>();

/**
 * Lets the page begin with only these jobs of the demo workshop, which are planned at once: `honour-board-2` is a second one like `honour-board`, and so on.
 *
 * @param change what is otherwise with them
 */
export function onlyJobs(page: Page, ids: readonly string[], change: (jobs: Job[]) => void = () => undefined): void {
  const jobs = ids.map((id): Job => {
    const again = /-\d$/.test(id);
    const job = demo.jobs.find((one) => one.id === (again ? id.slice(0, -2) : id));
    if (!job) throw new Error(`onlyJobs: the demo has no job ${id}`);
    return structuredClone(again ? { ...job, id, name: `${job.name}, again ${id.slice(-1)}` } : job);
  });
  change(jobs);
  chosen.add(page);
  // what was made before stays: the log is about it, and has taught from it
  const past = demo.jobs.filter(({ closed }) => closed);
  instead.set('demoWorkshop', `export default ${JSON.stringify({ ...demo, jobs: [...jobs, ...past] })}`);
  instead.set('demoBench', 'export default undefined');
}

/** Opens the Bench, of the demo workshop at first, and waits for its plan: one that comes between down and up of a press can move the button. */
export async function openBench(page: Page): Promise<void> {
  await page.goto(page.url() === 'about:blank' ? '/' : '/#/');
  await expect(page.getByRole('button', { name: 'Done' }).first()).toBeEnabled();
  await planned(page);
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
  if (!chosen.has(page) && page.url() === 'about:blank') onlyJobs(page, [job]);
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

/** Puts an offcut of the first film of the stock there, by its sides in mm. */
export async function addOffcut(page: Page, width: string, length: string): Promise<void> {
  await page.goto('/#/stock');
  await page.getByRole('button', { name: 'Change' }).first().click();
  await page.getByRole('button', { name: 'Add an offcut' }).first().click();
  await type(page, 'Width, offcut', width);
  await type(page, 'Length, offcut', length);
  await planned(page);
}

/** The text of a download. */
export async function textOf(download: Download): Promise<string> {
  return readFileSync(await download.path(), 'utf8');
}

/** Drops a file's text into a hidden file field. */
export async function drop(page: Page, field: string, name: string, content: string | Uint8Array): Promise<void> {
  await page.getByLabel(field, { exact: true }).setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
}
