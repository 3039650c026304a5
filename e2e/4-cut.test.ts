import { addOffcut, expect, kept, onlyJobs, openStation, planned, reading, test, textOf, type } from './workshop';

test('film is laid out and saved for the cutter, laid tighter and by hand; an offcut is drawn', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'regatta-prizes-2', 'boat-numbers', 'bailer-buckets']);
  await test.step('marks are laid out tighter by their outlines; what was found is kept, cut and taken back', async () => {
    await openStation(page, 'bailer-buckets', 'cut');
    const card = page.getByRole('region', { name: 'Lay it out tighter' });
    const taken = page.getByRole('definition').first();
    const before = Number.parseFloat((await taken.textContent())!);
    await card.getByRole('button', { name: 'Lay it out tighter' }).click();
    await expect(card.getByRole('status')).toContainText('By their outlines');
    // until something shorter is found
    await expect.poll(async () => Number(await card.getByRole('progressbar').getAttribute('value'))).toBeGreaterThan(2);
    await card.getByRole('button', { name: 'Stop and keep the best' }).click();
    await expect(page.getByText(/^Kept: .* less film than before/)).toBeVisible();
    await expect.poll(async () => Number.parseFloat((await taken.textContent())!)).toBeLessThan(before);
    const tight = Number.parseFloat((await taken.textContent())!);
    await kept(page);
    await page.reload();
    await expect.poll(async () => Number.parseFloat((await taken.textContent())!)).toBe(tight);
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: /Save the cut file/ }).click();
    const text = await textOf(await download);
    expect(Number(/height="([\d.]+)mm"/.exec(text)![1])).toBeCloseTo(tight, 0);
    await card.getByRole('button', { name: 'Back to boxes' }).click();
    await expect.poll(async () => Number.parseFloat((await taken.textContent())!)).toBe(before);
  });
  await test.step('parts are laid by hand: dragged, moved and turned by keys; they stay while the others are laid tighter round them', async () => {
    await openStation(page, 'bailer-buckets', 'cut');
    const parts = page.getByRole('button', { name: /Arrow keys move it/ });
    await expect(parts).toHaveCount(24);
    // one at the beginning of the film, so that it is in nobody's way
    const low = await parts.evaluateAll((all) => all.map((one) => one.getBoundingClientRect().top));
    const part = parts.nth(low.indexOf(Math.max(...low)));
    const name = /^[^.]*?, \d+ of 24/.exec((await part.getAttribute('aria-label'))!)![0];
    const own = page.getByRole('button', { name: new RegExp(`^${name}[,.] `) });
    const placeOf = async () =>
      /matrix\((.*)\)/
        .exec((await own.getAttribute('transform'))!)![1]!
        .split(' ')
        .map(Number);
    const box = (await part.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 20, box.y + box.height / 2 - 12, { steps: 5 });
    await page.mouse.up();
    await expect(own).toHaveAccessibleName(/stays where it lies/);
    await expect(own).toHaveAttribute('aria-busy', 'false');
    // quick keys lose nothing
    await own.focus();
    for (let i = 0; i < 4; i++) await page.keyboard.press('t');
    await expect(own).toHaveAttribute('aria-busy', 'false');
    await planned(page);
    expect((await placeOf())[1]).toBeCloseTo(Math.sin(Math.PI / 3), 6);
    const laid = await placeOf();
    const card = page.getByRole('region', { name: 'Lay it out tighter' });
    await expect(card).toContainText('round the part that you laid yourself');
    await card.getByLabel('How parts may be turned').selectOption('freely');
    await card.getByRole('button', { name: 'Lay it out tighter' }).click();
    await expect.poll(async () => Number(await card.getByRole('progressbar').getAttribute('value'))).toBeGreaterThan(2);
    await card.getByRole('button', { name: 'Stop and keep the best' }).click();
    await expect(page.getByText(/^Kept: .* less film than before/)).toBeVisible();
    await planned(page);
    (await placeOf()).forEach((n, i) => expect(n).toBeCloseTo(laid[i]!, 6));
    // a part in its way that stays is not pushed
    // undo takes back what was done here, though layouts are the workshop's
    await own.focus();
    await page.keyboard.press('r');
    await expect.poll(async () => (await placeOf())[0]).toBeCloseTo(-laid[1]!, 6);
    await expect(own).toHaveAttribute('aria-busy', 'false');
    await planned(page);
    await page.keyboard.press('Control+z');
    await expect(page.getByText('Taken back: lay a part by hand.')).toBeVisible();
    await expect.poll(async () => (await placeOf())[0]).toBeCloseTo(laid[0]!, 6);
    await planned(page);
    // a button that is pressed twice at once turns twice
    const bar = page.getByRole('toolbar', { name: 'The part' });
    await own.focus();
    await bar.getByRole('button', { name: 'Turn by a quarter' }).dblclick();
    await expect.poll(async () => (await placeOf())[1]).toBeCloseTo(-laid[1]!, 6);
    await own.press('k');
    await expect(own).toHaveAccessibleName(/K keeps it here/);
    await expect(card.getByRole('button', { name: /^Let / })).toHaveCount(0);
  });
  await test.step('one layout a film, and an SVG cut file in mm that any reader takes', async () => {
    await openStation(page, 'regatta-prizes', 'cut');
    await expect(page.getByText('film taken')).toBeVisible();
    await expect(page.getByText('knife down')).toBeVisible();
    await expect(page.getByText('as they are read, not mirrored')).toBeVisible();
    await expect(page.getByText('Pull the surround and the insides away').first()).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: /Save the cut file/ }).click();
    const text = await textOf(await download);
    expect(text).toMatch(/width="300mm" height="[\d.]+mm"/);
    // Chromium is the foreign reader: it paints the file, and the outlines have the size that was planned
    const reader = await page.context().newPage();
    await reader.setContent(text.replace(/^<\?xml.*\?>/, ''));
    const boxes = await reader
      .locator('g')
      .evaluateAll((marks) => marks.map((g) => (g as SVGGElement).getBBox()).map((b) => [b.width, b.height]));
    // one path an outline, each closed
    for (const d of await reader.locator('path').evaluateAll((paths) => paths.map((path) => path.getAttribute('d')!))) {
      expect(d.match(/M/g)).toHaveLength(1);
      expect(d).toMatch(/Z$/);
    }
    expect(boxes).toHaveLength(12);
    for (const [width, height] of boxes) {
      expect(Math.max(width!, height!)).toBeCloseTo(66.7, 0);
      expect(Math.min(width!, height!)).toBeCloseTo(29.2, 0);
    }
    await reader.close();
  });
  await test.step('what is seen through is cut mirrored', async () => {
    await openStation(page, 'boat-numbers', 'cut');
    await page.getByRole('button', { name: 'Petrol', exact: true }).click();
    await expect(page.getByText('mirrored, for they are seen through the piece')).toBeVisible();
  });
  await test.step('too little film is a stop that offers another', async () => {
    await openStation(page, 'regatta-prizes-2', 'draw');
    await page.getByLabel('Film', { exact: true }).selectOption('harbour-blue');
    await page.getByRole('link', { name: /^Measure/ }).click();
    await page.getByLabel('How many in the set').fill('60');
    await page.getByLabel('How many in the set').press('Enter');
    await page.getByRole('link', { name: /^Cut/ }).click();
    const film = reading(page, 'Harbour blue');
    await expect(film).toHaveAccessibleName(/stop/);
    await film.getByRole('button').first().click();
    await expect(film).toHaveCount(0);
  });
  await test.step('an offcut is drawn in by its corners; sides that would cross are refused, and what it was comes back', async () => {
    await page.goto('/#/stock');
    const film = page.getByRole('listitem').filter({ hasText: 'Signal amber' });
    await film.getByRole('button', { name: 'Change' }).click();
    await film.getByText('Its outline', { exact: true }).click();
    const corner = film.getByRole('button', { name: /^Corner 3/ });
    const box = (await corner.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    await expect(film.getByLabel('Corner across')).not.toHaveValue('210 mm');
    // keys that come quickly lose nothing
    const before = Number.parseFloat(await film.getByLabel('Corner up').inputValue());
    await corner.focus();
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowUp');
    await expect(film.getByLabel('Corner up')).toHaveValue(`${before + 6} mm`);
    await film.getByRole('button', { name: /^Corner 1/ }).focus();
    await expect(film.getByLabel('Corner across')).toHaveValue('0 mm');
    await type(page, 'Corner across', '30 cm');
    await expect(page.getByText('The sides of the offcut would cross.')).toBeVisible();
    await film.getByRole('button', { name: 'Another corner after it' }).click();
    await expect(film.getByRole('button', { name: /^Corner \d/ })).toHaveCount(7);
    await film.getByRole('button', { name: 'Take it out' }).click();
    await expect(film.getByRole('button', { name: /^Corner \d/ })).toHaveCount(6);
    await kept(page);
    for (let i = 0; i < 9; i++) await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await corner.focus();
    await expect(film.getByLabel('Corner across')).toHaveValue('210 mm');
  });
});

test('an offcut holds only some, a name is cut again, a new blade is tried, and what is too long goes through in loads', async ({
  page,
}) => {
  onlyJobs(page, ['regatta-prizes', 'crew-flasks', 'bailer-buckets', 'bailer-buckets-2']);
  await test.step('an offcut that holds only some is cut from first; the others stay, for the roll', async () => {
    await openStation(page, 'regatta-prizes', 'cut');
    await addOffcut(page, '150', '130');
    await page.goto('/#/job/regatta-prizes/cut');
    const from = page.getByRole('group', { name: 'Cut from' });
    await expect(from).toContainText('From the roll,');
    await from.getByRole('button', { name: /holds 6 of 12/ }).click();
    await expect(from).toContainText('6 of 12 marks find room');
    // they move aside, and one more finds room
    const card = page.getByRole('region', { name: 'Lay it out tighter' });
    await expect(card).toContainText('It holds 6 of 12');
    await card.getByRole('button', { name: 'Look for room for more' }).click();
    await expect(card.getByRole('status')).toContainText(/It holds [7-9] of 12/);
    await card.getByRole('button', { name: 'Stop and keep the best' }).click();
    await expect(page.getByText(/^Kept: the offcut holds \d of 12 now/)).toBeVisible();
    await expect(card).toContainText(/It holds [7-9] of 12/);
    await card.getByRole('button', { name: 'As at first' }).click();
    await expect(card).toContainText('It holds 6 of 12');
    // laid by hand it stays so, and over the edge it does not go
    const part = page.getByRole('button', { name: /Arrow keys move it/ }).first();
    const placeOf = async () => (await part.getAttribute('transform'))!;
    const before = await placeOf();
    await part.focus();
    await page.keyboard.press('ArrowRight');
    await expect(part).toHaveAccessibleName(/stays where it lies/);
    await expect(part).toHaveAttribute('aria-busy', 'false');
    await planned(page);
    expect(await placeOf()).not.toBe(before);
    const byHand = await placeOf();
    await kept(page);
    await page.reload();
    await from.getByRole('button', { name: /holds 6 of 12/ }).click();
    await expect.poll(placeOf).toBe(byHand);
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: /Save the cut file/ }).click();
    expect((await textOf(await download)).match(/<g>/g)).toHaveLength(6);
    await page.getByRole('region', { name: 'Was it cut?' }).getByRole('button', { name: 'Well' }).click();
    await expect(page.getByText('The marks that found no room are still to cut.')).toBeVisible();
    await expect(page.getByText('Cut 6 marks on')).toBeVisible();
    await expect(from).toHaveCount(0);
    // a roll that is too narrow for them, and a sheet that is not
    await page.goto('/#/stock');
    await page.getByRole('button', { name: 'Change' }).first().click();
    await type(page, 'Width of the film', '45');
    await page.getByRole('button', { name: 'Add sheets' }).first().click();
    await planned(page);
    await page.goto('/#/job/regatta-prizes/cut');
    await expect(from).toContainText(/From the sheet, all of it\. The roll is too narrow/);
    await expect(page.getByText('All of it comes from the sheet, and nothing from the roll.')).toBeVisible();
    await expect(page.getByText('Cut 6 marks on')).toBeVisible();
  });
  await test.step('a lost name is cut again from a sheet, with the force that a test cut found; what is left goes into stock, and all of it back', async () => {
    await openStation(page, 'crew-flasks', 'weed');
    await page.getByRole('button', { name: 'A part was lost…' }).click();
    const dialog = page.getByRole('dialog', { name: 'What was lost' });
    await dialog.getByLabel('Which film of which mark').selectOption({ index: 1 });
    await dialog.getByRole('checkbox').nth(1).press(' ');
    await expect(dialog).toContainText(/1 of \d+ shapes lost/);
    await dialog.getByRole('button', { name: 'Cut it again' }).click();
    await expect(page.getByRole('heading', { name: /^Weed what was lost of/ })).toBeVisible();
    await page.getByRole('link', { name: /^Cut/ }).click();
    await expect(page.getByText('as it lies on the sheet: what was lost')).toBeVisible();
    const from = page.getByRole('group', { name: 'Cut from' });
    await expect(from).toContainText('From the sheet, all of it');
    await from.getByRole('button', { name: 'Roll' }).click();
    await expect(from).toContainText('From the roll,');
    await from.getByRole('button', { name: /^sheet 300 mm/ }).click();
    // the ladder: too little, then right
    const knife = page.getByRole('region', { name: 'Knife' });
    await knife.getByRole('button', { name: 'Make a test cut' }).click();
    await knife.getByLabel('Force of the test cut').fill('12');
    await knife.getByLabel('Force of the test cut').press('Enter');
    await knife.getByRole('button', { name: 'not through' }).click();
    await expect(knife.getByLabel('Force of the test cut')).toHaveValue('16');
    await knife.getByRole('button', { name: 'through, weeds clean' }).click();
    await expect(knife).toContainText(/force 16, right on/);
    await kept(page);
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'As HPGL' }).click();
    expect(await textOf(await download)).toContain('FS16;');
    const answer = page.getByRole('region', { name: 'Was it cut?' });
    await expect(answer).toContainText(/Keep what is left as an offcut/);
    await answer.getByRole('button', { name: 'Well' }).click();
    await expect(page.getByText('the sheet of Silver is used up, and what is left is kept in Stock')).toBeVisible();
    await page.goto('/#/stock');
    await expect(page.getByRole('img', { name: /^offcut/ })).toHaveCount(3);
    await expect(page.getByLabel('Silver left')).toHaveValue('838 mm');
    await page.getByRole('button', { name: 'Undo' }).last().click();
    await expect(page.getByRole('img', { name: /^offcut/ })).toHaveCount(2);
  });
  await test.step('a new blade wants a test cut, which is answered at its step; the rehearsal begins only with the film that the cut is for', async () => {
    await openStation(page, 'bailer-buckets', 'cut');
    const knife = page.getByRole('region', { name: 'Knife' });
    await knife.getByRole('button', { name: 'New blade' }).click();
    const step = page.getByRole('listitem').filter({ hasText: 'Test how ink matt cuts on the roll cutter' });
    await expect(step).toContainText('The blade is new');
    await step.getByRole('button', { name: 'How did it come out?' }).click();
    const dialog = page.getByRole('dialog', { name: /^How the test came out/ });
    await dialog.getByRole('button', { name: 'not through' }).click();
    await expect(dialog).toContainText('Film hangs on in places: more force.');
    await dialog.getByRole('button', { name: 'through, weeds clean' }).click();
    await expect(dialog).toHaveCount(0);
    await expect(step.getByRole('heading')).toHaveCSS('text-decoration-line', 'line-through');
    await expect(knife).toContainText(/force \d+, right on/);
    // another film lies in the cutter
    await knife.getByLabel('Film in the cutter').selectOption('petrol');
    await expect(knife.getByRole('status')).toContainText('This cut is for Ink matt');
    await page.getByRole('button', { name: /^Rehearse it/ }).click();
    await expect(page.getByRole('alert')).toContainText(/lies in the cutter, and this cut is for Ink matt/);
    await knife.getByRole('button', { name: 'Ink matt is loaded now' }).click();
    await page.getByRole('button', { name: /^Rehearse it/ }).click();
    const cutter = page.getByRole('region', { name: 'The cutter' });
    await expect(cutter).toContainText('Rehearsal on the simulated Roll cutter');
    await cutter.getByRole('button', { name: 'Stop' }).click();
    await cutter.getByRole('button', { name: 'Put it away' }).click();
    // the knife went through the liner of the film that was cut for real
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: /Save the cut file/ }).click();
    await saved;
    const answer = page.getByRole('region', { name: 'Was it cut?' });
    await answer.getByLabel(/^The liner is cut through too/).check();
    await answer.getByRole('button', { name: 'Well', exact: true }).click();
    await page.getByRole('link', { name: /^Weed/ }).click();
    await expect(page.getByRole('heading', { name: 'Back ink matt with tape, for its liner is cut' })).toBeVisible();
  });
  await test.step('what is longer than the cutter takes goes through in loads; cut files are taken in again at their size, and one that breaks off is not', async () => {
    await page.goto('/#/workshop');
    await page.getByLabel('Greatest length').first().fill('200 mm');
    await page.getByLabel('Greatest length').first().press('Enter');
    await kept(page);
    await openStation(page, 'bailer-buckets-2', 'cut');
    await expect(page.getByRole('group', { name: 'Loads' })).toContainText('It goes through in 2 loads');
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Load 2' }).click();
    await page.getByRole('button', { name: 'As HPGL' }).click();
    const file = await saving;
    expect(file.suggestedFilename()).toMatch(/load-2-of-2\.hpgl$/);
    const hpgl = await textOf(file);
    // each load is rehearsed by itself, and not booked
    await page.getByRole('button', { name: /^Rehearse it/ }).click();
    const cutter = page.getByRole('region', { name: 'The cutter' });
    await expect(cutter).toContainText('load 2 of 2');
    await cutter.getByRole('button', { name: 'Stop' }).click();
    await expect(cutter).toContainText('A load by itself is not booked');
    await cutter.getByRole('button', { name: 'Put it away' }).click();
    await expect(cutter).toHaveCount(0);
    await page.getByRole('link', { name: /^Draw/ }).click();
    const input = page.locator('input[type=file][accept*=".hpgl"]');
    await input.setInputFiles({
      name: 'old.hpgl',
      mimeType: 'text/plain',
      buffer: Buffer.from(hpgl.slice(0, hpgl.length * 0.6).replace(/,\d+;?$/, ',')),
    });
    await expect(page.getByRole('alert')).toContainText('is no cut file that can be read');
    await input.setInputFiles({ name: 'old.hpgl', mimeType: 'text/plain', buffer: Buffer.from(hpgl) });
    await expect(page.getByText(/^old\.hpgl is in: 1 shape, drawn [\d.]+ mm × [\d.]+ mm\.$/)).toBeVisible();
    await page.getByRole('link', { name: /^Fit/ }).click();
    const drawn = page.getByRole('button', { name: /^As drawn:/ });
    const width = /As drawn: ([\d.]+) mm/.exec((await drawn.textContent())!)![1];
    await drawn.click();
    await expect(page.getByLabel('Width of the mark')).toHaveValue(`${width} mm`);
    await expect(drawn).toHaveCount(0);
  });
});
