import { drop, expect, kept, onlyJobs, openStation, reading, test, textOf, type } from './workshop';

test('names from a list, changes in words, and terms of use', async ({ page }) => {
  onlyJobs(page, ['crew-flasks', 'tankards', 'tankards-2', 'door-hours']);
  await test.step('six names from a list, each fitted; one longer sets the size of all, or each is as large as fits', async () => {
    await openStation(page, 'crew-flasks', 'draw');
    const list = page.getByRole('list', { name: 'The list as it fits' });
    await expect(list.getByRole('listitem')).toHaveCount(6);
    await list.getByRole('button', { name: /Fionn/ }).click();
    await type(page, 'name of this piece', 'Maximiliana-Wilhelmina');
    await page.getByRole('link', { name: /^Fit/ }).click();
    const fitted = reading(page, 'The list fitted');
    await expect(fitted).toContainText('“Maximiliana-Wilhelmina · BOW SEAT” is the widest');
    await fitted.getByRole('button', { name: 'Each as large as fits' }).click();
    await expect(fitted).toHaveAccessibleName(/watch/);
    await expect(fitted).toContainText('“Maximiliana-Wilhelmina · BOW SEAT” has much smaller letters');
    await kept(page);
  });
  await test.step('a CSV of names becomes one piece a row', async () => {
    await openStation(page, 'tankards', 'draw');
    await drop(page, 'List file', 'crew.csv', 'name,boat\r\n"Byrne, Ada",Petrel\r\nOrla,Gannet\r\nFinn,Skua\r\n');
    await expect(page.getByRole('list', { name: 'The list as it fits' }).getByRole('listitem')).toHaveText([/Byrne, Ada/, /Orla/, /Finn/]);
    await expect(page.getByText('3 rows, 3 pieces')).toBeVisible();
    await page.goto('/#/job/tankards/cut');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: /Save the cut file/ }).click();
    // every name is an outline of its own, and nothing of other jobs is in the file
    expect((await textOf(await download)).match(/<g>/g)).toHaveLength(3);
  });
  await test.step('what is wanted of a mark is asked for in words, undone, and seen before it is done', async () => {
    await openStation(page, 'door-hours', 'draw');
    const count = page.getByText(/separate parts?, \d+ insides?/);
    const before = await count.innerText();
    await page.getByLabel('Add a change').selectOption('let the ground show through');
    await expect(count).not.toHaveText(before);
    await expect(page.getByText('larger, so that the ground shows')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(count).toHaveText(before);
    await page.getByLabel('Way of the words').selectOption('on an arch');
    await type(page, 'Arc, degrees', '90');
    await page.getByRole('button', { name: 'Inspect it' }).click();
    await expect(page.getByText(/\d+ pieces? of waste/)).toBeVisible();
  });
  await test.step('artwork on the shelf with private terms stops a job for sale', async () => {
    await openStation(page, 'tankards-2', 'draw');
    await page.getByLabel('Simple shape').selectOption('star');
    await page.getByRole('button', { name: 'Put star on the shelf' }).click();
    await page.getByLabel('Terms of star').selectOption('for private use');
    const terms = reading(page, 'Terms of use');
    await expect(terms).toHaveAccessibleName(/stop/);
    await page.getByLabel('Terms of star').selectOption('also for sale');
    await expect(terms).toHaveCount(0);
  });
});
