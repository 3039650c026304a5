import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { extname, join, normalize, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, planned, startServer, test } from './workshop';

const root = resolve(import.meta.dirname, '..');
const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.webmanifest': 'application/manifest+json',
};

/** A static host that knows nothing of Kolleta, below a folder of its own. */
async function staticHost(folder: string) {
  const server = createServer((request, response) => {
    const path = normalize(decodeURIComponent(new URL(request.url ?? '/', 'http://x').pathname)).replace(/^\/works\//, '/');
    try {
      const file = join(folder, path.endsWith('/') ? `${path}index.html` : path);
      response.setHeader('content-type', TYPES[extname(file)] ?? 'application/octet-stream');
      response.end(readFileSync(file));
    } catch {
      response.statusCode = 404;
      response.end('no such file');
    }
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as { port: number };
  return { address: `http://127.0.0.1:${port}/works/`, close: () => (server.closeAllConnections(), server.close()) };
}

// a dead server, and one without a cutter, are what is tried here
test.use({ tolerated: /Failed to load resource|wasm streaming compile failed|falling back to ArrayBuffer/, serviceWorkers: 'allow' });

const ready = (page: Page) => page.evaluate(async () => void (await navigator.serviceWorker.ready));
async function allCached(page: Page) {
  await ready(page);
  await expect
    .poll(() =>
      page.evaluate(async () =>
        (await Promise.all((await caches.keys()).map(async (k) => (await (await caches.open(k)).keys()).length))).reduce(
          (a, b) => a + b,
          0,
        ),
      ),
    )
    .toBeGreaterThan(30);
}

test('opens with the server dead, deep links and faces included, and plans and cuts there', async ({ page }) => {
  const { address, end } = await startServer();
  await page.goto(address);
  await planned(page);
  await allCached(page);
  const manifest = await page.evaluate(async () =>
    (await fetch(document.querySelector<HTMLLinkElement>('link[rel=manifest]')!.href)).json(),
  );
  expect(manifest).toMatchObject({ name: 'Kolleta', display: 'standalone' });
  end();
  await expect
    .poll(() =>
      fetch(address).then(
        () => true,
        () => false,
      ),
    )
    .toBe(false);
  await page.goto('about:blank');
  await page.goto(`${address}#/job/crew-flasks/draw`);
  await expect(page.getByRole('heading', { name: 'The mark as it will be cut' })).toBeVisible();
  await page.getByLabel('Font').first().selectOption('playfair-display');
  await expect(page.getByText(/separate parts?,/)).toBeVisible();
  await page.goto(`${address}#/job/regatta-prizes/cut`);
  await page.getByRole('button', { name: 'Rehearse it: cuts nothing' }).click();
  await expect(page.getByRole('region', { name: 'The cutter' })).toContainText('It cuts.');
  await page.getByText('It cuts nothing. It runs in this page').click();
});

test('works from any static host, and a newer Kolleta is offered, not forced', async ({ page }, info) => {
  const folder = info.outputPath('host');
  cpSync(resolve(root, 'web/dist'), folder, { recursive: true });
  const host = await staticHost(folder);
  await page.goto(host.address);
  await planned(page);
  await allCached(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  const sw = join(folder, 'sw.js');
  writeFileSync(sw, `${readFileSync(sw, 'utf8')}\n// a newer one\n`);
  await page.evaluate(async () => void (await (await navigator.serviceWorker.getRegistration())!.update()));
  const band = page.getByRole('status', { name: 'A newer Kolleta' });
  await expect(band).toBeVisible();
  // nothing is reloaded by itself
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  await band.getByRole('button', { name: 'Load it now' }).click();
  await page.waitForLoadState();
  await planned(page);
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  await expect(band).toHaveCount(0);
  host.close();
});
