import { Memo, planWorkshop } from '../core/src/plan';
import { shippedFaces } from '../core/test/faces';
import { DEMO_START, demoWorkshop, plateJob, textMark } from '../core/test/sampleJobs';
import { atMost, timed, type Figure } from './figure';

/** Planning again after a nudge of a mark of 60 letters, and of the whole demo workshop, as the worker does it. */
export async function planFigures(): Promise<Figure[]> {
  const faces = shippedFaces();
  const { shop, jobs, events } = demoWorkshop();
  const long = textMark('The quick tern dives past buoy nine, home by half past four ok', {}, 'dancing-script');
  const mark = {
    ...long,
    artwork: {
      ...long.artwork,
      lines: ['The quick tern dives past buoy', 'nine, home by half past four okay now'].map((text, i) => ({
        id: `l${i}`,
        text,
        face: 'dancing-script',
        scale: 1,
        spacing: 0,
      })),
    } as typeof long.artwork,
    size: { mode: 'width' as const, width: 150 },
  };
  const memo = new Memo();
  const nudged = await timed((i) => planWorkshop([plateJob({ ...mark, offset: { x: i * 0.5, y: 0 } })], shop, [], DEMO_START, faces, memo));
  const demoMemo = new Memo();
  const demo = await timed((i) =>
    planWorkshop(
      jobs.map((job) =>
        job.id === 'boat-numbers'
          ? { ...job, marks: job.marks.map((m) => (m.id === 'number' ? { ...m, offset: { x: i, y: 0 } } : m)) }
          : job,
      ),
      shop,
      events,
      DEMO_START,
      faces,
      demoMemo,
    ),
  );
  const cold = await timed(() => planWorkshop(jobs, shop, events, DEMO_START, faces, new Memo()));
  return [
    atMost('plan/nudge/60-glyphs', nudged, 100, 'ms'),
    atMost('plan/nudge/demo', demo, 100, 'ms'),
    atMost('plan/whole/demo', cold, 1000, 'ms'),
  ];
}
