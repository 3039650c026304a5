import { actions } from '../web/src/app/actions';
import { expect, kept, openBench, openStation, secondsPass, test } from './workshop';

test('somebody new makes a real mark of one word', async ({ page }) => {
  await openBench(page);
  const first = page.getByRole('form', { name: 'Your first mark' });
  await first.getByLabel(/New here/).fill('Galley');
  await first.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByLabel('Word')).toHaveValue('Galley');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the cut file' }).click();
  expect((await download).suggestedFilename()).toBe('galley.svg');
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Done' }).first()).toBeEnabled();
  await expect(first).toHaveCount(0);
});

test('? lists the keys, / finds jobs, films, steps and settings, single keys lead about', async ({ page }) => {
  await openBench(page);
  await kept(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('nudge by 0.5 mm');
  await page.keyboard.press('Escape');
  for (const [typed, name, url] of [
    ['honour', 'Honour board', /honour-board\/fit/],
    ['harbour', 'Harbour blue', /stock/],
    ['wipe 12', 'Wipe the 12 tapered pint glasses', /regatta-prizes\/prepare/],
    ['offcut', 'Sheets and offcuts', /stock/],
    ['humidity', 'Room temperature and humidity', /workshop/],
  ] as const) {
    await page.keyboard.press('/');
    await page.getByRole('combobox', { name: 'Find' }).fill(typed);
    await expect(page.getByRole('option').first()).toContainText(name);
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(url);
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  // a hit leads to the word itself; letters that are typed there are its own
  await expect(page.getByLabel('Room temperature', { exact: true })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('b');
  await expect(page.getByRole('region', { name: 'Drying rack' })).toBeVisible();
  await openStation(page, 'honour-board', 'fit');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/measure/);
  // letters that are typed into a word stay there
  await page.getByLabel('Name of the piece').fill('b/?j');
  await expect(page).toHaveURL(/measure/);
});

test('whatever can be found to do leads to a word, a button or a part of the page that is there', async ({ page }) => {
  await openBench(page);
  const all = actions({ id: 'regatta-prizes', name: 'Regatta prizes' } as Parameters<typeof actions>[0]);
  expect(all.length).toBeGreaterThan(40);
  for (const to of new Set(all.map((one) => one.to))) {
    await page.goto(`/#${to}`);
    for (const { focus } of all.filter((one) => one.to === to)) {
      const found = page.getByRole('main').locator(`[aria-label^=${JSON.stringify(focus)}]`);
      await expect(found.or(page.getByRole('main').getByRole('button', { name: focus })).first(), `${to}: ${focus}`).toBeVisible();
    }
  }
});

test('a clock set back while closed is asked about, and timers stand where they stood', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-30T12:00:00Z') });
  await openBench(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  await secondsPass(page, 21);
  const timer = page.getByRole('timer').first();
  await expect(timer).toContainText(/08:[0-3]\d/);
  await page.goto('about:blank');
  await page.clock.setSystemTime(new Date('2026-11-30T09:00:00Z'));
  await page.goto('/');
  const band = page.getByRole('status', { name: 'The clock was set back' });
  await expect(band).toContainText('3 h');
  await band.getByRole('button', { name: 'It is right now' }).click();
  await expect(band).toHaveCount(0);
  await expect(timer).toContainText(/08:[0-3]\d/);
});

test('a clock put forward while closed, with a timer running, is asked about', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-30T12:00:00Z') });
  await openBench(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  await secondsPass(page, 21);
  await page.goto('about:blank');
  await page.clock.setSystemTime(new Date('2026-11-30T15:00:00Z'));
  await page.goto('/');
  const band = page.getByRole('status', { name: 'A timer ran for long' });
  await band.getByRole('button', { name: 'The clock was changed' }).click();
  await expect(page.getByRole('timer').first()).toContainText(/08:[0-3]\d/);
});

for (const [format, width] of [
  ['A4', 595],
  ['Letter', 612],
] as const)
  test(`the job sheet prints on ${format}`, async ({ page }) => {
    await openStation(page, 'honour-board', 'prepare');
    await expect(page.getByRole('list', { name: 'Steps' })).toBeVisible();
    const pdf = await page.pdf({ format, printBackground: true });
    const text = pdf.toString('latin1');
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    const boxes = [...text.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/g)];
    expect(boxes.length).toBeGreaterThan(0);
    for (const [, w] of boxes) expect(Math.abs(Number(w) - width)).toBeLessThan(1.5);
    await page.emulateMedia({ media: 'print' });
    await page.setViewportSize({ width: Math.round((width * 96) / 72), height: 1000 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(1);
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Done' }).first()).toBeHidden();
  });

test('text twice as large, and names as long as German ones, run out of no side', async ({ page }) => {
  await openBench(page);
  await page.addStyleTag({ content: 'html { font-size: 200% !important }' });
  const screens = [
    '/',
    '/jobs',
    '/quick',
    '/stock',
    '/workshop',
    '/begin',
    '/logbook',
    '/practice',
    ...['measure', 'draw', 'fit', 'cut', 'tape', 'prepare', 'price'].map((s) => `/job/honour-board/${s}`),
  ];
  const wide = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  for (const screen of screens) {
    await page.evaluate((to) => (location.hash = to), screen);
    await expect(page.getByRole('main')).not.toContainText(/One moment|Working it out|Laying out/);
    expect(await wide(), screen).toBeLessThanOrEqual(1);
  }
  await page.evaluate(() => document.querySelector('style:last-of-type')?.remove());
  const long = 'Regattapreisverleihungsbierkrugbeschriftung';
  await openStation(page, 'honour-board', 'measure');
  for (const field of ['Name of the job', 'Client', 'Name of the piece', 'Name of the zone']) {
    await page.getByLabel(field).fill(`${long} ${long}`);
    await page.getByLabel(field).press('Enter');
  }
  await page.setViewportSize({ width: 390, height: 844 });
  for (const screen of screens) {
    await page.goto(`/#${screen}`);
    await expect(page.getByRole('main')).not.toContainText(/One moment|Working it out|Laying out/);
    expect(await wide(), screen).toBeLessThanOrEqual(1);
  }
});
