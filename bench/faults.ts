import { mkdtempSync, rmSync } from 'node:fs';
import { spawn, type ChildProcess } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM_ARGS, findChromium } from '../scripts/setup.mjs';
import { seeded, type Figure } from './figure';

const PORT = 4193;
const address = `http://127.0.0.1:${PORT}/`;
/** How often the page is killed, and how often the whole browser. */
const PAGE_KILLS = 300;
const BROWSER_KILLS = 12;

const usable = (page: Page) => page.getByLabel('Client').waitFor();
const shown = (page: Page) =>
  page.evaluate(() => ({
    client: document.querySelector<HTMLInputElement>('[aria-label="Client"]')?.value ?? '',
    kept: document.querySelector('[data-kept]')?.textContent === 'saved',
  }));

async function open(folder: string): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(folder, { executablePath: findChromium(), args: CHROMIUM_ARGS });
  const page = context.pages()[0] ?? (await context.newPage());
  await page.goto(`${address}#/job/honour-board/measure`);
  await usable(page);
  return { context, page };
}

/** Edits the client's name faster than a person until something ends it; `seen` is the last name that the screen showed as kept. */
async function editUntil(page: Page, first: number, over: () => boolean, seen: { kept: number; sent: number }): Promise<void> {
  for (let n = first; !over(); n++) {
    seen.sent = n;
    const field = page.getByLabel('Client');
    await field.fill(`edit ${n}`);
    await field.press('Enter');
    await page.waitForFunction((wanted) => {
      const client = document.querySelector<HTMLInputElement>('[aria-label="Client"]');
      return client?.value === wanted && document.querySelector('[data-kept]')?.textContent === 'saved';
    }, `edit ${n}`);
    seen.kept = n;
  }
}
const numberOf = (text: string): number => Number(/edit (\d+)/.exec(text)?.[1] ?? 0);

/**
 * Kills the page at random moments of quick editing, and now and then the whole browser, and looks whether what the screen showed as kept is there
 * afterwards.
 */
export async function faultFigures(): Promise<Figure[]> {
  const random = seeded(20261201);
  const folder = mkdtempSync(join(tmpdir(), 'kolleta-kill-'));
  const server: ChildProcess = spawn(process.execPath, ['server/dist/main.js'], {
    env: { ...process.env, PORT: String(PORT) },
    stdio: 'ignore',
  });
  await new Promise((resolve) => setTimeout(resolve, 700));
  let [lost, edits, pageKills, browserKills] = [0, 0, 0, 0];
  let { context, page } = await open(folder);
  let [next, base] = [1, 0];
  while (pageKills < PAGE_KILLS || browserKills < BROWSER_KILLS) {
    const seen = { kept: base, sent: base };
    let over = false;
    const whole = browserKills < BROWSER_KILLS && pageKills >= ((browserKills + 1) * PAGE_KILLS) / (BROWSER_KILLS + 1);
    const editing = editUntil(page, next, () => over, seen).catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 20 + random() * 700));
    over = true;
    if (whole) {
      // the whole browser dies at once, as in a power cut of the program
      const { pid } = await (await context.browser()!.newBrowserCDPSession()).send('SystemInfo.getProcessInfo').then(({ processInfo }) => ({
        pid: processInfo.find((p) => p.type === 'browser')!.id,
      }));
      process.kill(pid, 'SIGKILL');
      browserKills += 1;
      await editing;
      await context.close().catch(() => undefined);
      ({ context, page } = await open(folder));
    } else {
      const session = await context.newCDPSession(page);
      void session.send('Page.crash').catch(() => undefined);
      pageKills += 1;
      await editing;
      await page.close().catch(() => undefined);
      page = await context.newPage();
      await page.goto(`${address}#/job/honour-board/measure`);
      await usable(page);
    }
    const { client } = await shown(page);
    const found = numberOf(client);
    edits += Math.max(0, seen.kept - next + 1);
    if (found < seen.kept || found > seen.sent) lost += 1;
    base = found;
    next = Math.max(found, seen.sent) + 1;
  }
  await context.close();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
  return [
    { name: 'fault/page-kills', value: pageKills, unit: '', goal: 'at least 300', holds: pageKills >= 300 },
    { name: 'fault/browser-kills', value: browserKills, unit: '', goal: 'at least 10', holds: browserKills >= 10 },
    { name: 'fault/edits-shown-as-kept', value: edits, unit: '', goal: 'at least 100', holds: edits >= 100 },
    { name: 'fault/edits-lost', value: lost, unit: '', goal: 'none', holds: lost === 0 },
  ];
}
