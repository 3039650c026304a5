import { spawnSync } from 'node:child_process';
import { expect, kept, onlyJobs, openStation, planned, reading, test, type } from './workshop';

test('pressed, etched, reverse masks, cards, what is gathered, own steps, tape for all marks', async ({ page }) => {
  onlyJobs(page, [
    'pennant',
    'trophy-bowl',
    'crew-flasks',
    'honour-board',
    'honour-board-2',
    'honour-board-3',
    'tankards',
    'regatta-prizes',
    'boat-numbers',
  ]);
  await test.step('a pennant is pressed: what the sheet of the film says is kept with the film, and what the cloth does not stand is stopped', async () => {
    await openStation(page, 'pennant', 'paint');
    await expect(page.getByRole('link', { name: /^Press/ })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Tape|^Place/ })).toHaveCount(0);
    const press = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Press club mark', exact: true }) });
    await expect(press).toContainText('150 °C, 12 seconds');
    await expect(press).toContainText('The plate burns');
    await type(page, 'Temperature for Brick heat film', '300');
    await expect(page.getByRole('alert')).toContainText('no heat for a press');
    await type(page, 'Temperature for Brick heat film', '170');
    await expect(press).toContainText('170 °C, 12 seconds');
    await page.getByRole('link', { name: /^Measure/ }).click();
    await page.getByLabel('Ground').selectOption({ label: 'polyester cloth' });
    await planned(page);
    await page.getByRole('link', { name: /^Press/ }).click();
    await expect(reading(page, 'Heat')).toHaveAccessibleName(/stop/);
    await page.getByRole('link', { name: /^Cut/ }).click();
    await expect(page.getByText('film carrier side down')).toBeVisible();
    await expect(page.getByText('mirrored, for they are pressed on face down')).toBeVisible();
    await page.goto('/#/stock');
    await page.getByRole('button', { name: 'Change Brick heat film' }).click();
    await expect(page.getByLabel('Temperature for Brick heat film')).toHaveValue('170 °C');
  });
  await test.step('a bowl is etched for as long as its cream says, and may be eaten from', async () => {
    await openStation(page, 'trophy-bowl', 'paint');
    await expect(page.getByRole('link', { name: /^Etch/ })).toBeVisible();
    await type(page, 'Minutes of cream on trophy mark', '3');
    const dwell = reading(page, 'Time of the cream');
    await expect(dwell).toHaveAccessibleName(/watch/);
    await dwell.getByRole('button', { name: 'Leave it on for 10 min' }).click();
    await expect(dwell).toHaveAccessibleName(/fine/);
    await expect(page.getByText('Gloves and goggles on').first()).toBeVisible();
    await page.getByRole('link', { name: /^Cure/ }).click();
    await expect(page.getByRole('region', { name: 'Care card' })).toContainText('stands food, washing up and the dishwasher');
  });
  await test.step('every flask has a card of its own, on paper that a reader reads', async () => {
    await openStation(page, 'crew-flasks', 'cure');
    await expect(page.getByText('6 cards on')).toBeVisible();
    await page.getByLabel('Paper').selectOption('Letter');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as PDF' }).click();
    const { error, stdout: text } = spawnSync('pdftotext', [await (await download).path(), '-'], { encoding: 'utf8' });
    if (error) throw new Error('This test needs pdftotext. Install it (Debian: apt-get install poppler-utils), then run it again.');
    expect(text.match(/Saltmarsh Marks/g)).toHaveLength(6);
    expect(text).toMatch(/Hand wash only/);
  });
  await test.step('what a job needs is gathered and ticked off, own steps are added, moved and kept, and the week has its list', async () => {
    await openStation(page, 'honour-board', 'prepare');
    const gather = page.getByRole('region', { name: 'Gather' });
    await gather.getByText(/more are there/).click();
    const film = gather.getByRole('checkbox', { name: /Stencil film/ });
    await film.click();
    await expect(film).toBeChecked();
    await page.getByLabel('Add a trimming').selectOption({ label: 'Brass hooks' });
    await type(page, 'How much Brass hooks', '8');
    await expect(gather.getByText(/only 5 pieces left, buy 3 pieces/)).toBeVisible();
    const own = page.getByRole('region', { name: 'Steps of your own' });
    await own.getByLabel('Add a step').selectOption('Distress the edges');
    await expect(own.getByLabel('What to do')).toHaveCount(1);
    await own.getByLabel('Add a step').selectOption('Tie on the trimmings');
    await expect(own.getByLabel('What to do')).toHaveCount(2);
    await own.getByRole('button', { name: 'Move Tie on the trimmings' }).focus();
    await page.keyboard.press('Space');
    await expect(page.getByText('In its own place.')).toBeAttached();
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('In the place of: Distress the edges.')).toBeAttached();
    await page.keyboard.press('Space');
    await expect(own.getByLabel('What to do').first()).toHaveValue('Tie on the trimmings');
    // a name that nobody can read whole stays within its card, and so does the page
    const first = own.getByLabel('What to do').first();
    await first.fill(`Tie on the trimmings ${'and one more bow '.repeat(9)}`);
    await first.press('Enter');
    await planned(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await first.fill('Tie on the trimmings');
    await first.press('Enter');
    await own.getByRole('button', { name: 'Keep for the next such piece' }).click();
    await expect(page.getByText('Kept for the next piece of stained wood.')).toBeVisible();
    await planned(page);
    await page.reload();
    await gather.getByText(/more are there/).click();
    await expect(film).toBeChecked();
    await page.goto('/#/gather');
    const week = page.getByRole('region', { name: 'This week' });
    await expect(week.getByRole('checkbox', { name: /Brass hooks/ })).toBeVisible();
    await expect(week).toContainText('not in your stock list');
    await page.goto('/#/job/honour-board/cure');
    await expect(page.getByRole('heading', { name: 'Tie on the trimmings' })).toBeVisible();
  });
  await test.step('a stencil becomes a reverse mask: all around is painted, and the letters are pulled', async () => {
    await openStation(page, 'honour-board-2', 'draw');
    await page.getByLabel('Technique').selectOption({ label: 'reverse mask' });
    await planned(page);
    await page.getByRole('link', { name: /^Paint/ }).click();
    await expect(page.getByText('all around it, edges too')).toBeVisible();
    await expect(page.getByRole('heading', { name: /^Pull the \d+ letters of title/ })).toBeVisible();
    await page.getByLabel('Tool for title').selectOption('spray');
    await expect(page.getByText('sprayed from straight above').first()).toBeVisible();
  });
  await test.step('tape for all marks is planned together, and placing is chosen', async () => {
    await openStation(page, 'tankards', 'tape');
    await page.getByText(/^Tape for all marks together/).click();
    await page.getByLabel('Tape for when').selectOption('all');
    await expect(page.getByRole('img', { name: /pieces of tape, to scale/ })).toBeVisible();
    await expect(page.getByText(/prize mark of Regatta prizes/).first()).toBeVisible();
    await page.goto('/#/job/boat-numbers/place');
    const stages = page.getByRole('region', { name: 'Placing number' });
    // on the back of a clear plate: turned over first, then the five of the hinge
    await expect(stages.getByRole('listitem')).toHaveCount(6);
    await expect(stages.getByRole('listitem').nth(1)).toContainText('above the bottom edge');
    await page.getByLabel('Placing of number').selectOption('hand');
    await expect(stages.getByRole('listitem')).toHaveCount(4);
    await planned(page);
    await page.getByRole('link', { name: /^Tape/ }).click();
    await expect(page.getByText('number is put down by hand, without tape.')).toBeVisible();
    await page.getByRole('button', { name: 'Lift it with tape' }).click();
    await expect(page.getByRole('heading', { name: 'The grip window' })).toBeVisible();
    await page.getByLabel('How White gloss is taped').selectOption('faceDown');
    await expect(page.getByRole('list', { name: 'Steps' })).toContainText('sticky side up');
    // what the maker always leaves out is a watch with its way back
    await page.goto('/#/job/honour-board-3/prepare');
    await page.getByLabel('sanded before it is painted').selectOption('no');
    await expect(page.getByText('Left out', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Do it after all' }).click();
    await expect(page.getByText('Left out', { exact: true })).toBeHidden();
    await kept(page);
  });
});
