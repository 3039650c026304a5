// Longer than 300 lines: one workshop is drawn from one run of random numbers, and each part of it asks for the next.
import {
  COATS,
  CONTACTS,
  FEATURES,
  GROUNDS,
  SEALERS,
  LEAVABLE,
  STATES,
  TECHNIQUES,
  type CoatId,
  type Contact,
  type FeatureKind,
  type GroundId,
  type SealerId,
  type TechniqueId,
} from '../src/facts';
import { usualFilmFor } from '../src/fit';
import type { Change, Edit, Job, Mark, Piece, Shape, Shop, Spread, WorkEvent, Zone } from '../src/job';
import { usualBreathing, wallOf } from '../src/blanks';
import { square } from './square';

/** Numbers in [0, 1). */
export type Random = () => number;

const chance = (random: Random, share: number): boolean => random() < share;
const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
const between = (random: Random, least: number, most: number): number => Math.round((least + random() * (most - least)) * 10) / 10;
const maybe = <T extends object>(random: Random, share: number, make: () => T): T | object => (chance(random, share) ? make() : {});

const COLOURS = ['#ffffff', '#f2efe6', '#22302f', '#7a4a1e', '#c0392b', '#9aa0a6', '#14532d'];
const WORDS = ['Tern', 'Ivo & Bea', 'o', 'REGATTA 1947', 'illicit', 'B8', 'Fionn’s Bar', 'Q'];
const FACES = ['montserrat', 'pacifico', 'dancing-script', 'saira-stencil-one', 'special-elite'];

/** Any shape that there is, of a size that can be worked on. */
function randomShape(random: Random): Shape {
  const height = between(random, 60, 200);
  const kind = Math.floor(random() * 7);
  if (kind === 0) return { kind: 'cylinder', diameter: between(random, 50, 120), height };
  if (kind === 1) return { kind: 'taper', rim: between(random, 70, 110), foot: between(random, 50, 90), height };
  if (kind === 2)
    return { kind: 'bulb', diameter: between(random, 90, 160), along: between(random, 80, 300), height: between(random, 50, 80) };
  const flat = { kind: 'flat' as const, width: between(random, 80, 260), height };
  if (kind === 3) return { ...flat, outline: { kind: 'ellipse' } };
  if (kind === 4) return { ...flat, outline: { kind: 'rounded', radius: between(random, 2, 20) } };
  return flat;
}

function randomPiece(random: Random): Piece {
  const shape = randomShape(random);
  const wall = wallOf(shape);
  const feature = (i: number) => {
    const kind = pick(random, Object.keys(FEATURES) as FeatureKind[]);
    const { width, height, round, clear } = FEATURES[kind];
    const tall = Math.min(height > 0 ? height : wall.height, wall.height);
    return {
      id: `f${i}`,
      kind,
      x: between(random, -wall.width / 3, wall.width / 3),
      y: between(random, 0, wall.height - tall),
      width: Math.max(1, width),
      height: tall,
      round,
      clear,
    };
  };
  return {
    name: 'piece',
    shape,
    ground: pick(random, Object.keys(GROUNDS) as GroundId[]),
    contact: pick(random, Object.keys(CONTACTS) as Contact[]),
    colour: pick(random, COLOURS),
    behind: pick(random, COLOURS),
    waxed: chance(random, 0.1),
    use: { drink: chance(random, 0.2), food: chance(random, 0.1), dryShort: chance(random, 0.2) },
    sealedFirst: chance(random, 0.2),
    ...maybe(random, 0.2, () => ({ coat: pick(random, Object.keys(COATS) as CoatId[]) })),
    ...maybe(random, 0.2, () => ({ features: [feature(0), ...(chance(random, 0.4) ? [feature(1)] : [])] })),
    ...maybe(random, 0.1, () => ({ byEye: true })),
    ...maybe(random, 0.15, () => ({ state: [pick(random, STATES)] })),
    ...maybe(random, 0.1, () => ({
      painted: { coat: 'acrylic' as const, ...(chance(random, 0.5) ? { at: Date.parse('2026-11-30T09:00:00Z') } : {}) },
    })),
    ...maybe(random, 0.1, () => ({ primed: true })),
    ...maybe(random, 0.1, () => ({ coats: pick(random, [1, 3]) })),
    ...maybe(random, 0.1, () => ({ leftOut: [pick(random, LEAVABLE)] })),
    ...maybe(random, 0.1, () => ({ printGoes: pick(random, ['covered', 'turned'] as const) })),
    ...maybe(random, 0.1, () => ({ sealedAfter: pick(random, Object.keys(SEALERS) as SealerId[]) })),
  };
}

function randomZone(random: Random, piece: Piece, id: string): Zone {
  const wall = wallOf(piece.shape);
  const width = between(random, Math.min(40, wall.width), piece.shape.kind === 'flat' ? wall.width : wall.width * 0.5);
  const height = between(random, Math.min(30, wall.height), wall.height);
  return {
    id,
    name: id === 'z' ? 'Front' : 'Back',
    x: chance(random, 0.7) ? 0 : between(random, -10, 10),
    y: chance(random, 0.7) ? 0 : between(random, 0, Math.max(0, wall.height - height)),
    width,
    height,
    breathing: usualBreathing(width, height, false),
    lipBand: piece.use.drink && chance(random, 0.6) ? 24 : 0,
    ...maybe(random, 0.1, () => ({ outline: { kind: 'ellipse' } })),
    ...maybe(random, 0.15, () => ({ colours: [pick(random, COLOURS), pick(random, COLOURS)] })),
  };
}

/** Any change that can be wanted of a mark. */
function randomEdit(random: Random, shop: Shop, id: string): Edit {
  const film = () => pick(random, shop.films).id;
  const plate = pick(random, ['box', 'rounded', 'ellipse'] as const);
  const changes: (() => Change)[] = [
    () => ({ kind: 'thicken', by: pick(random, [0.2, 0.5, -0.2]) }),
    () => ({ kind: 'dropSmall', below: 3, fillBelow: 1 }),
    () => ({ kind: 'oneOutline', gap: pick(random, [0, 1, 3]) }),
    () => ({ kind: 'showGround', plate, margin: between(random, 2, 8) }),
    () => ({ kind: 'backing', film: film(), by: between(random, 1, 4) }),
    () => ({ kind: 'silhouette' }),
    () => ({ kind: 'bridges', width: pick(random, [1, 2]) }),
    () => ({ kind: 'part', at: 0.5, gap: between(random, 4, 10) }),
    () => ({
      kind: 'frame',
      plate,
      margin: between(random, 2, 6),
      width: between(random, 1, 4),
      ...(chance(random, 0.5) ? { film: film() } : {}),
    }),
    () => ({ kind: 'stretch', across: between(random, 0.7, 1.4), up: 1 }),
    () => ({ kind: 'repeat', across: pick(random, [1, 2, 3]), up: pick(random, [1, 2]), gap: between(random, 2, 6) }),
    () => ({
      kind: 'scatter',
      count: pick(random, [3, 6]),
      width: between(random, 60, 160),
      height: between(random, 40, 90),
      least: 3,
      turn: true,
      over: false,
      seed: 3,
    }),
  ];
  return { id, ...pick(random, changes)() };
}

function randomSpread(random: Random): Spread {
  const kinds: Spread[] = [
    { kind: 'round', count: pick(random, [2, 3, 5]) },
    { kind: 'row', count: pick(random, [2, 3]), mirrored: chance(random, 0.5) },
    { kind: 'corners', mirrored: chance(random, 0.5) },
  ];
  return pick(random, kinds);
}

const LISTED = { columns: ['name'], rows: ['Ada', 'Bartholomew', 'l'].map((name, i) => ({ id: `r${i}`, cells: [name] })) };

function randomMark(random: Random, shop: Shop, zones: readonly Zone[], id: string, listed: boolean): Mark {
  const technique = chance(random, 0.5) ? 'decal' : pick(random, Object.keys(TECHNIQUES) as TechniqueId[]);
  const { painted, filmStays, filmBy } = TECHNIQUES[technique];
  const lines = (chance(random, 0.8) ? [0] : [0, 1]).map((i) => ({
    id: `l${i}`,
    text: listed && i === 0 ? '{name}' : pick(random, WORDS),
    face: pick(random, FACES),
    scale: 1,
    spacing: pick(random, [0, 0, 0.05]),
  }));
  const drawing = chance(random, 0.2) && !listed;
  const edits = Array.from({ length: pick(random, [0, 0, 0, 1, 1, 2]) }, (_, i) => randomEdit(random, shop, `e${i}`));
  const sizes: Mark['size'][] = [
    { mode: 'largest' },
    { mode: 'largest' },
    { mode: 'width', width: between(random, 15, 140) },
    { mode: 'height', height: between(random, 5, 60) },
  ];
  return {
    id,
    name: `mark ${id}`,
    zone: pick(random, zones).id,
    technique,
    artwork: drawing
      ? {
          kind: 'drawing',
          name: 'squares',
          leftOut: [],
          parts: [
            { id: 'p0', colour: '#111111', fill: 'nonzero', path: square(0, 0, 40) },
            { id: 'p1', colour: '#cc2222', fill: 'nonzero', path: [...square(50, 5, 25), ...square(80, 30, 2)] },
          ],
        }
      : { kind: 'text', align: pick(random, ['left', 'centre', 'justified', 'stacked'] as const), lineSpacing: 1, lines },
    edits,
    colourFilms: drawing && chance(random, 0.7) ? { '#cc2222': pick(random, shop.films).id } : {},
    film: (filmBy === 'heat' || !filmStays) && chance(random, 0.8) ? usualFilmFor(technique, shop.films)!.id : pick(random, shop.films).id,
    flip: chance(random, 0.1),
    seenThrough: chance(random, 0.15),
    size: pick(random, sizes),
    offset: chance(random, 0.6) ? { x: 0, y: 0 } : { x: between(random, -15, 15), y: between(random, -10, 10) },
    subtle: chance(random, 0.1),
    coats: pick(random, [1, 2, 3]),
    pullAt: pick(random, ['halfDry', 'nearlyDry', 'dry'] as const),
    ...maybe(random, 0.1, () => ({ straight: true })),
    ...maybe(random, 0.15, () => ({ hold: pick(random, [{ x: 'left' }, { y: 'foot' }, { x: 'right', y: 'top' }]) })),
    ...maybe(random, 0.15, () => ({ turn: pick(random, ['best', 15, 90]) })),
    ...maybe(random, 0.15, () => ({ optical: true })),
    ...maybe(random, 0.05, () => ({ overEdge: true })),
    ...maybe(random, 0.2, () => ({ spread: randomSpread(random) })),
    ...maybe(random, 0.2, () => ({ sizes: pick(random, ['same', 'each']) })),
    ...maybe(random, 0.1, () => ({ lift: 'apart' })),
    ...maybe(random, painted ? 0.9 : 0.1, () => ({ paint: pick(random, shop.paints).id })),
    ...maybe(random, 0.2, () => ({
      edge: pick(random, ['ground', 'clear', 'none'] as const),
      tool: pick(random, ['sponge', 'foam', 'roller', 'spray'] as const),
    })),
    ...maybe(random, 0.1, () => ({ dwell: pick(random, [2, 5, 10, 15]) })),
  };
}

/** A job of any shape, ground, technique, artwork, list, spread and change that there is. */
export function randomJob(random: Random, shop: Shop, id = 'j'): Job {
  const piece = randomPiece(random);
  const zones = [randomZone(random, piece, 'z'), ...(chance(random, 0.25) ? [randomZone(random, piece, 'y')] : [])];
  const listed = chance(random, 0.15);
  const job: Job = {
    id,
    name: `Job ${id}`,
    client: '',
    count: listed ? 3 : pick(random, [1, 1, 2, 6]),
    piece,
    zones,
    marks: (chance(random, 0.75) ? ['m'] : ['m', 'n']).map((mark) => randomMark(random, shop, zones, mark, listed && mark === 'm')),
    priority: 0,
    overrides: [],
    createdAt: 0,
    closed: false,
    ...(listed ? { list: LISTED } : {}),
    ...maybe(random, 0.3, () => ({ deadline: Date.parse('2026-12-01T09:40:00Z') + Math.floor(random() * 8) * 86_400_000 })),
  };
  // last of all, so that a seed's job stays what it was
  const labelled = {
    ...job,
    piece: { ...piece, ...maybe(random, 0.15, () => ({ labelled: pick(random, ['paper', 'plastic'] as const) })) },
  };
  if (!chance(random, 0.25)) return labelled;
  const [first, ...others] = labelled.marks;
  return { ...labelled, marks: [withMore(first!, random, shop), ...others] };
}

/** A mark with something that came later: a shape brought along, just so wide and high, two opposite corners. */
function withMore(mark: Mark, random: Random, shop: Shop): Mark {
  const shape = { name: 'shape', path: square(0, 0, 10), fill: 'nonzero' as const };
  const more: (() => Mark)[] = [
    () => ({ ...mark, edits: [...mark.edits, { id: 'o', kind: 'outOf', ...shape, by: between(random, 1.1, 2), right: 0, up: 0.1 }] }),
    () => ({
      ...mark,
      edits: [
        ...mark.edits,
        {
          ...{ id: 'b', kind: 'beside', ...shape, side: pick(random, ['left', 'leftRight', 'above'] as const), share: 0.6, gap: 3 },
          ...maybe(random, 0.5, () => ({ film: pick(random, shop.films).id })),
        } as Edit,
      ],
    }),
    () => ({ ...mark, size: { mode: 'width', width: between(random, 20, 120), height: between(random, 10, 60) } }),
    () => ({ ...mark, spread: { kind: 'corners', mirrored: chance(random, 0.5), which: pick(random, ['rising', 'falling'] as const) } }),
  ];
  return pick(random, more)();
}

/** What a plan is made of. */
export interface World {
  readonly jobs: readonly Job[];
  readonly shop: Shop;
  readonly events: readonly WorkEvent[];
  readonly now: number;
}

const inJob = (world: World, random: Random, change: (job: Job) => Job): World => {
  const at = Math.floor(random() * world.jobs.length);
  return { ...world, jobs: world.jobs.map((job, i) => (i === at ? change(job) : job)) };
};
const inMark = (world: World, random: Random, change: (mark: Mark) => Mark): World =>
  inJob(world, random, (job) => {
    const at = Math.floor(random() * job.marks.length);
    return { ...job, marks: job.marks.map((mark, i) => (i === at ? change(mark) : mark)) };
  });

/** A world with one thing changed: the kinds of change that makers make take turns. */
export function changedWorld(world: World, random: Random, n: number): World {
  const fresh = (job: Job) => randomJob(random, world.shop, job.id);
  const film = () => pick(random, world.shop.films).id;
  const field = <K extends keyof Mark>(key: K) =>
    inMark(world, random, (mark) => ({ ...mark, [key]: fresh(world.jobs[0]!).marks[0]![key] }));
  const kinds: (() => World)[] = [
    () => inMark(world, random, (mark) => ({ ...mark, offset: { x: between(random, -15, 15), y: between(random, -10, 10) } })),
    () => field('size'),
    () => field('hold'),
    () => field('turn'),
    () => field('spread'),
    () => field('technique'),
    () => field('artwork'),
    () => field('optical'),
    () => field('seenThrough'),
    () => field('lift'),
    () => field('straight'),
    () => field('overEdge'),
    () => field('sizes'),
    () => field('paint'),
    () => field('flip'),
    () => inMark(world, random, (mark) => ({ ...mark, film: film() })),
    () => inMark(world, random, (mark) => ({ ...mark, name: `renamed ${n}` })),
    () => inMark(world, random, (mark) => ({ ...mark, edits: chance(random, 0.4) ? [] : [randomEdit(random, world.shop, `e${n}`)] })),
    () => inJob(world, random, (job) => ({ ...job, count: pick(random, [1, 2, 3, 5]) })),
    () => inJob(world, random, (job) => ({ ...job, piece: { ...fresh(job).piece, shape: job.piece.shape } })),
    () =>
      inJob(world, random, (job) => ({
        ...job,
        zones: job.zones.map((zone) => ({ ...zone, breathing: between(random, 1, 12), name: pick(random, ['Front', 'Side']) })),
      })),
    () => inJob(world, random, (job) => ({ ...job, zones: job.zones.map((zone) => ({ ...zone, lipBand: pick(random, [0, 10, 24]) })) })),
    () =>
      inJob(world, random, (job) => ({
        ...job,
        list: job.list ? { ...job.list, rows: job.list.rows.map((row) => ({ ...row, cells: [pick(random, WORDS)] })) } : job.list,
      })),
    () =>
      inJob(world, random, (job) => ({
        ...job,
        list: job.list
          ? { ...job.list, rows: job.list.rows.map((row, i) => (i === 0 ? { ...row, width: between(random, 40, 90) } : row)) }
          : job.list,
      })),
    () => inJob(world, random, (job) => ({ ...job, deadline: pick(random, [undefined, world.now + 86_400_000]) })),
    () => inJob(world, random, fresh),
    () => ({ ...world, shop: { ...world.shop, lengths: world.shop.lengths === 'mm' ? 'inch' : 'mm' } }),
    () => ({ ...world, shop: { ...world.shop, climate: { celsius: between(random, 8, 30), humidity: between(random, 0.3, 0.8) } } }),
    () => ({
      ...world,
      shop: {
        ...world.shop,
        films: world.shop.films.map((f) =>
          chance(random, 0.2) ? { ...f, width: pick(random, [210, 305, 380]), colour: pick(random, COLOURS) } : f,
        ),
      },
    }),
    () => ({ ...world, now: world.now + Math.floor(random() * 300) * 60_000 }),
    () => ({
      ...world,
      events: [
        ...world.events,
        { id: `x${n}`, at: world.now, kind: 'cut', job: 'other', step: 'other/cut', film: film(), length: between(random, 50, 400) },
      ],
    }),
  ];
  return kinds[n % kinds.length]!();
}
