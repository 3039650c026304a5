import type { Artwork, Job, Mark, PieceList, Shop } from '../src/job';
import { DEMO_START, plateJob, textMark } from './sampleJobs';

/** A kind of reading, what brings it about, a job that does, and the workshop that it is in. */
export type KnownCase = readonly [kind: string, what: string, make: () => Job, own?: () => Shop];

const list = (cells: string[][], columns = ['name']): PieceList => ({ columns, rows: cells.map((c, i) => ({ id: `r${i}`, cells: c })) });
const swan: Extract<Artwork, { kind: 'drawing' }> = {
  kind: 'drawing',
  name: 'swan',
  parts: [{ id: 'p', colour: '#000000', path: [['M', [0, 0]], ['L', [9, 0]], ['L', [9, 9]], ['Z']], fill: 'nonzero' }],
  leftOut: [],
};
/** A plate with nothing in it: as stout as it is large. */
const disc: typeof swan = {
  ...swan,
  name: 'plate',
  parts: [{ id: 'p', colour: '#000000', path: [['M', [0, 0]], ['L', [9, 0]], ['L', [9, 9]], ['L', [0, 9]], ['Z']], fill: 'nonzero' }],
};
/** A plate with another on it, white, through which one sees. */
const shaded = (opacity: number | undefined): typeof swan => ({
  ...disc,
  parts: [
    ...disc.parts,
    {
      ...{ id: 'q', colour: '#ffffff', fill: 'nonzero', path: [['M', [2, 2]], ['L', [7, 2]], ['L', [7, 7]], ['L', [2, 7]], ['Z']] },
      ...(opacity === undefined ? {} : { opacity }),
    },
  ],
});
const plain = plateJob(textMark('x'));

/** Jobs that bring about readings that jobs at random seldom have. */
export function knownCases(shop: Shop): KnownCase[] {
  const bowl = (mark: Partial<Mark>): Job => ({
    ...plateJob(textMark('TERN', mark)),
    piece: { ...plateJob(textMark('x')).piece, shape: { kind: 'bulb', diameter: 160, along: 90, height: 120 } },
    zones: [{ id: 'z', name: 'Belly', x: 0, y: 10, width: 150, height: 100, breathing: 5, lipBand: 0 }],
  });
  const cloth = (ground: Job['piece']['ground'], more: Partial<Mark> = {}): Job => {
    const job = plateJob(textMark('TERN', { technique: 'heat', film: 'brick-heat', ...more }));
    return { ...job, piece: { ...job.piece, ground, contact: 'satin', colour: '#efe6d2' } };
  };
  return [
    ['bulb', 'a part too stout for the belly', () => bowl({ artwork: disc })],
    ['snips', 'tape that has to be snipped', () => bowl({ size: { mode: 'width', width: 30 } })],
    ['rows', 'fewer pieces than rows', () => ({ ...plateJob(textMark('{name}')), count: 2, list: list([['Ada'], ['Finn'], ['Orla']]) })],
    [
      'names',
      'names too large',
      () => ({
        ...plateJob(textMark('{name}', { size: { mode: 'height', height: 80 } })),
        count: 2,
        list: list([['Ada'], ['Maximiliana Wilhelmina']]),
      }),
    ],
    [
      'names',
      'a name that stands out',
      () => ({
        ...plateJob(textMark('{name}', { sizes: 'each' })),
        count: 3,
        list: list([['Ada'], ['Finn'], ['Maximiliana Wilhelmina Theodora']]),
      }),
    ],
    ['drawings', 'a list for drawings that names no column', () => plateJob(textMark('', { artwork: { ...disc, column: 'picture' } }))],
    [
      'script',
      'space between letters that join',
      () => {
        const mark = textMark('بحر شمال', {}, 'cairo');
        const { artwork } = mark;
        return plateJob(
          artwork.kind === 'text'
            ? { ...mark, artwork: { ...artwork, lines: artwork.lines.map((one) => ({ ...one, spacing: 0.2 })) } }
            : mark,
        );
      },
    ],
    ['column', 'braces that no list answers to', () => plateJob(textMark('Tern {nobody}'))],
    [
      'size',
      'a scatter over more than there is',
      () =>
        plateJob(
          textMark('T', {
            edits: [{ id: 's', kind: 'scatter', count: 9, width: 400, height: 300, least: 3, turn: true, over: false, seed: 5 }],
          }),
        ),
    ],
    [
      'scatter',
      'copies that find no place',
      () =>
        plateJob(
          textMark('T', {
            size: { mode: 'width', width: 30 },
            edits: [{ id: 's', kind: 'scatter', count: 40, width: 150, height: 90, least: 5, turn: false, over: false, seed: 5 }],
          }),
        ),
    ],
    ['eye', 'sizes by eye', () => ({ ...plateJob(textMark('Tern')), piece: { ...plateJob(textMark('x')).piece, byEye: true } })],
    ['spread', 'a set that differs', () => ({ ...plateJob(textMark('Tern')), piece: { ...plateJob(textMark('x')).piece, spread: 9 } })],
    [
      'joined',
      'letters that cannot be joined',
      () =>
        plateJob({
          ...textMark('-_'),
          artwork: {
            kind: 'text',
            align: 'left',
            lineSpacing: 1,
            lines: [{ id: 'l', text: '-_', face: 'montserrat', scale: 1, spacing: 0, joined: true }],
          },
        }),
    ],
    [
      'terms',
      'private artwork in a job for sale',
      () => ({ ...plateJob({ ...textMark('x'), artwork: { ...swan, shelf: 's' } }), forSale: true }),
      () => ({ ...shop, shelf: [{ id: 's', name: 'swan', source: 'a friend', permitted: 'private', parts: [] }] }),
    ],
    [
      'zone',
      'no room within the breathing room',
      () => ({ ...plateJob(textMark('Tern')), zones: [{ ...plain.zones[0]!, width: 40, height: 30, breathing: 30 }] }),
    ],
    ['edge', 'a zone over the edge', () => ({ ...plateJob(textMark('Tern')), zones: [{ ...plain.zones[0]!, x: 60 }] })],
    [
      'empty',
      'everything is dropped',
      () =>
        plateJob(textMark('.', { size: { mode: 'width', width: 4 }, edits: [{ id: 'd', kind: 'dropSmall', below: 900, fillBelow: 0 }] })),
    ],
    ['shades', 'a shade over a shape', () => plateJob({ ...textMark('x'), artwork: shaded(0.3) })],
    ['shades', 'a shape that is nearly solid', () => plateJob({ ...textMark('x'), artwork: shaded(0.8) })],
    ['melt', 'two colours on each other in one film', () => plateJob({ ...textMark('x'), artwork: shaded(undefined) })],
    ['left', 'things left out of a drawing', () => plateJob({ ...textMark('x'), artwork: { ...swan, leftOut: ['a picture'] } })],
    ['bite', 'etching what does not etch', () => plateJob(textMark('TERN', { technique: 'etched', film: 'stencil' }))],
    [
      'bite',
      'etching through a coat',
      () => {
        const job = plateJob(textMark('TERN', { technique: 'etched', film: 'stencil' }));
        return { ...job, piece: { ...job.piece, ground: 'glass', coat: 'acrylic' } };
      },
    ],
    [
      'dwell',
      'cream that stays on too short',
      () => {
        const job = plateJob(textMark('TERN', { technique: 'etched', film: 'stencil', dwell: 2 }));
        return { ...job, piece: { ...job.piece, ground: 'glass' } };
      },
    ],
    [
      'scorch',
      'film that is pressed hotter than the cloth stands',
      () => cloth('felt', { film: 'white-flock' }),
      () => ({
        ...shop,
        films: shop.films.map((f) =>
          f.id === 'brick-heat' ? { ...f, press: { celsius: 120, seconds: 10, pressure: 'medium', peel: 'warm' } } : f,
        ),
      }),
    ],
    [
      'stretch',
      'film that does not go along with the cloth',
      () => {
        const job = cloth('cotton');
        return { ...job, piece: { ...job.piece, stretches: true } };
      },
      () => ({
        ...shop,
        films: [...shop.films, { ...shop.films.find((f) => f.id === 'brick-heat')!, id: 'soft', name: 'Soft', kind: 'heatStretch' }],
      }),
    ],
    [
      'print',
      'an old print that shows through',
      () => {
        const job = plateJob(textMark('TERN'));
        return { ...job, piece: { ...job.piece, ground: 'card', state: ['printed'] } };
      },
    ],
    [
      'leftout',
      'painted without being sanded',
      () => {
        const job = plateJob(textMark('TERN'));
        return { ...job, piece: { ...job.piece, ground: 'bareMetal', coat: 'acrylic', leftOut: ['sand'] } };
      },
    ],
    [
      'islands',
      'small insides of a stencil',
      () => plateJob(textMark('a', { technique: 'stencil', film: 'stencil', paint: 'cream', size: { mode: 'width', width: 12 } })),
    ],
    ['pull', 'a mask of many letters', () => plateJob(textMark('I'.repeat(24), { technique: 'mask', film: 'stencil', paint: 'cream' }))],
    [
      'sealer',
      'a sealer that is not made for the piece',
      () => {
        const job = plateJob(textMark('TERN'));
        return { ...job, piece: { ...job.piece, sealedAfter: 'cloth' } };
      },
    ],
    [
      'bend',
      'left straight on a taper',
      () => {
        const job = plateJob(textMark('TERN', { straight: true, size: { mode: 'width', width: 90 } }));
        return {
          ...job,
          piece: { ...job.piece, shape: { kind: 'taper', rim: 90, foot: 60, height: 150 } },
          zones: [{ ...plain.zones[0]!, width: 130, height: 100, y: 20 }],
        };
      },
    ],
    [
      'food',
      'film where food lies',
      () => {
        const job = plateJob(textMark('TERN'));
        return { ...job, piece: { ...job.piece, use: { ...job.piece.use, food: true } } };
      },
    ],
    [
      'pen',
      'letters too small for a pen',
      () => plateJob(textMark('TERN', { technique: 'written', film: 'writable-white', size: { mode: 'height', height: 3 } })),
    ],
    [
      'food',
      'a mask on something to drink from',
      () => {
        const job = plateJob(textMark('TERN', { technique: 'mask', film: 'stencil', paint: 'cream', size: { mode: 'width', width: 120 } }));
        return {
          ...job,
          piece: {
            ...job.piece,
            shape: { kind: 'cylinder', diameter: 80, height: 120 },
            use: { drink: true, food: false, dryShort: false },
          },
          zones: [{ ...plain.zones[0]!, width: 140, height: 90, lipBand: 20 }],
        };
      },
    ],
    ['flip', 'words that read backwards', () => plateJob(textMark('TERN', { flip: true }))],
    ['filmgone', 'a film that is not here', () => plateJob(textMark('Tern', { film: 'sold-out' }))],
    [
      'film',
      'too little film',
      () => plateJob(textMark('Tern')),
      () => ({ ...shop, films: shop.films.map((f) => (f.id === 'white-gloss' ? { ...f, length: 20 } : f)) }),
    ],
    [
      'wide',
      'wider than the roll',
      () => ({
        ...plateJob(textMark('TE', { size: { mode: 'height', height: 420 } })),
        piece: { ...plain.piece, shape: { kind: 'flat', width: 900, height: 700 } },
        zones: [{ ...plain.zones[0]!, width: 900, height: 700 }],
      }),
    ],
    ['date', 'a date that cannot be kept', () => ({ ...plateJob(textMark('Tern')), deadline: DEMO_START + 60_000 })],
  ];
}
