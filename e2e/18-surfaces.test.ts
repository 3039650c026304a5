import { expect, kept, onlyJobs, openStation, reading, test, type } from './workshop';

const LEAF = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 60"><path d="M0 30C20 -10 80 -10 100 30C80 70 20 70 0 30Z"/></svg>';

test('pieces of any outline and surface, what is on them, and several zones', async ({ page }) => {
  await onlyJobs(page, ['boat-numbers', 'boat-numbers-2', 'bailer-buckets', 'trophy-bowl', 'tankards']);
  await test.step('the outline of a piece comes from a drawing', async () => {
    await openStation(page, 'boat-numbers', 'measure');
    await page
      .getByLabel('Drawing of the piece', { exact: true })
      .setInputFiles({ name: 'leaf.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(LEAF) });
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue('120 mm');
    await kept(page);
  });
  await test.step('what is on a piece is kept off: the mark is fitted beside it, and goes where it fits', async () => {
    await openStation(page, 'boat-numbers-2', 'measure');
    await page.getByLabel('Add what is on the piece').selectOption('screw');
    await type(page, 'Width of the screw', '30');
    await type(page, 'Height of the screw', '30');
    const screw = page.getByRole('button', { name: /^screw\. Drag it/ });
    await screw.focus();
    await page.keyboard.press('Shift+ArrowRight');
    await expect(page.getByLabel('The screw from the middle')).toHaveValue('5 mm');
    await page.getByRole('link', { name: /^Fit/ }).click();
    await page.getByRole('button', { name: 'number', exact: true }).click();
    const over = reading(page, 'Size · number');
    await expect(over).toHaveAccessibleName(/stop/);
    await over.getByRole('button', { name: /^As large as fits/ }).click();
    await expect(over).toHaveAccessibleName(/fine/);
  });
  await test.step('eight terns evenly round a bucket, the seam in a gap', async () => {
    await openStation(page, 'bailer-buckets', 'fit');
    await expect(page.getByLabel('Copies', { exact: true })).toHaveValue('round');
    await type(page, 'Number of copies', '6');
    await expect(reading(page, 'Size')).toHaveAccessibleName(/fine/);
    await page.getByRole('link', { name: /^Cut/ }).click();
    // six terns on three buckets
    await expect(page.getByText(/18 /).first()).toBeVisible();
  });
  await test.step('a belly: how far film follows, and where the tape is snipped', async () => {
    await openStation(page, 'trophy-bowl', 'fit');
    const snips = reading(page, 'Tape on the belly');
    await expect(snips).toHaveAccessibleName(/watch/);
    await expect(snips).toContainText(/\d+ snips, [\d.]+ mm long/);
    await page.getByLabel('Size', { exact: true }).selectOption('largest');
    // letters bend where they are narrow: it is the tape that has to be snipped
    await expect(reading(page, 'On the belly')).toHaveAccessibleName(/fine/);
  });
  await test.step('a tankard with its handle, turned to the side, is seen with the mark in two films in register', async () => {
    await openStation(page, 'tankards', 'fit');
    await expect(reading(page, 'Contrast')).toContainText('stands out from Petrol behind it');
    await page.getByLabel('Turn the piece').fill('60');
    await expect(page.getByLabel('Turn the piece')).toHaveValue('60');
    await expect(page.getByRole('group', { name: 'stoneware tankards as it is seen' })).toBeVisible();
  });
  await test.step('several zones, each with its marks; one that holds a mark stays', async () => {
    await openStation(page, 'tankards', 'measure');
    await page.getByRole('button', { name: 'Add a zone' }).click();
    await expect(page.getByLabel('Name of the zone')).toHaveValue('Zone 2');
    await type(page, 'Name of the zone', 'Back');
    await type(page, 'Zone from the middle', '100');
    await expect(page.getByRole('button', { name: 'Take this zone away' })).toBeEnabled();
    await page.getByRole('button', { name: 'Front', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Take this zone away' })).toBeDisabled();
    await page.getByRole('link', { name: /^Fit/ }).click();
    await page.getByLabel('Zone', { exact: true }).selectOption('back');
    await expect(reading(page, 'Size')).toHaveAccessibleName(/fine|watch|stop/);
  });
});
