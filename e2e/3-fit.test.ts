import { expect, onlyJobs, openStation, reading, test, type } from './workshop';

test('marks are sized, dragged, judged by colour and use', async ({ page }) => {
  await onlyJobs(page, ['regatta-prizes', 'boat-numbers', 'crew-flasks']);
  await test.step('the largest size, a typed size, and readings with their fixes', async () => {
    await openStation(page, 'regatta-prizes', 'fit');
    await expect(reading(page, 'Size')).toContainText('65 × 29 mm');
    for (const title of ['Bend', 'Thin parts', 'Small parts', 'Contrast', 'Will it stick', 'Food and lip', 'As it is seen'])
      await expect(reading(page, title)).toBeVisible();
    const thin = reading(page, 'Thin parts');
    await expect(thin).toHaveAccessibleName(/watch/);
    await thin.getByRole('button', { name: /Thicken by/ }).click();
    await expect(thin).toHaveAccessibleName(/fine/);
    await page.getByLabel('Size', { exact: true }).selectOption('width');
    await type(page, 'Width of the mark', '2 1/2 in');
    await expect(reading(page, 'Size')).toContainText('63.5 ×');
    await type(page, 'Width of the mark', '80');
    await expect(reading(page, 'Size')).toHaveAccessibleName(/watch/);
    await reading(page, 'Size')
      .getByRole('button', { name: /As large as fits/ })
      .click();
    await expect(reading(page, 'Size')).toHaveAccessibleName(/fine/);
  });
  await test.step('a mark is dragged, nudged and centred; undo takes it back', async () => {
    await openStation(page, 'boat-numbers', 'fit');
    const mark = page.getByRole('button', { name: /^number, / });
    const box = (await mark.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2 - 20, { steps: 6 });
    await page.mouse.up();
    const [right, up] = [page.getByLabel('Moved to the right'), page.getByLabel('Moved up')];
    await expect(right).toHaveValue(/^[1-9][\d.]* mm right/);
    await expect(up).toHaveValue(/^[1-9][\d.]* mm up/);
    await mark.focus();
    await page.keyboard.press('Home');
    await expect(right).toHaveValue('0 mm right');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await expect(right).toHaveValue('1 mm left');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(right).toHaveValue('0 mm right');
    await page.keyboard.press('Control+Shift+Z');
    await expect(right).toHaveValue('1 mm left');
  });
  await test.step('low contrast offers films in stock that pass; food and lip stop', async () => {
    await openStation(page, 'crew-flasks', 'draw');
    await page.getByLabel('Film', { exact: true }).selectOption('harbour-blue');
    await page.getByRole('link', { name: /^Fit/ }).click();
    const contrast = reading(page, 'Contrast');
    await expect(contrast).toHaveAccessibleName(/stop/);
    await contrast.getByRole('button', { name: /White gloss, [\d.]+ : 1 — \d+ mm left/ }).click();
    await expect(contrast).toHaveAccessibleName(/fine/);
    await page.getByRole('link', { name: /^Measure/ }).click();
    await page.getByLabel('Food', { exact: true }).selectOption('yes');
    await page.getByRole('link', { name: /^Fit/ }).click();
    await expect(reading(page, 'Food and lip')).toHaveAccessibleName(/stop/);
    await reading(page, 'Food and lip').getByRole('button', { name: 'It is for display only' }).click();
    await expect(reading(page, 'Food and lip')).toHaveAccessibleName(/fine/);
  });
});
