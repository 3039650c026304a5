import { expect, openBench, test, textOf } from './workshop';

test('by keyboard alone: a word, a piece, a size, and the cut file', async ({ page }) => {
  await openBench(page);
  // from the top of the page to Quick mark, by Tab and Enter
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('Tab');
    if (await page.evaluate(() => document.activeElement?.textContent === 'Quick mark')) break;
  }
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Word')).toBeFocused();
  await page.keyboard.type('Galley');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Font')).toBeFocused();
  await page.keyboard.type('Archivo');
  await page.keyboard.press('Tab');
  await page.keyboard.type('storage');
  await page.keyboard.press('Tab');
  // its shape and its three measures
  for (let i = 0; i < 4; i++) await page.keyboard.press('Tab');
  await page.keyboard.type('with a width');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Width of the mark')).toBeFocused();
  await page.keyboard.type('80 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^80 × [\d.]+ mm · /)).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Film', { exact: true })).toBeFocused();
  await page.keyboard.press('Tab');
  const button = page.getByRole('button', { name: 'Save the cut file' });
  await expect(button).toBeFocused();
  const download = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const file = await download;
  expect(file.suggestedFilename()).toBe('galley.svg');
  expect((await textOf(file)).match(/<path/g)).toHaveLength(1);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/job\/\w+\/fit/);
  await expect(page.getByLabel('Name of the job')).toHaveValue('Galley');
});

test('what was cut before is off the roll for a quick mark too', async ({ page }) => {
  await openBench(page);
  await page.goto('/#/quick');
  await page.getByLabel('Word').fill('Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichenbeschriftung');
  await page.getByLabel('Film', { exact: true }).selectOption('white-gloss');
  await page.getByLabel('Size', { exact: true }).selectOption('width');
  await page.getByLabel('Width of the mark').fill('9000');
  await page.getByLabel('Width of the mark').press('Enter');
  await expect(page.getByRole('region', { name: /^White gloss: stop/ })).toContainText('4064 mm left');
});

test('it is silent unless something speaks against it', async ({ page }) => {
  await openBench(page);
  await page.goto('/#/quick');
  await page.getByLabel('Word').fill('Tide');
  await page.getByLabel('Font').selectOption('archivo-black');
  await expect(page.getByText('Ready to cut', { exact: false })).toBeVisible();
  await page.getByLabel('Size', { exact: true }).selectOption('width');
  await page.getByLabel('Width of the mark').fill('9');
  await page.getByLabel('Width of the mark').press('Enter');
  await expect(page.getByRole('region', { name: /^Small parts: watch/ })).toBeVisible();
});
