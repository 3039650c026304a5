import { readFileSync } from 'node:fs';
import type { Shop } from '../core/src/job';
import { SIDE_JOBS, sideShop } from '../core/test/sideJobs';
import { atOwn, drop, expect, openBench, openStation, planned, reading, test } from './workshop';

/** What a maker reads of each side job at the stations where it matters; the whole of it is held in core's own test of them. */
const READS: readonly (readonly [job: string, station: string, says: RegExp])[] = [
  ['a', 'prepare', /Stain the crate lid.*Dust off the crate lid with a dry brush/s],
  ['a', 'fit', /Over the gaps.*slit it along both edges of each gap/s],
  ['b', 'tape', /Low-tack paper/],
  ['b', 'weed', /the letters stay/],
  ['f', 'prepare', /Brush the 3 terracotta pots down.*Paint the 3 terracotta pots/s],
  ['g', 'place', /signal amber and petrol/],
  ['g', 'prepare', /Wipe the white mug with alcohol/],
  ['h', 'prepare', /Take the label off the slogan board.*Sand the slogan board.*Paint the slogan board/s],
  ['h', 'weed', /the surround stays as the mask/],
  ['j', 'tape', /Snip it 13 times/],
  ['k', 'fit', /An open-grained surface is touched by only 55 %/],
  ['l', 'fit', /stands out from what stands behind it/],
  ['n', 'prepare', /Wipe the 4 white plates with alcohol/],
  ['p', 'prepare', /Dust off the 6 gift boxes with a soft dry brush/],
  ['r', 'prepare', /takes its next coat, else only after two days|Across the one before/],
  ['t', 'fit', /film holds well on this/],
  ['t', 'cure', /Check, from where it will be seen, the painted wall/],
  ['u', 'weed', /lift the letters out; the plate around them stays/],
  ['u', 'prepare', /Take the label off the glass jar.*next day/s],
  ['v', 'prepare', /Seal the 2 shakers with one thin clear coat.*Dust off/s],
  ['aa', 'prepare', /Dust off the wooden gull/],
  ['cc', 'fit', /Cream matt|White gloss/],
  ['dd', 'place', /petrol and white gloss, each pressed down before the next/],
  ['gg', 'fit', /Silicone lets go of film that has to stay.*Tie on a card or tag/s],
];

test('eighteen side jobs read right at the stations where it matters, and what cannot be held is kept from the knife', async ({ page }) => {
  await openBench(page);
  await page.goto('/#/workshop');
  const demo = JSON.parse(readFileSync(new URL('../demo/workshop.json', import.meta.url), 'utf8')) as { shop: Shop };
  // in files moments are written out
  const jobs = SIDE_JOBS.map((job) => ({ ...job, createdAt: '2026-12-01T09:00:00Z' }));
  await drop(page, 'Workshop file', 'side-jobs.json', JSON.stringify({ ...demo, shop: sideShop(demo.shop), jobs, events: [] }));
  await page.getByRole('alertdialog').getByRole('button', { name: 'Do it' }).click();
  await atOwn(page);
  await planned(page);
  for (const [job, station, says] of READS) {
    await openStation(page, job, station);
    await expect(page.locator('main'), `${job} at ${station}`).toContainText(says);
  }
  // refused: nothing of it is cut; and the way out is said
  await openStation(page, 'gg', 'cut');
  await expect(page.getByRole('button', { name: /Save the cut file/ })).toBeDisabled();
  // a stencil strip that would tear is mended by its fix, and may be cut then
  await openStation(page, 'h', 'fit');
  await reading(page, 'Thin parts')
    .getByRole('button', { name: /^Slim the openings/ })
    .click();
  await planned(page);
  await openStation(page, 'h', 'cut');
  await expect(page.getByRole('button', { name: /Save the cut file/ })).toBeEnabled();
});
