import { expect, onlyJobs, openStation, planned, reading, test, type } from './workshop';

test('dates: packed and to spare, impossible, and of the first wash', async ({ page }) => {
  onlyJobs(page, ['regatta-prizes', 'honour-board']);
  await test.step('the ribbon tells packed time, latest start and slack', async () => {
    await openStation(page, 'regatta-prizes', 'fit');
    await expect(
      page.getByRole('img', { name: /^Time of Regatta prizes: .* packed Tue 1 Dec 1\d:\d\d, wanted Fri 4 Dec 17:00/ }),
    ).toBeVisible();
    // header, ribbon and stations leave the rest of the screen to the drawing and its answer
    await page.setViewportSize({ width: 1280, height: 800 });
    expect((await page.getByRole('region', { name: 'Fit, drawing' }).boundingBox())!.y).toBeLessThanOrEqual(190);
    await page.getByRole('button', { name: 'Open the time of this job' }).click();
    await expect(page.getByText(/start by Fri 4 Dec 1\d:\d\d/).first()).toBeVisible();
    await expect(page.getByText(/to spare/)).toBeVisible();
  });
  await test.step('an impossible date names the wait that makes it so, and agrees on another', async () => {
    await openStation(page, 'honour-board', 'cure');
    await page.getByLabel('Wanted', { exact: true }).fill('2 dec 2026 11:00');
    await page.getByLabel('Wanted', { exact: true }).press('Enter');
    const date = reading(page, 'Packed in time');
    await expect(date).toHaveAccessibleName(/stop/);
    await expect(date).toContainText('Impossible: packed');
    await expect(date).toContainText(/The longest wait is 17\.4 h until paint firm enough to wrap|Working hours/);
    await date.getByRole('button', { name: /Agree on Thu 3 Dec/ }).click();
    await expect(date).toHaveAccessibleName(/fine/);
  });
  await test.step('a date may be that of the first wash: the adhesive has to have its days before', async () => {
    await openStation(page, 'regatta-prizes', 'fit');
    await page.getByLabel('What it is wanted as').selectOption('washed');
    await planned(page);
    const promise = page.getByText(/· packed/).first();
    // packed on Tuesday it would be in time on Friday afternoon; washed it may be in the night
    await expect(promise).toContainText(/packed Tue 1 Dec 1\d:\d\d, ready Fri 4 Dec, too late/);
    await page.goto('/#/week');
    await expect(page.getByText(/Late: Regatta prizes/)).toBeVisible();
    await page.goto('/#/job/regatta-prizes/cure');
    await expect(reading(page, 'Fit for water in time')).toContainText('after it is wanted');
    await type(page, 'Wanted', 'sat 5 dec 17:00');
    await planned(page);
    await expect(promise).toContainText('ready Fri 4 Dec');
    await expect(promise).not.toContainText('too late');
  });
});
