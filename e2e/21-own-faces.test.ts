import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { drop, expect, kept, onlyJobs, openStation, planned, reading, test } from './workshop';

const files = resolve(import.meta.dirname, '../node_modules/@fontsource/montserrat/files');
const woff = readFileSync(resolve(files, 'montserrat-latin-400-italic.woff'));
const variable = readFileSync(
  resolve(files, '../../../@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2'),
);

/** A collection of one bare font, twice. */
function collectionOf(bare: Buffer): Buffer {
  const head = Buffer.alloc(20);
  head.write('ttcf');
  [0x10000, 2, 20, 20].forEach((word, i) => head.writeUInt32BE(word, 4 + 4 * i));
  const font = Buffer.from(bare);
  for (let i = 0; i < font.readUInt16BE(4); i++) font.writeUInt32BE(font.readUInt32BE(12 + 16 * i + 8) + head.length, 12 + 16 * i + 8);
  return Buffer.concat([head, font]);
}

test('fonts of one’s own, and one for a name in Arabic', async ({ page }) => {
  await onlyJobs(page, ['honour-board', 'crew-flasks']);
  await test.step('a face of one’s own, however it is packed, sets words, is kept over a reload, and others are refused with the way out', async () => {
    await openStation(page, 'honour-board', 'draw');
    const field = page.getByLabel('Face file', { exact: true });
    const face = page.getByLabel('Font of line 1');
    await drop(page, 'Face file', 'broken.ttf', 'no face at all');
    await expect(page.getByRole('alert')).toContainText('“broken.ttf” is not a font that can be read');
    const outline = page.locator('main svg path[fill-rule="evenodd"]').first();
    await planned(page);
    const before = await outline.getAttribute('d');
    await field.setInputFiles({ name: 'Packed slant.woff', mimeType: 'font/woff', buffer: woff });
    await expect(page.getByText('Packed slant is among your own fonts')).toBeVisible();
    await face.selectOption({ label: 'Packed slant' });
    await expect(face.locator('option:checked')).toHaveText('Packed slant');
    await expect(outline).not.toHaveAttribute('d', before!);
    await planned(page);
    const slanted = await outline.getAttribute('d');
    await kept(page);
    await page.reload();
    await expect(face.locator('option:checked')).toHaveText('Packed slant');
    await expect(outline).toHaveAttribute('d', slanted!);
    // one that can be drawn in several weights has its weight in the sentence
    await field.setInputFiles({ name: 'Heavy.woff2', mimeType: 'font/woff2', buffer: variable });
    await face.selectOption({ label: 'Heavy' });
    await expect(page.getByLabel('Weight of line 1').locator('option:checked')).toHaveText('very bold');
    await expect(outline).not.toHaveAttribute('d', slanted!);
    await planned(page);
    const heavy = await outline.getAttribute('d');
    await page.getByLabel('Weight of line 1').selectOption({ label: 'light' });
    await expect(outline).not.toHaveAttribute('d', heavy!);
    // of a collection one is chosen
    const bare = readFileSync(resolve(import.meta.dirname, '../core/faces/generated/hershey-sans.otf'));
    await field.setInputFiles({ name: 'Two.ttc', mimeType: 'font/collection', buffer: collectionOf(bare) });
    const offered = page.getByRole('group', { name: 'Fonts of the collection' });
    await expect(offered).toContainText('The file holds 2 fonts');
    await offered.getByRole('button').first().click();
    await expect(page.getByText(/Kolleta Hershey Sans.* is among your own fonts/)).toBeVisible();
    // a letter that it lacks is named
    await page.getByLabel('Line 1', { exact: true }).fill('Ω');
    await expect(reading(page, /^Missing letters/).first()).toContainText('Ω');
  });
  await test.step('a name in Arabic is set in a font that has it, from right to left and joined', async () => {
    await openStation(page, 'crew-flasks', 'draw');
    const line = page.getByLabel('Line 1', { exact: true });
    await line.fill('بحر');
    const missing = reading(page, /^Missing letters/).first();
    await expect(missing).toContainText('ب');
    await missing.getByRole('button', { name: 'Use a font that has them' }).click();
    await expect(page.getByLabel('Font of line 1').locator('option:checked')).toHaveText('Cairo, also Arabic');
    await expect(reading(page, /^Missing letters/)).toHaveCount(0);
    // the three letters join: one body, and the dot below the first
    await page.getByRole('button', { name: 'Take line 2 away' }).click();
    await expect(page.getByText('2 separate parts, 0 insides')).toBeVisible();
    await expect(line).toHaveCSS('direction', 'rtl');
    await kept(page);
  });
});
