import { beforeEach, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { setAt, type Job } from '@kolleta/core/job';
import { WorkshopDatabase } from './db';
import { editJob, redoJob, undoJob } from './editJob';

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
      { numRuns: 25 },
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
    await expect(editJob('gone', setAt(['name'], 'x'), 'Name', 0, database)).rejects.toThrow(/no job "gone"/);
    await expect(editJob('j', setAt(['nowhere', 'deep'], 'x'), 'Name', 0, database)).rejects.toThrow(/patch: no "nowhere"/);
    expect(await kept()).toEqual(job);
  });
});
