import { beforeEach, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { setAt, type Job, type Shop } from '@kolleta/core/job';
import { WorkshopDatabase } from './db';
import { editJob, redoJob, removeJob, restoreJob, undoJob } from './editJob';
import { savesOf } from './write';
import { law } from '../../../core/test/depth';

const job = {
  id: 'j',
  name: 'a',
  client: '',
  count: 1,
  marks: [{ id: 'm', offset: { x: 0, y: 0 } }],
  zones: [],
} as unknown as Job;
let database: WorkshopDatabase;
let n = 0;
beforeEach(async () => {
  n += 1;
  database = new WorkshopDatabase(`test${n}`);
  await database.shop.put({ id: 'shop', shop: { name: 'Mine' } as unknown as Shop });
  await database.jobs.put(job);
});
const kept = () => database.jobs.get('j');

describe('edits, undo and redo', () => {
  it('any run of edits is taken back to the start, and done again to the end', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.constantFrom('name', 'client', 'count'), fc.string({ maxLength: 5 })), { maxLength: 12 }),
        async (edits) => {
          await database.jobs.put(job);
          await database.history.clear();
          for (const [i, [field, value]] of edits.entries()) await editJob('j', setAt([field], value), `${field}`, i * 10_000, database);
          const end = await kept();
          for (let i = 0; i < edits.length; i++) expect(await undoJob('j', database)).toBeDefined();
          expect(await kept()).toEqual(job);
          expect(await undoJob('j', database)).toBeUndefined();
          for (let i = 0; i < edits.length; i++) expect(await redoJob('j', database)).toBeDefined();
          expect(await kept()).toEqual(end);
        },
      ),
      law(25),
    );
  });
  it('quick repeats under one label are one step of undo, and none is lost', async () => {
    const nudge = (j: Job) => setAt(['marks', 'm', 'offset'], { x: j.marks[0]!.offset.x + 0.5, y: 0 });
    await Promise.all(Array.from({ length: 8 }, (_, i) => editJob('j', nudge, 'Nudge', 1000 + i * 50, database)));
    expect((await kept())!.marks[0]!.offset.x).toBe(4);
    await undoJob('j', database);
    expect(await kept()).toEqual(job);
    await redoJob('j', database);
    expect((await kept())!.marks[0]!.offset.x).toBe(4);
  });
  it('a new edit after undo ends what could be done again', async () => {
    await editJob('j', setAt(['name'], 'b'), 'Name', 0, database);
    await undoJob('j', database);
    await editJob('j', setAt(['client'], 'c'), 'Client', 9999, database);
    expect(await redoJob('j', database)).toBeUndefined();
  });
  it('an edit that cannot be made changes nothing and says why', async () => {
    await expect(editJob('gone', setAt(['name'], 'x'), 'Name', 0, database)).rejects.toThrow(/not here any more/);
    await expect(editJob('j', setAt(['nowhere', 'deep'], 'x'), 'Name', 0, database)).rejects.toThrow(/patch: no "nowhere"/);
    expect(await kept()).toEqual(job);
  });
  it('a job is deleted with its undo, and brought back with it', async () => {
    await editJob('j', setAt(['name'], 'b'), 'Name', 0, database);
    const removed = (await removeJob('j', database))!;
    expect([await kept(), await database.history.get('j')]).toEqual([undefined, undefined]);
    expect(await removeJob('j', database)).toBeUndefined();
    await restoreJob(removed, database);
    expect(await undoJob('j', database)).toBe('Name');
    expect(await kept()).toEqual(job);
  });
  it('every save has its number, kept with what is saved', async () => {
    const first = await editJob('j', setAt(['name'], 'b'), 'Name', 0, database);
    expect(await editJob('j', setAt(['name'], 'c'), 'Name', 0, database)).toBe(first + 1);
    expect(await savesOf(database)).toBe(first + 1);
  });
});
