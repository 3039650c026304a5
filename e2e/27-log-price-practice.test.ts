import { readFileSync } from 'node:fs';
import { deflateSync } from 'node:zlib';
import { readCsv, readPdf } from '../core/test/foreignReaders';
import { expect, kept, onlyJobs, openBench, openStation, planned, test } from './workshop';

/** A small picture as a PNG file, one colour. */
function png(width: number, height: number): Buffer {
  const crcTable = Array.from({ length: 256 }, (_, n) => {
    let c = n;
    for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
    return c >>> 0;
  });
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const crc = body.reduce((sum, byte) => crcTable[(sum ^ byte) & 0xff]! ^ (sum >>> 8), 0xffffffff) ^ 0xffffffff;
    const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    check.writeUInt32BE(crc >>> 0);
    return Buffer.concat([length, body, check]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 2, 0, 0, 0], 8);
  const row = Buffer.concat([Buffer.from([0]), Buffer.alloc(width * 3, 120)]);
  const rows = deflateSync(Buffer.concat(Array.from({ length: height }, () => row)));
  return Buffer.concat([Buffer.from('89504e470d0a1a0a', 'hex'), chunk('IHDR', head), chunk('IDAT', rows), chunk('IEND', Buffer.alloc(0))]);
}

test('the log is read, put right and searched, and drills are done', async ({ page }) => {
  onlyJobs(page, ['crew-flasks']);
  await test.step('the log: what it taught and forgets, an entry put right with a picture, found again, read at the step, and out as a list', async () => {
    await openBench(page);
    // what went wrong and what was learnt stand at the step where they matter
    const now = page.getByRole('region', { name: 'Now' });
    await expect(now).toContainText('it went wrong: a part was lost');
    await now.getByText(/Computed 9 min, corrected by your log/).click();
    await expect(now).toContainText('Weeding takes you 1.23 times as long as computed, from 8 runs.');
    await page.getByRole('link', { name: 'Logbook' }).click();
    const taught = page.getByRole('region', { name: 'What your log has taught' });
    await taught.getByRole('button', { name: /^Forget: Weeding takes/ }).click();
    await expect(taught).not.toContainText('Weeding takes you');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(taught).toContainText('Weeding takes you 1.23 times');
    // an entry is put right, with a note and a picture
    await page.getByLabel('Find in the log').fill('sand buckets petrol weed');
    const entries = page.getByRole('list', { name: 'Log' }).getByRole('listitem');
    await expect(page.getByRole('status').filter({ hasText: /entr/ })).toHaveText('3 entries');
    await entries.first().getByRole('button', { name: 'Put right' }).click();
    await page.getByLabel('Minutes that it took').fill('abc');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText(
      '"abc" does not fit here. Type a number from 0.01 to 100,000 min. It can stay empty.',
    );
    await page.getByLabel('Minutes that it took').fill('26');
    await page.getByLabel('Note for the next time').fill('Lift the tails first.');
    await page.getByLabel('A picture for this entry').setInputFiles({ name: 'wing.png', mimeType: 'image/png', buffer: png(900, 600) });
    await expect(page.getByRole('img', { name: 'The picture that is added' })).toBeVisible();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await kept(page);
    await expect(entries.first()).toContainText('26 min');
    await expect(entries.first()).toContainText('Noted: Lift the tails first.');
    await expect(entries.first().getByRole('img', { name: /^Picture of:/ })).toBeVisible();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'For a spreadsheet (CSV)' }).click();
    const list = readCsv(readFileSync(await (await saved).path(), 'utf8'));
    expect(list.errors).toEqual([]);
    expect(list.rows.find((row) => row['note'] === 'Lift the tails first.')).toMatchObject({
      'took min': '26',
      timed: 'yes',
      kind: 'weed',
    });
    await page.reload();
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await now.getByText(/corrected by your log/).click();
    await expect(now).toContainText('you noted: Lift the tails first.');
  });
  await test.step('each drill: a handful of rounds, each with why, and a record that outlives a reload', async () => {
    await openBench(page);
    await page.getByRole('link', { name: 'Practice' }).click();
    const drills = page.getByRole('navigation', { name: 'Drills' }).getByRole('link');
    await expect(drills.first()).toBeVisible();
    const names = await drills.locator('span:first-child').allTextContents();
    expect(names).toHaveLength(7);
    for (const [i, name] of names.entries()) {
      await drills.nth(i).click();
      const drill = page.getByRole('region', { name, exact: true });
      const rounds = i === 0 ? 5 : 1;
      for (let round = 0; round < rounds; round++) {
        const slider = drill.getByRole('slider');
        if (await slider.count()) {
          await slider.press('ArrowRight');
          await drill.getByRole('button', { name: 'That is it' }).click();
        } else await drill.getByRole('button').first().click();
        await expect(drill.getByRole('status')).toHaveText(/^(Right|Not this time)\. .+\.$/);
        if (round < rounds - 1) await drill.getByRole('button', { name: 'The next one' }).click();
      }
      if (rounds === 5) await expect(drill).toContainText(/\d of 5 right\./);
    }
    await page.reload();
    await expect(drills.first()).toContainText(/Still guessed|of 5 right/);
    await page.getByRole('button', { name: 'Forget my record' }).click();
    await expect(drills.first()).not.toContainText(/Still guessed|right/);
  });
});

test('the price of a run, of an order and of another technique', async ({ page, context }) => {
  onlyJobs(page, ['bailer-buckets', 'door-hours']);
  await test.step('the price: for three, for one and for a run of 24, what would make it cheaper, tax, and a quote of the whole order as PDF', async () => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await openStation(page, 'bailer-buckets', 'price');
    const price = page.getByRole('region', { name: 'Price', exact: true });
    await expect(price).toContainText(/€\d+\.\d\d.*each, €\d+\.\d\d for all 3/);
    await expect(price).toContainText(/Made alone, one would be €\d+\.\d\d/);
    // a run of 24, and one of its length typed badly
    await expect(price).toContainText(/A run of .*would be €\d+\.\d\d each/s);
    const run = price.getByRole('textbox', { name: 'Pieces of another run' });
    await expect(run).toHaveValue('24');
    await run.fill('a dozen');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toBeVisible();
    await run.fill('12');
    await page.keyboard.press('Enter');
    await expect(price).toContainText(/would be €\d+\.\d\d each, €\d+\.\d\d in all/);
    const total = async () => Number(/each, €([\d.]+) for all/.exec((await price.textContent())!)![1]);
    const before = await total();
    await price.getByRole('textbox', { name: /^Blank piece/ }).fill('4.50');
    await page.keyboard.press('Enter');
    await price.getByRole('textbox', { name: 'Tax' }).fill('23 %');
    await page.keyboard.press('Enter');
    await expect(price).toContainText('of it tax');
    await expect(async () => expect(await total()).toBeGreaterThan(before + 13.5)).toPass();
    // a way that is cheaper is one press, and costs what it said
    const cheaper = page.getByRole('region', { name: 'What would make it cheaper' });
    await expect(cheaper.getByRole('listitem').first()).toContainText(/saves €\d+\.\d\d/);
    // an order of two jobs
    await price.getByRole('textbox', { name: 'Order', exact: true }).fill('Regatta week');
    await page.keyboard.press('Enter');
    await kept(page);
    await openStation(page, 'door-hours', 'price');
    await expect(price).toContainText(/for the piece/);
    await price.getByRole('textbox', { name: 'Order', exact: true }).fill('Regatta week');
    await page.keyboard.press('Enter');
    const client = page.getByRole('region', { name: 'For the client' });
    await expect(client).toContainText('With 1 other job of the order: Bailer buckets');
    await planned(page);
    await client.getByRole('button', { name: 'Copy as text' }).click();
    await expect(page.getByText('The quote is copied.')).toBeVisible();
    const text = await page.evaluate(() => navigator.clipboard.readText());
    expect(text).toMatch(/^Quote from Saltmarsh Marks\n/);
    expect(text).toMatch(/Bailer buckets: 3 .*buckets, decal in .*: €[\d.]+ each, €[\d.]+\n/);
    expect(text).toMatch(/Tax 23 %: €[\d.]+\nIn all: €[\d.]+\n/);
    const saved = page.waitForEvent('download');
    await client.getByRole('button', { name: 'Save as PDF' }).click();
    expect(await readPdf(readFileSync(await (await saved).path()))).toEqual({ pages: 1, title: 'Quote from Saltmarsh Marks' });
    // and the report of the job, drawn to scale
    const report = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the report as PDF' }).click();
    expect((await readPdf(readFileSync(await (await report).path()))).title).toBe('Door hours, report');
  });
  await test.step('which technique: all are planned for the piece, the reasons stand there, and one press makes it so', async () => {
    await openStation(page, 'door-hours', 'draw');
    const card = page.getByRole('region', { name: 'Ways to make it' });
    await card.getByRole('button', { name: 'Compare the techniques' }).click();
    await expect(card).toContainText(/is best for this piece/);
    await expect(card.getByRole('listitem').filter({ hasText: 'Heat-applied mark' })).toContainText('Nothing may be pressed on glass');
    await expect(card.getByRole('listitem').filter({ hasText: 'Etched mark' })).toContainText('It stays for good.');
    await card.getByRole('listitem').filter({ hasText: 'Etched mark' }).getByRole('button', { name: 'Make it so' }).click();
    await planned(page);
    await expect(page.getByRole('combobox', { name: 'Technique' })).toHaveValue('etched');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('combobox', { name: 'Technique' })).toHaveValue('decal');
  });
});
