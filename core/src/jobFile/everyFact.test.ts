import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import {
  COATS,
  CONTACTS,
  FEATURES,
  FILM_KINDS,
  FINISH_GRIP,
  GROUNDS,
  STEP_KINDS,
  TAPE_KINDS,
  TECHNIQUES,
  type CoatId,
  type Contact,
  type FeatureKind,
  type FilmFinish,
  type FilmKindId,
  type GroundId,
  type StepKind,
  type TapeKindId,
  type TechniqueId,
} from '../facts';
import type { Job, Shop, WorkEvent } from '../job';
import { readJobFile, readWorkshopFile, writeJobFile, writeWorkshopFile, type Workshop } from './files';

const demo = demoWorkshop();
const [board] = demo.jobs as [Job];
const keys = <K extends string>(table: Readonly<Record<K, unknown>>) => Object.keys(table) as K[];

const throughJob = (job: Job): Job => {
  const read = readJobFile(writeJobFile(job), 'job');
  if (!read.ok) throw new Error(read.problem.found);
  return read.value;
};
const throughWorkshop = (workshop: Workshop): Workshop => {
  const read = readWorkshopFile(writeWorkshopFile(workshop), 'workshop');
  if (!read.ok) throw new Error(read.problem.found);
  expect(read.value.leftOut).toBeUndefined();
  return read.value;
};

/** Where each table's ids are kept. */
const inJobs: [string, readonly string[], (id: string) => Job][] = [
  ['grounds', keys(GROUNDS), (id) => ({ ...board, piece: { ...board.piece, ground: id as GroundId } })],
  ['contacts', keys(CONTACTS), (id) => ({ ...board, piece: { ...board.piece, contact: id as Contact } })],
  ['coats', keys(COATS), (id) => ({ ...board, piece: { ...board.piece, coat: id as CoatId } })],
  [
    'features',
    keys(FEATURES),
    (id) => ({
      ...board,
      piece: {
        ...board.piece,
        features: [{ id: 'f', kind: id as FeatureKind, x: 0, y: 1, width: 2, height: 3, round: false, clear: 4 }],
      },
    }),
  ],
  ['techniques', keys(TECHNIQUES), (id) => ({ ...board, marks: board.marks.map((m) => ({ ...m, technique: id as TechniqueId })) })],
];
const inShops: [string, readonly string[], (id: string) => Partial<Shop>][] = [
  ['film kinds', keys(FILM_KINDS), (id) => ({ films: demo.shop.films.map((f) => ({ ...f, kind: id as FilmKindId })) })],
  ['finishes', keys(FINISH_GRIP), (id) => ({ films: demo.shop.films.map((f) => ({ ...f, finish: id as FilmFinish })) })],
  ['tape kinds', keys(TAPE_KINDS), (id) => ({ tapes: demo.shop.tapes.map((t) => ({ ...t, kind: id as TapeKindId })) })],
  ['coats of paint', keys(COATS), (id) => ({ paints: demo.shop.paints.map((p) => ({ ...p, coat: id as CoatId })) })],
];

describe('every row of a table of facts can be saved and read', () => {
  it.each(inJobs)('%s', (_table, ids, jobWith) => {
    expect(ids.length).toBeGreaterThan(1);
    for (const id of ids) expect(throughJob(jobWith(id))).toEqual(jobWith(id));
  });
  it.each(inShops)('%s', (_table, ids, shopWith) => {
    expect(ids.length).toBeGreaterThan(1);
    for (const id of ids) {
      const shop = { ...demo.shop, ...shopWith(id) };
      expect(throughWorkshop({ ...demo, shop }).shop).toEqual(shop);
    }
  });
  it('kinds of steps', () => {
    const events = keys(STEP_KINDS).map((work: StepKind, i): WorkEvent => ({
      ...{ id: `e${i}`, at: 1_700_000_000_000 + i, kind: 'done', job: board.id, step: `${board.id}/${work}`, title: work },
      ...{ planned: 3, actual: 4, work, unlearned: 5, timed: true },
    }));
    expect(throughWorkshop({ ...demo, events }).events).toEqual(events);
  });
});
