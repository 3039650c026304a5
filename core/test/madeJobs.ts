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
];

/** A shop like the demo's with the heat-applied film that these jobs need. */
export function madeShop(shop: Shop): Shop {
  const heat = shop.films.find(({ id }) => id === 'brick-heat')!;
  const film = (id: string, name: string, kind: typeof heat.kind, colour: string) => ({ ...heat, id, name, kind, colour });
  return {
    ...sideShop(shop),
    films: [
      ...shop.films,
      film('soft-white', 'Soft white', 'heatStretch', '#fbfbf8'),
      film('soft-red', 'Soft red', 'heatStretch', '#c4302b'),
      { ...film('copper-foil', 'Copper foil', 'heatFoil', '#9a5530'), finish: 'foil' },
    ],
  };
}
