import { beginOwn, clockStands, expect, planned, secondsPass, test } from './workshop';

test('a whole job from a blank to a packed and logged piece, on the Bench alone and by the clock', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-12-01T09:40:00Z') });
  await beginOwn(page, ['Millimetres, °C', 'any day', /^Wide table cutter/, /^Navy gloss/, 'Medium clear tape']);
  await clockStands(page, '2026-12-01T10:00:00Z');
  await page.goto('/#/jobs');
  await page.getByRole('button', { name: 'Ceramic', exact: true }).click();
  await page.getByRole('button', { name: /glazed tile/ }).click();
  await page.getByRole('link', { name: /^Draw/ }).click();
  await page.getByLabel('Line 1', { exact: true }).fill('27');
  await page.getByLabel('Font of line 1').selectOption('archivo-black');
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(page.getByRole('region', { name: /^Size: fine/ })).toBeVisible();
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  const now = page.getByRole('region', { name: 'Now', exact: true });
  const titles: string[] = [];
  // hands do what the Bench says, until nothing is left
  for (let i = 0; i < 12; i++) {
    await planned(page);
    const heading = now.getByRole('heading');
    await expect(heading.or(page.getByRole('heading', { name: /The bench is clear|All done/ })).first()).toBeVisible();
    if ((await heading.count()) === 0) break;
    const title = await heading.innerText();
    titles.push(title);
    const start = now.getByRole('button', { name: 'Start' });
    if (title.startsWith('Place')) {
      // the alcohol has only just been wiped on: it is asked about, and then waited for
      await now.getByRole('button', { name: 'Done' }).click();
      const ask = page.getByRole('dialog', { name: /^Is it time/ });
      await expect(ask).toContainText('to go');
      await ask.getByRole('button', { name: 'Wait' }).click();
      await expect(now.getByRole('heading', { name: title, exact: true })).toBeVisible();
      await expect(now.getByRole('timer')).toContainText('wait:');
      for (let waited = 0; waited < 60 && (await now.getByText('wait:').count()) > 0; waited++) await secondsPass(page, 10);
      await expect(now.getByRole('timer')).toContainText('takes');
    }
    await start.click();
    await expect(now).toContainText('NOW, RUNNING');
    await secondsPass(page, 30);
    await now.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('heading', { name: title, exact: true })).toHaveCount(0);
  }
  expect(titles.map((t) => t.split(' ')[0])).toEqual(['Cut', 'Weed', 'Tape', 'Wipe', 'Place', 'Check,']);
  await expect(page.getByRole('heading', { name: /The bench is clear|All done/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Drying rack' })).toContainText('adhesive dwells');
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByRole('list', { name: 'Log' }).getByRole('listitem')).toHaveCount(6);
  // each ran by its timer
  await expect(page.getByText('6 steps, 6 of them timed')).toBeVisible();
  await page.getByRole('link', { name: 'Stock', exact: true }).click();
  await expect(page.getByText(/left · next jobs take/)).toHaveCount(0);
});
