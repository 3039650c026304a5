import { expect, onlyJobs, openStation, reading, test } from './workshop';

test('finished with care: weeded, taped, prepared, painted, in a damper room too', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'honour-board', 'honour-board-2', 'crew-flasks', 'boat-numbers']);
  await test.step('weeding says what comes off and how long it takes', async () => {
    await openStation(page, 'regatta-prizes', 'weed');
    await expect(page.getByText('Weed out 13 bits per mark, 11 of them tiny', { exact: false }).first()).toBeVisible();
    await expect(page.getByText('12 marks, 3 min each', { exact: false })).toBeVisible();
    await openStation(page, 'honour-board', 'weed');
    await expect(page.getByText('Lift the letters out; the surround stays as the mask', { exact: false }).first()).toBeVisible();
  });
  await test.step('the grip window is drawn, a tape is chosen with its reason, uses and size', async () => {
    await openStation(page, 'regatta-prizes', 'tape');
    await expect(page.getByRole('img', { name: 'Grip window 0.5 to 6.8 newton on 25 mm' })).toBeVisible();
    await expect(page.getByText('uses 1 to 12')).toBeVisible();
    await expect(page.getByText('83 × 46 mm').first()).toBeVisible();
    await expect(page.getByText('Take Clear medium')).toBeVisible();
    await expect(page.getByText('One piece does 12 marks', { exact: false }).first()).toBeVisible();
  });
  await test.step('a stencil holds on raw wood for an hour, with low-tack tape and care; sealed it holds well', async () => {
    await openStation(page, 'honour-board-2', 'measure');
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
  await test.step('the stencil on stained wood: steps with hands, waits corrected for the room, and cautions', async () => {
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
  await test.step('each piece is prepared by what it is made of', async () => {
    for (const [job, title, caution] of [
      ['regatta-prizes', 'Wipe the 12 tapered pint glasses with alcohol', 'no flame or spark'],
      ['crew-flasks', 'Wipe the 6 powder-coated flasks', 'no flame or spark'],
      ['boat-numbers', 'Wash the 4', 'this plastic may craze'],
    ] as const) {
      await openStation(page, job, 'prepare');
      await expect(page.getByRole('heading', { name: title })).toBeVisible();
      await expect(page.getByText(caution, { exact: false }).first()).toBeVisible();
    }
  });
  await test.step('a damper room makes waits longer', async () => {
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
});
