import { expect, onlyJobs, openBench, test, textOf } from './workshop';

test('one word, by keys and by hand: saved at once, short of film, too small', async ({ page }) => {
  onlyJobs(page, ['crew-flasks']);
  await test.step('by keyboard alone: a word, a piece, a size, and the cut file', async () => {
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
    expect((await textOf(file)).match(/<g>/g)).toHaveLength(1);
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/job\/\w+\/fit/);
    await expect(page.getByLabel('Name of the job')).toHaveValue('Galley');
  });
  await test.step('what was cut before is off the roll for a quick mark too', async () => {
    await openBench(page);
    await page.goto('/#/quick');
    await page.getByLabel('Word').fill('Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichenbeschriftung');
    await page.getByLabel('Film', { exact: true }).selectOption('white-gloss');
    await page.getByLabel('Size', { exact: true }).selectOption('width');
    await page.getByLabel('Width of the mark').fill('9000');
    await page.getByLabel('Width of the mark').press('Enter');
    await expect(page.getByRole('region', { name: /^White gloss: stop/ })).toContainText('4064 mm left');
  });
  await test.step('it is silent unless something speaks against it', async () => {
    await openBench(page);
    await page.goto('/#/quick');
    await page.getByLabel('Word').fill('Tide');
    await page.getByLabel('Font').selectOption('archivo-black');
    await expect(page.getByText('Ready to cut', { exact: false })).toBeVisible();
    await page.getByLabel('Size', { exact: true }).selectOption('width');
    await page.getByLabel('Width of the mark').fill('9');
    await page.getByLabel('Width of the mark').press('Enter');
    const small = page.getByRole('region', { name: /^Small parts: watch/ });
    await expect(small).toBeVisible();
    // after a fix, what is shown is what is cut
    await small.getByRole('button').first().click();
    await expect(small).toHaveCount(0);
    const says = await page.getByText(/^[\d.]+ × [\d.]+ mm · /).innerText();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the cut file' }).click();
    const svg = await textOf(await download);
    const points = [...svg.matchAll(/[ML]\s*(-?[\d.]+)[ ,](-?[\d.]+)/g)].map((found) => [Number(found[1]), Number(found[2])] as const);
    const side = (k: 0 | 1) => Math.max(...points.map((point) => point[k])) - Math.min(...points.map((point) => point[k]));
    const [width, height] = says.match(/[\d.]+/g)!.map(Number);
    // it may lie turned on the film
    const sides = [side(0), side(1)].toSorted((a, b) => b - a);
    expect(Math.abs(sides[0]! - Math.max(width!, height!))).toBeLessThan(0.11);
    expect(Math.abs(sides[1]! - Math.min(width!, height!))).toBeLessThan(0.11);
  });
});
