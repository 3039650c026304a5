import { readFileSync } from 'node:fs';
import { atOwn, drop, expect, kept, onlyJobs, openBench, openStation, test, textOf, type } from './workshop';

test('a job is kept, undone, and goes out and in as a file', async ({ page }) => {
  onlyJobs(page, ['honour-board', 'boat-numbers']);
  await test.step('edits are kept over a reload, and undo and redo go over the whole job', async () => {
    await openStation(page, 'honour-board', 'measure');
    await type(page, 'Name of the job', 'Roll of honour');
    await type(page, 'Width', '640');
    await page.getByLabel('Ground', { exact: true }).selectOption('sealedWood');
    await kept(page);
    await page.reload();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('640 mm');
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel('Ground', { exact: true })).toHaveValue('stainedWood');
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('600 mm');
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel('Name of the job')).toHaveValue('Honour board');
    await page.keyboard.press('Control+y');
    await expect(page.getByLabel('Name of the job')).toHaveValue('Roll of honour');
  });
  await test.step('a job goes out to a file and comes back beside the other; one with an unknown field is refused with the place, and nothing changes', async () => {
    await openStation(page, 'boat-numbers', 'fit');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as job file' }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('boat-numbers.kolleta-job.json');
    const text = await textOf(file);
    await page.goto('/#/jobs');
    await drop(page, 'Job file', 'boat.json', text.replace('"client"', '"sparkle": 1, "client"'));
    await expect(page.getByRole('alert')).toContainText('/job/sparkle');
    await expect(page.getByRole('alert')).toContainText('Nothing was changed');
    await expect(page.getByRole('link', { name: /Boat numbers/ })).toHaveCount(1);
    await drop(page, 'Job file', 'boat.json', text);
    await expect(page.getByLabel('Name of the job')).toHaveValue('Boat numbers (from file)');
  });
});

test('the whole workshop goes out to a file and comes back', async ({ page }) => {
  await openBench(page);
  await page.goto('/#/workshop');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the workshop' }).click();
  const text = await textOf(await download);
  expect(JSON.parse(text)).toEqual(JSON.parse(readFileSync(new URL('../demo/workshop.json', import.meta.url), 'utf8')));
  // opened in the demo it is one's own workshop; emptied, it comes back from its file
  await drop(page, 'Workshop file', 'w.json', text);
  await expect(page.getByRole('alertdialog')).toContainText('The demo stays as it is');
  await page.getByRole('button', { name: 'Do it' }).click();
  await atOwn(page);
  await page.goto('/#/workshop');
  await page.getByRole('button', { name: 'Begin empty' }).click();
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(page.getByRole('heading', { name: 'Your own workshop' })).toBeVisible();
  await page.goto('/#/jobs');
  await expect(page.getByRole('heading', { name: 'No job is open' })).toBeVisible();
  await page.goto('/#/workshop');
  await drop(page, 'Workshop file', 'w.json', text);
  await expect(page.getByRole('alertdialog')).toContainText('13 jobs come');
  await page.getByRole('button', { name: 'Do it' }).click();
  await page.goto('/#/jobs');
  await expect(page.getByRole('link', { name: /Honour board/ })).toBeVisible();
});
