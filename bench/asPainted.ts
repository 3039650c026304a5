import { readdirSync, readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { importSvg } from '../core/src/artwork';
import { mapPath, type Path } from '../core/src/geometry';
import { CHROMIUM_ARGS, findChromium } from '../scripts/setup.mjs';
import { atMost, type Figure } from './figure';

/** Sets of pictures that others made; only the bench reads them. */
const SETS = [
  // lines, plain shapes, many colours
  'node_modules/lucide-static/icons',
  'node_modules/@phosphor-icons/core/assets/regular',
  'node_modules/@twemoji/svg',
  // flags with clips and shapes off the page; shapes with holes; signs of a few dots; weather with masks and clips; colours without outlines
  'node_modules/flag-icons/flags/4x3',
  'node_modules/bootstrap-icons/icons',
  'node_modules/@mapbox/maki/icons',
  'node_modules/@meteocons/svg/flat',
  'node_modules/flat-color-icons/svg',
  // made by hand: each has what was once drawn wrong
  'core/test/drawings',
];
const EACH = 100;
/** What film cannot be: files that name any of it are passed over. */
const NOT_FILM = /<(linearGradient|radialGradient|filter|image|animate\w*)\b/;
const SIDE = 1024;
/** A file is right when at most this share of its painted pixels differs. */
const MOST_DIFFERENT = 0.005;

const say = (path: Path): string => path.map(([command, ...points]) => `${command}${points.flat().join(' ')}`).join('');

/** Files spread evenly over a set. */
function sample(folder: string): string[] {
  const all = readdirSync(folder).filter((name) => name.endsWith('.svg') && !NOT_FILM.test(readFileSync(`${folder}/${name}`, 'utf8')));
  if (all.length <= EACH) return all.map((name) => `${folder}/${name}`);
  return Array.from({ length: EACH }, (_, i) => `${folder}/${all[Math.floor((i * all.length) / EACH)]!}`);
}

/** Compares what is taken in from files of eight sets with what a browser paints of them at 1024 pixels. */
export async function paintedFigures(): Promise<Figure[]> {
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGS });
  const page = await browser.newPage();
  await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
  await page.goto('about:blank');
  let right = 0;
  let spent = 0;
  let slowest = 0;
  const files = SETS.flatMap(sample);
  for (const file of files) {
    // a colour that is said nowhere is black, in a browser as in ours
    const text = readFileSync(file, 'utf8').replace(/currentColor/g, '#000000');
    const start = performance.now();
    let n = 0;
    const result = importSvg(text, file, () => `p${++n}`);
    spent += performance.now() - start;
    slowest = Math.max(slowest, performance.now() - start);
    if (!result.ok) {
      console.log(`  ${file}: ${result.problem.found}`);
      continue;
    }
    const parts = result.value.parts.map((part) => ({
      d: say(mapPath(part.path, [1, 0, 0, -1, 0, 0])),
      fill: part.colour,
      // what is see-through is told, and the maker says what becomes of it
      opacity: part.opacity ?? 1,
      rule: part.fill,
    }));
    const box = /viewBox="([^"]+)"/.exec(text)![1]!.split(/\s+/).map(Number);
    const share = await page.evaluate(
      async ({ svg, own, frame, side }) => {
        const canvas = () => {
          const made = document.createElement('canvas');
          made.width = made.height = side;
          return made.getContext('2d', { willReadFrequently: true })!;
        };
        const [theirs, ours] = [canvas(), canvas()];
        const picture = new Image();
        const sized = svg.replace(
          /<svg([^>]*)>/,
          (_, rest: string) => `<svg${rest.replace(/\s(width|height)="[^"]*"/g, '')} width="${side}" height="${side}">`,
        );
        picture.src = `data:image/svg+xml;base64,${btoa(unescape(encodeURIComponent(sized)))}`;
        await picture.decode();
        theirs.drawImage(picture, 0, 0, side, side);
        const k = side / Math.max(frame[2]!, frame[3]!);
        ours.setTransform(k, 0, 0, k, -frame[0]! * k + (side - frame[2]! * k) / 2, -frame[1]! * k + (side - frame[3]! * k) / 2);
        for (const { d, fill, rule, opacity } of own) {
          ours.fillStyle = fill;
          ours.globalAlpha = opacity;
          ours.fill(new Path2D(d), rule);
        }
        const [a, b] = [theirs.getImageData(0, 0, side, side).data, ours.getImageData(0, 0, side, side).data];
        let [painted, different] = [0, 0];
        for (let i = 0; i < a.length; i += 4) {
          if (a[i + 3]! > 127 || b[i + 3]! > 127) painted += 1;
          // both over white, so that a soft edge is compared as it is seen
          for (let c = 0; c < 3; c++) {
            const over = (data: Uint8ClampedArray) => 255 + ((data[i + c]! - 255) * data[i + 3]!) / 255;
            if (Math.abs(over(a) - over(b)) > 64) {
              different += 1;
              break;
            }
          }
        }
        return different / Math.max(1, painted);
      },
      { svg: text, own: parts, frame: box, side: SIDE },
    );
    if (share <= MOST_DIFFERENT) right += 1;
    else
      console.log(
        `  ${file.split('/').slice(-3).join('/')}: ${(share * 100).toFixed(2)} % differ${result.value.leftOut.length ? `; left out: ${result.value.leftOut.join(', ')}` : ''}`,
      );
  }
  await browser.close();
  return [
    { name: 'import/as-painted-files', value: files.length, unit: '', goal: 'at least 700', holds: files.length >= 700 },
    {
      name: 'import/as-painted',
      value: Math.round((1000 * right) / files.length) / 10,
      unit: '%',
      goal: 'at least 97 %',
      holds: right / files.length >= 0.97,
    },
    atMost('import/as-painted-time', spent / 1000, 60, 's'),
    atMost('import/as-painted-slowest', slowest, 2000, 'ms'),
  ];
}
