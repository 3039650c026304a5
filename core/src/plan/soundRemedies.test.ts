import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { knownCases } from '../../test/knownCases';
import { randomJob } from '../../test/randomWorkshop';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import { numbersFrom } from '../geometry';
import { applyPatch, kindOf, READING_KINDS, type Job, type Reading, type Shop } from '../job';
import { Memo, planWorkshop } from './index';
import { soundRemedies } from './soundRemedies';
import { seeds } from '../../test/depth';

let faces: Faces;
let shop: Shop;
const memo = new Memo();
beforeAll(() => {
  faces = shippedFaces();
  shop = demoShop();
});
const planOf = (job: Job, own = shop) => planWorkshop([job], own, [], DEMO_START, faces, memo).jobs.get('j')!;
const stopsOf = (readings: readonly Reading[]) => new Set(readings.filter((r) => r.verdict === 'stop').map((r) => r.id));

/** What is wrong with the remedies of a job: they do not clear, change nothing, or put a new stop in the place of theirs. */
function faultsOf(job: Job, met: Set<string>, own = shop): string[] {
  const before = planOf(job, own);
  expect(before.aside).toBeUndefined();
  const stops = stopsOf(before.readings);
  return before.readings.flatMap((reading) =>
    reading.remedies.flatMap((remedy): string[] => {
      met.add(kindOf(reading));
      const { document } = applyPatch(job, remedy.patch);
      const after = planOf(document, own);
      const name = `${reading.id} “${remedy.label}”`;
      if (JSON.stringify(document) === JSON.stringify(job)) return [`${name} changes nothing`];
      const now = after.readings.find((r) => r.id === reading.id);
      const stays = reading.verdict !== 'fine' && now && now.verdict !== 'fine' ? [`${name} leaves ${now.verdict}: ${now.value}`] : [];
      // a mark of which nothing could be drawn told nothing of itself before; and whoever paints instead has to wait longer
      const hidden = (id: string) => kindOf(reading) === 'glyphs' || (id === 'date' && kindOf(reading) === 'stick');
      const fresh = [...stopsOf(after.readings)].filter((id) => !stops.has(id) && !hidden(id)).map((id) => `${name} raises ${id}`);
      return [...stays, ...fresh];
    }),
  );
}

describe('the law of remedies', () => {
  it('over every shape, ground, technique, artwork, list, spread and change: each clears its reading, raises no stop and changes something', () => {
    const met = new Set<string>();
    const faults: string[] = [];
    for (const seed of seeds([16, 18, 20, 26, 34, 38, 4748, 4766, 4803, 4809, 20345, 20346, 20350, 20360], 120))
      faults.push(...faultsOf(randomJob(numbersFrom(seed), shop), met).map((fault) => `${seed}: ${fault}`));
    for (const [kind, what, make, own] of knownCases(shop)) {
      const [job, there] = [make(), own?.() ?? shop];
      const reading = planOf(job, there).readings.find((r) => kindOf(r) === kind);
      expect([what, reading?.verdict === 'fine', reading?.remedies.length]).toEqual([what, false, expect.any(Number)]);
      expect([what, reading!.remedies.length > 0]).toEqual([what, true]);
      faults.push(...faultsOf(job, met, there).map((fault) => `${what}: ${fault}`));
    }
    expect(faults).toEqual([]);
    const offering = Object.entries(READING_KINDS).flatMap(([kind, { offers }]) => (offers ? [kind] : []));
    expect([...met].sort()).toEqual(offering);
  });
  it('a film that no tape carries over, or that vanishes, is not offered; and where nothing is left, it is said what helps', () => {
    const job = plateJob(textMark('Tern', { film: 'ink-matt' }));
    const dusty: Job = { ...job, piece: { ...job.piece, ground: 'chalkPaint', contact: 'openGrain', colour: '#22302f' } };
    const contrast = planOf(dusty).readings.find((r) => kindOf(r) === 'contrast')!;
    expect(contrast.verdict).toBe('stop');
    for (const { patch } of contrast.remedies) {
      const after = planOf(applyPatch(dusty, patch).document);
      expect(
        after.readings.filter((r) => kindOf(r) === 'grip' && r.verdict === 'stop' && !stopsOf(planOf(dusty).readings).has(r.id)),
      ).toEqual([]);
    }
  });
  it('a remedy that cannot be tried out is not offered, and takes neither the reading nor the job along', () => {
    const job = plateJob(textMark('Tern', { size: { mode: 'width', width: 260 } }));
    const { readings, marks, layers } = planOf(job);
    const size = readings.find((r) => kindOf(r) === 'size')!;
    expect(size.remedies.length).toBeGreaterThan(0);
    const fail = () => {
      throw new Error('no');
    };
    const after = soundRemedies(job, readings, marks, layers, { ...shop, left: () => 9000 }, fail);
    expect(after.map((r) => r.id)).toEqual(readings.map((r) => r.id));
    expect(after.find((r) => kindOf(r) === 'size')).toMatchObject({ verdict: 'stop', remedies: [] });
    // what is gone from the job meanwhile is no remedy either
    const gone = [
      { ...size, remedies: [{ label: 'Gone', patch: [{ op: 'set' as const, path: ['marks', 'nobody', 'film', 'x'], value: 1 }] }] },
    ];
    expect(soundRemedies(job, gone, marks, layers, { ...shop, left: () => 9000 })[0]!.remedies).toEqual([]);
  });
  it('where none holds, it is said what the first would meet; nothing is said of what was not tried out', () => {
    const job = plateJob(textMark('Tern', { size: { mode: 'width', width: 260 } }));
    const { readings, marks, layers } = planOf(job);
    const met: Reading = { ...readings.find((r) => kindOf(r) === 'size')!, id: 'thin:m', title: 'Thin parts', verdict: 'stop' };
    const size = (after?: () => Reading[]) =>
      soundRemedies(job, readings, marks, layers, { ...shop, left: () => 9000 }, after).find((r) => kindOf(r) === 'size')!;
    expect(size(() => [met]).advice).toMatch(/^“As large as fits.*would be stopped by “Thin parts”. Say less/);
    expect(size()).toMatchObject({ remedies: [], advice: undefined });
  });
  it('a film that a frame is cut from is replaced there too', () => {
    const framed = plateJob(
      textMark('Tern', { film: 'white-gloss', edits: [{ id: 'f', kind: 'frame', plate: 'box', margin: 6, width: 3, film: 'ink-matt' }] }),
    );
    const contrast = planOf(framed).readings.find((r) => kindOf(r) === 'contrast')!;
    expect(contrast.verdict).toBe('stop');
    const [first] = contrast.remedies;
    const { marks } = applyPatch(framed, first!.patch).document;
    expect(marks[0]!.edits[0]).not.toMatchObject({ film: 'ink-matt' });
    expect(planOf({ ...framed, marks }).readings.find((r) => kindOf(r) === 'contrast')!.verdict).toBe('fine');
  });
  it('the dots of an i are never dropped by the main button: it may be made stouter or larger', () => {
    for (const word of ['Zoë', 'Finisterre']) {
      const small = planOf(plateJob(textMark(word, { size: { mode: 'width', width: 20 } }))).readings.find((r) => kindOf(r) === 'small')!;
      expect([word, small.verdict]).toEqual([word, 'watch']);
      const [main] = small.remedies;
      expect([word, main!.takesAway, main!.label]).toEqual([word, undefined, expect.stringMatching(/^(Enlarge|Thicken|Fill)/)]);
      expect(small.remedies.filter(({ label }) => label.startsWith('Drop')).every((one) => one.takesAway)).toBe(true);
    }
  });
  it('nothing is offered that makes a mark tiny: a name of 3 inches on a belly stays one, or another way is said', () => {
    const job = plateJob(textMark('Maeve', { size: { mode: 'width', width: 76 } }));
    const bulb: Job = {
      ...job,
      piece: { ...job.piece, ground: 'glass', shape: { kind: 'bulb', diameter: 92, along: 110, height: 100 } },
      zones: [{ ...job.zones[0]!, width: 90, height: 90, breathing: 4 }],
    };
    const { readings, marks } = planOf(bulb);
    const { width } = marks[0]!.fitted;
    for (const reading of readings) {
      for (const { patch } of reading.remedies) {
        const then = planOf(applyPatch(bulb, patch).document).marks[0]!.fitted.width;
        expect([reading.id, then >= width * 0.39]).toEqual([reading.id, true]);
      }
    }
    expect(readings.find((r) => kindOf(r) === 'snips')?.why).toMatch(/never the film/);
  });
  it('a film offered for a patterned place stands out from each of its colours', () => {
    const job = plateJob(textMark('Tern', { film: 'cream-matt' }));
    const striped: Job = { ...job, zones: [{ ...job.zones[0]!, colours: ['#f6f4ec', '#1f4e79', '#8a8f92'] }] };
    const contrast = planOf(striped).readings.find((r) => kindOf(r) === 'contrast')!;
    expect(contrast.verdict).not.toBe('fine');
    for (const { label, patch } of contrast.remedies.filter(({ label: of }) => of !== 'Subtle on purpose')) {
      const after = planOf(applyPatch(striped, patch).document).readings.find((r) => kindOf(r) === 'contrast')!;
      expect([label, after.verdict]).toEqual([label, 'fine']);
    }
  });
  it('stand in the order of how little they change of what is wanted', () => {
    const job = plateJob(textMark('Zoë', { film: 'cream-matt', size: { mode: 'width', width: 20 } }));
    const striped: Job = {
      ...job,
      piece: { ...job.piece, ground: 'rawWood', contact: 'openGrain' },
      zones: [
        { ...job.zones[0]!, colours: ['#f6f4ec'] },
        { ...job.zones[0]!, id: 'y', name: 'Dark end', colours: ['#1d1d1d'] },
      ],
    };
    const fields = planOf(striped).readings.flatMap(({ remedies }) =>
      remedies.length < 2
        ? []
        : [
            remedies.map(({ patch, takesAway }) =>
              takesAway ? 3 : patch.some(({ path }) => path[2] === 'technique') ? 2 : patch.some(({ path }) => path[2] === 'zone') ? 1 : 0,
            ),
          ],
    );
    expect(new Set(fields.flat()).size).toBeGreaterThan(2);
    for (const order of fields) expect(order).toEqual(order.toSorted((a, b) => a - b));
  });
  it('a paint that would vanish is not taken along to a stencil', () => {
    const job = plateJob(textMark('Tern', { paint: 'cream' }));
    const white: Job = { ...job, piece: { ...job.piece, ground: 'rawWood', contact: 'openGrain', colour: '#f4ecd4' } };
    const stick = planOf(white).readings.find((r) => kindOf(r) === 'stick')!;
    const stencil = stick.remedies.find(({ label }) => label.startsWith('Paint it'))!;
    const { document } = applyPatch(white, stencil.patch);
    expect(document.marks[0]!.paint).not.toBe('cream');
    expect(planOf(document).readings.find((r) => kindOf(r) === 'contrast')!.verdict).not.toBe('stop');
  });
});
