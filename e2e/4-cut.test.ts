import { expect, kept, openStation, reading, test, textOf } from './workshop';

test('one layout a film, and an SVG cut file in mm that any reader takes', async ({ page }) => {
  await openStation(page, 'regatta-prizes', 'cut');
  await expect(page.getByText('film taken')).toBeVisible();
  await expect(page.getByText('knife down')).toBeVisible();
  await expect(page.getByText('as they are read, not mirrored')).toBeVisible();
  await expect(page.getByText('Pull the surround and the insides away').first()).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /Save the cut file/ }).click();
  const text = await textOf(await download);
  expect(text).toMatch(/width="300mm" height="[\d.]+mm"/);
  // Chromium is the foreign reader: it paints the file, and the outlines have the size that was planned
  const reader = await page.context().newPage();
  await reader.setContent(text.replace(/^<\?xml.*\?>/, ''));
  const boxes = await reader
    .locator('path')
    .evaluateAll((paths) => paths.map((p) => (p as SVGPathElement).getBBox()).map((b) => [b.width, b.height]));
  expect(boxes).toHaveLength(12);
  for (const [width, height] of boxes) {
    expect(Math.max(width!, height!)).toBeCloseTo(66, 0);
    expect(Math.min(width!, height!)).toBeCloseTo(28.9, 0);
  }
  await reader.close();
});

test('what is seen through is cut mirrored', async ({ page }) => {
  await openStation(page, 'boat-numbers', 'cut');
  await page.getByRole('button', { name: 'Petrol' }).click();
  await expect(page.getByText('mirrored, for they are seen through the piece')).toBeVisible();
});

test('too little film is a stop that offers another', async ({ page }) => {
  await openStation(page, 'regatta-prizes', 'draw');
  await page.getByLabel('Film', { exact: true }).selectOption('harbour-blue');
  await page.getByRole('link', { name: /^Measure/ }).click();
  await page.getByLabel('How many in the set').fill('60');
  await page.getByLabel('How many in the set').press('Enter');
  await page.getByRole('link', { name: /^Cut/ }).click();
  const film = reading(page, 'Harbour blue');
  await expect(film).toHaveAccessibleName(/stop/);
  await film.getByRole('button').first().click();
  await expect(film).toHaveCount(0);
});

test('marks are laid out tighter by their outlines; what was found is kept, cut and taken back', async ({ page }) => {
  await openStation(page, 'bailer-buckets', 'cut');
  const card = page.getByRole('region', { name: 'Lay it out tighter' });
  const taken = page.getByRole('definition').first();
  const before = Number.parseFloat((await taken.textContent())!);
  await card.getByRole('button', { name: 'Lay it out tighter' }).click();
  await expect(card.getByRole('status')).toContainText('By their outlines');
  // until something shorter is found
  await expect.poll(async () => Number(await card.getByRole('progressbar').getAttribute('value')), { timeout: 30_000 }).toBeGreaterThan(2);
  await card.getByRole('button', { name: 'Stop and keep the best' }).click();
  await expect(page.getByText(/^Kept: .* less film than before\./)).toBeVisible();
  await expect.poll(async () => Number.parseFloat((await taken.textContent())!)).toBeLessThan(before);
  const tight = Number.parseFloat((await taken.textContent())!);
  await kept(page);
  await page.reload();
  await expect.poll(async () => Number.parseFloat((await taken.textContent())!)).toBe(tight);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /Save the cut file/ }).click();
  const text = await textOf(await download);
  expect(Number(/height="([\d.]+)mm"/.exec(text)![1])).toBeCloseTo(tight, 0);
  await card.getByRole('button', { name: 'Back to boxes' }).click();
  await expect.poll(async () => Number.parseFloat((await taken.textContent())!)).toBe(before);
});
