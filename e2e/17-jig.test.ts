import { spawnSync } from 'node:child_process';
import type { Download } from '@playwright/test';
import { expect, onlyJobs, openStation, test, textOf, type } from './workshop';

/** Lengths of dark level runs in a PDF's first page, mm, as poppler draws it at ten dots a mm. */
async function levelRuns(download: Download): Promise<number[]> {
  const args = ['-r', '254', '-gray', '-f', '1', '-l', '1', await download.path()];
  const { error, stdout: bytes } = spawnSync('pdftoppm', args, { maxBuffer: 64e6 });
  if (error) throw new Error('This test needs pdftoppm. Install it (Debian: apt-get install poppler-utils), then run it again.');
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 60).toString('latin1'))!;
  const [width, height] = [Number(head[1]), Number(head[2])];
  const runs: number[] = [];
  for (let y = 0; y < height; y++) {
    let run = 0;
    for (let x = 0; x <= width; x++) {
      if (x < width && bytes[head[0].length + y * width + x]! < 160) run += 1;
      else {
        if (run > 300) runs.push(run / 10);
        run = 0;
      }
    }
  }
  return runs;
}

test('jigs and the job sheet print: of a plate, of a tapered glass, and one for every name', async ({ page }) => {
  onlyJobs(page, ['boat-numbers', 'regatta-prizes', 'crew-flasks', 'honour-board']);
  await test.step('a jig at 1:1: its line of 100 mm measures 100 mm in the printed PDF, and a measured print corrects it', async () => {
    await openStation(page, 'boat-numbers', 'fit');
    const jig = page.getByRole('region', { name: 'Jig' });
    await expect(jig.getByRole('img', { name: '1 sheet of A4' })).toBeVisible();
    const save = async () => {
      const download = page.waitForEvent('download');
      await jig.getByRole('button', { name: 'Save the jig (PDF)' }).click();
      return levelRuns(await download);
    };
    const near = (runs: number[], wanted: number) => runs.some((run) => Math.abs(run - wanted) <= 0.3);
    const runs = await save();
    expect(near(runs, 100), `${runs}`).toBe(true);
    // the plate itself, cut along its edge
    expect(near(runs, 200), `${runs}`).toBe(true);
    await type(page, 'Measured check line', '98');
    const corrected = await save();
    expect(near(corrected, 100 / 0.98), `${corrected}`).toBe(true);
    await type(page, 'Measured check line', '50');
    await expect(page.getByRole('alert')).toContainText('is no slip of a printer');
  });
  await test.step('a wrap jig of a tapered glass takes several sheets, and goes out in one piece as SVG', async () => {
    await openStation(page, 'regatta-prizes', 'fit');
    const jig = page.getByRole('region', { name: 'Jig' });
    await expect(jig).toContainText('it wraps round the piece and meets itself');
    await expect(jig.getByRole('img')).toHaveAccessibleName(/[2-4] sheets of A4/);
    await jig.getByLabel('Paper').selectOption('Letter');
    await expect(jig.getByRole('img')).toHaveAccessibleName(/of Letter/);
    const download = page.waitForEvent('download');
    await jig.getByRole('button', { name: 'As SVG, in one piece' }).click();
    const text = await textOf(await download);
    expect(text).toMatch(/<svg[^>]* width="2\d\d\.\d+mm"/);
  });
  await test.step('with a list there is a jig for every name, in one file, or for one of them', async () => {
    await openStation(page, 'crew-flasks', 'fit');
    const jig = page.getByRole('region', { name: 'Jig' });
    await jig.getByLabel('Whose jig').selectOption('each of the 6');
    const download = page.waitForEvent('download');
    await jig.getByRole('button', { name: 'Save the jigs (PDF)' }).click();
    const sheets = Number(/(\d+) sheets/.exec(await jig.innerText())![1]);
    const words = spawnSync('pdftotext', [await (await download).path(), '-'], { encoding: 'utf8' });
    expect(words.status).toBe(0);
    const pages = words.stdout.split('\f').slice(0, -1);
    expect(pages).toHaveLength(sheets);
    expect(sheets % 6).toBe(0);
    const names = await jig.getByLabel('Whose jig').locator('option').allInnerTexts();
    for (const name of names.slice(2)) expect(pages.some((text) => text.includes(name.split(' · ')[0]!))).toBe(true);
    await jig.getByLabel('Whose jig').selectOption({ index: 3 });
    await expect(jig.getByRole('button', { name: 'Save the jig (PDF)' })).toBeEnabled();
  });
  await test.step('the job sheet prints on A4 and Letter without the tools around it', async () => {
    await openStation(page, 'honour-board', 'prepare');
    await expect(page.getByRole('list', { name: 'Steps' })).toBeVisible();
    for (const [format, width] of [
      ['A4', 595],
      ['Letter', 612],
    ] as const) {
      const pdf = await page.pdf({ format, printBackground: true });
      const text = pdf.toString('latin1');
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
      const boxes = [...text.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/g)];
      expect(boxes.length).toBeGreaterThan(0);
      for (const [, w] of boxes) expect(Math.abs(Number(w) - width)).toBeLessThan(1.5);
      await page.emulateMedia({ media: 'print' });
      await page.setViewportSize({ width: Math.round((width * 96) / 72), height: 1000 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(1);
    }
    await expect(page.getByRole('banner')).toBeHidden();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Done' }).first()).toBeHidden();
    await expect(page.getByRole('heading', { name: 'Sand the oak board' })).toBeVisible();
  });
});
