import type { Page } from '@playwright/test';
import axe from 'axe-core';
import { expect, onlyJobs, planned, test } from './workshop';

const STATIONS = ['measure', 'draw', 'fit', 'cut', 'weed', 'tape', 'prepare', 'place', 'paint', 'cure', 'log', 'price'];
const SCREENS = [
  ...['/', '/jobs', '/quick', '/stock', '/workshop', '/begin', '/logbook', '/practice', '/week', '/gather'],
  ...STATIONS.map((station) => `/job/honour-board/${station}`),
  '/job/regatta-prizes/fit',
];
const LONG = 'Regattapreisverleihungsbierkrugbeschriftung Regattapreisverleihungsbierkrugbeschriftung';

/** What axe finds in the colours of the day or of the night: names are the same in both. */
async function faultsOf(page: Page, colorScheme: 'light' | 'dark'): Promise<string[]> {
  await page.emulateMedia({ colorScheme });
  const violations = await page.evaluate(
    async (runOnly) => (await (window as unknown as { axe: typeof axe }).axe.run({ runOnly, resultTypes: ['violations'] })).violations,
    colorScheme === 'dark' ? ['color-contrast'] : ['wcag2a', 'wcag2aa', 'wcag21aa'],
  );
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => {
      const where = nodes.slice(0, 3).map((n) => `${n.target.join(' ')} (${n.failureSummary?.split('\n')[1]?.trim() ?? ''})`);
      return `${colorScheme}: ${id} at ${where.join('; ')}`;
    });
}

/** Nothing runs out of the side on a tablet, on a phone, and with text twice as large. */
async function keepsItsSides(page: Page, screen: string): Promise<void> {
  const out = () =>
    page.evaluate(() => {
      const { scrollWidth, clientWidth } = document.documentElement;
      if (scrollWidth <= clientWidth + 1) return [];
      const over = [...document.querySelectorAll('body *')].filter((one) => one.getBoundingClientRect().right > clientWidth + 1);
      return over.slice(0, 6).map((one) => `${one.tagName}.${one.className}: ${one.textContent?.slice(0, 60)}`);
    });
  for (const [name, width, height, size] of [
    ['a tablet', 820, 1180, ''],
    ['a phone', 390, 844, ''],
    ['text twice as large', 1280, 800, '200%'],
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.evaluate((to) => document.documentElement.style.setProperty('font-size', to, 'important'), size);
    await expect.poll(out, `${screen} on ${name}: what runs out of the side`).toEqual([]);
  }
  await page.evaluate(() => document.documentElement.style.removeProperty('font-size'));
}

// two halves, so that they go side by side
for (const half of [0, 1]) {
  test(`every screen is for everyone, day and night, small and large, with long names: part ${half + 1}`, async ({ page, request }) => {
    await test.step('scripts only from here, missing files are 404', async () => {
      const home = await request.get('/');
      expect(home.headers()['content-security-policy']).toContain("script-src 'self'");
      expect((await request.get('/assets/nothing.js')).status()).toBe(404);
      expect((await request.get('/nowhere')).status()).toBe(404);
    });
    onlyJobs(page, ['honour-board', 'regatta-prizes'], ([job]) => {
      Object.assign(job!, { name: LONG, client: LONG, piece: { ...job!.piece, name: LONG } });
      job!.zones.forEach((zone) => Object.assign(zone, { name: LONG }));
    });
    await page.goto('/');
    await page.evaluate(axe.source);
    for (const [i, screen] of SCREENS.filter((_, k) => k % 2 === half).entries()) {
      await page.goto(`/#${screen}`);
      await planned(page);
      await expect(page.getByRole('main')).not.toContainText(/One moment|Working it out|Laying out/);
      // colours change in the dark: every other screen is enough there
      expect([...(await faultsOf(page, 'light')), ...(i % 2 === 0 ? await faultsOf(page, 'dark') : [])], screen).toEqual([]);
      await keepsItsSides(page, screen);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });
}
