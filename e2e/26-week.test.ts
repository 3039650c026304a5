import type { Page } from '@playwright/test';
import { calendarFile as calendar } from '../core/test/calendarFile';
import { drop, expect, kept, onlyJobs, openBench, planned, test, textOf, type } from './workshop';

const week = async (page: Page) => {
  if (page.url() === 'about:blank') onlyJobs(page, ['regatta-prizes', 'honour-board', 'tankards', 'boat-numbers']);
  await openBench(page);
  await page.goto('/#/week');
  await expect(page.getByRole('heading', { name: 'Week' })).toBeVisible();
};
/** A step on the days, by how its title and job begin. */
const step = (page: Page, name: RegExp) => page.locator('.week-step').and(page.getByRole('button', { name })).first();
test('the week: a step is dragged, an order is promised', async ({ page }) => {
  // steps begin at minutes: none passes
  await page.clock.setFixedTime(new Date('2026-12-01T09:40:00Z'));
  await test.step('a step is dragged to another time: the rest gives way, it says why where it cannot, and it is taken back', async () => {
    await week(page);
    await expect(page.getByText('Everything with a date is packed in time.')).toBeVisible();
    const place = step(page, /^Place prize mark/);
    await expect(place).toHaveAccessibleName(/Tue 1 Dec 10:50/);
    // an hour is as wide as the day has hours
    const day = page.getByRole('region', { name: 'Tue 1 Dec' }).locator('[data-day]');
    const { width } = (await day.boundingBox())!;
    const box = (await place.boundingBox())!;
    await page.mouse.move(box.x + 5, box.y + 8);
    await page.mouse.down();
    await page.mouse.move(box.x + 5 + width / 10, box.y + 10, { steps: 4 });
    await page.mouse.move(box.x + 5 + (4.5 * width) / 10, box.y + 10, { steps: 4 });
    await page.mouse.up();
    await planned(page);
    await expect(place).toHaveAccessibleName(/Tue 1 Dec 15:20, put there/);
    await expect(page.getByRole('status').filter({ hasText: /other steps? begins? (later|sooner)|Nothing else moved/ })).toBeVisible();
    const chosen = page.getByRole('region', { name: 'The chosen step' });
    await expect(chosen).toContainText('You put it there. The rest gives way.');
    // by the keys, five minutes a press
    await place.focus();
    await page.keyboard.press('ArrowRight');
    await planned(page);
    await expect(place).toHaveAccessibleName(/15:25, put there/);
    // before what it waits for it cannot be, and it says why
    await type(page, 'When it begins', 'tue 1 dec 10:00');
    await planned(page);
    await expect(chosen).toContainText(/You put it at Tue 1 Dec 10:00\. It begins Tue 1 Dec 1\d:\d\d: (alcohol dries only at|“)/);
    // it is said while it is dragged there as well
    const there = (await place.boundingBox())!;
    await page.mouse.move(there.x + 5, there.y + 8);
    await page.mouse.down();
    await page.mouse.move(there.x - (2 * width) / 10, there.y + 10, { steps: 6 });
    await expect(page.getByText(/^Not as it stands: /)).toBeVisible();
    // let go of by Escape, it stays
    await page.keyboard.press('Escape');
    await expect(page.getByText(/^Not as it stands: /)).toBeHidden();
    await page.mouse.up();
    // what is over, or further off than is planned, is refused and nothing changes
    for (const [moment, words] of [
      ['yesterday 9:00', 'That moment is over.'],
      ['in 5 years', 'Nothing is planned more than 200 days ahead.'],
    ] as const) {
      await type(page, 'When it begins', moment);
      await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
      await expect(chosen).toContainText('You put it at Tue 1 Dec 10:00.');
    }
    // it stays over a reload, until it is let go
    await kept(page);
    await page.reload();
    await expect(place).toHaveAccessibleName(/put there/);
    await page.getByRole('button', { name: 'Let it find its own time' }).click();
    await planned(page);
    await expect(place).toHaveAccessibleName(/Tue 1 Dec 10:50$/);
  });
  await test.step('before an order is taken its date is known, what it delays, and what would make an impossible one possible', async () => {
    await week(page);
    const order = page.getByRole('region', { name: 'Before you take an order' });
    await order.getByRole('button', { name: 'When can it be packed?' }).click();
    await expect(order).toContainText(/You can promise it for Tue 1 Dec \d\d:\d\d/);
    await expect(order).toContainText('It delays nothing else.');
    // far too many by tomorrow
    await type(page, 'How many pieces', '200');
    await type(page, 'Wanted by', 'wed 2 dec 12:00');
    await order.getByRole('button', { name: 'When can it be packed?' }).click();
    await expect(order).toContainText(/Not by then\. It is packed/);
    await expect(order).toContainText(/Its hands-on work alone|while the workshop is closed|The longest wait|other jobs have the hands/);
    await expect(order).toContainText(
      /evenings? of 2 h 30|Half of it|Neither 5 evenings nor half the number nor another technique would do/,
    );
    // what another technique would do is said where that is so
    await page.getByLabel('Like which job').selectOption('Honour board');
    await type(page, 'Wanted by', 'wed 2 dec 17:30');
    await order.getByRole('button', { name: 'When can it be packed?' }).click();
    await expect(order).toContainText(/As a decal it can be packed Wed 2 Dec \d\d:\d\d\./);
    await page.getByLabel('Like which job').selectOption('Regatta prizes');
    await type(page, 'How many lines', '2');
    // as many as can be, and it is taken
    await type(page, 'How many pieces', '6');
    await type(page, 'Wanted by', 'sat 5 dec 12:00');
    await order.getByRole('button', { name: 'When can it be packed?' }).click();
    await expect(order).toContainText(/Yes\. It is packed/);
    await order.getByRole('button', { name: 'Take the order' }).click();
    await expect(page).toHaveURL(/\/job\/.*\/draw$/);
    await kept(page);
    await page.goto('/#/week');
    await expect(page.getByRole('region', { name: 'Sat 5 Dec' })).toContainText('Regatta prizes');
  });
});

test('a calmer plan is looked for beside the work, stopped, taken and forgotten', async ({ page }) => {
  await openBench(page);
  await page.goto('/#/week');
  const good = page.getByRole('region', { name: 'How good this plan is' });
  await expect(good).toContainText('so none is sooner');
  const turns = good.getByText(/Hands turn to something else \d+ times\./);
  const before = (await turns.textContent())!;
  await good.getByRole('button', { name: 'Look for a calmer plan' }).click();
  await expect(good.getByRole('status')).toContainText(/hands turn to something else \d+ times instead of/);
  await good.getByRole('button', { name: 'Stop' }).click();
  await expect(good.getByRole('button', { name: 'Look on' })).toBeVisible();
  await good.getByRole('button', { name: 'Take this plan' }).click();
  await planned(page);
  await expect(turns).not.toHaveText(before);
  await kept(page);
  await page.reload();
  await expect(turns).not.toHaveText(before);
  await good.getByRole('button', { name: 'Forget the plan that was kept' }).click();
  await planned(page);
  await expect(turns).toHaveText(before);
});

test('a day off comes from a file, somebody else works too, and the plan goes out as a calendar', async ({ page }) => {
  await week(page);
  await page.goto('/#/workshop');
  const off = page.getByRole('region', { name: 'Days off' });
  await drop(page, 'Calendar with days off', 'notes.ics', 'Buy more film');
  await expect(page.getByRole('alert')).toContainText('“notes.ics” cannot be read as a calendar.');
  const file = calendar(
    'SUMMARY:Committee\nDTSTART;TZID=Europe/Dublin:20261201T133000\nDTEND;TZID=Europe/Dublin:20261201T180000',
    'SUMMARY:Christmas\nDTSTART;VALUE=DATE:20261224\nDTEND;VALUE=DATE:20261229',
  );
  await drop(page, 'Calendar with days off', 'off.ics', file);
  await expect(page.getByRole('status').filter({ hasText: '2 entries of “off.ics” are off now.' })).toBeVisible();
  // the same again adds nothing
  await drop(page, 'Calendar with days off', 'off.ics', file);
  await expect(page.getByRole('status').filter({ hasText: 'All of its days are here already.' })).toBeVisible();
  await expect(off.getByLabel('What it is')).toHaveCount(2);
  await planned(page);
  await page.goto('/#/week');
  const tuesday = page.getByRole('region', { name: 'Tue 1 Dec', exact: true });
  await expect(tuesday).toContainText('Committee');
  const names = await tuesday.locator('.week-step').evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')!));
  expect(names.length).toBeGreaterThan(5);
  for (const name of names) expect(name).not.toMatch(/1 Dec 1[3-7]:/);
  // a second pair of hands: two lanes, and all is packed sooner
  await page.goto('/#/workshop');
  await page.getByRole('button', { name: 'Somebody else works here too' }).click();
  const people = page.getByRole('region', { name: 'Who works here' });
  await people.getByLabel('Name').nth(1).fill('Orla');
  await people.getByLabel('Name').nth(1).press('Enter');
  await people.getByLabel('Hours of Orla').selectOption('own');
  await type(page, 'Orla, Tue', '10-12, 14-18');
  await planned(page);
  await page.goto('/#/week');
  await expect(page.getByRole('region', { name: /^Tue 1 Dec, step by step/ })).toContainText('Orla');
  // more is done on the day by two
  expect(await tuesday.locator('.week-step').count()).toBeGreaterThan(names.length);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a calendar file' }).click();
  const text = await textOf(await download);
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(text).toMatch(/SUMMARY:Regatta prizes: wanted/);
  expect(text.match(/BEGIN:VALARM/g)!.length).toBe(text.match(/BEGIN:VEVENT/g)!.length);
  await page.goto('/#/');
  await expect(page.getByRole('region', { name: 'Then' })).toContainText('Orla');
  // all of it is undone on the page where it was done
  await page.goto('/#/workshop');
  await people.getByRole('button', { name: 'Orla no longer works here' }).click();
  await expect(people.getByLabel('Name')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(people.getByLabel('Name')).toHaveCount(2);
});

test('what is still tacky when its wait is over is left to dry on, and other work comes first', async ({ page }) => {
  onlyJobs(page, ['honour-board']);
  await page.clock.setFixedTime(new Date('2026-12-01T09:40:00Z'));
  await openBench(page);
  // only the board, whose stain dries until half past one
  await page.goto('/#/week');
  const seal = step(page, /^Seal the oak board/);
  await expect(seal).toHaveAccessibleName(/13:3\d/);
  await page.clock.setFixedTime(new Date('2026-12-01T13:45:00Z'));
  await page.goto('/#/');
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Seal the oak board/ })).toBeVisible();
  await page.getByRole('button', { name: 'Still tacky' }).click();
  await expect(page.getByRole('status').filter({ hasText: /It is left to dry until 1\d:\d\d\./ })).toBeVisible();
  await planned(page);
  await expect(page.getByRole('region', { name: 'Now' })).not.toContainText('Seal the oak board');
});

test('two people have a Bench each: a step is handed over, somebody is called away, pieces dry where there is room, and all is taken back', async ({
  page,
}) => {
  await week(page);
  await page.goto('/#/workshop');
  await page.getByRole('button', { name: 'Somebody else works here too' }).click();
  const rack = page.getByRole('region', { name: 'Where pieces dry' });
  await rack.getByRole('button', { name: 'Add a drying place' }).click();
  await type(page, 'Name of a drying place', 'Shelf by the window');
  await type(page, 'How many pieces stand on Shelf by the window', '6');
  await expect(rack).toContainText('No more dries at a time than 6 pieces.');
  await kept(page);
  await page.goto('/#/');
  await planned(page);
  // the stained board stands on its shelf
  await expect(page.getByRole('region', { name: 'Shelf by the window' })).toContainText('1 of 6 pieces');
  const now = page.getByRole('region', { name: 'Now' });
  const title = now.getByRole('heading', { level: 1 });
  const whose = page.getByRole('group', { name: 'Whose bench' });
  await whose.getByRole('button', { name: 'You', exact: true }).click();
  await expect(now).toContainText('· You');
  const own = (await title.textContent())!;
  await whose.getByRole('button', { name: 'Somebody else' }).click();
  await expect(now).toContainText('· Somebody else');
  await expect(title).not.toHaveText(own);
  const theirs = (await title.textContent())!;
  // it stays so on this device
  await page.reload();
  await expect(title).toHaveText(theirs);
  await planned(page);
  await now.getByRole('button', { name: 'Something comes between' }).click();
  await now.getByRole('button', { name: 'Hand over to You' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Given to You' })).toBeVisible();
  await planned(page);
  await expect(title).not.toHaveText(theirs);
  await whose.getByRole('button', { name: 'Everybody' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status').filter({ hasText: 'Taken back: give a step to somebody.' })).toBeVisible();
  await planned(page);
  const first = (await title.textContent())!;
  // nobody is there for an hour: what was to be now is next, and taken back it is now again
  await expect(now).toContainText('Everybody is called away for');
  await now.getByRole('button', { name: 'Called away for 1 h' }).click();
  await expect(page.getByRole('status').filter({ hasText: /Nothing is planned until \d\d:\d\d/ })).toBeVisible();
  await expect(now).toContainText('NEXT,');
  await expect(now).toContainText('Called away until');
  await now.getByRole('button', { name: 'I am back' }).click();
  await expect(now).not.toContainText('NEXT,');
  await expect(title).toHaveText(first);
  await now.getByRole('button', { name: 'Called away for 30 min' }).click();
  await expect(now).toContainText('NEXT,');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status').filter({ hasText: 'Taken back: called away.' })).toBeVisible();
  await expect(now).not.toContainText('NEXT,');
});
