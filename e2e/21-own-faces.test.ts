import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { drop, expect, kept, openStation, reading, test } from './workshop';
import { unpackWoff } from './unpackWoff';

const files = resolve(import.meta.dirname, '../node_modules/@fontsource/montserrat/files');
const woff = readFileSync(resolve(files, 'montserrat-latin-400-italic.woff'));
const woff2 = readFileSync(resolve(files, 'montserrat-latin-400-italic.woff2'));

test('a face of one’s own, TTF or WOFF, sets words, is kept over a reload, and others are refused with the way out', async ({ page }) => {
  await openStation(page, 'honour-board', 'draw');
  const field = page.getByLabel('Face file', { exact: true });
  const face = page.getByLabel('Font of line 1');
  await drop(page, 'Face file', 'broken.ttf', 'no face at all');
  await expect(page.getByRole('alert')).toContainText('“broken.ttf” is not a font that can be read');
  await field.setInputFiles({ name: 'packed.woff2', mimeType: 'font/woff2', buffer: woff2 });
  await expect(page.getByRole('alert')).toContainText('Take the TTF, OTF or WOFF of the same font');
  const outline = page.locator('main svg path[fill-rule="evenodd"]').first();
  const before = await outline.getAttribute('d');
  await field.setInputFiles({ name: 'Own slant.ttf', mimeType: 'font/ttf', buffer: unpackWoff(woff) });
  await expect(page.getByText('Own slant is among your own fonts')).toBeVisible();
  await face.selectOption({ label: 'Own slant' });
  await expect(outline).not.toHaveAttribute('d', before!);
  const slanted = await outline.getAttribute('d');
  // the same face as WOFF draws the same letters
  await field.setInputFiles({ name: 'Packed slant.woff', mimeType: 'font/woff', buffer: woff });
  await face.selectOption({ label: 'Packed slant' });
  await expect(face.locator('option:checked')).toHaveText('Packed slant');
  await expect(outline).toHaveAttribute('d', slanted!);
  await kept(page);
  await page.reload();
  await expect(face.locator('option:checked')).toHaveText('Packed slant');
  await expect(outline).toHaveAttribute('d', slanted!);
  // a letter that it lacks is named
  await page.getByLabel('Line 1', { exact: true }).fill('Ж');
  await expect(reading(page, /^Missing letters/).first()).toContainText('Ж');
});
