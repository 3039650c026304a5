import { actions } from '../web/src/app/actions';
import { expect, kept, onlyJobs, openBench, openStation, secondsPass, test } from './workshop';

test('somebody new makes a mark, finds keys and whatever can be found', async ({ page }) => {
  onlyJobs(page, ['crew-flasks', 'honour-board', 'regatta-prizes']);
  await test.step('somebody new makes a real mark of one word', async () => {
    await openBench(page);
    const first = page.getByRole('form', { name: 'Your first mark' });
    await first.getByLabel(/New here/).fill('Galley');
    await first.getByRole('button', { name: 'Make it' }).click();
    await expect(page.getByLabel('Word')).toHaveValue('Galley');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the cut file' }).click();
    expect((await download).suggestedFilename()).toBe('galley.svg');
    await page.goto('/');
    await expect(page.getByRole('button', { name: 'Done' }).first()).toBeEnabled();
    await expect(first).toHaveCount(0);
  });
  await test.step('? lists the keys, / finds jobs, films, steps and settings, single keys lead about', async () => {
    await openBench(page);
    await kept(page);
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('nudge by 0.5 mm');
    await page.keyboard.press('Escape');
    for (const [typed, name, url] of [
      ['honour', 'Honour board', /honour-board\/fit/],
      ['harbour', 'Harbour blue', /stock/],
      ['humidity', 'Room temperature and humidity', /workshop/],
    ] as const) {
      await page.keyboard.press('/');
      await page.getByRole('combobox', { name: 'Find' }).fill(typed);
      await expect(page.getByRole('option').first()).toContainText(name);
      await page.keyboard.press('Enter');
      await expect(page).toHaveURL(url);
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
    // a hit leads to the word itself; letters that are typed there are its own
    await expect(page.getByLabel('Room temperature', { exact: true })).toBeFocused();
    await page.keyboard.press('Tab');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('b');
    await expect(page.getByRole('region', { name: 'Drying rack' })).toBeVisible();
    await openStation(page, 'honour-board', 'fit');
    await page.keyboard.press('1');
    await expect(page).toHaveURL(/measure/);
    // letters that are typed into a word stay there
    await page.getByLabel('Name of the piece').fill('b/?j');
    await expect(page).toHaveURL(/measure/);
  });
  await test.step('whatever can be found to do leads to a word, a button or a part of the page that is there', async () => {
    await openBench(page);
    const all = actions({ id: 'regatta-prizes', name: 'Regatta prizes' } as Parameters<typeof actions>[0]);
    expect(all.length).toBeGreaterThan(40);
    for (const to of new Set(all.map((one) => one.to))) {
      await page.goto(`/#${to}`);
      for (const { focus } of all.filter((one) => one.to === to)) {
        const found = page.getByRole('main').locator(`[aria-label^=${JSON.stringify(focus)}]`);
        await expect(found.or(page.getByRole('main').getByRole('button', { name: focus })).first(), `${to}: ${focus}`).toBeVisible();
      }
    }
  });
});

test('a clock that was set back or put forward while closed is asked about, and timers stand where they stood', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-30T12:00:00Z') });
  onlyJobs(page, ['crew-flasks']);
  await openBench(page);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('NOW, RUNNING')).toBeVisible();
  // moved by hand, so that what the timer says does not hang on the pace of the machine
  await page.clock.pauseAt(new Date('2026-11-30T12:01:00Z'));
  await secondsPass(page, 25);
  const timer = page.getByRole('timer').first();
  await expect(timer).toHaveText(/left0[89]:\d\d/);
  /** Closes the page, opens it at another moment, and answers what it asks. */
  const reopenedAt = async (moment: string, name: string, says: string, answer: string) => {
    await page.goto('about:blank');
    await page.clock.setSystemTime(new Date(moment));
    await page.clock.resume();
    await page.goto('/');
    const band = page.getByRole('status', { name });
    await expect(band).toContainText(says);
    await band.getByRole('button', { name: answer }).click();
    await expect(band).toHaveCount(0);
    // not three hours more or less
    await expect(timer).toHaveText(/left0\d:\d\d$/);
  };
  await test.step('set back by three hours', () => reopenedAt('2026-11-30T09:01:25Z', 'The clock was set back', '3 h', 'It is right now'));
  await test.step('put forward', () => reopenedAt('2026-11-30T15:01:25Z', 'A timer ran for long', '', 'The clock was changed'));
});
