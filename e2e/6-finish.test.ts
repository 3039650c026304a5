import { expect, openStation, test } from './workshop';

test('the stencil on stained wood: steps with hands, waits corrected for the room, and cautions', async ({ page }) => {
  await openStation(page, 'honour-board', 'prepare');
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem');
  await expect(steps).toHaveCount(4);
  await expect(steps.first()).toContainText('Sand the oak board');
  await expect(steps.nth(2)).toContainText('Seal the oak board');
  await expect(steps.nth(2)).toContainText('4 h 21 until water stain dries before the sealer');
  await page.getByRole('link', { name: /^Paint/ }).click();
  await expect(steps).toHaveCount(5);
  await expect(steps.nth(3)).toContainText('22 min until paint half dry, 44 min at most');
  await expect(steps.first()).toContainText('Air the room');
  await page.getByLabel('Pull title').selectOption('dry');
  await expect(steps.nth(3)).toContainText('1 h 27 until paint dry');
  await page.getByLabel('Edge of title').selectOption('ground');
  await expect(steps.first()).toContainText("with the ground's own colour");
  await page.getByRole('link', { name: /^Place/ }).click();
  await expect(page.getByRole('heading', { name: 'Lay the stencil of title and mask around it' })).toBeVisible();
  await page.getByRole('link', { name: /^Cure/ }).click();
  await expect(page.getByText(/cures — /).first()).toBeVisible();
  await page.getByLabel('Sealer over the marks').selectOption('cloth');
  await expect(page.getByText(/is not made for stained wood/)).toBeVisible();
  await page.getByRole('button', { name: 'Take craft sealer' }).click();
  await expect(page.getByRole('heading', { name: 'Seal the marks on the oak board with craft sealer' })).toBeVisible();
});

for (const [job, title, caution] of [
  ['regatta-prizes', 'Wipe the 12 tapered pint glasses with alcohol', 'no flame or spark'],
  ['crew-flasks', 'Wipe the 6 powder-coated flasks', 'no flame or spark'],
  ['boat-numbers', 'Wash the 4', 'this plastic may craze'],
] as const) {
  test(`preparing ${job}`, async ({ page }) => {
    await openStation(page, job, 'prepare');
    await expect(page.getByRole('heading', { name: title })).toBeVisible();
    await expect(page.getByText(caution, { exact: false }).first()).toBeVisible();
  });
}

test('a damper room makes waits longer', async ({ page }) => {
  await openStation(page, 'honour-board', 'prepare');
  await page.goto('/#/workshop');
  await page.getByLabel('Humidity', { exact: true }).fill('75');
  await page.getByLabel('Humidity', { exact: true }).press('Enter');
  await page.goto('/#/job/honour-board/prepare');
  await expect(page.getByText('6 h 48 until water stain dries before the sealer')).toBeVisible();
  await page.goto('/#/workshop');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Humidity', { exact: true })).toHaveValue('61 %');
});
