import { expect, kept, onlyJobs, openBench, openStation, reading, test, type } from './workshop';
const LEAF = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 60"><path d="M0 30C20 -10 80 -10 100 30C80 70 20 70 0 30Z"/></svg>';

test('pieces are measured, marks are sized, dragged and judged, whatever the piece is like, in millimetres and in inches', async ({
  page,
}) => {
  onlyJobs(page, [
    'crew-flasks',
    'honour-board',
    'regatta-prizes',
    'regatta-prizes-2',
    'boat-numbers',
    'boat-numbers-2',
    'boat-numbers-3',
    'bailer-buckets',
    'trophy-bowl',
    'tankards',
  ]);
  await test.step('a round piece is measured by diameter or by wrap, and both have to agree', async () => {
    await openStation(page, 'crew-flasks', 'measure');
    await type(page, 'Wrap', '251.3');
    await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('80 mm');
    await type(page, 'Wrap by string', '300');
    await expect(page.getByRole('alert')).toContainText('belongs to a diameter of 95.5 mm, not 80.0 mm');
    await page.getByLabel('Wrap by string').press('Escape');
    await expect(page.getByRole('alert')).toHaveCount(0);
  });
  await test.step('a zone smaller than its margin is a stop with a fix', async () => {
    await openStation(page, 'honour-board', 'measure');
    await type(page, 'Breathing room', '60');
    const room = reading(page, 'Room on head');
    await expect(room).toContainText('none left');
    await room.getByRole('button', { name: /Breathing room/ }).click();
    await expect(room).toHaveAccessibleName(/fine/);
  });
  await test.step('a tapered piece is measured at both ends, laid flat as a part of a ring, and its mark is bent to read level', async () => {
    await openStation(page, 'regatta-prizes-2', 'measure');
    await expect(page.getByText(/its straight ends meet at the back/)).toBeVisible();
    await type(page, 'Wrap at the rim', '283');
    await expect(page.getByLabel('Diameter at the rim')).toHaveValue(/^90\.1 mm$/);
    await type(page, 'Diameter at the rim', '88');
    // its wrap follows when it is saved: the next measure is checked against it
    await expect(page.getByLabel('Wrap at the rim')).toHaveValue('276.5 mm');
    await type(page, 'Upright height', '148');
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue('148.6 mm');
    await type(page, 'Height', '12');
    await expect(page.getByRole('alert')).toContainText('cannot reach from 61.0 mm at the foot to 88.0 mm at the rim');
    await page.getByLabel('Height', { exact: true }).press('Escape');
    await openStation(page, 'regatta-prizes-2', 'fit');
    const bend = reading(page, 'Bend');
    await expect(bend).toHaveAccessibleName(/fine/);
    await page.getByLabel('Bend', { exact: true }).selectOption('no');
    await expect(bend).toHaveAccessibleName(/watch/);
    await bend.getByRole('button', { name: /read level/ }).click();
    await expect(bend).toHaveAccessibleName(/fine/);
  });
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
  await test.step('the outline of a piece comes from a drawing', async () => {
    await openStation(page, 'boat-numbers-2', 'measure');
    await page
      .getByLabel('Drawing of the piece', { exact: true })
      .setInputFiles({ name: 'leaf.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(LEAF) });
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue('120 mm');
    await kept(page);
  });
  await test.step('what is on a piece is kept off: the mark is fitted beside it, and goes where it fits', async () => {
    await openStation(page, 'boat-numbers-3', 'measure');
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
  await test.step('a blank becomes a measured piece, in millimetres or inches', async () => {
    await openBench(page);
    await page.getByRole('link', { name: 'Jobs', exact: true }).click();
    await page.getByRole('button', { name: 'Plastic', exact: true }).click();
    await expect(page.getByRole('button', { name: /polypropylene bin/ })).toContainText('Lets go of film that has to stay');
    await page.getByRole('button', { name: 'Metal', exact: true }).click();
    await page.getByRole('button', { name: /painted tin sign/ }).click();
    await expect(page).toHaveURL(/\/measure$/);
    await type(page, 'Width', '9 in');
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('228.6 mm');
    await type(page, 'Height', '140');
    await type(page, 'How many in the set', '6');
    await page.getByLabel('Finish').selectOption('satin');
    await type(page, 'Breathing room', '12');
    await expect(reading(page, 'Room on front')).toContainText('204.6 mm × 116 mm');
    await page.goto('/#/workshop');
    await page.getByLabel('Lengths').selectOption('inch');
    await page.goBack();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('9 in');
  });
});
