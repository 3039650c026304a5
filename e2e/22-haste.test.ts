import { expect, kept, onlyJobs, openBench, openStation, planned, slowed, test, textOf, type } from './workshop';

test('what is typed, cut, fixed and pressed is the last change, at any pace, and counts once', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'regatta-prizes-2', 'bailer-buckets', 'crew-flasks']);
  await test.step('what is cut, printed and fixed goes by the last change, however quickly it is asked for', async () => {
    await openStation(page, 'regatta-prizes', 'cut');
    await planned(page);
    const save = async () => {
      const download = page.waitForEvent('download');
      await page.getByRole('button', { name: 'Save the cut file' }).click();
      return textOf(await download);
    };
    const old = await save();
    await page.getByRole('link', { name: /^Draw/ }).click();
    await page.getByLabel('Line 1', { exact: true }).fill('Avocet');
    // at once, by keys: the plan of the new words is not there yet
    await page.getByRole('link', { name: /^Cut/ }).click();
    const quick = await save();
    await planned(page);
    const settled = await save();
    expect(quick).toBe(settled);
    expect(quick).not.toBe(old);
    // a fix that was worked out for other words is worked out anew
    await page.getByRole('link', { name: /^Draw/ }).click();
    await planned(page);
    await page.getByRole('link', { name: /^Fit/ }).click();
    const fix = page.getByRole('button', { name: /^Thicken by/ }).first();
    await expect(fix).toBeVisible();
    await page.getByRole('link', { name: /^Draw/ }).click();
    await page.getByLabel('Line 1', { exact: true }).fill('Skua');
    await page.getByRole('link', { name: /^Fit/ }).click();
    await fix.click();
    await planned(page);
    await page.getByRole('link', { name: /^Draw/ }).click();
    await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('Skua');
    await expect(page.getByText(/Thickened by/)).toBeVisible();
  });
  await test.step('what is typed arrives whole, with the caret where it belongs, at any pace and on a slow machine', async () => {
    await openStation(page, 'regatta-prizes', 'draw');
    const field = page.getByLabel('Line 1', { exact: true });
    for (const [rate, delay] of [
      [1, 80],
      [6, 0],
    ] as const) {
      await slowed(page, rate);
      await field.fill('');
      await field.pressSequentially('Quill & Sons', { delay });
      for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowLeft');
      await page.keyboard.press('Backspace');
      await page.keyboard.type('ê+', { delay });
      const whole = 'Quillê+& Sons';
      expect([rate, delay, await field.evaluate((f: HTMLInputElement) => [f.value, f.selectionStart])]).toEqual([rate, delay, [whole, 7]]);
      await slowed(page, 1);
      // and so it stays when everything is saved and planned
      await planned(page);
      expect([rate, delay, await field.evaluate((f: HTMLInputElement) => [f.value, f.selectionStart])]).toEqual([rate, delay, [whole, 7]]);
    }
    await page.reload();
    await expect(field).toHaveValue('Quillê+& Sons');
  });
  await test.step('edits, keys and presses that come faster than they are saved all count, and count once', async () => {
    await openStation(page, 'bailer-buckets', 'measure');
    // words of one sentence, one after the other without waiting
    const bar = page.getByRole('region', { name: 'What marks keep off' });
    await bar.getByLabel('Add what is on the piece').selectOption('screw');
    await bar.getByLabel('Add what is on the piece').selectOption('hole');
    await type(page, 'Height', '240');
    await type(page, 'Breathing room', '7');
    await type(page, 'Name of the job', 'Bailers');
    const screw = page.getByRole('button', { name: /^screw\./ });
    const from = Number.parseFloat(await page.getByLabel('The screw from the middle').inputValue());
    for (let i = 0; i < 10; i++) await screw.press('ArrowRight');
    await kept(page);
    await expect(page.getByLabel('The screw from the middle')).toHaveValue(new RegExp(`^${from + 5}`));
    await expect(page.getByLabel('Take the hole away')).toBeVisible();
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue('240 mm');
    // breathing room that was typed stays, whatever is measured anew
    await type(page, 'Height', '120');
    await expect(page.getByLabel('Breathing room')).toHaveValue('7 mm');
    await expect(page.getByLabel('Name of the job')).toHaveValue('Bailers');
    // a double click is one press
    await page.goto('/#/job/regatta-prizes-2/cut');
    const cut = page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: 'Done' }).first();
    await page.goto('/#/stock');
    const roll = page.getByLabel('White gloss left');
    const before = Number.parseFloat((await roll.inputValue()).replace(',', ''));
    await page.goto('/#/job/regatta-prizes-2/cut');
    const taken = Number.parseFloat(await page.locator('dt:has-text("film taken") + dd').innerText());
    await cut.dblclick();
    await expect(page.getByText(/^Done: cut/)).toBeVisible();
    await planned(page);
    await page.goto('/#/stock');
    await expect
      .poll(async () => Math.round(before - Number.parseFloat((await roll.inputValue()).replace(',', ''))))
      .toBe(Math.round(taken));
    // and of the step in hand, and of no other
    await page.goto('/#/');
    const now = page.getByRole('region', { name: 'Now', exact: true });
    const heading = await now.getByRole('heading').innerText();
    await now.getByRole('button', { name: 'Done' }).dblclick();
    await expect(page.getByText(`Done: ${heading[0]!.toLowerCase()}${heading.slice(1)}`)).toBeVisible();
    await planned(page);
    await page.goto('/#/logbook');
    const log = page.getByRole('list', { name: 'Log' }).getByRole('listitem');
    await expect(log.first()).toContainText(heading);
    await expect(log.nth(1)).toContainText('Cut');
  });
});

test.describe('set aside', () => {
  // why a job was set aside stands in the console, for those who mend it
  test.use({ tolerated: /^Set aside: toString/ });
  test('a job that nobody can plan is set aside and named, everything else lives, and it can be deleted and brought back', async ({
    page,
  }) => {
    await openBench(page);
    await planned(page);
    // as an older Kolleta, or somebody's hand, might have saved it
    await page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const open = indexedDB.open('kolleta-demo');
          open.onerror = () => reject(open.error);
          open.onsuccess = () => {
            const jobs = open.result.transaction('jobs', 'readwrite').objectStore('jobs');
            const get = jobs.get('crew-flasks');
            get.onsuccess = () => {
              const bad = structuredClone(get.result) as { id: string; name: string; list?: unknown; marks: { artwork: unknown }[] };
              bad.id = 'toString';
              bad.name = 'Odd one';
              delete bad.list;
              bad.marks[0]!.artwork = {
                kind: 'drawing',
                name: 'x',
                leftOut: [],
                parts: [
                  {
                    id: 'p',
                    colour: '#000000',
                    fill: 'nonzero',
                    path: [
                      ['M', [0, 0]],
                      ['C', [1, 1]],
                    ],
                  },
                ],
              };
              jobs.put(bad).onsuccess = () => {
                open.result.close();
                resolve();
              };
            };
          };
        }),
    );
    await page.reload();
    await expect(page.getByRole('region', { name: 'Keep an eye on' })).toContainText('Odd one: Set aside');
    await expect(page.getByRole('heading', { name: 'Weed 6 × crew name' })).toBeVisible();
    await page.goto('/#/job/regatta-prizes/cut');
    await expect(page.getByRole('button', { name: 'Save the cut file' })).toBeEnabled();
    await page.goto('/#/job/toString/draw');
    await expect(page.getByRole('alert', { name: 'Set aside' })).toContainText('cannot be worked out');
    await page.getByRole('button', { name: 'Delete the job' }).click();
    await page.getByRole('button', { name: 'Delete it' }).click();
    await expect(page.getByRole('heading', { name: 'Odd one' })).toHaveCount(0);
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Odd one' })).toBeVisible();
    await expect(page.getByText('Set aside: it cannot be worked out.')).toBeVisible();
  });
});

test('a database that is thrown away under an open tab, and a page that crashes, have lost nothing that was shown as saved', async ({
  page,
  context,
}) => {
  onlyJobs(page, ['honour-board']);
  await test.step('a database that is thrown away under an open tab is noticed, and put back whole with what was changed since', async () => {
    await openStation(page, 'honour-board', 'measure');
    await type(page, 'Client', 'The club');
    await kept(page);
    await page.evaluate(() => new Promise((resolve) => (indexedDB.deleteDatabase('kolleta-demo').onsuccess = resolve)));
    const band = page.getByRole('alert', { name: 'Not saved' });
    await expect(band).toContainText('thrown away');
    await type(page, 'Width', '555');
    await expect(band).toContainText('“Measure the piece”');
    const download = page.waitForEvent('download');
    await band.getByRole('button', { name: 'Save everything as a file' }).click();
    expect(await textOf(await download)).toContain('"width": 555');
    await band.getByRole('button', { name: 'Put it back' }).click();
    await expect(band).toHaveCount(0);
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('555 mm');
    await kept(page);
    await page.reload();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('555 mm');
    await expect(page.getByLabel('Client')).toHaveValue('The club');
  });
  await test.step('a page that crashes in the middle of edits has lost none that it showed as kept', async () => {
    onlyJobs(page, ['honour-board']);
    await page.goto('/#/job/honour-board/measure');
    for (const n of [1, 2, 3]) {
      await page.getByLabel('Client').fill(`edit ${n}`);
      await page.getByLabel('Client').press('Enter');
      await expect(page.getByLabel('Client')).toHaveValue(`edit ${n}`);
      await kept(page);
    }
    const session = await context.newCDPSession(page);
    void session.send('Page.crash').catch(() => undefined);
    await page.waitForEvent('crash');
    const again = await context.newPage();
    await again.goto('/#/job/honour-board/measure');
    await expect(again.getByLabel('Client')).toHaveValue('edit 3');
  });
});
