import { expect, openBench, openStation, reading, test, type } from './workshop';

test('a blank becomes a measured piece, in millimetres or inches', async ({ page }) => {
  await openBench(page);
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await page.getByRole('button', { name: /painted tin sign/ }).click();
  await expect(page).toHaveURL(/\/measure$/);
  await type(page, 'Width', '9 in');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('228.6 mm');
  await type(page, 'Height', '140');
  await type(page, 'How many in the set', '6');
  await page.getByLabel('Finish').selectOption('satin');
  await type(page, 'Breathing room', '12');
  await expect(reading(page, 'Room on front')).toContainText('204.6 mm × 116 mm');
  await page.goto('/#/stock');
  await page.getByLabel('Lengths').selectOption('inch');
  await page.goBack();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('9 in');
});

test('a round piece is measured by diameter or by wrap, and both have to agree', async ({ page }) => {
  await openStation(page, 'crew-flasks', 'measure');
  await type(page, 'Wrap', '251.3');
  await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('80 mm');
  await type(page, 'Wrap by string', '300');
  await expect(page.getByRole('alert')).toContainText('belongs to a diameter of 95.5 mm, not 80.0 mm');
  await page.getByLabel('Wrap by string').press('Escape');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('absurd and negative measures are refused with the way out, and nothing is lost', async ({ page }) => {
  await openStation(page, 'honour-board', 'measure');
  for (const bad of ['-40', '0.2', '90 km', '60000']) {
    await type(page, 'Width', bad);
    await expect(page.getByRole('alert')).toBeVisible();
    await page.getByLabel('Width', { exact: true }).press('Escape');
  }
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('600 mm');
});

test('a zone smaller than its margin is a stop with a cure', async ({ page }) => {
  await openStation(page, 'honour-board', 'measure');
  await type(page, 'Breathing room', '60');
  const room = reading(page, 'Room on head');
  await expect(room).toContainText('none left');
  await room.getByRole('button', { name: /Breathing room/ }).click();
  await expect(room).toHaveAccessibleName(/fine/);
});
