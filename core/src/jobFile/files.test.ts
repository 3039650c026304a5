import { FILE_VERSION } from './version';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop, plateJob, textMark } from '../../test/sampleJobs';
import type { Job } from '../job';
import { readJobFile, readWorkshopFile, writeJobFile, writeWorkshopFile } from './files';

const demo = demoWorkshop();
const refusal = (text: string, read: typeof readJobFile | typeof readWorkshopFile = readJobFile) => {
  const result = read(text, 'x.json');
  expect(result.ok).toBe(false);
  if (result.ok) throw new Error('taken');
  expect(result.problem.wayOut.length).toBeGreaterThan(10);
  return `${result.problem.found} @ ${result.problem.where}`;
};

describe('files', () => {
  it('survive a round trip', () => {
    expect(readWorkshopFile(writeWorkshopFile(demo), 'demo')).toEqual({ ok: true, value: demo });
    for (const job of demo.jobs) expect(readJobFile(writeJobFile(job), job.name)).toEqual({ ok: true, value: job });
  });
  it('survive it with any words, sizes and dates', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60, unit: 'grapheme' }),
        fc.double({ min: 0.1, max: 5000, noNaN: true }),
        fc.option(fc.date({ min: new Date(0), max: new Date(4e12), noInvalidDate: true })),
        fc.integer({ min: 1, max: 500 }),
        (name, width, date, count) => {
          const job = plateJob(
            textMark(name, {
              name,
              size: { mode: 'width', width },
              edits: [{ id: 'e', kind: 'thicken', by: -0.3 }],
              colourFilms: { '#aabbcc': null },
            }),
            { name, count, ...(date ? { deadline: date.getTime() } : {}) },
          );
          expect(readJobFile(writeJobFile(job), 'x')).toEqual({ ok: true, value: job });
        },
      ),
    );
  });
  const file = JSON.parse(writeJobFile(demo.jobs[0]!)) as {
    version: number;
    job: Record<string, unknown> & { marks: Record<string, unknown>[] };
  };
  const changed = (change: (f: typeof file) => void) => {
    const copy = JSON.parse(JSON.stringify(file)) as typeof file;
    change(copy);
    return JSON.stringify(copy);
  };
  it.each<[string, string, RegExp]>([
    ['newer', changed((f) => void (f.version = FILE_VERSION + 1)), /newer Kolleta \(version \d+.*\/version/],
    ['truncated', JSON.stringify(file).slice(0, 400), /breaks off after 400/],
    ['with an unknown field', changed((f) => void (f.job['colourr'] = 1)), /does not know: \/job\/colourr/],
    ['with an unknown field deep inside', changed((f) => void (f.job.marks[0]!['glow'] = 1)), /\/job\/marks\/0\/glow/],
    ['without a field', changed((f) => void delete f.job['count']), /\/job.*count/],
    ['with a negative count', changed((f) => void (f.job['count'] = -1)), /\/job\/count/],
    ['with a mark on no zone', changed((f) => void (f.job.marks[0]!['zone'] = 'nowhere')), /\/job\/marks\/0\/zone/],
    ['with an absurd date', changed((f) => void (f.job['deadline'] = 'tomorrow')), /\/job\/deadline/],
    ['of another program', '{"a":1}', /not a Kolleta file/],
    ['that is no JSON', 'hello', /not a Kolleta file/],
    ['that is empty', '', /not a Kolleta file/],
    ['that is null', 'null', /not a Kolleta file/],
  ])('refuses a job file %s, with the place', (_name, text, says) => expect(refusal(text)).toMatch(says));
  it('a workshop is not a job, and a zone on no map is refused', () => {
    expect(refusal(writeWorkshopFile(demo))).toMatch(/whole workshop/);
    expect(refusal(writeJobFile(demo.jobs[0]!), readWorkshopFile)).toMatch(/one job/);
    const text = writeWorkshopFile({
      ...demo,
      shop: { ...demo.shop, hours: { ...demo.shop.hours, zone: 'Sea/Atlantis' } },
    });
    expect(refusal(text, readWorkshopFile)).toMatch(/\/shop\/hours\/zone/);
  });
});

describe('files that have every field and still cannot be planned', () => {
  const job = plateJob(textMark('Tern'));
  const line = { id: 'l', text: 'Tern', face: 'montserrat', scale: 1, spacing: 0 };
  const drawing = (path: unknown, count = 1): Job => ({
    ...job,
    marks: [
      textMark('', {
        artwork: {
          kind: 'drawing',
          name: 'd',
          leftOut: [],
          parts: Array.from({ length: count }, (_, i) => ({
            id: `p${i}`,
            colour: '#000000',
            path: path as never,
            fill: 'nonzero' as const,
          })),
        },
      }),
    ],
  });
  const taper = (height: number): Job => ({ ...job, piece: { ...job.piece, shape: { kind: 'taper', rim: 80, foot: 20, height } } });
  const bad: [string, Job, RegExp][] = [
    [
      'a segment lacks a point',
      drawing([
        ['M', [0, 0]],
        ['C', [1, 1]],
      ]),
      /C segment with 1 points.*\/marks\/0\/artwork\/parts\/0\/path\/1/,
    ],
    [
      'a segment has one too many',
      drawing([
        ['M', [0, 0]],
        ['L', [1, 1], [2, 2]],
      ]),
      /L segment with 2 points/,
    ],
    [
      'a cone comes to a point',
      { ...job, piece: { ...job.piece, shape: { kind: 'taper', rim: 80, foot: 0, height: 90 } } },
      /\/piece\/shape/,
    ],
    ['a wall is shorter than it leans', taper(12), /cannot reach/],
    ['a zone has no width', { ...job, zones: [{ ...job.zones[0]!, width: 0 }] }, /measure of 0.*\/zones\/0\/width/],
    ['a mark is to be 0 wide', { ...job, marks: [textMark('x', { size: { mode: 'width', width: 0 } })] }, /measure of 0.*\/marks\/0\/size/],
    [
      'two lines have one id',
      { ...job, marks: [textMark('x', { artwork: { kind: 'text', align: 'left', lineSpacing: 1, lines: [line, line] } })] },
      /twice.*\/lines\/1/,
    ],
    ['two marks have one id', { ...job, marks: [textMark('x'), textMark('y')] }, /twice.*\/marks\/1/],
    ['its id is that of the shop’s undo', { ...job, id: '@shop' }, /keeps for itself/],
    [
      'there are more copies than can be planned',
      { ...job, marks: [textMark('x', { edits: [{ id: 'e', kind: 'repeat', across: 60, up: 60, gap: 1 }] })] },
      /3600 copies/,
    ],
    [
      'there are more segments than can be planned',
      drawing(
        Array.from({ length: 2001 }, (_, i) => [i === 0 ? 'M' : 'L', [i, i]]),
        30,
      ),
      /60,030 segments/,
    ],
  ];
  it.each(bad)('are refused when %s, with the place', (_, job, says) => {
    expect(refusal(writeJobFile(job))).toMatch(says);
  });
  it('are refused when a moment never was, whatever the second says', () => {
    const text = writeJobFile({ ...job, deadline: Date.parse('2026-12-04T17:00:00Z') }).replace('17:00:00.000Z', '23:59:60Z');
    expect(refusal(text)).toMatch(/never was.*\/job\/deadline/);
  });
  it('take nothing else of a workshop along: the job is left out and named', () => {
    const jobs = [
      ...bad.map(([, one], i) => ({ ...one, id: one.id === '@shop' ? one.id : `bad${i}`, name: `bad ${i}` })),
      { ...job, id: 'good' },
    ];
    const read = readWorkshopFile(writeWorkshopFile({ ...demo, jobs }), 'x');
    expect(read.ok && read.value.jobs.map(({ id }) => id)).toEqual(['good']);
    expect(read.ok && read.value.leftOut!.map(({ name }) => name)).toEqual(bad.map((_, i) => `bad ${i}`));
    expect(read.ok && read.value.events).toEqual(demo.events);
  });
  it('can be written all the same: a moment that never was does not keep the rest from a file', () => {
    const odd = {
      ...demo,
      jobs: [{ ...job, deadline: Number.NaN, createdAt: Infinity }],
      events: [{ ...demo.events[0]!, at: Number.NaN }],
    };
    expect(readWorkshopFile(writeWorkshopFile(odd), 'x')).toMatchObject({ ok: true });
  });
  it('are refused when an event does not tell what it has to, or stands twice', () => {
    const log = (events: object[]) => writeWorkshopFile({ ...demo, jobs: [], events: events as typeof demo.events });
    const done = { id: 'a', at: 1, kind: 'done', job: 'j', step: 's', title: 't', planned: 1, actual: 1 };
    expect(readWorkshopFile(log([done]), 'x').ok).toBe(true);
    expect(refusal(log([{ id: 'a', at: 1, kind: 'cut', job: 'j', step: 's', film: 'f' }]), readWorkshopFile)).toMatch(
      /\/events\/0.*length/,
    );
    expect(refusal(log([done, { ...done, at: 2 }]), readWorkshopFile)).toMatch(/twice.*\/events\/1/);
    expect(refusal(log([{ id: 'a', at: 1, kind: 'reversed' }]), readWorkshopFile)).toMatch(/event/);
  });
  it('are refused when stock or hours cannot be', () => {
    const { shop } = demo;
    const with_ = (more: Partial<typeof shop>) => writeWorkshopFile({ shop: { ...shop, ...more }, jobs: [], events: [] });
    expect(refusal(with_({ films: [shop.films[0]!, shop.films[0]!] }), readWorkshopFile)).toMatch(/twice.*\/shop\/films\/1/);
    expect(refusal(with_({ films: [{ ...shop.films[0]!, width: 0 }] }), readWorkshopFile)).toMatch(/\/shop\/films\/0\/width/);
    const week = shop.hours.week.map((day, i) => (i === 2 ? [[720, 540] as [number, number]] : day));
    expect(refusal(with_({ hours: { ...shop.hours, week } }), readWorkshopFile)).toMatch(/before they begin.*\/shop\/hours\/week\/2\/0/);
  });
});
