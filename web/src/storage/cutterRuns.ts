import { applyToPoint } from '@kolleta/core/geometry';
import { beforeCutOf, cutResult, inLoads, onCarrierOnly, strokesPerPart, type FilmLayout, type Leftover } from '@kolleta/core/cut';
import type { JobId, WorkEvent } from '@kolleta/core/job';
import { nextCutStep, stepFacts, stepState } from '@kolleta/core/logbook';
import { MINUTE_MS } from '@kolleta/core/units';
import { now } from './clock';
import { db, type CutterRun } from './db';
import { keep } from './keeping';
import { newId } from './newId';
import { write } from './write';

/** The rehearsal that the simulated cutter has, until it is put away. */
export const openRun = async (): Promise<CutterRun | undefined> => (await db.runs.toArray()).find((run) => !run.settled && !run.by);

/** The files that were saved for a cutter and of which nobody has said yet what came of them. */
export const openFiles = async (): Promise<CutterRun[]> => (await db.runs.toArray()).filter((run) => !run.settled && run.by === 'file');

/** A layout as it is noted before it is cut. */
function runOf(layout: FilmLayout): CutterRun {
  const strokes = strokesPerPart(layout);
  // each load is held down at both ends
  const taken = (inLoads(layout) ?? [layout]).reduce((sum, load) => sum + load.taken, 0);
  return {
    run: newId(),
    at: now(),
    film: layout.film.id,
    taken,
    ...(beforeCutOf(layout).before?.cutOff ? { cutOff: true as const } : {}),
    ...(layout.unfinished ? { unfinished: layout.unfinished } : {}),
    parts: layout.parts.map(({ job, mark }, i) => ({ job, mark, strokes: strokes[i]! })),
    layout,
    strokes: 0,
    used: 0,
    settled: false,
  };
}

/** Notes a layout before it is rehearsed, so that its run is known whatever happens afterwards. */
export async function beginRun(layout: FilmLayout, load?: CutterRun['load']): Promise<CutterRun> {
  const run: CutterRun = { ...runOf(layout), ...(load ? { load } : {}) };
  await keep(`Rehearse ${layout.film.name}`, () => write([db.runs], () => db.runs.put(run)));
  return run;
}

/** Notes what a saved file holds, in the place of an earlier one of that film that was not answered for. */
export async function noteFile(layout: FilmLayout): Promise<CutterRun> {
  const run: CutterRun = { ...runOf(layout), by: 'file' };
  await keep(`Save a cut file of ${layout.film.name}`, () =>
    write([db.runs], async () => {
      const before = (await openFiles()).filter(({ film }) => film === run.film);
      await db.runs.bulkDelete(before.map((one) => one.run));
      await db.runs.put(run);
    }),
  );
  return run;
}

/** What came of a saved file, as the maker says: so many marks of it came out well, in the order of the cut. */
export function fileAnswer({ parts, layout, taken }: CutterRun, whole: number, restIsGood: boolean): { strokes: number; used: number } {
  const strokes = parts.slice(0, whole).reduce((sum, part) => sum + part.strokes, 0);
  if (!restIsGood) return { strokes, used: taken };
  const used = layout.parts
    .slice(0, whole)
    .flatMap((part) => layout.outlines[part.outline]!.flatMap(({ outer }) => outer.map((point) => applyToPoint(part.place, point)[1])))
    .reduce((most, y) => Math.max(most, y), 0);
  return { strokes, used };
}

/** Notes what the cutter last told. */
export const noteProgress = async (run: CutterRun, strokes: number, used: number): Promise<void> =>
  void (await db.runs.update(run.run, { strokes, used }));

/** Forgets a run: nothing was cut. */
export const dropRun = (run: CutterRun): Promise<void> =>
  keep('Nothing was cut', async () => void (await write([db.runs], () => db.runs.delete(run.run))));

/**
 * Writes into the log what a run cut and takes the film off its roll. Its events are named by the run, so that settling it twice changes
 * nothing; what was
 * logged by hand meanwhile is not counted again.
 *
 * @param planned minutes of each job's cutting step
 * @param kept what is left of the film and kept as offcuts
 * @param linerCut the knife went through the liner too
 * @returns the events, so that they can be reversed together, and what was cut
 */
export async function settleRun(
  run: CutterRun,
  strokes: number,
  used: number,
  planned: ReadonlyMap<JobId, number>,
  kept: readonly Leftover[] = [],
  linerCut = false,
) {
  const left = kept.map(({ width, length, outline }) => ({ id: newId(), width, length, outline }));
  const results = cutResult(run, strokes, used);
  const all = run.parts.reduce((sum, part) => sum + part.strokes, 0);
  /** mm that the knife went. */
  const knife = all > 0 ? ((run.layout.knife ?? 0) * Math.min(strokes, all)) / all : 0;
  /** A piece, and what is cut off a roll for a machine that takes none from one, goes through on the first carrier sheet that is large enough. */
  const { sheet, machine, width, taken } = run.layout;
  const carrier =
    sheet && (sheet.from.kind !== 'roll' || onCarrierOnly(machine))
      ? machine?.carriers?.find((one) => one.width >= width - 0.5 && one.length >= taken - 0.5)?.id
      : undefined;
  const at = now();
  const actual = Math.max(0.1, Math.round(((at - run.at) / MINUTE_MS) * 10) / 10);
  /** What is booked, by what is saved at that moment: of a job that was cut whole it is what was lost of it. */
  const eventsOf = (result: (typeof results)[number], step: string): WorkEvent[] => {
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
        ...(run.layout.machine?.id ? { machine: run.layout.machine.id, knife: Math.round(knife / results.length) } : {}),
        ...(carrier && result === results[0] ? { carrier } : {}),
        ...(linerCut ? { linerCut } : {}),
        // of several jobs on one sheet the first has what is left
        ...(left.length > 0 && result === results[0] ? { left } : {}),
        marks: result.marks.map((mark) => ({ ...mark })),
      });
    const title = `Cut ${run.layout.film.name}`;
    // of a file nobody knows how long the machine took for it
    const timed = run.by === undefined;
    const plannedOf = planned.get(result.job) ?? actual / results.length;
    const share = timed ? actual / results.length : plannedOf;
    if (result.whole)
      written.push({
        id: `${run.run}-${result.job}-done`,
        kind: 'done',
        ...common,
        title,
        planned: plannedOf,
        actual: share,
        work: 'cut',
        timed,
      });
    // what was sent was cut, and the rest follows: nothing went wrong
    else if (result.length > 0 && !result.asSent)
      written.push({
        id: `${run.run}-${result.job}-wrong`,
        kind: 'wrong',
        ...common,
        title,
        planned: plannedOf,
        actual: share,
        work: 'cut',
        timed,
        what: 'Cut in part',
        again: true,
        note: `${result.marks.reduce((sum, m) => sum + m.copies, 0)} marks were cut whole`,
      });
    return written;
  };
  const counted = (saved: readonly WorkEvent[]) => {
    const facts = stepFacts(saved);
    return results.flatMap((result) => {
      const step = nextCutStep(saved, facts, result.job, run.film);
      return stepState(saved, step).done ? [] : eventsOf(result, step);
    });
  };
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
