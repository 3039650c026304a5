import AxeBuilder from '@axe-core/playwright';
import { expect, openBench, planned, test } from './workshop';

const SCREENS = [
  '/',
  '/jobs',
  '/quick',
  '/stock',
  '/workshop',
  '/begin',
  '/logbook',
  '/practice',
  ...['measure', 'draw', 'fit', 'cut', 'weed', 'tape', 'prepare', 'place', 'paint', 'cure', 'log', 'price'].map(
    (s) => `/job/honour-board/${s}`,
  ),
  '/job/regatta-prizes/fit',
];

for (const colorScheme of ['light', 'dark'] as const) {
  test(`axe finds nothing serious in ${colorScheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
    await openBench(page);
    const found: string[] = [];
    // colours change in the dark, names do not: every other screen is enough there; the steps of a job are all one kind of screen
    const looked =
      colorScheme === 'dark' ? SCREENS.filter((_, i) => i % 2 === 0) : SCREENS.filter((screen) => !/(place|paint)$/.test(screen));
    for (const screen of looked) {
      await page.goto(`/#${screen}`);
      await expect(page.getByRole('main')).not.toContainText(/One moment|Working it out|Laying out/);
      await planned(page);
      const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa']).analyze();
      for (const v of violations.filter((x) => x.impact === 'serious' || x.impact === 'critical'))
        found.push(
          `${screen}: ${v.id} at ${v.nodes
            .slice(0, 3)
            .map((n) => `${n.target.join(' ')} (${n.failureSummary?.split('\n')[1]?.trim() ?? ''})`)
            .join('; ')}`,
        );
    }
    expect(found).toEqual([]);
  });
}

for (const [name, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a tablet', { width: 820, height: 1180 }],
] as const) {
  test(`nothing runs out of the side on ${name}`, async ({ page }) => {
    await page.setViewportSize(viewport);
    await openBench(page);
    for (const screen of SCREENS) {
      await page.goto(`/#${screen}`);
      await expect(page.getByRole('main')).not.toContainText(/One moment|Working it out|Laying out/);
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
        screen,
      ).toBeLessThanOrEqual(1);
    }
  });
}

test('scripts only from here, missing files are 404, the server listens on loopback', async ({ request, page }) => {
  const home = await request.get('/');
  expect(home.headers()['content-security-policy']).toContain("script-src 'self'");
  expect((await request.get('/assets/nothing.js')).status()).toBe(404);
  expect((await request.get('/nowhere')).status()).toBe(404);
  await openBench(page);
});
