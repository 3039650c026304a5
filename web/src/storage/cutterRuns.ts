import { cutResult, strokesPerPart, type FilmLayout } from '@kolleta/core/cut';
import { cutStepId, type JobId, type WorkEvent } from '@kolleta/core/job';
import { stepState } from '@kolleta/core/logbook';
import { MINUTE_MS } from '@kolleta/core/units';
import { now } from './clock';
import { db, type CutterRun } from './db';
import { keep } from './keeping';
import { newId } from './newId';
import { write } from './write';

/** The run that the cutter has, if what became of it is not in the log yet. */
export const openRun = async (): Promise<CutterRun | undefined> => (await db.runs.toArray()).find((run) => !run.settled);

/** Notes a layout before it is sent, so that its run is known whatever happens afterwards. */
export async function beginRun(layout: FilmLayout): Promise<CutterRun> {
  const strokes = strokesPerPart(layout);
  const run: CutterRun = {
    run: newId(),
    at: now(),
    film: layout.film.id,
    taken: layout.taken,
    parts: layout.parts.map(({ job, mark }, i) => ({ job, mark, strokes: strokes[i]! })),
    layout,
    strokes: 0,
    used: 0,
    settled: false,
  };
  await keep(`Send ${layout.film.name} to the cutter`, () => write([db.runs], () => db.runs.put(run)));
  return run;
}

/** Notes what the cutter last told. */
export const noteProgress = async (run: CutterRun, strokes: number, used: number): Promise<void> =>
  void (await db.runs.update(run.run, { strokes, used }));

/** Forgets a run that the cutter refused: nothing was cut. */
export const dropRun = (run: CutterRun): Promise<void> =>
  keep('Take back from the cutter', async () => void (await write([db.runs], () => db.runs.delete(run.run))));

/**
 * Writes into the log what a run cut and takes the film off its roll. Its events are named by the run, so that settling it twice changes
 * nothing; what was
 * logged by hand meanwhile is not counted again.
 *
 * @param planned minutes of each job's cutting step
 * @returns the events, so that they can be reversed together, and what was cut
 */
export async function settleRun(run: CutterRun, strokes: number, used: number, planned: ReadonlyMap<JobId, number>) {
  const results = cutResult(run, strokes, used);
  const at = now();
  const actual = Math.max(0.1, Math.round(((at - run.at) / MINUTE_MS) * 10) / 10);
  const events = results.flatMap((result): WorkEvent[] => {
    const step = cutStepId(result.job, run.film);
    const common = { at, job: result.job, step };
    const written: WorkEvent[] = [];
    if (result.length > 0)
      written.push({
        id: `${run.run}-${result.job}-film`,
        kind: 'cut',
        ...common,
        film: run.film,
        length: Math.round(result.length * 100) / 100,
        area: Math.round(result.length * run.layout.width),
        from: run.layout.sheet?.from ?? { kind: 'roll' },
        marks: result.marks.map((mark) => ({ ...mark })),
      });
    const title = `Cut ${run.layout.film.name} on the cutter`;
    const share = actual / results.length;
    if (result.whole)
      written.push({
        id: `${run.run}-${result.job}-done`,
        kind: 'done',
        ...common,
        title,
        planned: planned.get(result.job) ?? share,
        actual: share,
        work: 'cut',
        timed: true,
      });
    else if (result.length > 0)
      written.push({
        id: `${run.run}-${result.job}-wrong`,
        kind: 'wrong',
        ...common,
        title,
        planned: planned.get(result.job) ?? share,
        actual: share,
        work: 'cut',
        timed: true,
        what: 'The cutter stopped',
        again: true,
        note: `${result.marks.reduce((sum, m) => sum + m.copies, 0)} marks were cut whole`,
      });
    return written;
  });
  const counted = (saved: readonly WorkEvent[]) => events.filter((event) => !('step' in event) || !stepState(saved, event.step).done);
  const { result } = await keep(
    'What the cutter cut',
    () =>
      write([db.events, db.runs], async () => {
        const kept = await db.runs.get(run.run);
        if (!kept || kept.settled) return [];
        const fresh = counted(await db.events.toArray());
        await db.events.bulkPut(fresh);
        await db.runs.update(run.run, { settled: true, strokes, used });
        return fresh;
      }),
    (workshop) => ({ ...workshop, events: [...workshop.events, ...counted(workshop.events)] }),
  );
  return { events: result, results };
}
