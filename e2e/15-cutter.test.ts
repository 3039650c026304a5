import type { Page } from '@playwright/test';
import { addOffcut, expect, onlyJobs, openBench, openStation, planned, reading, test, textOf, type } from './workshop';

/** So many times as fast as a machine, where the cutter is to be still at work whatever a slow browser takes; and where it is to get done. */
const SLOWLY = 1.5;
const QUICKLY = 200;

// one cutter stands at the server: what a test leaves in it is stopped before the next
let pace: (times: number) => Promise<unknown>;
test.beforeEach(async ({ request, baseURL }) => {
  const headers = { origin: new URL(baseURL!).origin };
  for (const kind of ['plug', 'stop']) await request.post('/api/cutter', { data: { kind }, headers }).catch(() => undefined);
  pace = (times) => request.post('/api/cutter', { data: { kind: 'pace', times }, headers });
  await pace(SLOWLY);
});

const panel = (page: Page) => page.getByRole('region', { name: 'The cutter' });
const REHEARSE = 'Rehearse it: cuts nothing';
async function rehearse(page: Page, job = 'regatta-prizes') {
  await openStation(page, job, 'cut');
  await page.getByRole('button', { name: REHEARSE }).click();
  await expect(panel(page)).toContainText('It cuts.');
  await page.getByText('Try what can happen').click();
}
const percent = async (page: Page) =>
  Number.parseInt(
    (await panel(page)
      .getByText(/^\d+ %$/)
      .textContent()) ?? '0',
    10,
  );
async function leftOf(page: Page, film: string): Promise<number> {
  await page.goto('/#/stock');
  const field = page.getByLabel(`${film} left`);
  await expect(field).toHaveValue(/mm/);
  return Number.parseFloat(await field.inputValue());
}

test('a rehearsal pauses, minds its lid, stops and is forgotten, and books nothing unless told to', async ({ page, request, baseURL }) => {
  onlyJobs(page, ['regatta-prizes']);
  await test.step('a rehearsal pauses, goes on, minds its lid and stops, and books nothing unless told to', async () => {
    await openBench(page);
    const had = await leftOf(page, 'White gloss');
    await rehearse(page);
    await pace(20);
    await expect.poll(() => percent(page)).toBeGreaterThan(12);
    await pace(SLOWLY);
    await panel(page).getByRole('button', { name: 'Pause' }).click();
    await expect(panel(page)).toContainText('It pauses');
    await panel(page).getByRole('button', { name: 'Go on' }).click();
    await panel(page).getByRole('button', { name: 'Open its lid' }).click();
    await expect(panel(page).getByRole('alert')).toContainText('lid is open');
    const at = await percent(page);
    // however quickly it works, with its lid open it does not
    await pace(QUICKLY);
    for (let asked = 0; asked < 3; asked++) await page.waitForResponse('**/api/cutter');
    expect(await percent(page)).toBe(at);
    await pace(SLOWLY);
    // a reload in the middle loses nothing
    await page.reload();
    await expect(panel(page).getByRole('alert')).toContainText('lid is open');
    await panel(page).getByRole('button', { name: 'The lid is closed' }).click();
    await panel(page).getByRole('button', { name: 'Stop' }).click();
    const ended = panel(page).getByText(/The rehearsal has stopped: (\d+) of 12 marks/);
    await expect(ended).toContainText('Nothing was cut, and no film was taken.');
    const cut = Number(/(\d+) of 12/.exec((await ended.textContent())!)![1]);
    expect(cut).toBeGreaterThan(0);
    expect(await leftOf(page, 'White gloss')).toBe(had);
    await openStation(page, 'regatta-prizes', 'cut');
    await panel(page).getByRole('button', { name: 'Book it as cut all the same' }).click();
    await expect(page.getByText(new RegExp(`Cut ${12 - cut} marks on`))).toBeVisible();
    const left = await leftOf(page, 'White gloss');
    expect(left).toBeLessThan(had - 20);
    await page.goto('/#/job/regatta-prizes/log');
    await expect(page.getByText(`${cut} marks were cut whole`)).toBeVisible();
  });
  await test.step('a cutter that forgot its job, and one that is busy, are told apart', async () => {
    await openBench(page);
    await rehearse(page);
    const headers = { origin: new URL(baseURL!).origin };
    await request.post('/api/cutter', { data: { kind: 'stop' }, headers });
    await expect(panel(page)).toContainText('The rehearsal has stopped');
    await panel(page).getByRole('button', { name: 'Put it away' }).click();
    await request.post('/api/cutter', { data: { kind: 'load', film: { width: 300, length: 900 } }, headers });
    await request.post('/api/cutter', { data: { kind: 'send', run: 'somebody', hpgl: 'PU0,0;PD9000,0,9000,9000,0,9000,0,0;' }, headers });
    await page.getByRole('button', { name: REHEARSE }).click();
    await expect(page.getByText('The cutter is at work')).toBeVisible();
  });
});

test('a saved file is booked by one answer; without a cutter a file is saved for another', async ({ page }) => {
  onlyJobs(page, ['tankards', 'boat-numbers', 'regatta-prizes']);
  await test.step('the file is saved, and one answer books it: partly, then well; jobs come along when they are asked to', async () => {
    await openBench(page);
    const had = await leftOf(page, 'Petrol');
    await openStation(page, 'tankards', 'cut');
    const sheet = page.getByRole('group', { name: 'On this sheet' });
    await expect(sheet).toContainText('This job alone.');
    await expect(sheet).toContainText(/would fit too: \d+ mm less film/);
    await expect(page.getByText('Cut 2 marks on')).toBeVisible();
    const save = async (name: string | RegExp) => {
      const download = page.waitForEvent('download');
      await page.getByRole('button', { name }).click();
      return textOf(await download);
    };
    await save(/Save the cut file/);
    // nothing is booked before it is answered, and the question outlives a reload
    expect(await leftOf(page, 'Petrol')).toBe(had);
    await openStation(page, 'tankards', 'cut');
    const asked = page.getByRole('region', { name: 'Was it cut?' });
    await asked.getByRole('button', { name: 'Not' }).click();
    await expect(asked).toHaveCount(0);
    await save('As HPGL');
    await asked.getByRole('button', { name: 'Partly…' }).click();
    await asked.getByLabel('Marks that came out well').selectOption('1');
    await asked.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('Cut 1 mark on')).toBeVisible();
    const after = await leftOf(page, 'Petrol');
    expect(after).toBeLessThan(had);
    await openStation(page, 'tankards', 'cut');
    await sheet.getByRole('checkbox').first().check();
    await expect(page.getByText(/Cut 5 marks on/)).toBeVisible();
    // what is true of each mark on the sheet, not of the first
    await expect(page.getByText('of Boat numbers mirrored, the others as they are read')).toBeVisible();
    await sheet.getByRole('button', { name: 'This job alone' }).click();
    await save(/Save the cut file/);
    await asked.getByRole('button', { name: 'Well' }).click();
    await expect(page.getByText('This job has been cut from it.')).toBeVisible();
    await expect(asked).toHaveCount(0);
    expect(await leftOf(page, 'Petrol')).toBeLessThan(after);
  });
  await test.step('without a cutter the layout is as wide as the film, says so, and the file is saved for another; an offcut too small holds none', async () => {
    await page.goto('/#/workshop');
    const cutters = page.getByText('Speeds, step, zero, pens, carrier sheets');
    for (let left = 2; left > 0; left--) {
      await expect(cutters).toHaveCount(left);
      await page.getByRole('button', { name: 'Remove' }).first().click();
    }
    await expect(cutters).toHaveCount(0);
    await addOffcut(page, '9', '7');
    await page.goto('/#/job/regatta-prizes/cut');
    await expect(page.getByRole('note').filter({ hasText: 'No cutter is noted' })).toContainText('no minutes are counted');
    await expect(page.getByText('not known')).toBeVisible();
    const from = page.getByRole('group', { name: 'Cut from' });
    await expect(from.getByRole('button', { name: /holds none/ })).toBeDisabled();
    await expect(page.getByRole('button', { name: REHEARSE })).toBeDisabled();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: /Save the cut file/ }).click();
    expect((await textOf(await download)).match(/<g>/g)).toHaveLength(12);
    await page.getByRole('link', { name: 'Add your cutter in Workshop' }).click();
    await expect(page.getByRole('button', { name: 'Add a cutter' })).toBeVisible();
  });
});

test('nonsense, a pulled cable, film that runs out or is too short: each says what to do', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'honour-board']);
  await test.step('a cutter that answers nonsense is told as that, counts for nothing, and is heard again once it makes sense', async () => {
    await openBench(page);
    const left = await leftOf(page, 'White gloss');
    await rehearse(page);
    let answer: ((said: Record<string, unknown>) => unknown) | undefined;
    await page.route('**/api/cutter', async (route) => {
      const real = await route.fetch();
      if (!answer) return route.fulfill({ response: real });
      return route.fulfill({ response: real, json: answer((await real.json()) as Record<string, unknown>) });
    });
    for (const said of [() => 'ERR 7', (told: object) => ({ ...told, strokes: 4000 })]) {
      answer = said;
      await expect(panel(page).getByRole('alert')).toContainText('What the cutter tells cannot be true');
      await expect(panel(page).getByRole('alert')).toContainText(/0 of \d+ marks? (was|were) cut/);
      answer = undefined;
      await expect(panel(page)).toContainText('It cuts.');
    }
    await panel(page).getByRole('button', { name: 'Stop' }).click();
    await expect(panel(page)).toContainText('The rehearsal has stopped');
    await panel(page).getByRole('button', { name: 'Put it away' }).click();
    expect(await leftOf(page, 'White gloss')).toBe(left);
    // sent to one that is mad from the start, it is refused, with the way out
    answer = () => [1, 2, 3];
    await openStation(page, 'regatta-prizes', 'cut');
    await page.getByRole('button', { name: REHEARSE }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be read' })).toContainText('send it again');
    await expect(panel(page)).toHaveCount(0);
    await page.unroute('**/api/cutter');
  });
  await test.step('film that runs out, and a cable that is pulled, each say what to do', async () => {
    await openBench(page);
    await rehearse(page, 'honour-board');
    await panel(page).getByRole('button', { name: 'Pull its cable' }).click();
    await expect(panel(page).getByRole('alert')).toContainText('does not answer');
    await expect(panel(page).getByRole('alert')).toContainText('0 of 1 mark was cut');
    await panel(page).getByRole('button', { name: 'Put the cable back' }).click();
    await expect(panel(page)).toContainText(/It cuts|Cut so far/);
    await page
      .getByText('Try what can happen')
      .click()
      .catch(() => undefined);
    const out = panel(page).getByRole('button', { name: 'Let the film run out' });
    if (!(await out.isVisible())) await panel(page).locator('summary').click();
    await out.click();
    await expect(panel(page).getByRole('alert')).toContainText('The film has run out');
    await panel(page).getByRole('button', { name: 'The next roll is loaded' }).click();
    await expect(panel(page)).toContainText('The rehearsal has stopped: 0 of 1 mark.');
    await panel(page).getByRole('button', { name: 'Put it away' }).click();
    await expect(panel(page)).toHaveCount(0);
  });
  await test.step('a job longer than the film in the cutter is refused with the length, and nothing is taken off the roll', async () => {
    await openBench(page);
    await page.goto('/#/stock');
    await type(page, 'White gloss left', '60');
    await page.getByRole('button', { name: 'counted anew' }).click();
    await openStation(page, 'regatta-prizes', 'cut');
    const film = reading(page, 'White gloss');
    await expect(film).toHaveAccessibleName(/stop/);
    await film.getByRole('button', { name: 'Go ahead anyway…' }).click();
    await film.getByRole('textbox').fill('An offcut lies ready');
    await film.getByRole('button', { name: 'Go ahead', exact: true }).click();
    await page.getByRole('button', { name: REHEARSE }).click();
    await expect(page.getByText(/is \d+ mm long, and only 60 mm of film lie in the cutter/)).toBeVisible();
    await expect(panel(page)).toHaveCount(0);
    expect(await leftOf(page, 'White gloss')).toBe(60);
  });
});

test('what may not be cut is kept from the knife until it is answered for or mended', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'regatta-prizes-2', 'honour-board']);
  await test.step('a stop keeps film from the knife until it is answered for, and the log keeps the reason', async () => {
    await openStation(page, 'regatta-prizes', 'measure');
    await page.getByLabel('Food', { exact: true }).selectOption('yes');
    await openStation(page, 'regatta-prizes', 'cut');
    await expect(page.getByRole('button', { name: REHEARSE })).toBeDisabled();
    await expect(page.getByRole('button', { name: /Save the cut file/ })).toBeDisabled();
    await page.getByText('Not ready to cut').getByRole('link').first().click();
    const food = reading(page, 'Food');
    await food.getByRole('button', { name: 'Go ahead anyway…' }).click();
    await expect(food.getByRole('button', { name: 'Go ahead', exact: true })).toBeDisabled();
    await food.getByRole('textbox').fill('For the wall, never for eating');
    await food.getByRole('button', { name: 'Go ahead', exact: true }).click();
    await expect(food).toContainText('You went ahead: “For the wall, never for eating”');
    await openStation(page, 'regatta-prizes', 'cut');
    await expect(page.getByRole('button', { name: REHEARSE })).toBeEnabled();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'As HPGL' }).click();
    expect(await textOf(await download)).toMatch(/^IN;PA;SP1;/);
    await openStation(page, 'regatta-prizes', 'log');
    await expect(page.getByText('For the wall, never for eating')).toBeVisible();
    await openStation(page, 'regatta-prizes', 'fit');
    await food.getByRole('button', { name: 'Mind it again' }).click();
    await openStation(page, 'regatta-prizes', 'cut');
    await expect(page.getByRole('button', { name: REHEARSE })).toBeDisabled();
  });
  await test.step('marks wider than any film are named with the width that can be cut; film that is out of the stock is a way to another', async () => {
    await openBench(page);
    await page.goto('/#/stock');
    await page.getByRole('button', { name: 'Change' }).nth(5).click();
    await type(page, 'Width of the film', '60');
    await planned(page);
    await openStation(page, 'honour-board', 'cut');
    await page.getByRole('button', { name: 'Cream matt' }).click();
    await expect(
      page.getByText(/No mark finds room on Cream matt.*60 mm wide.*40 mm can be cut: crew names, left and crew names, right/),
    ).toBeVisible();
    await expect(page.getByText('Nothing can be cut from cream matt as it is.')).toBeVisible();
    await expect(page.getByRole('button', { name: /Save the cut file/ })).toBeDisabled();
    const narrow = reading(page, 'Cream matt is too narrow');
    await narrow.getByRole('button', { name: 'Go ahead anyway…' }).click();
    await narrow.getByRole('textbox').fill('To see');
    await narrow.getByRole('button', { name: 'Go ahead', exact: true }).click();
    await expect(narrow).toContainText('You went ahead');
    // there is nothing in it, whoever goes ahead
    await expect(page.getByRole('button', { name: /Save the cut file/ })).toBeDisabled();
    await page.goto('/#/stock');
    await page.getByRole('button', { name: 'Change' }).first().click();
    await page.getByRole('button', { name: 'Remove' }).first().click();
    await page.getByRole('button', { name: 'Remove, choose there later' }).click();
    await openStation(page, 'regatta-prizes-2', 'cut');
    await page.getByText('Nothing can be cut yet').getByRole('link', { name: 'film that is not here' }).click();
    await reading(page, 'Film that is not here').getByRole('button').first().click();
    await planned(page);
    await openStation(page, 'regatta-prizes-2', 'cut');
    await expect(page.getByText('Cut 12 marks on')).toBeVisible();
  });
});
