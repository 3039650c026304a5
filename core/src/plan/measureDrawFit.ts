import type { Faces } from '../artwork';
import { measureReadings } from '../blanks';
import { guarded, type Id, type Job, type Reading, type Shop } from '../job';
import { drawReadings } from './drawReadings';
import { filmReadings } from './filmReadings';
import { liftReading } from './liftReading';
import { listReadings, variantReadings } from './listReadings';
import { markReadings } from './markReadings';
import { keyOf, type Memo } from './memo';
import { fitOne, seenAgainst } from './planMark';

/** The marks of a job through draw and fit, and what measuring, drawing and fitting tell. */
export function measureDrawFit(
  job: Job,
  shop: Shop,
  faces: Faces,
  left: (film: Id) => number,
  filmLeft: ReadonlyMap<Id, number>,
  memo: Memo,
  quick: boolean,
) {
  // prettier-ignore
  const works = seenAgainst(
    job.marks.flatMap((mark) => {
      const zone = job.zones.find((z) => z.id === mark.zone) ?? job.zones[0];
      return zone ? [fitOne(job, mark, zone, shop, faces, memo, quick)] : [];
    }),
    shop,
  );
  const ofMark = (work: (typeof works)[number]): Reading[] => {
    const { mark, behind } = work.plan;
    const key = keyOf(
      'readings',
      job.id,
      work.key,
      work.rows.map((row) => row.key),
      mark,
      work.plan.zone,
      job.piece,
      job.marks.length,
      // another place on a patterned piece may be the cure
      job.zones.map((zone) => [zone.id, zone.name, zone.colours]),
      behind,
      shop.films,
      shop.paints,
      shop.climate,
      shop.lengths,
      shop.temperatures,
      [...filmLeft],
      quick,
    );
    return memo.get(key, () => markReadings(work, job, shop, left, memo, quick));
  };
  const { id } = job;
  return {
    marks: works.map((work) => work.plan),
    readings: [
      ...guarded('measure', 'measure', id, 'Room on the piece', () => measureReadings(job.piece, job.zones, shop.lengths)),
      ...guarded('draw', 'list', id, 'The list', () => listReadings(job)),
      ...works.flatMap((work) => guarded('draw', 'draw', work.plan.mark.id, 'The mark as it is drawn', () => drawReadings(work, job, shop, faces))), // prettier-ignore
      ...works.flatMap((work) => filmReadings(work, job, shop)),
      ...works.flatMap((work) => guarded('fit', 'names', work.plan.mark.id, 'The list fitted', () => variantReadings(work.plan, job, shop))), // prettier-ignore
      ...(quick
        ? []
        : works.flatMap((work) => guarded('cut', 'lift', work.plan.mark.id, 'How it is lifted', () => [liftReading(job, work.plan, shop, memo) ?? []].flat()))), // prettier-ignore
      ...works.flatMap(ofMark),
    ],
  };
}
