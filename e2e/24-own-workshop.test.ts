import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { beginOwn, drop, expect, kept, onlyJobs, openBench, openStation, planned, reading, test, textOf, type } from './workshop';

/** Every place of a workshop, by its address. */
const PLACES = ['/', '/jobs', '/week', '/quick', '/stock', '/logbook', '/practice', '/workshop'];
const STATIONS = ['measure', 'draw', 'fit', 'cut', 'weed', 'tape', 'prepare', 'place', 'paint', 'cure', 'log', 'price'];

const landed = (name: string): string => readFileSync(new URL(`../core/test/landed/${name}`, import.meta.url), 'utf8');

test.describe('in Chicago', () => {
  test.use({ timezoneId: 'America/Chicago', locale: 'en-US' });
  test('a stranger goes from an empty workshop to a cut file in twelve actions, and nothing of the demo is left', async ({ page }) => {
    await openBench(page);
    const actions: (() => Promise<unknown>)[] = [
      () => page.getByRole('button', { name: 'My own workshop' }).click(),
      () => page.getByRole('button', { name: 'evenings and weekends' }).click(),
      () => page.getByRole('button', { name: /^Table cutter/ }).click(),
      () => page.getByRole('button', { name: /^Navy gloss/ }).click(),
      () => page.getByRole('button', { name: 'Medium clear tape' }).click(),
      () => page.getByRole('button', { name: 'Begin with my first mark' }).first().click(),
      () => page.getByLabel('Word').fill('Flour'),
      () => page.getByLabel('Piece').selectOption('storage jar'),
      () => type(page, 'Diameter', '4 1/4'),
      () => type(page, 'Height', '6 in'),
    ];
    for (const action of actions) await action();
    const download = page.waitForEvent('download');
    // the eleventh
    await page.getByRole('button', { name: 'Save the cut file' }).click();
    const svg = await textOf(await download);
    // a roll of 12 inches in a cutter of 12: laid out no wider
    expect(Number(/width="([\d.]+)mm"/.exec(svg)![1])).toBeLessThanOrEqual(305);
    await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('4 1/4 in');
    for (const place of PLACES) {
      await page.goto(`/#${place}`);
      await expect(page.getByRole('main')).not.toContainText(/One moment|Laying out/);
      await expect(page.getByRole('main')).not.toContainText(/demo workshop|Saltmarsh|Tern Point/i);
    }
    await page.goto('/#/workshop');
    await expect(page.getByLabel('Time zone')).toHaveValue('America/Chicago');
    await expect(page.getByLabel('Room temperature')).toHaveValue(/°F/);
    await expect(page.getByLabel('Hours on Monday')).toHaveValue('19:00–21:30');
    // the demo is visited and left: neither has anything of the other
    await page.getByRole('button', { name: 'Visit the demo' }).click();
    await expect(page.getByRole('heading', { name: 'Weed 6 × crew name' })).toBeVisible();
    await page.getByRole('button', { name: 'Leave the demo' }).click();
    await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
    await page.goto('/#/stock');
    await expect(page.getByRole('button', { name: 'Change Navy gloss' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Change White gloss' })).toHaveCount(0);
  });
});

test.describe('in Kolkata', () => {
  test.use({ timezoneId: 'Asia/Kolkata', locale: 'en-IN' });
  test('hours are drawn, dragged and typed in the own zone, and work outside them is work too', async ({ page }) => {
    // Wednesday 2 December 2026, 13:42 there
    await page.clock.setFixedTime(new Date('2026-12-02T08:12:00Z'));
    await beginOwn(page, ['Millimetres, °C', 'weekdays', /^Wide table cutter/, /^Navy gloss/, 'Medium clear tape']);
    await page.getByLabel('Word').fill('Chai');
    await page.getByRole('button', { name: 'Save it as a job' }).click();
    await planned(page);
    await page.goto('/#/workshop');
    await expect(page.getByText('where it is Wed 2 Dec 13:42 now')).toBeVisible();
    await type(page, 'Hours on Wednesday', '7pm-9pm');
    const from = page.getByRole('slider', { name: 'Wednesday, from' });
    await expect(from).toHaveAttribute('aria-valuetext', '19:00');
    await from.press('ArrowLeft');
    await expect(page.getByLabel('Hours on Wednesday')).toHaveValue('18:45–21:00');
    await type(page, 'Hours on Sunday', '9 to five');
    await expect(page.getByRole('alert')).toContainText('9-12:30');
    await page.getByLabel('Hours on Sunday').press('Escape');
    // a bar is drawn where there is none, with the mouse
    const sunday = page.getByLabel('Hours on Sunday').locator('xpath=../preceding-sibling::div[1]');
    const box = (await sunday.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + (box.width * 15) / 24, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    await expect(page.getByLabel('Hours on Sunday')).toHaveValue('12:00–15:00');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Hours on Sunday')).toHaveValue('off');
    // outside hours the next step waits for the evening, until somebody says that they are at work
    await page.goto('/#/');
    await planned(page);
    const now = page.getByRole('region', { name: 'Now', exact: true });
    await expect(now).toContainText('NEXT, Wed 2 Dec 18:45');
    await now.getByRole('button', { name: 'I am working now, for 2 h' }).click();
    await expect(now).toContainText('NOW ·');
    await page.goto('/#/workshop');
    await type(page, 'Time zone', 'chicago');
    await expect(page.getByText('where it is Wed 2 Dec 02:12 now')).toBeVisible();
    await page.getByRole('button', { name: /^Take (Kolkata|Calcutta)/ }).click();
    await expect(page.getByLabel('Time zone')).toHaveValue(/Kolkata|Calcutta/);
    await type(page, 'Currency', '₹');
    await expect(page.getByLabel(/^An hour of work/)).toHaveValue(/₹/);
  });
});

test('stock of each kind is kept; four pictures go on four plates, and words are taken out of a shape of one’s own', async ({ page }) => {
  onlyJobs(page, ['crew-flasks', 'boat-numbers', 'door-hours', 'bailer-buckets']);
  await test.step('four pictures go on four plates, and words are taken out of a shape of one’s own', async () => {
    await openStation(page, 'boat-numbers', 'draw');
    const svg = (shape: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 40">${shape}</svg>`;
    const PICTURES = {
      buoy: '<circle cx="20" cy="20" r="15" fill="#000"/>',
      mast: '<path d="M18 2h4v36h-4z" fill="#000"/>',
      sail: '<path d="M20 2L36 36H20z" fill="#000"/>',
      hull: '<path d="M2 18h36l-6 14H8z" fill="#000"/>',
    };
    for (const [name, shape] of Object.entries(PICTURES)) {
      await page
        .getByLabel('Drawing or picture', { exact: true })
        .setInputFiles({ name: `${name}.svg`, mimeType: 'image/svg+xml', buffer: Buffer.from(svg(shape)) });
      await page.getByRole('button', { name: `Put ${name}.svg on the shelf` }).click();
      await kept(page);
    }
    await page.getByRole('button', { name: 'Type or paste a list' }).click();
    await page.getByLabel('One name a line').fill('piece, picture\nfirst, buoy.svg\nsecond, mast.svg\nthird, sail.svg\nfourth, whale.svg');
    await page.getByRole('button', { name: 'Take this list' }).click();
    await page.getByLabel('Drawing of each piece').selectOption('picture');
    await expect(reading(page, 'Drawings from the list')).toContainText('“whale.svg”');
    await page.getByRole('list', { name: 'The list as it fits' }).getByRole('button').nth(3).click();
    await type(page, 'picture of this piece', 'hull.svg');
    await expect(reading(page, 'Drawings from the list')).toHaveAccessibleName(/fine/);
    await planned(page);
    await page.getByRole('link', { name: /^Cut/ }).click();
    // what is still to be cut comes first: the white film was cut before
    await page.getByRole('group', { name: 'Films' }).getByRole('button', { name: 'White gloss' }).click();
    const film = page.getByRole('group', { name: /^White gloss: 4 marks/ });
    await expect(film).toBeVisible();
    // words out of a drawn shape
    await openStation(page, 'door-hours', 'draw');
    await page.getByLabel('Add a change').selectOption('outOf');
    await page.getByLabel('Shape around it, from a file').setInputFiles({
      name: 'oar.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(svg('<ellipse cx="20" cy="20" rx="19" ry="14" fill="#000"/>')),
    });
    await expect(page.getByLabel('Shape around it', { exact: true })).toHaveValue('');
    await expect(page.getByText('1 separate part', { exact: false })).toBeVisible();
    // just so wide and high; and what stands inside a ring
    await page.getByRole('link', { name: /^Fit/ }).click();
    await page.getByLabel('Size', { exact: true }).selectOption('both');
    await type(page, 'Width of the mark', '200');
    await type(page, 'Height of the mark', '150');
    await expect(reading(page, 'Size')).toContainText('200 × 150 mm');
    await openStation(page, 'bailer-buckets', 'draw');
    await page.getByLabel('Simple shape').selectOption('ring');
    await page.getByRole('link', { name: /^Fit/ }).click();
    await type(page, 'What stands inside', '40');

    await planned(page);
    await expect(page.getByLabel('What stands inside')).toHaveValue('40 mm');
  });
  await test.step('stock of each kind is added, changed, counted with a reason, replaced where it is used, and goes out and in as a list', async () => {
    await openBench(page);
    await page.goto('/#/stock');
    // a patterned film, its colour from the palette
    await page.getByRole('button', { name: 'Add a film' }).click();
    await type(page, 'Name of the film', 'Striped');
    await page.getByLabel('Kind of film').selectOption('patterned');
    await page.getByRole('button', { name: /^Colour: / }).click();
    await page.getByRole('button', { name: 'navy', exact: true }).click();
    await page.getByRole('button', { name: 'Another colour' }).click();
    await type(page, 'Price a square metre, €', '18.50');
    await page.getByLabel('Cover sheet').selectOption('yes');
    await page.getByRole('button', { name: 'Add an offcut' }).click();
    await expect(page.getByLabel('Width, offcut')).toBeVisible();
    for (const [add, name, word] of [
      ['Add a tape', 'Name of the tape', 'Own tape'],
      ['Add a paint', 'Name of the paint', 'Own paint'],
      ['Add a supply', 'Name of the supply', 'Own hooks'],
    ] as const) {
      await page.getByRole('button', { name: add }).click();
      await type(page, name, word);
      await expect(page.getByRole('button', { name: `Done with ${word}` })).toBeVisible();
    }
    // each kind is counted, with its reason
    for (const [word, typed, shown] of [
      ['Striped', '1.5 m', '1500 mm'],
      ['Own tape', '700', '700 mm'],
      ['Own paint', '25 ml', '25 ml'],
    ] as const) {
      await type(page, `${word} left`, typed);
      await page.getByRole('button', { name: 'spoiled' }).click();
      await expect(page.getByLabel(`${word} left`)).toHaveValue(shown);
    }
    await type(page, 'Buy more below', '12');
    await expect(page.locator('li', { hasText: 'Own hooks' })).toContainText('buy more');
    // an amount is corrected with its reason, and can be taken back
    await type(page, 'Own hooks left', '30');
    await page.getByRole('button', { name: 'bought more' }).click();
    await expect(page.locator('li', { hasText: 'Own hooks' })).not.toContainText('buy more');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Own hooks left')).toHaveValue('10 pieces');
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(page.getByLabel('Own hooks left')).toHaveValue('30 pieces');
    await page.getByRole('link', { name: 'Logbook' }).click();
    await expect(page.getByRole('list', { name: 'Log' }).getByRole('listitem').first()).toContainText('Own hooks, bought more');
    await page.goto('/#/stock');
    // what is used is named before it goes, and replaced there
    await page.getByRole('button', { name: 'Change Silver' }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    const ask = page.getByRole('alertdialog', { name: 'Remove Silver' });
    await expect(ask).toContainText('1 open job: Crew flasks (crew name)');
    await ask.getByLabel('Instead').selectOption('White gloss');
    await ask.getByRole('button', { name: 'Replace and remove' }).click();
    await expect(page.getByRole('button', { name: 'Change Silver' })).toHaveCount(0);
    await kept(page);
    // out as a list, and in again with a row changed
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a list (CSV)' }).click();
    const csv = await textOf(await download);
    expect(csv).toContain('Striped');
    await drop(page, 'Stock list', 'stock.csv', `${csv.replace('Own tape', 'Bought tape')}film,Broken,velvet,,#000000,,300,5,mm,,,\r\n`);
    const take = page.getByRole('alertdialog', { name: 'Take stock.csv in' });
    await expect(take).toContainText('is left out');
    await take.getByRole('button', { name: 'Take it in' }).click();
    await expect(page.getByRole('button', { name: 'Change Bought tape' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Change Own tape' })).toBeVisible();
    // what nobody uses goes at once, and comes back when that is taken back
    for (const word of ['Own tape', 'Own paint', 'Own hooks']) {
      await page.getByRole('button', { name: `Change ${word}` }).click();
      await page.getByRole('button', { name: 'Remove', exact: true }).click();
      await expect(page.getByRole('button', { name: `Change ${word}` })).toHaveCount(0);
    }
    await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Own hooks left')).toBeVisible();
    await expect(page.getByLabel('Own paint left')).toHaveCount(0);
    await openStation(page, 'crew-flasks', 'draw');
    await expect(page.getByLabel('Film', { exact: true })).toHaveValue('white-gloss');
    // the pattern's worst colour counts, and the cover sheet comes off before the cut
    await page.getByLabel('Film', { exact: true }).selectOption('Striped');
    await planned(page);
    await page.goto('/#/job/crew-flasks/fit');
    await expect(reading(page, 'Contrast')).toContainText('One colour of Striped');
  });
});

test('a machine narrower than the film never gets it whole, tape is chosen, and jobs, marks and zones are copied', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'boat-numbers']);
  await openBench(page);
  await page.goto('/#/workshop');
  await page.getByRole('button', { name: 'Remove Roll cutter' }).click();
  await expect(page.getByLabel('Cutting width')).toHaveCount(1);
  await page.getByLabel('Cutting width').fill('280 mm');
  await page.getByLabel('Cutting width').press('Enter');
  // what cannot be is refused with the way out, and nothing is shown that is not so
  await type(page, 'Least length', '9 m');
  await expect(page.getByRole('alert')).toContainText('The shortest load would be 9000 mm');
  await page.getByLabel('Least length').press('Escape');
  await page.getByText('Speeds, step').click();
  await type(page, 'Knife speed', '0');
  await expect(page.getByRole('alert')).toContainText('Type a number from 1 to');
  await page.getByLabel('Knife speed').press('Escape');
  await expect(page.getByLabel('Finest step')).toHaveValue('0.025 mm');
  await expect(page.getByText(/films are wider: trimmed to 280 mm/)).toBeVisible();
  await openStation(page, 'regatta-prizes', 'cut');
  await planned(page);
  await expect(page.getByText('Trim the film to 280 mm first').first()).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the cut file' }).click();
  expect(Number(/width="([\d.]+)mm"/.exec(await textOf(await download))![1])).toBeLessThanOrEqual(280);
  // the tape is the maker's choice
  await openStation(page, 'regatta-prizes', 'tape');
  await page.getByRole('radio', { name: /^Covering film/ }).click();
  await expect(page.getByText('Take Covering film')).toBeVisible();
  await expect(page.getByRole('radio', { name: /^Covering film/ })).toBeChecked();
  // a copy of the job, a copy of its mark on another zone of a third
  await openStation(page, 'regatta-prizes', 'draw');
  await page.getByRole('button', { name: 'Save as a pattern' }).click();
  await expect(page.getByText('is a pattern now')).toBeVisible();
  await page.getByRole('button', { name: 'Copy the job' }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Regatta prizes, second');
  await expect(page.getByLabel('Wanted', { exact: true })).toHaveValue('no date');
  await page.getByRole('button', { name: 'with its marks' }).click();
  await expect(page.getByRole('button', { name: 'front, second' })).toBeVisible();
  await page.getByRole('link', { name: /^Draw/ }).click();
  await expect(page.getByRole('group', { name: 'Marks' }).getByRole('button', { name: /^prize mark/ })).toHaveCount(2);
  await page.getByLabel('Copy this mark to').selectOption({ label: 'Boat numbers' });
  await expect(page.getByText(/is in Boat numbers too/)).toBeVisible();
  await page.goto('/#/jobs');
  await page.getByRole('button', { name: 'Begin like Regatta prizes' }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Regatta prizes, third');
});

test('an empty workshop teaches; with everything skipped nothing is lost; what an older Kolleta saved opens, and the demo is there', async ({
  page,
}) => {
  onlyJobs(page, ['crew-flasks']);
  await test.step('an empty workshop teaches', async () => {
    await beginOwn(page, []);
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
    await expect(page.getByText('Nothing dries just now')).toBeVisible();
    await page.getByRole('button', { name: 'See a workshop at work' }).click();
    await expect(page.getByRole('heading', { name: 'Weed 6 × crew name' })).toBeVisible();
    await page.getByRole('button', { name: 'Leave the demo' }).click();
    await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
    await page.goto('/#/quick');
  });
  await test.step('with everything skipped and awkward words nothing is lost, and every screen says what is missing', async () => {
    await page.getByLabel('Word').fill('Jam');
    await expect(reading(page, 'Film that is not here')).toContainText('add yours in Stock');
    await page.getByRole('button', { name: 'Save it as a job' }).click();
    await planned(page);
    await page.getByRole('link', { name: /^Cut/ }).click();
    const cut = page.getByRole('region', { name: 'Cut, drawing' });
    await expect(cut).toContainText('Nothing can be cut yet. Fix this first: film that is not here');
    // of what is not cut nothing is told
    await expect(reading(page, 'How it is lifted')).toHaveCount(0);
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Something has to be fixed first' })).toBeVisible();
    await page.getByRole('link', { name: 'Go there' }).click();
    await expect(page).toHaveURL(/\/draw$/);
  });
  await test.step('the demo is as it was left, and a file opens beside it', async () => {
    await page.goto('/#/workshop');
    await page.getByRole('button', { name: 'Visit the demo' }).click();
    await expect(page.getByRole('heading', { name: 'Weed 6 × crew name' })).toBeVisible();
    await page.goto('/#/workshop');
    await drop(page, 'Workshop file', 'old.json', landed('1.workshop.json'));
    await page.getByRole('button', { name: 'Do it' }).click();
    await expect(page.getByRole('button', { name: 'Leave the demo' })).toHaveCount(0);
    await page.goto('/#/stock');
    await expect(page.getByRole('region', { name: 'Film' }).getByRole('listitem').first()).toBeVisible();
  });
});

/** Everything that an earlier Kolleta kept in a browser: the demo and one's own in one database, a Bench as it was laid out then. */
const keepAsEarlier = (page: Page, kept: Record<string, object[]>) =>
  page.evaluate(
    (rows) =>
      new Promise<void>((resolve, reject) => {
        localStorage.setItem('opened', 'yes');
        const stores: Record<string, [string, ...string[]]> = {
          ...{ jobs: ['id', 'closed'], shop: ['id'], events: ['id', 'job', 'at'], history: ['id'], settings: ['key'] },
          ...{ runs: ['run', 'at'], snapshots: ['id', 'at'], cache: ['id'] },
        };
        const asked = indexedDB.open('kolleta', 20);
        asked.onerror = () => reject(asked.error!);
        asked.onupgradeneeded = () => {
          for (const [name, [keyPath, ...indexes]] of Object.entries(stores)) {
            const store = asked.result.createObjectStore(name, { keyPath, autoIncrement: name === 'snapshots' });
            for (const index of indexes) store.createIndex(index, index);
          }
        };
        asked.onsuccess = () => {
          const writing = asked.result.transaction(Object.keys(stores), 'readwrite');
          for (const [name, some] of Object.entries(rows)) for (const row of some) writing.objectStore(name).put(row);
          writing.oncomplete = () => {
            asked.result.close();
            resolve();
          };
        };
      }),
    kept,
  );

test.describe('earlier data', () => {
  // a picture opened by itself is asked for its icon
  test.use({ tolerated: /404/ });
  test('every page opens what an earlier Kolleta kept here, and every file that one saved; the demo in it is left', async ({ page }) => {
    type Saved = { jobs: { id: string; name: string }[] };
    const everyPageOpens = async (jobs: Saved['jobs']) => {
      for (const place of [...PLACES, '/gather', ...jobs.flatMap(({ id }) => STATIONS.map((station) => `/job/${id}/${station}`))]) {
        await page.goto(`/#${place}`);
        await planned(page);
        await expect(page.getByRole('main')).toBeVisible();
        expect(await page.getByRole('heading', { name: 'Something in Kolleta failed' }).count(), place).toBe(0);
      }
    };
    const earlier = JSON.parse(landed('2.browser.json')) as Record<string, object[]> & Saved;
    const settings = [
      { key: 'isDemo', value: 1 },
      { key: 'clockOffset', value: Date.parse('2026-12-01T09:40:00Z') - Date.now() },
    ];
    await page.goto('/icon-192.png');
    await keepAsEarlier(page, { ...earlier, settings });
    await page.goto('/');
    await everyPageOpens(earlier.jobs.slice(0, 1));
    // the page goes to the questions, and begins anew there: who went on before that would be brought back
    const anew = page.waitForEvent('load');
    await page.getByRole('button', { name: 'Leave the demo' }).click();
    await anew;
    await expect(page).toHaveURL(/#\/begin$/);
    for (const version of [1, 2, 3, 4, 5, 6]) {
      const file = JSON.parse(landed(`${version}.workshop.json`)) as Saved;
      const some = file.jobs.slice(version - 1, version);
      await page.goto('/#/workshop');
      await drop(page, 'Workshop file', `${version}.json`, JSON.stringify({ ...file, jobs: some }));
      await page.getByRole('button', { name: 'Do it' }).click();
      await page.goto(`/#/job/${some[0]!.id}/measure`);
      await expect(page.getByRole('heading', { name: some[0]!.name })).toBeVisible();
      await everyPageOpens(some);
    }
  });
});
