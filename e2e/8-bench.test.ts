import { clockStands, expect, kept, onlyJobs, openBench, planned, secondsPass, test } from './workshop';

test('the Bench: what goes wrong is kept and comes back; a timer survives a reload, and Done moves on', async ({ page }) => {
  onlyJobs(page, ['crew-flasks', 'honour-board', 'boat-numbers']);
  await test.step('Went wrong keeps the reason and brings the step back; undo reverses it', async () => {
    await openBench(page);
    const now = page.getByRole('region', { name: 'Now', exact: true });
    await now.getByRole('button', { name: 'Went wrong…' }).click();
    await page.getByLabel('Letters stayed on the liner').check();
    await page.getByLabel('What to do otherwise next time').fill('Burnish longer');
    await page.getByRole('button', { name: 'Write it into the log' }).click();
    // the form asks its question until it is in the log
    await expect(now.getByRole('heading')).toHaveText(['Weed 6 × crew name']);
    // what it moves is told
    await expect(page.getByRole('status').filter({ hasText: /Nothing else moved|begins? later|begins? sooner/ })).toBeVisible();
    await page.goto('/#/job/crew-flasks/log');
    await expect(page.getByText('Went wrong: letters stayed on the liner. Burnish longer')).toBeVisible();
    await page.getByRole('list', { name: 'Log' }).getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByText('Burnish longer')).toHaveCount(0);
  });
  await test.step('the now-step runs a timer that survives a reload; Done writes the log and moves on', async () => {
    await openBench(page);
    const now = page.getByRole('region', { name: 'Now', exact: true });
    await expect(now.getByRole('heading')).toHaveText('Weed 6 × crew name');
    await expect(page.getByRole('region', { name: 'Drying rack' })).toContainText('Honour board: water stain dries before the sealer');
    await expect(page.getByRole('region', { name: 'Keep an eye on' })).toContainText('not weeded');
    await now.getByRole('button', { name: 'Start' }).click();
    await expect(now).toContainText('NOW, RUNNING');
    await expect(now.getByRole('timer')).toContainText(/(0[2-9]|10):[0-5]\d/);
    await kept(page);
    await page.reload();
    await expect(now).toContainText('NOW, RUNNING');
    await expect(now.getByRole('timer')).toContainText(/0[1-9]:[0-5]\d/);
    await now.getByRole('button', { name: 'Done' }).click();
    await expect(now.getByRole('heading')).toHaveText('Tape 6 × crew name');
    await page.goto('/#/logbook');
    await expect(page.getByRole('list', { name: 'Log' }).getByRole('listitem').first()).toContainText('Weed 6 × crew name');
  });
});

test('a timer that runs out tells so', async ({ page }) => {
  onlyJobs(page, ['crew-flasks']);
  await page.clock.install({ time: new Date('2026-12-01T09:40:00Z') });
  await openBench(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  // held, so that a slow machine does not run past the moment
  await page.clock.pauseAt(new Date('2026-12-01T09:43:00Z'));
  await secondsPass(page, 350);
  const told = page.getByText('Time is up: weed 6 × crew name.');
  for (let i = 0; i < 60 && (await told.count()) === 0; i++) await page.clock.runFor(2_000);
  await expect(told).toBeVisible();
  await expect(page.getByText('over by')).toBeVisible();
  await test.step('a planner that died keeps nobody waiting', async () => {
    const planner = page.workers().find((worker) => worker.url().includes('planner'))!;
    await planner.evaluate(() => close());
    await page.getByRole('button', { name: 'Done' }).first().click();
    const band = page.getByRole('status', { name: 'The plan takes long' });
    for (let i = 0; i < 60 && (await band.count()) === 0; i++) await page.clock.runFor(2_000);
    await page.clock.resume();
    await band.getByRole('button', { name: 'Begin it again' }).click();
    await planned(page);
    await expect(band).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Now', exact: true }).getByRole('heading')).toHaveText('Tape 6 × crew name');
  });
});

test('several timers run at once, each in its own time, and go on over a reload', async ({ page }) => {
  onlyJobs(page, ['crew-flasks', 'boat-numbers']);
  await page.clock.install({ time: new Date('2026-12-01T09:40:00Z') });
  await openBench(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  await clockStands(page, '2026-12-01T09:43:00Z');
  await page.goto('/#/job/boat-numbers/weed');
  await page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: 'Start' }).first().click();
  await page.goto('/#/');
  const others = page.getByRole('region', { name: 'Also running' });
  await expect(others.getByRole('timer')).toHaveCount(1);
  await secondsPass(page, 30);
  await kept(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Now', exact: true }).getByRole('timer')).toContainText(/0[1-9]:\d\d/);
  await expect(others).toContainText('Boat numbers');
  for (let i = 0; i < 60 && !/^\+/.test((await others.getByRole('timer').textContent()) ?? ''); i++) await secondsPass(page, 15);
  await expect(others.getByRole('timer')).toContainText(/^\+/);
});
