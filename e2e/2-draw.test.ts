import { gzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { drop, expect, kept, onlyJobs, openStation, planned, reading, test } from './workshop';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40"><g transform="translate(5 5)"><rect width="50" height="30" fill="#0e5a61"/><circle cx="25" cy="15" r="9" fill="#ffffff"/></g><text>left out</text><script>document.title = "ran"</script></svg>';
const SHADED =
  '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="60mm" viewBox="0 0 80 60"><linearGradient id="g"><stop offset="0" stop-color="#0e5a61"/><stop offset="1" stop-color="#d98e16"/></linearGradient><ellipse cx="42" cy="50" rx="34" ry="6" opacity=".25"/><path d="M5 40C20 5 60 5 75 40Z" fill="url(#g)"/><circle cx="40" cy="26" r="9" fill="#fff"/></svg>';

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

test('lines, drawings, fonts and letters become film; what cannot be read is refused, and the mark stays', async ({ page }) => {
  onlyJobs(
    page,
    ['crew-flasks', 'crew-flasks-2', 'crew-flasks-3', 'boat-numbers', 'boat-numbers-2', 'tankards', 'honour-board'],
    (jobs) => {
      // where a number lies on the backing, what is left to the ground is under it
      const plate = jobs.find(({ id }) => id === 'boat-numbers')!;
      plate.marks = plate.marks.filter(({ name }) => name === 'petrol backing');
    },
  );
  await test.step('an SVG that is broken, empty, too large or none is refused with a sentence', async () => {
    for (const [name, file, says] of [
      ['broken', '<svg><rect width="9"', /not a whole SVG/],
      ['a PDF', '%PDF-1.7', /is a PDF, which is not read here.*save it as SVG/],
    ] as const) {
      await openStation(page, 'crew-flasks', 'draw');
      await drop(page, 'Drawing or picture', 'bad.svg', file);
      await expect(page.getByRole('alert'), name).toContainText(says);
      await expect(page.getByRole('alert')).toContainText('Nothing was changed');
      await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('{name}');
    }
  });
  await test.step('lines of text in shipped faces, spaced and aligned; touching letters become one outline', async () => {
    await openStation(page, 'crew-flasks', 'draw');
    await page.getByLabel('Line 1', { exact: true }).fill('minnow');
    await page.getByLabel('Font of line 1').selectOption('pacifico');
    await page.getByRole('button', { name: 'Take line 2 away' }).click();
    await expect(page.getByText('2 separate parts, 1 inside')).toBeVisible();
    const spacing = page.getByLabel('Letter spacing of line 1, percent');
    await spacing.fill('60');
    await spacing.press('Enter');
    await expect(page.getByText(/^[6-9] separate parts/)).toBeVisible();
    await page.getByLabel('Flip', { exact: true }).selectOption('yes');
    await expect(page.getByText('flipped left to right').first()).toBeAttached();
  });
  await test.step('a letter that the face lacks is named, with ways out', async () => {
    await openStation(page, 'crew-flasks-2', 'draw');
    await page.getByLabel('Line 1', { exact: true }).fill('Fionn 水');
    const missing = reading(page, 'Missing letters');
    await expect(missing).toContainText('“水”');
    await missing.getByRole('button', { name: 'Leave them out' }).click();
    await expect(missing).toHaveCount(0);
    await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('Fionn ');
  });
  await test.step('a drawing is dropped onto the sheet itself', async () => {
    await page.goto('/#/job/tankards/draw');
    await expect(page.getByText('The mark as it will be cut')).toBeVisible();
    const data = await page.evaluateHandle(() => {
      const transfer = new DataTransfer();
      transfer.items.add(
        new File(['<svg xmlns="http://www.w3.org/2000/svg"><circle cx="9" cy="9" r="8" fill="#d98e16"/></svg>'], 'buoy.svg', {
          type: 'image/svg+xml',
        }),
      );
      return transfer;
    });
    const sheet = page.getByText('The mark as it will be cut');
    await sheet.dispatchEvent('dragover', { dataTransfer: data });
    await sheet.dispatchEvent('drop', { dataTransfer: data });
    await expect(page.getByText('buoy.svg is in: 1 shape.')).toBeVisible();
    await expect(page.getByText('1 separate part, 0 insides')).toBeVisible();
  });
  await test.step('an SVG drawing becomes film, colour by colour; what is left out is named and nothing runs', async () => {
    await openStation(page, 'boat-numbers', 'draw');
    await drop(page, 'Drawing or picture', 'window.svg', SVG);
    await expect(page.getByText('window.svg is in: 2 shapes, each of its 2 colours from the nearest film.')).toBeVisible();
    await expect(reading(page, /Left out of window\.svg/)).toContainText('live text');
    await expect(reading(page, /Left out of window\.svg/)).toContainText('a script, which was not run');
    expect(await page.title()).toBe('Kolleta');
    await expect(page.getByLabel('Film for #0e5a61')).toHaveValue('petrol');
    await expect(page.getByLabel('Film for #ffffff')).toHaveValue('white-gloss');
    await expect(page.getByText('2 separate parts, 1 inside')).toBeVisible();
    // both from one film: the window would be gone
    await page.getByLabel('Film for #ffffff').selectOption('petrol');
    const melted = reading(page, 'Colours that melt together');
    await expect(melted).toContainText('#ffffff on #0e5a61');
    await melted.getByRole('button', { name: 'Leave #ffffff to the ground' }).click();
    await expect(melted).toHaveCount(0);
    await expect(page.getByLabel('Film for #ffffff')).toHaveValue('ground');
    await expect(page.getByText('1 separate part, 1 inside')).toBeVisible();
    // three colours onto three films
    const three = ['#ffffff', '#0e5a61', '#d98e16']
      .map((colour, i) => `<rect x="${i * 30}" width="20" height="20" fill="${colour}"/>`)
      .join('');
    await drop(page, 'Drawing or picture', 'flags.svg', `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 20">${three}</svg>`);
    await expect(page.getByText('flags.svg is in: 3 shapes, each of its 3 colours from the nearest film.')).toBeVisible();
    await expect(page.getByLabel(/^Film for #/)).toHaveCount(3);
    // thin lines that meet are where the knife goes
    const lines = '<path d="M0 0H40"/><path d="M40 0V30"/><path d="M40 30L0 0.01"/><circle cx="60" cy="15" r="9"/>';
    await drop(
      page,
      'Drawing or picture',
      'lines.svg',
      `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="30mm" viewBox="0 0 80 30" fill="none" stroke="#000" stroke-width=".1">${lines}</svg>`,
    );
    await expect(page.getByText(/lines\.svg is in: .*its thin lines taken for outlines/)).toBeVisible();
    await expect(page.getByText('2 separate parts, 0 insides')).toBeVisible();
    await page.getByLabel('What thin lines are').selectOption('strips');
    await expect(page.getByText(/separate parts, [1-9] insides?/)).toBeVisible();
    await page.getByLabel('What thin lines are').selectOption('outlines');
    await expect(page.getByText('2 separate parts, 0 insides')).toBeVisible();
  });
  await test.step('shades of a drawing are left out and told, gradients are flat; both are the maker’s to change, and to undo', async () => {
    await openStation(page, 'boat-numbers-2', 'draw');
    await page.getByRole('button', { name: 'petrol backing' }).click();
    await drop(page, 'Drawing or picture', 'sail.svgz', gzipSync(SHADED));
    await expect(page.getByText(/sail\.svgz is in: 3 shapes.*drawn 70 mm/)).toBeVisible();
    await expect(page.getByText('2 separate parts, 1 inside')).toBeVisible();
    await expect(reading(page, /Left out of sail/)).toContainText('one gradient is flat now');
    const shades = reading(page, 'Shapes that one sees through');
    await expect(shades).toContainText('1 shape under 50 % is taken for shade and left out');
    await shades.getByRole('button', { name: 'Cut all of them solid' }).click();
    await expect(shades).toHaveCount(0);
    await expect(page.getByLabel('Film for #000000')).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(shades).toBeVisible();
    await page.getByLabel('Colour of gradients').selectOption('middle');
    await expect(page.getByLabel('Film for #74743c')).toBeVisible();
  });
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
    await openStation(page, 'crew-flasks-3', 'draw');
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
