import { atOwn, expect, kept, onlyJobs, openBench, openStation, test, textOf, type } from './workshop';

test('a full storage and a second tab lose nothing', async ({ page, context }) => {
  onlyJobs(page, ['honour-board']);
  await test.step('a full storage is told at once, the change goes into a file, and is kept when there is room again', async () => {
    await page.addInitScript(() => {
      const put = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
        if ((window as { full?: boolean }).full) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
        return put.apply(this, args);
      };
    });
    await openStation(page, 'honour-board', 'measure');
    await kept(page);
    await page.evaluate(() => ((window as { full?: boolean }).full = true));
    await type(page, 'Client', 'The club house committee');
    const band = page.getByRole('alert', { name: 'Not saved' });
    await expect(band).toContainText('no room left');
    await expect(band).toContainText('“Name the client”');
    const download = page.waitForEvent('download');
    await band.getByRole('button', { name: 'Save everything as a file' }).click();
    const text = await textOf(await download);
    expect(text).toContain('The club house committee');
    await expect(page.locator('[data-kept]')).toHaveText('not saved');
    await page.evaluate(() => ((window as { full?: boolean }).full = false));
    await band.getByRole('button', { name: 'Try again' }).click();
    await expect(band).toHaveCount(0);
    await expect(page.getByLabel('Client')).toHaveValue(/^The club house committee/);
    await kept(page);
    await page.reload();
    await expect(page.getByLabel('Client')).toHaveValue(/^The club house committee/);
  });
  await test.step('two tabs: one writes, the other reads, sees every change, and may take over', async () => {
    await openStation(page, 'honour-board', 'measure');
    const other = await context.newPage();
    await other.goto('/#/job/honour-board/measure');
    await expect(other.getByRole('status', { name: 'Another tab writes' })).toBeVisible();
    await type(page, 'Width', '590');
    await expect(other.getByLabel('Width', { exact: true })).toHaveValue('590 mm');
    await type(other, 'Width', '555');
    await expect(other.getByText('Nothing was changed: another tab is writing here.', { exact: false })).toBeVisible();
    await expect(other.getByLabel('Width', { exact: true })).toHaveValue('590 mm');
    await other.getByRole('button', { name: 'Take over' }).click();
    await expect(page.getByRole('status', { name: 'Another tab writes' })).toBeVisible();
    await type(other, 'Width', '555');
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('555 mm');
    await other.close();
    await expect(page.getByRole('status', { name: 'Another tab writes' })).toHaveCount(0);
    await type(page, 'Width', '600');
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('600 mm');
  });
});

test('a restore shows what would change, does it, and can be undone, over a reload too', async ({ page }) => {
  onlyJobs(page, ['boat-numbers']);
  await openBench(page);
  await page.goto('/#/workshop');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the workshop' }).click();
  const path = await (await download).path();
  // in the demo a file is opened as one's own workshop
  await page.getByLabel('Workshop file', { exact: true }).setInputFiles(path);
  await page.getByRole('button', { name: 'Do it' }).click();
  await atOwn(page);
  await page.goto('/#/job/boat-numbers/measure');
  await type(page, 'Name of the job', 'Boat numbers, changed');
  await type(page, 'How many in the set', '5');
  await page.goto('/#/workshop');
  await page.getByLabel('Workshop file', { exact: true }).setInputFiles(path);
  const ask = page.getByRole('alertdialog');
  await expect(ask).toContainText('1 job changes: Boat numbers');
  await expect(ask).not.toContainText('log entries');
  await ask.getByRole('button', { name: 'Do it' }).click();
  await page.goto('/#/jobs');
  await expect(page.getByRole('heading', { name: 'Boat numbers', exact: true })).toBeVisible();
  await kept(page);
  await page.reload();
  await page.goto('/#/workshop');
  await page.getByRole('button', { name: /^Bring back/ }).click();
  await expect(ask).toContainText('1 job changes: Boat numbers, changed');
  await ask.getByRole('button', { name: 'Do it' }).click();
  await kept(page);
  await page.goto('/#/jobs');
  await expect(page.getByRole('heading', { name: 'Boat numbers, changed' })).toBeVisible();
  await page.goto('/#/job/boat-numbers/measure');
  await expect(page.getByLabel('How many in the set')).toHaveValue('5');
  await page.getByTitle('Ctrl+Z', { exact: true }).click();
  await expect(page.getByLabel('How many in the set')).toHaveValue('4');
});

test.describe('emptied', () => {
  // a picture opened by itself is asked for its icon
  test.use({ tolerated: /404/ });
  test('a workshop that the browser threw away is missed, and comes back from its file', async ({ page }) => {
    await openBench(page);
    await page.goto('/#/workshop');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the workshop' }).click();
    const path = await (await download).path();
    await kept(page);
    await page.goto('/icon-192.png');
    await page.evaluate(() => new Promise((resolve) => (indexedDB.deleteDatabase('kolleta-demo').onsuccess = resolve)));
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'The workshop that was saved here is gone' })).toBeVisible();
    await page.getByLabel('Workshop file').setInputFiles(path);
    await expect(page.getByRole('button', { name: 'Done' }).first()).toBeEnabled();
  });
});

test('a browser that lets nothing be stored is told plainly', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'UnknownError');
    };
  });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Kolleta cannot save anything here' })).toBeVisible();
  await expect(page.getByText('Allow storage for this address')).toBeVisible();
});

test('a first start that cannot be written is told, and the next one begins again', async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      if (sessionStorage.getItem('room') === null) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await page.goto('/');
  await expect(page.getByRole('alert', { name: 'Not saved' })).toContainText('Begin with the demo workshop');
  expect(await page.evaluate(() => localStorage.getItem('openedDemo'))).toBeNull();
  await page.evaluate(() => sessionStorage.setItem('room', 'yes'));
  await page.reload();
  await expect(page.getByRole('button', { name: 'Done' }).first()).toBeEnabled();
  await expect.poll(() => page.evaluate(() => localStorage.getItem('openedDemo'))).toBe('yes');
});
