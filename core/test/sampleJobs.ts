import { readFileSync } from 'node:fs';
import type { Job, Mark, Shop } from '../src/job';
import { readWorkshopFile, type Workshop } from '../src/jobFile';

/** When the demo workshop's clock starts. */
export const DEMO_START = Date.parse('2026-12-01T09:40:00Z');

/** The demo workshop with its open jobs, or with those of the past too, read as a user's file is. */
export function demoWorkshop({ past = false } = {}): Workshop {
  const read = readWorkshopFile(readFileSync(new URL('../../demo/workshop.json', import.meta.url), 'utf8'), 'demo');
  if (!read.ok) throw new Error(read.problem.found);
  return past ? read.value : { ...read.value, jobs: read.value.jobs.filter(({ closed }) => !closed) };
}

/** A decal of one line of text. */
export const textMark = (text: string, more: Partial<Mark> = {}, face = 'montserrat'): Mark => ({
  id: 'm',
  name: 'mark',
  zone: 'z',
  technique: 'decal',
  artwork: { kind: 'text', align: 'centre', lineSpacing: 1, lines: [{ id: 'l', text, face, scale: 1, spacing: 0 }] },
  edits: [],
  colourFilms: {},
  film: 'white-gloss',
  flip: false,
  seenThrough: false,
  size: { mode: 'largest' },
  offset: { x: 0, y: 0 },
  subtle: false,
  coats: 2,
  pullAt: 'halfDry',
  ...more,
});

/** A job of one mark on a dark enamelled plate. */
export const plateJob = (mark: Mark, more: Partial<Job> = {}): Job => ({
  id: 'j',
  name: 'Plate',
  client: '',
  count: 1,
  piece: {
    name: 'plate',
    shape: { kind: 'flat', width: 200, height: 120 },
    ground: 'enamel',
    contact: 'smooth',
    colour: '#22302f',
    behind: '#7a4a1e',
    waxed: false,
    use: { drink: false, food: false, dryShort: false },
    sealedFirst: false,
  },
  zones: [{ id: 'z', name: 'Front', x: 0, y: 0, width: 200, height: 120, breathing: 10, lipBand: 0 }],
  marks: [mark],
  priority: 0,
  overrides: [],
  createdAt: 0,
  closed: false,
  ...more,
});

/** The demo's shop. */
export const demoShop = (): Shop => demoWorkshop().shop;
