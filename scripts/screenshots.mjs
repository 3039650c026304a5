// Takes the pictures in docs/screenshots from the demo workshop.
import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { chromium } from '@playwright/test';
import { build } from './build.mjs';
import { CHROMIUM_ARGS, findChromium, needChromium, root, setup } from './setup.mjs';

await setup();
await build();
needChromium();
const PORT = 4192;
const address = `http://127.0.0.1:${PORT}/`;
const server = spawn(process.execPath, [resolve(root, 'server/dist/main.js')], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
const browser = await chromium.launch({
  executablePath: findChromium(),
  args: CHROMIUM_ARGS,
});
const views = [
  ['bench', '/'],
  ['week', '/week'],
  ['gather', '/gather'],
  ['quick', '/quick'],
  ['stock', '/stock'],
  ['workshop', '/workshop'],
  ['logbook', '/logbook'],
  ['practice', '/practice/sizes'],
  ['price', '/job/bailer-buckets/price'],
  ['measure', '/job/tankards/measure'],
  ['draw', '/job/crew-flasks/draw'],
  ...['paint', 'cure'].map((s) => [s, `/job/honour-board/${s}`]),
  ...['fit', 'tape'].map((s) => [s, `/job/regatta-prizes/${s}`]),
  ['cut', '/job/tankards/cut'],
  ['place', '/job/boat-numbers/place'],
  ['bench-dark', '/'],
  ['phone', '/job/regatta-prizes/fit'],
];
const only = process.argv.slice(2);
for (const [name, path] of only.length > 0 ? views.filter(([name]) => only.includes(name)) : views) {
  const page = await browser.newPage({
    viewport: name === 'phone' ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    colorScheme: name.endsWith('dark') ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  await page.addInitScript(() => localStorage.setItem('firstMark', 'done'));
  for (let i = 0; ; i++) {
    try {
      await page.goto(address);
      break;
    } catch (error) {
      if (i > 40) throw error;
      await new Promise((done) => setTimeout(done, 100));
    }
  }
  await page.getByRole('button', { name: 'Done' }).first().waitFor();
  await page.goto(`${address}#${path}`);
  if (name === 'draw') {
    await page.getByRole('button', { name: 'Inspect it' }).click();
    await page.getByText(/overlaps, joined/).waitFor();
  }
  if (name === 'quick') await page.getByLabel('Word').fill('Galley');
  // the Bench shows what was there before, until it is planned
  if (path === '/') await page.getByRole('button', { name: 'Something comes between', disabled: false }).waitFor();
  await page.waitForFunction(() => !/Working (it )?out|One moment|Laying out/.test(document.body.innerText), undefined, {
    timeout: 60_000,
  });
  await page.waitForTimeout(1500);
  await page.screenshot({ path: resolve(root, `docs/screenshots/${name}.png`) });
  await page.close();
}
await browser.close();
server.kill();
