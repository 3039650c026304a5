import { expect, openStation, reading, test } from './workshop';

test('weeding says what comes off and how long it takes', async ({ page }) => {
  await openStation(page, 'regatta-prizes', 'weed');
  await expect(page.getByText('Weed out 13 bits per mark, 11 of them tiny', { exact: false }).first()).toBeVisible();
  await expect(page.getByText('12 marks, 3 min each', { exact: false })).toBeVisible();
  await openStation(page, 'honour-board', 'weed');
  await expect(page.getByText('Lift the letters out; the surround stays as the mask', { exact: false }).first()).toBeVisible();
});

test('the grip window is drawn, a tape is chosen with its reason, uses and size', async ({ page }) => {
  await openStation(page, 'regatta-prizes', 'tape');
  await expect(page.getByRole('img', { name: 'Grip window 0.5 to 6.8 newton on 25 mm' })).toBeVisible();
  await expect(page.getByText('uses 1 to 12')).toBeVisible();
  await expect(page.getByText('83 × 46 mm').first()).toBeVisible();
  await expect(page.getByText('Take Clear medium')).toBeVisible();
  await expect(page.getByText('One piece does 12 marks', { exact: false }).first()).toBeVisible();
});

test('a stencil holds on raw wood for an hour, with low-tack tape and care; sealed it holds well', async ({ page }) => {
  await openStation(page, 'honour-board', 'measure');
  await page.getByLabel('Ground', { exact: true }).selectOption('rawWood');
  await page.getByLabel('Finish').selectOption('openGrain');
  await page.getByLabel('Coat', { exact: true }).selectOption('none');
  await page.getByLabel('Sealer', { exact: true }).selectOption('no');
  await page.getByRole('link', { name: /^Tape/ }).click();
  const grip = reading(page, 'Tape for Stencil film');
  await expect(grip).toHaveAccessibleName(/watch/);
  await expect(page.getByText('Take Low-tack paper').first()).toBeVisible();
  await grip.getByRole('button', { name: 'Seal it first' }).click();
  await expect(grip).toHaveAccessibleName(/fine/);
});
