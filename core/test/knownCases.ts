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
const plain = plateJob(textMark('x'));

/** Jobs that bring about readings that jobs at random seldom have. */
export function knownCases(shop: Shop): KnownCase[] {
  const bowl = (mark: Partial<Mark>): Job => ({
    ...plateJob(textMark('TERN', mark)),
    piece: { ...plateJob(textMark('x')).piece, shape: { kind: 'bulb', diameter: 160, along: 90, height: 120 } },
    zones: [{ id: 'z', name: 'Belly', x: 0, y: 10, width: 150, height: 100, breathing: 5, lipBand: 0 }],
  });
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
    ['left', 'things left out of a drawing', () => plateJob({ ...textMark('x'), artwork: { ...swan, leftOut: ['a picture'] } })],
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
