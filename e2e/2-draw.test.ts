import { gzipSync } from 'node:zlib';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { drop, expect, onlyJobs, openStation, reading, test } from './workshop';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40"><g transform="translate(5 5)"><rect width="50" height="30" fill="#0e5a61"/><circle cx="25" cy="15" r="9" fill="#ffffff"/></g><text>left out</text><script>document.title = "ran"</script></svg>';

test('lines, drawings and letters that are missing; what cannot be read is refused, and the mark stays', async ({ page }) => {
  await onlyJobs(page, ['crew-flasks', 'crew-flasks-2', 'boat-numbers', 'tankards']);
  await test.step('an SVG that is broken, empty, too large or none is refused with a sentence', async () => {
    for (const [name, file, says] of [
      ['broken', '<svg><rect width="9"', /not a whole SVG/],
      ['a PDF', '%PDF-1.7', /is a PDF, which is not read here.*save it as SVG/],
    ] as const) {
      await openStation(page, 'crew-flasks', 'draw');
      // from the disk, as a person takes it: a large one need not go through the driver
      const path = join(mkdtempSync(join(tmpdir(), 'svg-')), 'bad.svg');
      writeFileSync(path, file);
      await page.getByLabel('Drawing or picture', { exact: true }).setInputFiles(path);
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
});

test('drawings become film, colour by colour; shades and gradients are the maker’s to change', async ({ page }) => {
  await onlyJobs(page, ['boat-numbers', 'boat-numbers-2']);
  await test.step('an SVG drawing becomes film, colour by colour; what is left out is named and nothing runs', async () => {
    await openStation(page, 'boat-numbers', 'draw');
    await page.getByRole('button', { name: 'petrol backing' }).click();
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
});

const SHADED =
  '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="60mm" viewBox="0 0 80 60"><linearGradient id="g"><stop offset="0" stop-color="#0e5a61"/><stop offset="1" stop-color="#d98e16"/></linearGradient><ellipse cx="42" cy="50" rx="34" ry="6" opacity=".25"/><path d="M5 40C20 5 60 5 75 40Z" fill="url(#g)"/><circle cx="40" cy="26" r="9" fill="#fff"/></svg>';
