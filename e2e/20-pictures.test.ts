import { deflateSync } from 'node:zlib';
import { expect, kept, onlyJobs, openStation, reading, test, type } from './workshop';
import type { Page } from '@playwright/test';

/** A PNG that the page itself draws. */
async function picture(page: Page, draw: string, width = 800, height = 600): Promise<Buffer> {
  const data = await page.evaluate(
    ([code, w, h]) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [w as number, h as number];
      const g = canvas.getContext('2d')!;
      g.fillStyle = '#ffffff';
      g.fillRect(0, 0, canvas.width, canvas.height);
      // the drawing is the test's own
      (code as string).split(';').forEach((step) => {
        const [kind, colour, ...n] = step.trim().split(/\s+/);
        if (!kind) return;
        g.fillStyle = colour!;
        g.beginPath();
        const v = n.map(Number);
        if (kind === 'disc') g.arc(v[0]!, v[1]!, v[2]!, 0, 2 * Math.PI);
        else for (let i = 0; i < v.length; i += 2) g.lineTo(v[i]!, v[i + 1]!);
        g.fill();
      });
      return canvas.toDataURL('image/png').split(',')[1]!;
    },
    [draw, width, height] as const,
  );
  return Buffer.from(data, 'base64');
}

/** A grey picture of any size, as a PNG. */
function greyPng(width: number, height: number): Buffer {
  const chunk = (kind: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(kind), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length);
    body.copy(out, 4);
    out.writeUInt32BE(crc32(body), body.length + 4);
    return out;
  };
  const size = Buffer.alloc(13);
  size.writeUInt32BE(width);
  size.writeUInt32BE(height, 4);
  size[8] = 8;
  const rows = Buffer.alloc((width + 1) * height, 128);
  for (let y = 0; y < height; y++) rows[y * (width + 1)] = 0;
  const begins = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([begins, chunk('IHDR', size), chunk('IDAT', deflateSync(rows)), chunk('IEND', Buffer.alloc(0))]);
}
/** The check of a PNG's chunks (ISO/IEC 15948, annex D). */
function crc32(bytes: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let k = 0; k < 8; k++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}

test('pictures are traced, drawings of layers come in, and photos give the outline of a piece and of an offcut', async ({ page }) => {
  onlyJobs(page, ['tankards', 'tankards-2', 'boat-numbers']);
  await test.step('a picture is traced into colours, with what can be chosen beside it', async () => {
    await openStation(page, 'tankards', 'draw');
    const png = await picture(page, 'disc #a03020 250 300 150; disc #1f5060 560 300 120; disc #000000 700 60 3');
    await page.getByLabel('Drawing or picture', { exact: true }).setInputFiles({ name: 'badge.png', mimeType: 'image/png', buffer: png });
    // its two colours are found by themselves
    await expect(page.getByText('What would be cut, 2 colours')).toBeVisible();
    await type(page, 'Colours to trace', '1');
    await expect(page.getByText('What would be cut, 1 colour')).toBeVisible();
    await page.getByLabel('Which side is the mark').selectOption('no');
    await page.getByLabel('Which side is the mark').selectOption('yes');
    await type(page, 'Colours to trace', '2');
    await expect(page.getByText('What would be cut, 2 colours')).toBeVisible();
    await page.getByRole('button', { name: 'Take this trace' }).click();
    await expect(page.getByText(/badge\.png is in: 2 shapes/)).toBeVisible();
    await expect(page.getByLabel(/^Film for #/)).toHaveCount(2);
    await page.getByRole('button', { name: 'Take it apart' }).click();
    await page.getByRole('button', { name: /^Part 1,/ }).press('Enter');
    await page.getByRole('button', { name: 'Leave them out' }).click();
    await expect(page.getByLabel(/^Film for #/)).toHaveCount(1);
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByLabel(/^Film for #/)).toHaveCount(2);
    await page
      .getByLabel('Drawing or picture', { exact: true })
      .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no') });
    await expect(page.getByRole('alert')).toContainText('cannot be read as a picture');
    await page
      .getByLabel('Drawing or picture', { exact: true })
      .setInputFiles({ name: 'thread.png', mimeType: 'image/png', buffer: greyPng(1, 65_000) });
    await expect(page.getByRole('alert')).toContainText('its sides have to be between');
    // a few bytes that say they are a picture of ten gigabytes
    const huge = greyPng(8, 8);
    huge.writeUInt32BE(60_000, 16);
    huge.writeUInt32BE(60_000, 20);
    await page.getByLabel('Drawing or picture', { exact: true }).setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: huge });
    await expect(page.getByRole('alert')).toContainText('says that it is 60000 by 60000 pixels');
  });
  await test.step('a DXF drawing comes in, in inches and by its layers; an open one is refused with the way out', async () => {
    await openStation(page, 'tankards-2', 'draw');
    const dxf = (entity: string) => Buffer.from(['0', 'SECTION', '2', 'ENTITIES', entity, '0', 'ENDSEC', '0', 'EOF', ''].join('\n'));
    const field = page.getByLabel('Drawing or picture', { exact: true });
    await field.setInputFiles({ name: 'open.dxf', mimeType: 'application/dxf', buffer: dxf('0\nLINE\n8\n0\n10\n0\n20\n0\n11\n9\n21\n9') });
    await expect(page.getByRole('alert')).toContainText('no closed outline');
    await field.setInputFiles({ name: 'disc.dxf', mimeType: 'application/dxf', buffer: dxf('0\nCIRCLE\n8\n0\n10\n0\n20\n0\n40\n25') });
    await expect(page.getByText('disc.dxf is in: 1 shape.')).toBeVisible();
    const inches = '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n';
    const layers = dxf('0\nCIRCLE\n8\nBuoy\n10\n0\n20\n0\n40\n0.5\n0\nCIRCLE\n8\nBell\n10\n1.5\n20\n0\n40\n0.25').toString();
    await field.setInputFiles({ name: 'inches.dxf', mimeType: 'application/dxf', buffer: Buffer.from(inches + layers) });
    await expect(page.getByText(/inches\.dxf is in: 1 shape, drawn 57\.\d mm × 25\.4 mm/)).toBeVisible();
    await page.getByLabel('What films go by').selectOption('layers');
    await expect(page.getByLabel('Film for Buoy')).toBeVisible();
    await page.getByLabel('Film for Bell').selectOption('ground');
    await expect(page.getByText('1 separate part, 0 insides')).toBeVisible();
    await page.getByLabel('What films go by').selectOption('colours');
    await expect(page.getByText('2 separate parts, 0 insides')).toBeVisible();
  });
  await test.step('a photo with a sheet of paper measures the piece, gives its outline and shows the mark on it', async () => {
    await openStation(page, 'boat-numbers', 'measure');
    // straight from above, 2 pixels a mm: an A4 sheet, and a plate of 150 by 100 mm
    const png = await picture(page, 'poly #dddddd 60 60 654 60 654 480 60 480; poly #334455 700 100 1000 100 1000 300 700 300', 1100, 560);
    await page.getByLabel('Photo of the piece', { exact: true }).setInputFiles({ name: 'plate.png', mimeType: 'image/png', buffer: png });
    const photo = page.getByRole('group', { name: 'Photo plate.png' });
    await expect(photo).toBeVisible();
    const to = async (x: number, y: number) => {
      const place = await photo.evaluate(
        (svg, [px, py]) => {
          const p = new DOMPoint(px, py).matrixTransform((svg as SVGSVGElement).getScreenCTM()!);
          return [p.x, p.y] as const;
        },
        [x, y] as const,
      );
      return place;
    };
    const drag = async (from: readonly [number, number], end: readonly [number, number]) => {
      await page.mouse.move(...from);
      await page.mouse.down();
      await page.mouse.move(...end, { steps: 4 });
      await page.mouse.up();
    };
    for (const [name, x, y] of [
      ['Upper left', 60, 60],
      ['Upper right', 654, 60],
      ['Lower right', 654, 480],
      ['Lower left', 60, 480],
    ] as const) {
      const handle = (await page.getByRole('button', { name: `${name} corner. Drag it` }).boundingBox())!;
      await drag([handle.x + handle.width / 2, handle.y + handle.height / 2], await to(x, y));
    }
    await page.getByRole('button', { name: '2 Measure' }).click();
    await drag(await to(700, 200), await to(1000, 200));
    const said = page.getByText(/It measures/);
    await expect(said).toContainText(/1(49|50)(\.\d)? mm/);
    await page.getByRole('button', { name: '3 Outline' }).click();
    // the ground runs over the photo's edge; the plate's own edge is found
    await page.mouse.click(...(await to(20, 20)));
    await expect(page.getByRole('alert')).toContainText('runs over the edge of the photo');
    await page.mouse.click(...(await to(850, 200)));
    const found = page.getByRole('button', { name: /^Take this outline, 1(49|50)(\.\d)? mm by (99|100)(\.\d)? mm$/ });
    await expect(found).toBeVisible();
    // and so it is on the photo redrawn from straight above
    const asTaken = await photo.locator('image').getAttribute('href');
    await page.getByRole('button', { name: 'See it from straight above' }).click();
    await expect(photo.locator('image')).not.toHaveAttribute('href', asTaken!);
    await expect(found).toBeVisible();
    await page.getByRole('button', { name: 'As it was taken' }).click();
    await found.click();
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue(/^(99|100)(\.\d)? mm/);
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await page.getByRole('button', { name: '3 Outline' }).click();
    await page.getByLabel('How the outline is taken').selectOption('pressed point by point');
    for (const [x, y] of [
      [700, 100],
      [1000, 100],
      [1000, 300],
      [700, 300],
    ] as const)
      await page.mouse.click(...(await to(x, y)));
    await page.getByRole('button', { name: 'Close the outline (4 points)' }).click();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue(/1(49|50)(\.\d)? mm/);
    await kept(page);
    await page.getByRole('link', { name: /^Fit/ }).click();
    await expect(page.getByRole('img', { name: /^The marks on plate\.png/ })).toBeVisible();
    await expect(reading(page, 'Size · number')).toBeVisible();
    await page.getByRole('link', { name: /^Measure/ }).click();
    await page.getByRole('button', { name: 'On its photo' }).click();
    await drag(await to(60, 60), await to(700, 520));
    await expect(page.getByRole('alert')).toContainText('cross');
  });
  await test.step('the outline of an offcut is taken from a photo; the photo is not kept, and it can be undone', async () => {
    await page.goto('/#/stock');
    const film = page.getByRole('listitem').filter({ hasText: 'Signal amber' });
    await film.getByRole('button', { name: 'Change' }).click();
    await film.getByText('Its outline', { exact: true }).click();
    // 1.6 pixels a mm: an A4 sheet just where the handles begin, and a piece of film with a corner cut off
    const png = await picture(
      page,
      'poly #dddddd 356 252 832 252 832 588 356 588; poly #d98e16 900 300 1140 300 1140 700 980 700 900 540',
      1188,
      840,
    );
    await film.getByLabel('Photo of the offcut', { exact: true }).setInputFiles({ name: 'offcut.png', mimeType: 'image/png', buffer: png });
    const photo = film.getByRole('group', { name: 'Photo offcut.png' });
    await photo.scrollIntoViewIfNeeded();
    const place = await photo.evaluate((svg) => {
      const p = new DOMPoint(1050, 500).matrixTransform((svg as SVGSVGElement).getScreenCTM()!);
      return [p.x, p.y] as const;
    });
    await page.mouse.click(...place);
    const take = film.getByRole('button', { name: /^Take this outline, 1(49|50)(\.\d)? mm by 2(49|50)(\.\d)? mm$/ });
    await take.click();
    await expect(photo).toHaveCount(0);
    // few enough corners to be moved by hand
    await expect.poll(() => film.getByRole('button', { name: /^Corner \d/ }).count()).toBeLessThan(9);
    await expect(film.getByLabel(/^The offcut, 1(47|48|49|50)(\.\d)? mm by 2(47|48|49|50)(\.\d)? mm/)).toBeVisible();
    await kept(page);
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await expect(film.getByRole('button', { name: /^Corner \d/ })).toHaveCount(6);
  });
});
