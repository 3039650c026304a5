import { drawMark, simpleShape } from '../core/src/artwork';
import {
  checkNesting,
  fillFrugally,
  FillSearch,
  fillSheet,
  nestedLength,
  packInOrder,
  reliefCuts,
  Separation,
  skyline,
  startByOutlines,
  Tightening,
  freeEnd,
  type NestPart,
  type PackItem,
} from '../core/src/cut';
import {
  applyToRegion,
  boxHeight,
  boxOf,
  boxWidth,
  difference,
  flatten,
  IDENTITY,
  numbersFrom,
  offset,
  regionArea,
  regionOf,
  scaling,
  type Point,
  type Region,
} from '../core/src/geometry';
import { shippedFaces } from '../core/test/faces';
import { demoShop, textMark } from '../core/test/sampleJobs';
import { atMost, timed, type Figure } from './figure';

const WORDS = ['Tern', 'Ahoy', 'Anchor', 'Skerry', 'Oar', 'Regatta', 'Gull', 'Tide', 'Bow', 'Harbour', 'Cox', 'Wake'];
const FACES = ['pacifico', 'dancing-script', 'montserrat', 'archivo-black'];
const OPTIONS = { gap: 2, holdDown: 10 };
const ROLL = 305;

const circle = (r: number, n = 60): Point[] =>
  Array.from({ length: n }, (_, i): Point => [r * Math.cos((2 * Math.PI * i) / n), r * Math.sin((2 * Math.PI * i) / n)]);
const ring = (r: number): Region => difference([{ outer: circle(r), holes: [] }], [{ outer: circle(r * 0.72), holes: [] }]);
const shape = (name: 'heart' | 'star'): Region => regionOf(flatten(simpleShape(name), IDENTITY, 0.05), 'evenodd');
const leaf = (long: number): Region => [
  {
    outer: [
      ...Array.from({ length: 25 }, (_, i): Point => [(i / 24 - 0.5) * long, -Math.sin((Math.PI * i) / 24) * long * 0.22]),
      ...Array.from({ length: 23 }, (_, i): Point => [(0.5 - (i + 1) / 24) * long, Math.sin((Math.PI * (i + 1)) / 24) * long * 0.22]),
    ],
    holes: [],
  },
];
const sized = (region: Region, side: number): Region => {
  const box = boxOf(region);
  return applyToRegion(scaling(side / Math.max(boxWidth(box), boxHeight(box))), region);
};

/** Thirty parts as a workshop lays them out together: words in script and sans, hearts, rings, stars, leaves. */
function decalSet(seed: number, faces: ReturnType<typeof shippedFaces>): NestPart[] {
  const random = numbersFrom(seed * 71);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
  return Array.from({ length: 30 }, (_, i): NestPart => {
    const side = random();
    const region =
      i % 2 === 0
        ? drawMark(textMark(pick(WORDS), {}, pick(FACES)), { width: 200, height: 100 }, faces).layers[0]!.region
        : pick([() => shape('heart'), () => shape('star'), () => ring(30), () => leaf(60)])();
    return { region: sized(region, i % 2 === 0 ? 40 + side * 80 : 20 + side * 45), copies: 1 };
  });
}

/** The best of eight plain box packings, mm: four orders, each lying and standing (bottom-left skyline; Burke, Kendall and Whitwell, 2004). */
function eightBoxes(parts: readonly NestPart[]): number {
  const boxes = parts.map(({ region }, i): PackItem => {
    const box = boxOf(region);
    return { id: String(i), width: boxWidth(box), height: boxHeight(box) };
  });
  const orders: ((a: PackItem, b: PackItem) => number)[] = [
    (a, b) => b.height - a.height || b.width - a.width,
    (a, b) => b.width - a.width || b.height - a.height,
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
  ];
  const turns = [({ width, height }: PackItem) => height > width, ({ width, height }: PackItem) => width > height];
  const across = ROLL - 2 * OPTIONS.holdDown;
  const lengths = orders.flatMap((order) => turns.map((turn) => packInOrder(boxes.toSorted(order), across, OPTIONS.gap, turn).length));
  return OPTIONS.holdDown + Math.min(...lengths);
}

/** What a search had found after some seconds, mm, against boxes in the same run. */
interface Found {
  readonly lengths: readonly number[];
  readonly boxes: number;
  readonly faults: number;
}

/** Rounds from both starts, as two workers look at once: each has the whole time of a core. After each of the seconds the best is noted. */
function search(parts: readonly NestPart[], seconds: readonly number[], seed: number): Found {
  const sheet = freeEnd(demoShop().films[0]!, ROLL);
  const laid = skyline(parts, [sheet], OPTIONS, { rounds: 1, seed });
  const boxes = nestedLength(laid, parts);
  const found = (['boxes', 'outlines'] as const).map((from, i) => {
    const begun = performance.now();
    const start = from === 'boxes' ? laid : startByOutlines(parts, sheet, OPTIONS, { rounds: 24, seed }, laid);
    const separation = new Separation(parts, sheet, OPTIONS, start, seed + i * 100);
    // the last hundredths are looked for at the end of each time, as in the application
    let until = begun - LAST_MS;
    let before = 0;
    return seconds.map((after) => {
      until += (after - before) * 1000;
      before = after;
      while (performance.now() < until) separation.round();
      const asked = performance.now();
      const tightening = new Tightening(parts, sheet, OPTIONS, separation.nested());
      while (performance.now() < asked + LAST_MS && tightening.step());
      until += performance.now() - asked;
      const nesting = { nested: tightening.nested(), tooLarge: [] };
      return { length: nestedLength(nesting, parts), faults: checkNesting(nesting, parts, [sheet], OPTIONS).length };
    });
  });
  const all = found.flat();
  return {
    lengths: seconds.map((_, s) => Math.min(...found.map((one) => one[s]!.length))),
    ...{ boxes, faults: all.reduce((sum, { faults }) => sum + faults, 0) },
  };
}

/** Of strips so wide, how many are parted by a cut from side to side, where boxes lie three mm apart. */
export function reliefFigures(): Figure[] {
  const faces = shippedFaces();
  const sets = Array.from({ length: SETS }, (_, i) => decalSet(i + 1, faces));
  const film = demoShop().films[0]!;
  const laid = sets.map((parts) => {
    const { nested } = skyline(parts, [freeEnd(film, ROLL)], { gap: 3, holdDown: 10 }, { rounds: 1, seed: 1 });
    return nested.map(({ part, place }) => applyToRegion(place, parts[part]!.region));
  });
  const share = (strip: number) => {
    const found = laid.map((parts) => reliefCuts(parts, strip));
    const whole = found.reduce((sum, one) => sum + one.whole, 0);
    return (100 * whole) / found.reduce((sum, one) => sum + one.whole + one.bridged, 0);
  };
  const begun = performance.now();
  const [wide, narrow] = [share(80), share(40)];
  const each = (performance.now() - begun) / (2 * laid.length);
  const atLeast = (name: string, value: number, least: number): Figure => ({
    ...atMost(name, value, 100, '%'),
    ...{ goal: `at least ${least} %`, holds: value >= least },
  });
  return [
    atLeast('relief/strips-of-80', wide, 95),
    atLeast('relief/strips-of-40', narrow, 65),
    atMost('relief/a-layout', each, 2000, 'ms'),
  ];
}

/** A first look, and a longer one. */
const SECONDS = [5, 15] as const;
/** So much of each is kept for its end, ms. */
const LAST_MS = 1200;
const SETS = 10;

/** An offcut with a round and a square hole. */
const OFFCUT: Region = difference(
  difference(
    [
      {
        outer: [
          [0, 0],
          [240, 0],
          [260, 60],
          [230, 180],
          [120, 200],
          [0, 170],
        ],
        holes: [],
      },
    ],
    [{ outer: circle(28).map(([x, y]): Point => [x + 70, y + 60]), holes: [] }],
  ),
  [
    {
      outer: [
        [150, 90],
        [200, 90],
        [200, 140],
        [150, 140],
      ],
      holes: [],
    },
  ],
);
const ON_OFFCUT = { gap: 2, holdDown: 3 };
const OFFCUT_SECONDS = 8;
const OFFCUT_SETS = 5;

/** An offcut, and more compact parts than find room on it: what workshops cut from offcuts, in sizes from small to as large as goes beside a hole. */
function offcutParts(seed: number) {
  const film = demoShop().films[0]!;
  const sheet = { film, outline: OFFCUT, from: { kind: 'offcut' as const, id: 'offcut' } };
  const plate: Region = [
    {
      outer: [
        [0, 0],
        [60, 0],
        [60, 30],
        [0, 30],
      ],
      holes: [],
    },
  ];
  const pennant: Region = [
    {
      outer: [
        [0, 0],
        [60, 17],
        [0, 34],
      ],
      holes: [],
    },
  ];
  const disc: Region = [{ outer: circle(20), holes: [] }];
  const shapes = [shape('heart'), shape('star'), ring(30), leaf(60), disc, offset(plate, 5), pennant];
  const random = numbersFrom(seed * 5);
  const parts = Array.from({ length: 40 }, (_, i): NestPart => ({
    region: sized(shapes[i % shapes.length]!, 16 + random() * 40),
    copies: 2,
  }));
  return { parts, sheet };
}

/** How much of an offcut is filled by compact parts, more of them than find room, and how soon there is a first answer; the mean of some sets. */
function offcutFigures(): Figure[] {
  const whole = regionArea(OFFCUT);
  // nearer to its edges and holes nothing may lie
  const usable = regionArea(offset(OFFCUT, -ON_OFFCUT.holdDown));
  const sets = Array.from({ length: OFFCUT_SETS }, (_, i) => offcutParts(i + 1));
  const begun = performance.now();
  for (const { parts, sheet } of sets) fillSheet(parts, sheet, ON_OFFCUT, { rounds: 1, seed: 1 });
  const first = (performance.now() - begun) / OFFCUT_SETS;
  const found = sets.map(({ parts, sheet }) => {
    // as two workers look at once: each has the whole time of a core
    const both = [1, 2].map((seed) => {
      const until = performance.now() + OFFCUT_SECONDS * 1000;
      const search = new FillSearch(parts, sheet, ON_OFFCUT, fillFrugally(parts, sheet, ON_OFFCUT, seed), seed);
      while (performance.now() < until && search.round());
      return search;
    });
    const best = both.reduce((one, other) => (other.area > one.area ? other : one));
    // with half its gap round it a part takes film that no other can have
    const grown = parts.map(({ region }) => regionArea(offset(region, ON_OFFCUT.gap / 2)));
    return {
      parts: (100 * best.area) / whole,
      inside: (100 * best.area) / usable,
      taken: (100 * best.nested().reduce((sum, { part }) => sum + grown[part]!, 0)) / whole,
      faults: both.reduce((sum, search) => sum + search.faults().length, 0),
    };
  });
  const meanOf = (key: 'parts' | 'inside' | 'taken') => found.reduce((sum, one) => sum + one[key], 0) / found.length;
  const [inside, taken] = [meanOf('inside'), meanOf('taken')];
  return [
    { ...atMost('nest/offcut-parts-of-what-may-be-cut', inside, 100, '%'), goal: 'at least 70 %', holds: inside >= 70 },
    { ...atMost('nest/offcut-filled-by-parts-with-their-gap', taken, 100, '%'), goal: 'at least 70 %', holds: taken >= 70 },
    { ...atMost('nest/offcut-film-that-becomes-parts', meanOf('parts'), 100, '%'), goal: 'no goal: ADR 45' },
    atMost('nest/offcut-begun', first, 300, 'ms'),
    atMost(
      'nest/offcut-faults',
      found.reduce((sum, { faults }) => sum + faults, 0),
      0,
      'faults',
    ),
  ];
}

/** Film of the true outlines against that of boxes, in the same run; and how soon there is a first answer. */
export async function nestFigures(): Promise<Figure[]> {
  const faces = shippedFaces();
  const sets = Array.from({ length: SETS }, (_, i) => decalSet(i + 1, faces));
  const found = sets.map((parts, i) => search(parts, SECONDS, i + 1));
  const eight = sets.map(eightBoxes);
  const [shares, later] = SECONDS.map((_, s) => found.map(({ lengths }, i) => (100 * lengths[s]!) / eight[i]!)) as [number[], number[]];
  const own = found.map(({ lengths, boxes }) => (100 * lengths[0]!) / boxes);
  const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length;
  const sheet = freeEnd(demoShop().films[0]!, ROLL);
  const first = await timed((i) => {
    const parts = sets[Math.max(0, i)]!;
    return new Separation(parts, sheet, OPTIONS, skyline(parts, [sheet], OPTIONS, { rounds: 1, seed: 1 }), 1);
  });
  return [
    atMost('nest/decal-sets-5s-of-eight-box-packings-mean', mean(shares), 74, '%'),
    atMost('nest/decal-sets-5s-of-eight-box-packings-worst', Math.max(...shares), 83, '%'),
    atMost('nest/decal-sets-15s-of-eight-box-packings-mean', mean(later), 71, '%'),
    // a box packing that looks at more orders, and under the skyline too
    {
      ...atMost('nest/decal-sets-5s-of-own-boxes-mean', mean(own), 100, '%'),
      goal: 'no goal: Kolleta packs boxes better than those eight',
    },
    atMost('nest/begun', first, 300, 'ms'),
    atMost(
      'nest/faults',
      found.reduce((sum, { faults }) => sum + faults, 0),
      0,
      'faults',
    ),
    ...offcutFigures(),
  ];
}
