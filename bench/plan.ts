import { readdirSync } from 'node:fs';
import { simpleShape } from '../core/src/artwork';
import type { Segment } from '../core/src/geometry';
import type { Job, Mark } from '../core/src/job';
import { Memo, planWorkshop } from '../core/src/plan';
import { shippedFaces } from '../core/test/faces';
import { DEMO_START, demoWorkshop, plateJob, textMark } from '../core/test/sampleJobs';
import { atMost, median, seeded, timed, type Figure } from './figure';
import { inBrowser } from './inBrowser';

/** A job of 60 letters in a script face, its mark moved by half a millimetre a time. */
function nudgedJob(i: number): Job {
  const mark = textMark('', { size: { mode: 'width', width: 150 }, offset: { x: i * 0.5, y: 0 } }, 'dancing-script');
  const lines = ['The quick tern dives past a red buoy', 'nine, home by half past four okay now'].map((text, n) => ({
    id: `l${n}`,
    text,
    face: 'dancing-script',
    scale: 1,
    spacing: 0,
  }));
  return plateJob({ ...mark, artwork: { kind: 'text', align: 'centre', lineSpacing: 1, lines } });
}

/** A tile of 150 × 200 mm with a hole in its middle. */
function holedTile(mark: Mark): Job {
  const job = plateJob(mark);
  const hole = { id: 'h', kind: 'hole' as const, x: 0, y: 96, width: 8, height: 8, round: true, clear: 4 };
  const sides = { width: 150, height: 200 };
  return {
    ...job,
    piece: { ...job.piece, shape: { kind: 'flat', ...sides }, features: [hole] },
    zones: job.zones.map((zone) => ({ ...zone, ...sides })),
  };
}
const heartTile = (): Job =>
  holedTile(
    textMark('Tern', {
      edits: [{ id: 'e', kind: 'outOf', name: 'heart', path: simpleShape('heart'), fill: 'nonzero', by: 1.2, right: 0, up: 0 }],
    }),
  );
const backedTags = (): Job => ({
  ...holedTile(textMark('{Name}', { edits: [{ id: 'e', kind: 'backing', film: 'gold-metallic', by: 2 }] })),
  count: 24,
  list: { columns: ['Name'], rows: Array.from({ length: 24 }, (_, i) => ({ id: `r${i}`, cells: [`Crew ${i}`] })) },
});
function crowdedPlate(): Job {
  const at = (i: number) => ({ x: (i % 8) * 20 - 70, y: Math.floor(i / 8) * 12 - 45 });
  const marks = Array.from({ length: 60 }, (_, i) => ({
    ...textMark(`Tern ${i}`, { size: { mode: 'width', width: 15 }, offset: at(i) }),
    id: `m${i}`,
  }));
  return { ...plateJob(marks[0]!), marks };
}
/** A line that crosses itself more often than anything can work with. */
function scribbledPlate(): Job {
  const random = seeded(5);
  const path = [
    ['M', [0, 0]],
    ...Array.from({ length: 6000 }, () => ['L', [random() * 100, random() * 100]]),
    ['Z'],
  ] as unknown as readonly Segment[];
  const parts = [{ id: 'p', colour: '#000000', fill: 'nonzero' as const, path }];
  return plateJob({ ...textMark(''), artwork: { kind: 'drawing', name: 'scribble', leftOut: [], parts } });
}

/** The nudge as the page sees it: asked of the built worker, with all that crosses to it and back. */
async function nudgeInWorker(): Promise<number> {
  const worker = readdirSync('web/dist/assets').find((name) => name.startsWith('planner.worker'))!;
  const { shop } = demoWorkshop();
  return inBrowser(async (browser, address) => {
    const page = await browser.newPage();
    // the runner names inner functions by a helper that the page does not have
    await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
    await page.goto(address);
    const times = await page.evaluate(
      async ({ url, jobs, shop: own, now }) => {
        const planner = new Worker(url, { type: 'module' });
        const ask = (id: string, job: unknown) =>
          new Promise<number>((resolve) => {
            const start = performance.now();
            const hear = (event: MessageEvent) => {
              if ((event.data as { id?: string }).id !== id) return;
              planner.removeEventListener('message', hear);
              resolve(performance.now() - start);
            };
            planner.addEventListener('message', hear);
            const raw = (value: unknown) => ({ type: 'RAW', value });
            planner.postMessage({
              id,
              type: 'APPLY',
              path: ['plan'],
              argumentList: [raw('draft'), raw([job]), raw(own), raw([]), raw(now)],
            });
          });
        const found: number[] = [];
        for (const [i, job] of jobs.entries()) found.push(await ask(`n${i}`, job));
        planner.terminate();
        return found;
      },
      { url: `./assets/${worker}`, jobs: Array.from({ length: 7 }, (_, i) => nudgedJob(i)), shop, now: DEMO_START },
    );
    // the first two fetch faces and warm the code
    return median(times.slice(2));
  });
}

/** Planning again after a nudge, in the worker and by itself, and the whole demo workshop. */
export async function planFigures(): Promise<Figure[]> {
  const faces = shippedFaces();
  const { shop, jobs, events } = demoWorkshop();
  const memo = new Memo();
  const nudged = await timed((i) => planWorkshop([nudgedJob(i)], shop, [], DEMO_START, faces, memo));
  const demoMemo = new Memo();
  const moved = (i: number) =>
    jobs.map((job) =>
      job.id === 'boat-numbers' ? { ...job, marks: job.marks.map((m) => (m.id === 'number' ? { ...m, offset: { x: i, y: 0 } } : m)) } : job,
    );
  const demo = await timed((i) => planWorkshop(moved(i), shop, events, DEMO_START, faces, demoMemo));
  const cold = await timed(() => planWorkshop(jobs, shop, events, DEMO_START, faces, new Memo()));
  // three hundred open jobs, each with words of its own
  const many = Array.from({ length: 300 }, (_, i): Job => {
    const job = jobs[i % jobs.length]!;
    const marks = job.marks.map((mark) =>
      mark.artwork.kind === 'text' && !mark.artwork.lines[0]?.text.includes('{')
        ? { ...mark, artwork: { ...mark.artwork, lines: mark.artwork.lines.map((l, k) => (k === 0 ? { ...l, text: `Tern ${i}` } : l)) } }
        : mark,
    );
    return { ...job, id: `${job.id}${i}`, marks };
  });
  // as many, of ten kinds, planned for the first time, and a quick mark each with words of its own as a page first shows them
  const copies = Array.from({ length: 300 }, (_, i): Job => ({ ...jobs[i % jobs.length]!, id: `${jobs[i % jobs.length]!.id}${i}` }));
  const firstOfCopies = await timed(() => planWorkshop(copies, shop, events, DEMO_START, faces, new Memo()));
  const words = 'tern buoy oar crew regatta rope sail gull bow stern cox skiff scull tide harbour jetty'.split(' ');
  const quickMarks = Array.from({ length: 300 }, (_, i): Job => {
    const line = { id: 'l0', text: `${words[i % 16]} ${words[Math.floor(i / 16) % 16]}`, face: 'dancing-script', scale: 1, spacing: 0 };
    const mark = { ...textMark('', {}), artwork: { kind: 'text' as const, align: 'centre' as const, lineSpacing: 1, lines: [line] } };
    return { ...plateJob(mark), id: `quick${i}` };
  });
  const firstOfQuick = await timed(() => planWorkshop(quickMarks, shop, [], DEMO_START, faces, new Memo(), { effort: 'quick' }));
  // the job on the screen of fifteen, and jobs that were slow once
  const fifteenMemo = new Memo();
  const fifteen = await timed((i) =>
    planWorkshop(
      many.slice(0, 15).map((job, k) => (k === 7 ? { ...job, marks: job.marks.map((m) => ({ ...m, offset: { x: i, y: 0 } })) } : job)),
      shop,
      events,
      DEMO_START,
      faces,
      fifteenMemo,
    ),
  );
  const alone = (job: Job) => timed(() => planWorkshop([job], shop, [], DEMO_START, faces, new Memo()));
  const manyMemo = new Memo();
  const manyMoved = (i: number) =>
    many.map((job, k) => (k === 7 ? { ...job, marks: job.marks.map((m) => ({ ...m, offset: { x: i, y: 0 } })) } : job));
  const hundreds = await timed((i) => planWorkshop(manyMoved(i), shop, events, DEMO_START, faces, manyMemo));
  const closed = await timed((i) =>
    planWorkshop(
      manyMoved(i).map((job, k) => ({ ...job, closed: k > 9 })),
      shop,
      events,
      DEMO_START,
      faces,
      manyMemo,
    ),
  );
  return [
    atMost('plan/300-jobs-of-ten-kinds-first', firstOfCopies, 3000, 'ms'),
    atMost('plan/300-quick-marks-first-shown', firstOfQuick, 3000, 'ms'),
    atMost('plan/300-jobs-without-worker', hundreds, 3000, 'ms'),
    atMost('plan/10-open-290-closed-without-worker', closed, 100, 'ms'),
    atMost('plan/15-open-jobs-an-edit-without-worker', fifteen, 300, 'ms'),
    atMost('plan/heart-beside-a-hole', await alone(heartTile()), 600, 'ms'),
    atMost('plan/24-names-backed-beside-a-hole', await alone(backedTags()), 2500, 'ms'),
    atMost('plan/60-marks-in-one-place', await alone(crowdedPlate()), 4000, 'ms'),
    atMost('plan/too-much-is-told', await alone(scribbledPlate()), 1000, 'ms'),
    atMost('plan/nudge/60-glyphs', await nudgeInWorker(), 100, 'ms'),
    atMost('plan/nudge/60-glyphs-without-worker', nudged, 100, 'ms'),
    atMost('plan/nudge/demo-without-worker', demo, 100, 'ms'),
    atMost('plan/whole/demo-without-worker', cold, 600, 'ms'),
  ];
}
