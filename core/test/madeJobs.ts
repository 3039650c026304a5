import type { Job, Mark, Piece, Shop, Zone } from '../src/job';
import { sideShop } from './sideJobs';
import { textMark } from './sampleJobs';

const flat = (width: number, height: number): Piece['shape'] => ({ kind: 'flat', width, height });
const zone = (width: number, height: number, more: Partial<Zone> = {}): Zone => ({
  ...{ id: 'z', name: 'Front', x: 0, y: 10, width, height, breathing: 8, lipBand: 0 },
  ...more,
});
const mark = (id: string, text: string, more: Partial<Mark>): Mark =>
  textMark(text, { id, name: id, ...more }, id === 'flag' ? 'saira-stencil-one' : 'archivo-black');

function job(
  id: string,
  piece: Partial<Piece> & Pick<Piece, 'name' | 'shape' | 'ground' | 'colour'>,
  zones: Zone[],
  marks: Mark[],
  more: Partial<Job> = {},
): Job {
  return {
    ...{ id, name: piece.name, client: '', count: 1, zones, marks, priority: 0, overrides: [], createdAt: 0, closed: false },
    piece: {
      ...{ contact: 'satin', behind: '#3b4a52', waxed: false, sealedFirst: false },
      ...{ use: { drink: false, food: false, dryShort: false } },
      ...piece,
    },
    ...more,
  };
}

const hole = (n: number, r: number) =>
  Array.from({ length: n }, (_, i): readonly [number, number] => [
    50 + r * Math.cos((2 * Math.PI * i) / n),
    50 + r * Math.sin((2 * Math.PI * i) / n),
  ]);
/** A ring of which the inner width is what is given: as wide inside as 80 of its 100 units. */
const ring = (inner: number): Pick<Mark, 'artwork' | 'size'> => ({
  artwork: {
    ...{ kind: 'drawing', name: 'ring', leftOut: [] },
    parts: [
      {
        ...{ id: 'p', colour: '#000000', fill: 'evenodd' },
        path: [hole(120, 50), hole(120, 40)].flatMap(([first, ...rest]) => [
          ['M', [...first!]],
          ...rest.map((p) => ['L', [...p]]),
          ['Z'],
        ]) as never,
      },
    ],
  },
  size: { mode: 'width', width: inner * 1.25 },
});

/** Side jobs that are made otherwise than with film that stays or a painted stencil: masked, etched, pressed, written. */
export const MADE_JOBS: readonly Job[] = [
  job(
    'c',
    {
      name: 'pine sign',
      shape: flat(400, 160),
      ground: 'rawWood',
      contact: 'openGrain',
      colour: '#c9a877',
      coat: 'waterStain',
      coatPaint: 'water-stain',
    },
    [zone(380, 140)],
    [mark('word', 'SLIP', { technique: 'mask', film: 'stencil', paint: 'cream', edge: 'ground', size: { mode: 'width', width: 300 } })],
  ),
  job(
    'd',
    {
      ...{ name: 'glass plate', shape: flat(180, 180), ground: 'glass', contact: 'smooth', colour: '#dfeaec' },
      use: { drink: false, food: true, dryShort: false },
    },
    [zone(160, 160)],
    [mark('flag', 'TP', { technique: 'etched', film: 'stencil', size: { mode: 'width', width: 70 } })],
  ),
  job(
    'e',
    { name: 'canvas', shape: flat(300, 240), ground: 'canvas', colour: '#efe6d2' },
    [zone(280, 220)],
    [mark('word', 'HOME', { technique: 'heat', film: 'brick-heat', size: { mode: 'width', width: 200 } })],
    {
      steps: [
        { id: 'off', name: 'Take the canvas off its frame', minutes: 5, when: 'first' },
        { id: 'stain', name: 'Stain the frame', minutes: 6, wait: 720, when: 'first' },
        { id: 'on', name: 'Put it on again and tighten it', minutes: 8, when: 'beforePacking' },
      ],
    },
  ),
  job(
    'm',
    {
      ...{
        name: 'serving board',
        shape: flat(420, 180),
        ground: 'rawWood',
        colour: '#c9a877',
        coat: 'waterStain',
        coatPaint: 'water-stain',
      },
      sealedFirst: true,
    },
    [zone(400, 160, { y: 10 })],
    [
      mark('bottle', '', { ...ring(80), film: 'white-gloss' }),
      mark('left glass', '', { ...ring(60), film: 'white-gloss', offset: { x: -130, y: 0 } }),
      mark('right glass', '', { ...ring(60), film: 'white-gloss', offset: { x: 130, y: 0 } }),
    ],
  ),
  job(
    'o',
    {
      ...{
        name: 'flute',
        shape: { kind: 'cylinder', diameter: 52, height: 150 },
        ground: 'glass',
        contact: 'smooth',
        colour: '#e6eef0',
        behind: '#f2dfa2',
      },
      use: { drink: true, food: false, dryShort: false },
    },
    [zone(50, 60, { y: 40, breathing: 4, lipBand: 20 })],
    [mark('toast', 'AHOY', { film: 'warm-change', size: { mode: 'width', width: 38 } })],
    { count: 2 },
  ),
  job(
    'q',
    { name: 'cotton shirt', shape: flat(300, 360), ground: 'cotton', colour: '#22302f', stretches: true },
    [zone(280, 300)],
    [
      mark('word', 'CREW', {
        ...{ technique: 'heat', film: 'soft-white', size: { mode: 'width', width: 220 } },
        edits: [{ id: 'f', kind: 'frame', plate: 'box', margin: 8, width: 4, film: 'soft-red' }],
      }),
    ],
    { count: 2 },
  ),
  job(
    's',
    { name: 'ABS bin', shape: flat(200, 120), ground: 'abs', contact: 'smooth', colour: '#d6dadb' },
    [zone(150, 60)],
    [mark('label', '{what}', { technique: 'written', film: 'writable-white', sizes: 'same' })],
    { count: 3, list: { columns: ['what'], rows: ['Ropes', 'Fenders', 'Flags'].map((cell, i) => ({ id: `r${i}`, cells: [cell] })) } },
  ),
  job(
    'w',
    { name: 'pot holder', shape: flat(180, 180), ground: 'cotton', contact: 'ribbed', colour: '#efe6d2' },
    [zone(160, 160)],
    [mark('word', 'HOT', { technique: 'heat', film: 'brick-heat', size: { mode: 'width', width: 110 } })],
    { count: 2 },
  ),
  job(
    'x',
    {
      name: 'coir doormat',
      shape: flat(600, 400),
      ground: 'coir',
      contact: 'ribbed',
      colour: '#a98457',
      use: { drink: false, food: false, dryShort: false },
    },
    [zone(560, 360)],
    [
      mark('word', 'AHOY', {
        technique: 'stencil',
        film: 'white-gloss',
        paint: 'navy',
        tool: 'sponge',
        size: { mode: 'width', width: 460 },
      }),
    ],
  ),
  job(
    'y',
    { name: 'polyester mask', shape: flat(160, 120), ground: 'polyester', colour: '#f6f6f3' },
    [zone(140, 100)],
    [mark('word', 'ROW', { technique: 'heat', film: 'white-flock', size: { mode: 'width', width: 80 }, subtle: true })],
  ),
  job(
    'bb',
    { name: 'striped runner', shape: flat(900, 300), ground: 'linen', colour: '#e9e2d0' },
    [zone(400, 200)],
    [mark('word', 'TIDE', { technique: 'heat', film: 'copper-foil', size: { mode: 'width', width: 380 } })],
  ),
  job(
    'gg',
    { name: 'silicone spatula', shape: flat(60, 90), ground: 'silicone', contact: 'smooth', colour: '#7a8f93' },
    [zone(50, 70)],
    [mark('word', 'STIR', { film: 'white-gloss', size: { mode: 'width', width: 30 } })],
  ),
  job(
    'hh',
    {
      name: 'shop window',
      shape: flat(900, 600),
      ground: 'glass',
      contact: 'smooth',
      colour: '#e6eef0',
      behind: '#3a4144',
      use: { drink: false, food: false, dryShort: true },
    },
    [zone(860, 560, { breathing: 20 })],
    [mark('hours', 'OPEN', { film: 'white-removable', seenThrough: true, flip: false, size: { mode: 'width', width: 700 } })],
  ),
];

/** A shop like the demo's with the film and paint that these jobs need. */
export function madeShop(shop: Shop): Shop {
  const heat = shop.films.find(({ id }) => id === 'brick-heat')!;
  const film = (id: string, name: string, kind: typeof heat.kind, colour: string) => ({ ...heat, id, name, kind, colour });
  return {
    ...sideShop(shop),
    films: [
      ...shop.films,
      film('soft-white', 'Soft white', 'heatStretch', '#fbfbf8'),
      film('soft-red', 'Soft red', 'heatStretch', '#c4302b'),
      {
        ...shop.films.find(({ id }) => id === 'white-gloss')!,
        id: 'warm-change',
        name: 'Warm change',
        kind: 'changing',
        colour: '#1b3a5c',
        colours: ['#1b3a5c', '#b0305c'],
      },
      { ...film('copper-foil', 'Copper foil', 'heatFoil', '#9a5530'), finish: 'foil' },
    ],
  };
}
