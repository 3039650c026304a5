import { existsSync, readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { loadShaper, readFace, setLine } from '../core/src/artwork';
import { FACES } from '../core/src/facts';
import { mapPath, type Path } from '../core/src/geometry';
import { CHROMIUM_ARGS, findChromium } from '../scripts/setup.mjs';
import type { Figure } from './figure';

/** Words of each alphabet, with what is easily set wrong: kerning, ligatures, marks, joins, order. */
const WORDS: Readonly<Record<string, readonly string[]>> = {
  latin: [
    'AVATAR',
    'Tofte',
    'office fjord',
    'Wyvern',
    'L’Étoile',
    'Tern & Petrel',
    'affluent',
    'To. Ty, Va',
    '1947',
    'Quillfeather',
    'minnow',
    'flotilla',
  ],
  'latin-ext': ['ŁŐŰğ', 'Šžěř', 'ąęśź'],
  cyrillic: ['Буревестник', 'ТАТА', 'Якорь', 'УГОЛ', 'съёмка'],
  greek: ['Θάλασσα', 'ΑΥΡΑ', 'Ποσειδῶν', 'Γλάρος'],
  arabic: ['بحر', 'محمد', 'سلام', 'بحر الشمال', 'الإسلام', 'مُحَمَّد', 'لؤلؤة', 'شراع'],
  hebrew: ['שלום', 'ים גדול', 'שָׁלוֹם', 'מפרש', '(דג)'],
  devanagari: ['हिन्दी', 'समुद्र', 'स्त्री', 'क्षत्रिय', 'नौका', 'कर्म'],
  thai: ['ทะเล', 'ที่นี่', 'น้ำ', 'เรือใบ'],
  tamil: ['தமிழ்', 'கடல்', 'கொடு', 'ஸ்ரீ'],
  bengali: ['বাংলা', 'সমুদ্র', 'ক্রিয়া', 'নৌকা'],
};

/** Faces of others, that only the bench reads. */
const OTHERS: readonly (readonly [id: string, alphabets: readonly string[], weights: readonly number[]])[] = [
  ['amiri', ['arabic', 'latin'], [400, 700]],
  ['vazirmatn', ['arabic', 'latin'], [300, 700, 900]],
  ['sarabun', ['thai', 'latin'], [300, 400, 700]],
  ['noto-sans-tamil', ['tamil'], [300, 400, 700, 900]],
  ['noto-sans-bengali', ['bengali'], [300, 400, 700, 900]],
  ['gfs-didot', ['greek', 'latin'], [400]],
  ['frank-ruhl-libre', ['hebrew', 'latin'], [300, 400, 700, 900]],
  ['great-vibes', ['latin', 'latin-ext', 'cyrillic'], [400]],
  ['lobster', ['latin', 'latin-ext', 'cyrillic'], [400]],
  ['cairo', ['arabic', 'latin'], [300, 400, 900]],
  ['heebo', ['hebrew', 'latin'], [300, 400, 900]],
  ['mukta', ['devanagari', 'latin'], [300, 400, 800]],
  ['montserrat', ['latin', 'cyrillic'], [200, 400, 900]],
  ['playfair-display', ['latin', 'cyrillic'], [400, 900]],
  ['dancing-script', ['latin'], [400]],
];

/** Words are compared as large as this, px an em. */
const EM = 200;
/** A word is right when at most this share of its painted pixels differs. */
const MOST_DIFFERENT = 0.005;

const say = (path: Path): string => path.map(([command, ...points]) => `${command}${points.flat().join(' ')}`).join('');
const fileOf = (id: string, alphabet: string, weight: number) =>
  `node_modules/@fontsource/${id}/files/${id}-${alphabet}-${weight}-normal.woff`;
const RIGHT_TO_LEFT = /^[^\p{L}]*[\p{Script=Arabic}\p{Script=Hebrew}]/u;

/** Words of many faces and scripts, set here and painted by a browser. */
export async function textFigures(): Promise<Figure[]> {
  await loadShaper();
  const shipped = FACES.filter(({ alphabets }) => alphabets.length > 0).map(
    ({ id, alphabets, weight }) => [id, alphabets, [weight]] as const,
  );
  const faces = [...shipped, ...OTHERS].flatMap(([id, alphabets, weights], i) =>
    weights.map((weight) => ({ id, alphabets, weight, own: i < shipped.length })),
  );
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGS });
  const page = await browser.newPage();
  await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
  await page.goto('about:blank');
  const tally = { own: { all: 0, right: 0 }, all: { all: 0, right: 0 } };
  const alphabetsSeen = new Set<string>();
  for (const { id, alphabets, weight, own } of faces)
    for (const alphabet of alphabets) {
      const file = fileOf(id, alphabet, weight);
      if (!existsSync(file)) {
        console.log(`  ${file} is not there`);
        continue;
      }
      const buffer = readFileSync(file);
      const read = readFace(id, [buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer]);
      if (!read.ok) throw new Error(read.problem.found);
      const words = WORDS[alphabet]!.flatMap((word) => {
        const { glyphs, advance, missing } = setLine(word, read.value);
        return missing.length > 0
          ? []
          : [
              {
                word,
                advance,
                right: RIGHT_TO_LEFT.test(word),
                d: glyphs.map((path) => say(mapPath(path, [EM, 0, 0, -EM, 0, 0]))).join(''),
              },
            ];
      });
      const shares = await page.evaluate(
        async ({ data, list, em, name }) => {
          const bytes = Uint8Array.from(atob(data), (c) => c.charCodeAt(0));
          const face = await new FontFace(name, bytes.buffer).load();
          document.fonts.add(face);
          return list.map(({ word, advance, right, d }) => {
            const [width, height] = [Math.ceil(advance * em + 2 * em), 3 * em];
            const canvas = () => {
              const made = Object.assign(document.createElement('canvas'), { width, height });
              const context = made.getContext('2d', { willReadFrequently: true })!;
              context.translate(em, 1.8 * em);
              return context;
            };
            const [theirs, ours] = [canvas(), canvas()];
            theirs.font = `${em}px "${name}"`;
            theirs.fontKerning = 'normal';
            theirs.textRendering = 'geometricPrecision';
            theirs.direction = right ? 'rtl' : 'ltr';
            theirs.textAlign = 'left';
            theirs.fillText(word, 0, 0);
            ours.fill(new Path2D(d));
            const [a, b] = [theirs, ours].map((one) => one.getImageData(0, 0, width, height).data);
            let [painted, different] = [0, 0];
            for (let i = 3; i < a!.length; i += 4) {
              if (a![i]! > 127 || b![i]! > 127) painted += 1;
              if (Math.abs(a![i]! - b![i]!) > 64) different += 1;
            }
            return { word, share: different / Math.max(1, painted) };
          });
        },
        { data: buffer.toString('base64'), list: words, em: EM, name: `bench-${id}-${alphabet}-${weight}` },
      );
      if (shares.length > 0) alphabetsSeen.add(alphabet);
      for (const { word, share } of shares) {
        const right = share <= MOST_DIFFERENT;
        for (const count of own ? [tally.own, tally.all] : [tally.all]) {
          count.all += 1;
          if (right) count.right += 1;
        }
        if (!right) console.log(`  ${id} ${weight} ${alphabet}: “${word}” ${(share * 100).toFixed(2)} % differ`);
      }
    }
  await browser.close();
  const figure = (name: string, { all, right }: { all: number; right: number }, least: number): Figure => ({
    ...{ name, value: Math.round((1000 * right) / all) / 10, unit: '%' },
    goal: `at least ${least} %`,
    holds: (100 * right) / all >= least,
  });
  const scripts = new Set([...alphabetsSeen].map((alphabet) => alphabet.replace('-ext', '')));
  return [
    { name: 'text/as-painted-faces', value: faces.length, unit: '', goal: 'at least 40', holds: faces.length >= 40 },
    { name: 'text/as-painted-scripts', value: scripts.size, unit: '', goal: 'at least 8', holds: scripts.size >= 8 },
    { name: 'text/as-painted-words', value: tally.all.all, unit: '', goal: 'no goal: words compared', holds: true },
    figure('text/as-painted', tally.all, 95),
    figure('text/as-painted-shipped', tally.own, 100),
  ];
}
