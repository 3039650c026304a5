// Longer than 300 lines: it is one table, a row a side job.
import type { Artwork, Feature, Job, Mark, Piece, PieceList, Shop, Zone } from '../src/job';

/** A plain drawing of one shape, its corners in any unit. */
const shape = (name: string, ...rings: (readonly (readonly [number, number])[])[]): Artwork => ({
  kind: 'drawing',
  name,
  parts: [
    {
      id: 'p',
      colour: '#000000',
      path: rings.flatMap(([first, ...rest]) => [['M', [...first!]], ...rest.map((p) => ['L', [...p]]), ['Z']]) as never,
      fill: 'evenodd',
    },
  ],
  leftOut: [],
});
const ring = (n: number, r: number, turn = 0) =>
  Array.from({ length: n }, (_, i): [number, number] => {
    const a = turn + (2 * Math.PI * i) / n;
    return [50 + r * Math.cos(a), 50 + r * Math.sin(a)];
  });
const disc = shape('disc', ring(72, 48));
const star = shape(
  'flake',
  Array.from({ length: 12 }, (_, i): [number, number] => {
    const [a, r] = [(Math.PI * i) / 6, i % 2 === 0 ? 48 : 26];
    return [50 + r * Math.cos(a), 50 + r * Math.sin(a)];
  }),
);

const flat = (width: number, height: number): Piece['shape'] => ({ kind: 'flat', width, height });
const zone = (width: number, height: number, more: Partial<Zone> = {}): Zone => ({
  ...{ id: 'z', name: 'Front', x: 0, y: 0, width, height, breathing: Math.min(width, height) * 0.08, lipBand: 0 },
  ...more,
});
const words = (text: string): Artwork => ({
  kind: 'text',
  align: 'centre',
  lineSpacing: 1,
  lines: [{ id: 'l', text, face: 'archivo-black', scale: 1, spacing: 0 }],
});
const mark = (id: string, art: string | Artwork, more: Partial<Mark> = {}): Mark => ({
  ...{ id, name: id, zone: 'z', technique: 'decal', artwork: typeof art === 'string' ? words(art) : art, edits: [], colourFilms: {} },
  ...{ film: 'white-gloss', flip: false, seenThrough: false, size: { mode: 'largest' }, offset: { x: 0, y: 0 } },
  ...{ subtle: false, coats: 2, pullAt: 'halfDry' },
  ...more,
});
const names = (...rows: string[]): PieceList => ({ columns: ['name'], rows: rows.map((cell, i) => ({ id: `r${i}`, cells: [cell] })) });
const feature = (kind: Feature['kind'], x: number, y: number, width: number, height: number): Feature => ({
  ...{ id: kind, kind, x, y, width, height, round: false, clear: 4 },
});

function job(
  id: string,
  name: string,
  piece: Partial<Piece> & Pick<Piece, 'shape' | 'ground' | 'contact' | 'colour'>,
  zones: readonly Zone[],
  marks: readonly Mark[],
  more: Partial<Job> = {},
): Job {
  const plain: Pick<Piece, 'name' | 'behind' | 'waxed' | 'use' | 'sealedFirst'> = {
    ...{ name: name.toLowerCase(), behind: '#efebe2', waxed: false, sealedFirst: false },
    use: { drink: false, food: false, dryShort: false },
  };
  return {
    ...{ id, name, client: '', count: 1, zones: [...zones], marks: [...marks], priority: 0, overrides: [], createdAt: 0, closed: false },
    piece: { ...plain, ...piece },
    ...more,
  };
}

const use = (more: Partial<Piece['use']> = {}): Piece['use'] => ({ drink: false, food: false, dryShort: false, ...more });

/** The side jobs of the demo workshop that are made with film and stencils: everyday projects, each with what is particular about it. */
export const SIDE_JOBS: readonly Job[] = [
  job(
    'a',
    'Crate lid',
    {
      shape: flat(600, 200),
      ground: 'rawWood',
      contact: 'openGrain',
      colour: '#d9b98a',
      coat: 'waterStain',
      slats: { run: 'level', slat: 64, gap: 4, first: 64 },
    },
    [zone(600, 200)],
    [mark('word', 'OARS', { film: 'white-gloss', size: { mode: 'width', width: 540 } })],
  ),
  job(
    'b',
    'Log book',
    { shape: flat(40, 240), ground: 'card', contact: 'satin', colour: '#cfc3a6', coat: 'acrylic', coatPaint: 'cream' },
    [zone(40, 240)],
    [mark('spine', '{name}', { film: 'petrol', turn: 90, size: { mode: 'height', height: 25 }, hold: { y: 'foot' } })],
    { count: 4, list: names('SPRING', 'SUMMER', 'AUTUMN', 'WINTER') },
  ),
  job(
    'f',
    'Terracotta pot',
    {
      ...{ shape: { kind: 'taper', rim: 140, foot: 96, height: 122 }, ground: 'terracotta', contact: 'satin', colour: '#b5654a' },
      ...{ coat: 'acrylic', coatPaint: 'cream' },
    },
    [zone(140, 90, { y: 15 })],
    [mark('word', '{name}', { film: 'petrol', sizes: 'same' })],
    { count: 3, list: names('mint', 'sage', 'thyme') },
  ),
  job(
    'g',
    'White mug',
    {
      shape: { kind: 'cylinder', diameter: 82, height: 95 },
      ground: 'glazedCeramic',
      contact: 'smooth',
      colour: '#f7f6f2',
      use: use({ drink: true }),
    },
    [zone(80, 70, { lipBand: 10, y: 5 })],
    [
      mark('name', 'Isla', {
        film: 'petrol',
        size: { mode: 'width', width: 50 },
        edits: [{ id: 'b', kind: 'backing', film: 'signal-amber', by: 2 }],
      }),
      mark('star', star, { film: 'harbour-blue', size: { mode: 'width', width: 9 }, offset: { x: -28, y: 20 } }),
    ],
  ),
  job(
    'h',
    'Slogan board',
    {
      ...{ shape: flat(400, 300), ground: 'sealedWood', contact: 'satin', colour: '#e7dcc4', coat: 'acrylic', coatPaint: 'navy' },
      ...{ labelled: 'paper' },
    },
    [zone(400, 300)],
    [mark('plank', 'HOME TIDE', { technique: 'stencil', film: 'stencil', paint: 'cream', coats: 2 })],
  ),
  job(
    'j',
    'Stemless glass',
    {
      shape: { kind: 'bulb', diameter: 92, along: 110, height: 100 },
      ground: 'glass',
      contact: 'smooth',
      colour: '#e8eeee',
      behind: '#efebe2',
      use: use({ drink: true }),
    },
    [zone(90, 70, { lipBand: 15, y: 10 })],
    [mark('name', 'Maeve', { film: 'petrol', size: { mode: 'width', width: 60 } })],
    { count: 2 },
  ),
  job(
    'k',
    'Slatted coaster',
    {
      shape: flat(100, 100),
      ground: 'rawWood',
      contact: 'openGrain',
      colour: '#d9b98a',
      slats: { run: 'level', slat: 21, gap: 5, first: 21 },
    },
    [zone(100, 100)],
    [mark('anchor', disc, { film: 'petrol', size: { mode: 'width', width: 60 } })],
    { count: 2 },
  ),
  job(
    'l',
    'Clear bucket',
    {
      ...{ shape: { kind: 'taper', rim: 260, foot: 200, height: 240 }, ground: 'polycarbonate', contact: 'smooth', colour: '#e3ebee' },
      ...{ behind: '#efebe2', seeThrough: true },
    },
    [zone(600, 150, { y: 40 })],
    [
      mark('side', 'ICE', { film: 'petrol', spread: { kind: 'round', count: 4 }, size: { mode: 'height', height: 50 } }),
      mark('dot', disc, { film: 'harbour-blue', size: { mode: 'width', width: 20 }, offset: { x: 0, y: 50 } }),
    ],
  ),
  job(
    'n',
    'White plate',
    { shape: flat(180, 180), ground: 'glass', contact: 'smooth', colour: '#fbfbf8', seeThrough: false, use: use() },
    [zone(180, 180)],
    [mark('flake', star, { film: 'petrol', size: { mode: 'width', width: 90 } })],
    { count: 4 },
  ),
  job(
    'p',
    'Gift box',
    { shape: flat(120, 120), ground: 'card', contact: 'satin', colour: '#f4efe2', features: [feature('trimming', -40, 0, 20, 120)] },
    [zone(120, 120)],
    [mark('numeral', '7', { film: 'petrol', hold: { x: 'right', y: 'foot' }, size: { mode: 'height', height: 40 } })],
    { count: 6 },
  ),
  job(
    'r',
    'Steel tray',
    {
      ...{
        shape: flat(350, 240),
        ground: 'bareMetal',
        contact: 'smooth',
        colour: '#b9bfc2',
        coat: 'sprayEnamel',
        coatPaint: 'white-spray',
      },
      ...{ features: [feature('trimming', -150, 190, 60, 60)] },
    },
    [zone(350, 240)],
    [mark('words', 'SLACK WATER', { film: 'petrol' })],
  ),
  job(
    't',
    'Painted wall',
    { shape: flat(900, 300), ground: 'paintedWall', contact: 'satin', colour: '#dfe5e0' },
    [zone(900, 300)],
    [
      mark('sign', 'KIT 1', {
        film: 'white-removable',
        size: { mode: 'width', width: 300 },
        edits: [{ id: 'b', kind: 'backing', film: 'petrol-removable', by: 4 }],
      }),
    ],
    { count: 10 },
  ),
  job(
    'u',
    'Glass jar',
    {
      ...{
        shape: { kind: 'cylinder', diameter: 95, height: 140 },
        ground: 'glass',
        contact: 'smooth',
        colour: '#e8eeee',
        behind: '#efebe2',
      },
      ...{ features: [feature('seam', 149, 0, 2, 140)], labelled: 'paper' },
    },
    [zone(110, 100, { y: 20 })],
    [mark('blade', 'OATS', { film: 'petrol', edits: [{ id: 's', kind: 'showGround', plate: 'rounded', margin: 10 }] })],
  ),
  job(
    'v',
    'Shaker',
    {
      ...{
        shape: { kind: 'cylinder', diameter: 60, height: 80 },
        ground: 'glass',
        contact: 'smooth',
        colour: '#e8eeee',
        behind: '#efebe2',
      },
      ...{ coat: 'acrylic', coatPaint: 'navy', sealedFirst: true },
    },
    [zone(50, 50, { y: 10 })],
    [mark('letter', '{name}', { film: 'white-gloss', size: { mode: 'height', height: 30 } })],
    { count: 2, list: names('S', 'P') },
  ),
  job(
    'aa',
    'Wooden gull',
    {
      ...{ ground: 'sealedWood', contact: 'satin', colour: '#efe6d2' },
      shape: { kind: 'flat', width: 220, height: 160, outline: { kind: 'ellipse' } },
    },
    [zone(220, 160, { breathing: 0 })],
    [
      mark('dots', disc, {
        film: 'petrol',
        overEdge: true,
        size: { mode: 'width', width: 14 },
        edits: [{ id: 's', kind: 'scatter', count: 20, width: 210, height: 150, least: 4, turn: false, over: true, seed: 3 }],
      }),
    ],
  ),
  job(
    'cc',
    'Stepped bucket',
    { shape: { kind: 'cylinder', diameter: 200, height: 240 }, ground: 'enamel', contact: 'smooth', colour: '#2f4a52' },
    [
      zone(180, 70, { id: 'z', name: 'Low step', y: 5 }),
      zone(180, 70, { id: 'y', name: 'Middle step', y: 85 }),
      zone(180, 70, { id: 'x', name: 'High step', y: 165 }),
    ],
    [
      mark('low', 'BAIL', { film: 'white-gloss', size: { mode: 'width', width: 100 } }),
      mark('middle', 'RINSE', { zone: 'y', film: 'white-gloss', size: { mode: 'width', width: 100 } }),
      mark('high', 'REPEAT', { zone: 'x', film: 'cream-matt', size: { mode: 'width', width: 100 } }),
    ],
  ),
  job(
    'dd',
    'Letter tag',
    { shape: flat(60, 80), ground: 'card', contact: 'satin', colour: '#caa777' },
    [zone(60, 80)],
    [
      mark('letter', '{name}', {
        film: 'white-gloss',
        size: { mode: 'height', height: 40 },
        edits: [{ id: 'b', kind: 'backing', film: 'petrol', by: 3 }],
      }),
    ],
    { count: 6, list: names('A', 'B', 'C', 'D', 'E', 'F') },
  ),
  job(
    'gg',
    'Silicone spatula',
    { shape: flat(60, 90), ground: 'silicone', contact: 'smooth', colour: '#7a8f93' },
    [zone(60, 90)],
    [mark('name', 'Cook', { film: 'white-gloss' })],
  ),
];

/** A shop like the demo's with what the side jobs need beside it: a spray, and a second film that comes off again. */
export function sideShop(shop: Shop): Shop {
  const removable = shop.films.find(({ id }) => id === 'white-removable')!;
  return {
    ...shop,
    films: [...shop.films, { ...removable, id: 'petrol-removable', name: 'Petrol removable', colour: '#0e5a61' }],
    paints: [...shop.paints, { ...shop.paints[0]!, id: 'white-spray', name: 'White spray enamel', coat: 'sprayEnamel', colour: '#f6f6f3' }],
  };
}
