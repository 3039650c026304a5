import type { Faces } from '../artwork';
import { measureReadings } from '../blanks';
import { cutReadings, type FilmLayout } from '../cut';
import { finishReadings, pieceReadings, sealerReadings, type RecipeLayer } from '../finish';
import { guarded, isTaped, withSight, type Id, type Job, type Reading, type Shop } from '../job';
import { scheduleReadings, type JobSchedule } from '../schedule';
import { gripReading } from '../tape';
import { techniqueReadings } from '../techniques';
import { asIs } from './asIs';
import { drawReadings } from './drawReadings';
import type { FilmWork } from './film';
import { filmReadings } from './filmReadings';
import { ofMark } from './heavy';
import { liftReading } from './liftReading';
import { listReadings, variantReadings } from './listReadings';
import { markReadings } from './markReadings';
import type { Memo } from './memo';
import { overReadings } from './overReadings';
import { fitMarks } from './fitMarks';
import { type FittingWork } from './planMark';
import { soundRemedies } from './soundRemedies';
import { fittedLayers, tapeReadings, type LayerPlan } from './steps';

/** A job with all that was planned of it, for its readings. */
export interface ReadWork {
  readonly job: Job;
  readonly works: readonly FittingWork[];
  readonly film: FilmWork;
  readonly layers: readonly LayerPlan[];
  readonly inputs: readonly RecipeLayer[];
  readonly schedule: JobSchedule;
}

/** What is common to the readings of all jobs. */
export interface ReadAround {
  readonly shop: Shop;
  readonly faces: Faces;
  /** One layout a film, of all open jobs. */
  readonly shared: readonly FilmLayout[];
  /** mm left of each film. */
  readonly filmLeft: ReadonlyMap<Id, number>;
  readonly isCut: (film: Id) => boolean;
  /** Whether anybody ever works. */
  readonly hours: boolean;
  readonly quick: boolean;
}

/** What the marks of a job tell by themselves: as they are drawn, as their list is fitted, and as they lie on the piece. */
function ofMarks(job: Job, works: readonly FittingWork[], { shop, faces, filmLeft, quick }: ReadAround, memo: Memo): Reading[] {
  const { films, paints, climate, lengths, temperatures } = shop;
  const seen = {
    shop: memo.stage('shop of marks', { films, paints, climate, lengths, temperatures }, asIs),
    filmLeft: memo.stage('film left', Object.fromEntries(filmLeft), asIs),
    films,
    quick,
  };
  return [
    ...works.flatMap((work) =>
      guarded('draw', 'draw', work.plan.mark.id, 'The mark as it is drawn', () => drawReadings(work, job, shop, faces, memo)),
    ),
    ...works.flatMap((work) => filmReadings(work, job, shop)),
    ...works.flatMap(({ plan }) => guarded('fit', 'names', plan.mark.id, 'The list fitted', () => variantReadings(plan, job, shop))),
    ...works.flatMap(({ plan }) => guarded('fit', 'over', plan.mark.id, 'What lies under it', () => overReadings(job, plan, shop))),
    ...works.flatMap((work) => ofMark(work.plan.mark, () => markReadings(work, job, seen, memo))),
  ];
}

/** Every reading of a job, in the order in which makers work, with remedies that hold. */
export function jobReadings({ job, works, film, layers, inputs, schedule }: ReadWork, around: ReadAround, memo: Memo): Reading[] {
  const { shop, faces, shared, filmLeft, isCut, hours, quick } = around;
  const { climate, lengths, temperatures } = shop;
  const marks = works.map((work) => work.plan);
  const left = (id: Id) => filmLeft.get(id) ?? 0;
  const needed = (id: Id) => shared.find((layout) => layout.film.id === id)?.taken ?? 0;
  const own = ofMarks(job, works, around, memo);
  const all = [
    ...guarded('measure', 'measure', job.id, 'Room on the piece', () => measureReadings(job.piece, job.zones, lengths)),
    ...guarded('prepare', 'piece', job.id, 'The state of the piece', () => pieceReadings(job, shop)),
    ...guarded('draw', 'list', job.id, 'The list', () => listReadings(job)),
    ...own,
    ...(quick
      ? []
      : marks.flatMap((plan) =>
          guarded('cut', 'lift', plan.mark.id, 'How it is lifted', () => [liftReading(job, plan, shop, memo) ?? []].flat()),
        )),
    ...film.own.flatMap((layout) => {
      const together = shared.find((l) => l.film.id === layout.film.id);
      if (!together || isCut(layout.film.id)) return [];
      return guarded('cut', 'film', layout.film.id, layout.film.name, () =>
        cutReadings(job, together, layout, shop, left, needed, lengths),
      );
    }),
    ...tapeReadings(job, layers, shop),
    ...guarded('cure', 'finish', job.id, 'Drying and paint', () => [...finishReadings(climate, temperatures), ...sealerReadings(job)]),
    ...guarded('paint', 'technique', job.id, 'How the marks are made', () => techniqueReadings(job, inputs, shop)),
    ...(inputs.length > 0
      ? guarded('cure', 'date', job.id, 'The date', () => scheduleReadings(job, schedule, shop.hours.zone, hours))
      : []),
  ];
  // tried out on the marks alone, which is what they change
  const after = (changed: Job) => {
    const fitted = fitMarks(changed, shop, faces, memo, quick);
    const plans = fitted.map((work) => work.plan);
    // of several layers it is not known here what each comes on
    const grips = plans.flatMap(({ mark, surface, inspections: [one, ...more] }) =>
      one && more.length === 0 && isTaped(mark) ? [gripReading(changed, mark, one.film, surface, shop)] : [],
    );
    return [...ofMarks(changed, fitted, around, memo), ...grips, ...techniqueReadings(changed, fittedLayers(plans, memo), shop)];
  };
  return soundRemedies(job, all, marks, layers, { ...shop, left }, quick ? undefined : after);
}

/** Readings with what the user answered for, and with remedies that know what they saw. */
export const withOverrides = (job: Job, readings: readonly Reading[]): Reading[] =>
  readings.map((found) => {
    const reading = found.remedies.length > 0 ? { ...found, remedies: found.remedies.map((remedy) => withSight(remedy, job)) } : found;
    const given = reading.verdict === 'stop' ? job.overrides.find((o) => o.reading === reading.id) : undefined;
    return given ? { ...reading, overridden: given.reason } : reading;
  });
