import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import { simpleShape, SIMPLE_SHAPES, type Faces, type SimpleShapeId } from '../artwork';
import { boxOf, intersection, regionArea, regionInside, union, type Region } from '../geometry';
import { applyPatch, type Job, type Mark, type PieceList, type Reading, type ShelfItem, type Shop, type Spread } from '../job';
import { Memo, planWorkshop, type JobPlan, type MarkPlan } from './index';
import { law } from '../../test/depth';

let faces: Faces;
let shop: Shop;
beforeAll(() => {
  faces = shippedFaces();
  shop = demoShop();
});
const plan = (job: Job, own = shop): JobPlan => planWorkshop([job], own, [], DEMO_START, faces).jobs.get('j')!;
const only = (job: Job): MarkPlan => plan(job).marks[0]!;
const covered = (m: MarkPlan): Region[] =>
  [m.fitted.layers, ...m.copies.map((c) => c.layers)].map((layers) => union(...layers.map((l) => l.region)));
const bucket = (mark: Partial<Mark>): Job => ({
  ...plateJob(textMark('Tern', mark)),
  piece: { ...plateJob(textMark('x')).piece, shape: { kind: 'taper', rim: 260, foot: 190, height: 240 } },
  zones: [{ id: 'z', name: 'Wall', x: 0, y: 60, width: 250, height: 120, breathing: 12, lipBand: 0 }],
});
const list = (cells: string[][], columns = ['name']): PieceList => ({ columns, rows: cells.map((c, i) => ({ id: `r${i}`, cells: c })) });

describe('copies of a mark', () => {
  it('round a wall stand at equal pitch, apart by the breathing room at least, the seam in a gap', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.integer({ min: -250, max: 250 }), (count, seamAt) => {
        const job = bucket({ spread: { kind: 'round', count } });
        job.piece.features = [{ id: 'f', kind: 'seam', x: seamAt, y: 0, width: 2, height: 240, round: false, clear: 0 }];
        const m = only(job);
        const boxes = covered(m)
          .map(boxOf)
          .toSorted((a, b) => a.minX - b.minX);
        expect(boxes).toHaveLength(count);
        const middle = (b: (typeof boxes)[number]) => (b.minX + b.maxX) / 2;
        const pitch = middle(boxes[1]!) - middle(boxes[0]!);
        boxes.slice(1).forEach((b, i) => {
          expect(middle(b) - middle(boxes[i]!)).toBeCloseTo(pitch, 2);
          expect(b.minX - boxes[i]!.maxX).toBeGreaterThanOrEqual(12 - 0.01);
        });
        // all round: the wrap at the mark's height is as many pitches
        const half = Math.PI * 225;
        const seam = (seamAt * pitch * count) / half;
        for (const b of boxes) {
          const away = Math.abs(middle(b) - seam - Math.round((middle(b) - seam) / (pitch * count)) * pitch * count);
          // it is 2 mm wide
          expect([count, seamAt, away - (b.maxX - b.minX) / 2 > 1 - 0.01]).toEqual([count, seamAt, true]);
        }
      }),
      law(5, 36),
    );
  });
  it.each([
    [{ kind: 'row', count: 3, mirrored: false }, 3],
    [{ kind: 'row', count: 2, mirrored: true }, 2],
    [{ kind: 'corners', mirrored: false }, 4],
    [{ kind: 'corners', mirrored: true }, 4],
    [{ kind: 'corners', mirrored: false, which: 'rising' }, 2],
    [{ kind: 'corners', mirrored: true, which: 'falling' }, 2],
  ] as [Spread, number][])('%o lie in the zone, none on another, all of one size', (spread, count) => {
    const job = plateJob(textMark('Tern', { spread }));
    const m = only(job);
    const copies = covered(m);
    expect(copies).toHaveLength(count);
    const zone: Region = [
      {
        outer: [
          [-90, 10],
          [90, 10],
          [90, 110],
          [-90, 110],
        ],
        holes: [],
      },
    ];
    copies.forEach((copy, i) => {
      expect(regionInside(copy, zone, 0.05)).toBe(true);
      expect(regionArea(copy) / regionArea(copies[0]!)).toBeCloseTo(1, 4);
      for (const other of copies.slice(0, i)) expect(regionArea(intersection(copy, other))).toBeLessThan(0.01);
    });
    // whatever is mirrored is cut along with its pair; the rest is cut so often
    const { parts } = plan(job).layouts[0]!;
    expect(parts).toHaveLength(spread.kind !== 'round' && spread.mirrored ? 1 : count);
  });
});

describe('where a mark is held', () => {
  it('against a side it keeps the breathing room and nothing more', () => {
    for (const [x, y] of [
      ['left', 'foot'],
      ['right', 'top'],
      ['left', 'top'],
    ] as const) {
      const { box } = only(plateJob(textMark('Tern', { size: { mode: 'width', width: 60 }, hold: { x, y } }))).fitted;
      expect(x === 'left' ? box.minX : box.maxX).toBeCloseTo(x === 'left' ? -90 : 90, 2);
      expect(y === 'foot' ? box.minY : box.maxY).toBeCloseTo(y === 'foot' ? 10 : 110, 2);
    }
  });
  it('turned as it becomes largest, it is at least as large; by weight, its area has its middle there', () => {
    const best = only({
      ...plateJob(textMark('IIIIIIIIIII', { turn: 'best' })),
      zones: [{ id: 'z', name: 'F', x: 0, y: 0, width: 60, height: 120, breathing: 5, lipBand: 0 }],
    }).fitted;
    const still = only({
      ...plateJob(textMark('IIIIIIIIIII')),
      zones: [{ id: 'z', name: 'F', x: 0, y: 0, width: 60, height: 120, breathing: 5, lipBand: 0 }],
    }).fitted;
    expect(best.scale).toBeGreaterThan(still.scale);
    const m = only(plateJob(textMark('Ta.', { optical: true, size: { mode: 'width', width: 80 } })));
    const [region] = covered(m);
    const share = (cut: Region) => regionArea(intersection(region!, cut)) / regionArea(region!);
    expect(
      share([
        {
          outer: [
            [-200, -50],
            [0, -50],
            [0, 300],
            [-200, 300],
          ],
          holes: [],
        },
      ]),
    ).toBeGreaterThan(0.4);
  });
  it('over the edge, what hangs over is trimmed', () => {
    const m = only(plateJob(textMark('Tern', { size: { mode: 'width', width: 190 }, offset: { x: 80, y: 0 }, overEdge: true })));
    expect(boxOf(covered(m)[0]!).maxX).toBeLessThanOrEqual(100.001);
    expect(
      plan(plateJob(textMark('Tern', { size: { mode: 'width', width: 190 }, offset: { x: 80, y: 0 }, overEdge: true }))).readings.find(
        (r) => r.id === 'size:m',
      )!.verdict,
    ).toBe('fine');
  });
});

describe('a scatter', () => {
  const scattered = (mark: Partial<Mark>, count: number) =>
    plateJob(
      textMark('T', {
        edits: [{ id: 's', kind: 'scatter', count, width: 180, height: 100, least: 4, turn: true, over: false, seed: 5 }],
        ...mark,
      }),
    );
  it('as large as fits is the largest at which every copy finds its place', () => {
    for (const count of [3, 12, 30]) {
      const fits = only(scattered({}, count));
      expect(fits.fitted.layers[0]!.region).toHaveLength(count);
      // one copy's width, from its area against that of a T of known width
      const known = only(plateJob(textMark('T', { size: { mode: 'width', width: 10 } }))).fitted.layers[0]!.region;
      const width = 10 * Math.sqrt(regionArea([fits.fitted.layers[0]!.region[0]!]) / regionArea(known));
      const larger = only(scattered({ size: { mode: 'width', width: width * 1.03 } }, count));
      expect(larger.fitted.layers[0]!.region.length).toBeLessThan(count);
    }
  });
  it('a typed width is that of one copy', () => {
    const m = only(
      scattered(
        {
          size: { mode: 'width', width: 8 },
          edits: [{ id: 's', kind: 'scatter', count: 5, width: 180, height: 100, least: 4, turn: false, over: false, seed: 5 }],
        },
        5,
      ),
    );
    for (const part of m.fitted.layers[0]!.region) expect(boxOf([part]).maxX - boxOf([part]).minX).toBeCloseTo(8, 2);
  });
});

describe('a list', () => {
  const named = (names: string[], mark: Partial<Mark> = {}): Job => ({
    ...plateJob(textMark('{name}', mark)),
    count: names.length,
    list: list(names.map((n) => [n])),
  });
  it('has one mark a row, all of one letter size, none larger than it fits alone', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.stringMatching(/^[A-Z][a-z]{1,12}$/), { minLength: 2, maxLength: 5 }), (names) => {
        const { variants } = only(named(names));
        expect(variants.map((v) => v.words)).toEqual(names);
        for (const v of variants) expect(v.em / variants[0]!.em).toBeCloseTo(1, 4);
        for (const v of variants) expect(v.fitted.width).toBeLessThanOrEqual(180.01);
        const each = only(named(names, { sizes: 'each' })).variants;
        each.forEach((v, i) => expect(v.em).toBeGreaterThanOrEqual(variants[i]!.em * 0.9999));
      }),
      law(3, 24),
    );
  });
  it('every row is looked at for thin and small parts: the worst is told by its name, its remedy clears it', () => {
    const names = ['WHOLE CREW OF ALL', 'A.B.', 'Ö'];
    const set: Job = {
      ...plateJob(textMark('{name}', { size: { mode: 'height', height: 6 }, sizes: 'each' })),
      count: names.length,
      list: list(names.map((n) => [n])),
    };
    const told = (job: Job, id: string) => plan(job).readings.find((r) => r.id.startsWith(id))!;
    const alone = (id: string) => names.map((n) => told({ ...set, count: 1, list: list([[n]]) }, id));
    const figure = ({ value }: Reading) => (value.startsWith('over ') ? Infinity : Number.parseFloat(value));
    for (const id of ['thin:', 'small:']) {
      const least = Math.min(...alone(id).map(figure));
      expect(figure(told(set, id))).toBeCloseTo(least, 6);
      const which = names[alone(id).findIndex((r) => figure(r) === least)]!;
      if (told(set, id).verdict !== 'fine') expect(told(set, id).why).toContain(`“${which}”`);
    }
    expect(told(set, 'small:').why).toMatch(/^“(A\.B\.|Ö)”: /);
    const remedied = applyPatch(set, told(set, 'small:').remedies[0]!.patch).document;
    expect(told(remedied, 'small:').verdict).toBe('fine');
  });
  it('a line that is lost because it is dropped as small is told, with the name that loses most', () => {
    const edits = [{ id: 'd', kind: 'dropSmall', below: 3, fillBelow: 1 }] as const;
    const line = (id: string, text: string, scale: number) => ({ id, text, face: 'montserrat', scale, spacing: 0 });
    const mark = (width: number) =>
      textMark('x', {
        size: { mode: 'width', width },
        edits: [...edits],
        artwork: { kind: 'text', align: 'centre', lineSpacing: 1.2, lines: [line('a', '{name}', 1), line('b', 'TERN POINT', 0.2)] },
      });
    const job = (width: number): Job => ({ ...plateJob(mark(width)), count: 2, list: list([['Maximiliana'], ['Ada']]) });
    const dropped = (width: number) => plan(job(width)).readings.find((r) => r.id === 'dropped:m');
    expect(dropped(40)).toMatchObject({ verdict: 'watch', why: expect.stringMatching(/^“(Maximiliana|Ada) · TERN POINT”: /) });
    expect(dropped(170)?.verdict ?? 'fine').toBe('fine');
    const kept = { ...job(40), marks: [{ ...mark(40), edits: [] }] };
    expect(plan(kept).readings.some((r) => r.id === 'dropped:m')).toBe(false);
  });
  it('is cut once a row, each under its own name', () => {
    const p = plan(named(['Ada', 'Finn', 'Orla']));
    expect(p.layouts[0]!.parts).toHaveLength(3);
    expect(new Set(p.layouts[0]!.parts.map((part) => part.mark)).size).toBe(3);
  });
  it('with mirrored copies, each row is cut with all of them', () => {
    const p = plan(named(['A', 'B'], { spread: { kind: 'corners', mirrored: true } }));
    const { parts, outlines } = p.layouts[0]!;
    expect(parts).toHaveLength(2);
    for (const part of parts) expect(outlines[part.outline]!).toHaveLength(4);
  });
  it('laid out apart, mirrored copies are not forgotten', () => {
    const p = plan(plateJob(textMark('T T', { spread: { kind: 'row', count: 2, mirrored: true }, lift: 'apart' })));
    expect(p.layouts[0]!.parts).toHaveLength(4);
  });
  it('a piece unlike the others has its own size, or sets that of all', () => {
    const job = named(['A', 'B']);
    job.list!.rows[1] = { ...job.list!.rows[1]!, height: 40 };
    const [a, b] = only({ ...job, marks: [{ ...job.marks[0]!, sizes: 'each' }] }).variants;
    expect(b!.fitted.height).toBeLessThan(a!.fitted.height * 0.5);
    const [c, d] = only(job).variants;
    expect(c!.em).toBeCloseTo(d!.em, 4);
  });
});

describe('remedies of these readings', () => {
  it('a face for private use stops a job for sale as well, one without terms is a watch', () => {
    const made = { ...plateJob(textMark('Tern', {}, 'own-face')), forSale: true };
    for (const [permitted, verdict] of [
      ['private', 'stop'],
      ['unknown', 'watch'],
      ['sale', undefined],
    ] as const) {
      const own: Shop = { ...shop, faces: [{ id: 'own-face', name: 'Mine', permitted, data: '' }] };
      expect(plan(made, own).readings.find((r) => r.id === 'terms:m')?.verdict).toBe(verdict);
    }
  });
  it('features on a plate: the mark goes beside them, and its remedy clears a stop', () => {
    const job = plateJob(textMark('Tern', { size: { mode: 'width', width: 120 } }));
    job.piece.features = [{ id: 'f', kind: 'screw', x: 0, y: 50, width: 20, height: 20, round: true, clear: 3 }];
    const size = plan(job).readings.find((r) => r.id === 'size:m')!;
    expect(size.verdict).toBe('stop');
    const remedied = applyPatch(job, size.remedies.at(-1)!.patch).document;
    expect(plan(remedied).readings.find((r) => r.id === 'size:m')!.verdict).toBe('fine');
    const placed = covered(only(remedied))[0]!;
    expect(
      regionArea(
        intersection(placed, [
          {
            outer: Array.from(
              { length: 60 },
              (_, i) => [13 * Math.cos((i * Math.PI) / 30), 60 + 13 * Math.sin((i * Math.PI) / 30)] as const,
            ),
            holes: [],
          },
        ]),
      ),
    ).toBeLessThan(0.1);
  });
  it('on a patterned piece another place is offered as soon as there is one, and clears it', () => {
    const memo = new Memo();
    const read = (job: Job) =>
      planWorkshop([job], shop, [], DEMO_START, faces, memo)
        .jobs.get('j')!
        .readings.find((r) => r.id === 'contrast:m')!;
    const job = plateJob(textMark('Tern'));
    job.zones = [{ ...job.zones[0]!, colours: ['#fafafa', '#22302f'] }];
    expect(read(job).verdict).not.toBe('fine');
    const two = { ...job, zones: [...job.zones, { ...job.zones[0]!, id: 'y', name: 'Band', colours: ['#22302f'] }] };
    const remedy = read(two).remedies.find((c) => c.label === 'Put it on the band')!;
    expect(read(applyPatch(two, remedy.patch).document).verdict).toBe('fine');
  });
  it('parts laid out apart take no more film than as one', () => {
    const job = { ...plateJob(textMark('T  N')), count: 6 };
    const lift = plan(job).readings.find((r) => r.id === 'lift:m')!;
    const apart = plan(applyPatch(job, lift.remedies[0]!.patch).document);
    expect(apart.layouts[0]!.parts).toHaveLength(12);
    expect(apart.layouts[0]!.taken).toBeLessThanOrEqual(plan(job).layouts[0]!.taken + 0.01);
  });
});

describe('just so wide and high', () => {
  it('whatever is asked of the mark, its box is as wide and as high as was typed', () => {
    const changes: Mark['edits'][] = [
      [],
      [{ id: 'e', kind: 'thicken', by: 0.5 }],
      [{ id: 'e', kind: 'backing', film: 'petrol', by: 3 }],
      [{ id: 'e', kind: 'showGround', plate: 'rounded', margin: 4 }],
      [{ id: 'e', kind: 'outOf', name: 'disc', path: simpleShape('disc'), fill: 'evenodd', by: 1.5, right: 0, up: 0 }],
    ];
    const side = fc.double({ min: 25, max: 110, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...changes), side, side, (edits, width, height) => {
        const { fitted } = only(plateJob(textMark('Tern', { edits, size: { mode: 'width', width, height } })));
        expect(Math.abs(fitted.width - width)).toBeLessThan(0.02);
        expect(Math.abs(fitted.height - height)).toBeLessThan(0.05);
      }),
      law(10, 80),
    );
  });
});

describe('another drawing on every piece', () => {
  const parts = (id: SimpleShapeId) => [{ id: 'p', colour: '#22302f', path: simpleShape(id), fill: 'evenodd' as const }];
  const shelfOf = (...ids: SimpleShapeId[]): ShelfItem[] =>
    ids.map((id) => ({ id: `s-${id}`, name: SIMPLE_SHAPES[id], source: '', permitted: 'unknown', parts: parts(id) }));
  const plates = (cells: string[], own: Partial<Mark> = {}): Job => ({
    ...plateJob({
      ...textMark('x', own),
      artwork: { kind: 'drawing', name: 'star', parts: parts('star'), leftOut: [], column: 'picture' },
    }),
    count: cells.length,
    list: list(
      cells.map((cell) => [cell]),
      ['Picture'],
    ),
  });
  const drawingsReading = (p: JobPlan): Reading => p.readings.find(({ id }) => id.startsWith('drawings'))!;
  it('four plates with four pictures are one job, each picture cut once', () => {
    const stocked = { ...shop, shelf: shelfOf('star', 'heart', 'disc', 'hexagon') };
    const p = plan(plates(['Star', 'heart', ' disc ', 'hexagon'], { sizes: 'each' }), stocked);
    const { variants } = p.marks[0]!;
    expect(variants.map((v) => v.words.trim().toLowerCase())).toEqual(['star', 'heart', 'disc', 'hexagon']);
    const areas = variants.map((v) => regionArea(v.fitted.layers[0]!.region));
    expect(new Set(areas.map((area) => area.toFixed(0))).size).toBe(4);
    expect(drawingsReading(p)).toMatchObject({ verdict: 'fine', value: '4 drawings' });
    expect(p.layouts[0]!.parts).toHaveLength(4);
  });
  it('of one size, all are of one height, the one with least room', () => {
    const stocked = { ...shop, shelf: shelfOf('bar', 'heart', 'disc') };
    const { variants } = plan(plates(['heart', 'disc'], { sizes: 'same' }), stocked).marks[0]!;
    expect(variants[0]!.fitted.height).toBeCloseTo(variants[1]!.fitted.height, 2);
  });
  it('a drawing that is not on the shelf is a stop; a row without one a watch; without the column all get the same', () => {
    const stocked = { ...shop, shelf: shelfOf('star') };
    const missing = drawingsReading(plan(plates(['star', 'whale']), stocked));
    expect(missing).toMatchObject({ verdict: 'stop' });
    expect(missing.why).toContain('“whale”');
    expect(drawingsReading(plan(plates(['star', '']), stocked))).toMatchObject({ verdict: 'watch', value: '1 piece without one' });
    const none = { ...plates(['star']), list: undefined };
    expect(drawingsReading(plan(none, stocked))).toMatchObject({ verdict: 'watch' });
    const { patch } = missing.remedies[0]!;
    expect(plan(applyPatch(plates(['star', 'whale']), patch).document, stocked).readings.some(({ id }) => id.startsWith('drawings'))).toBe(
      false,
    );
  });
  it('a shelved drawing for private use stops a job for sale, through the list too', () => {
    const [star] = shelfOf('star');
    const stocked = { ...shop, shelf: [{ ...star!, permitted: 'private' as const }] };
    const p = plan({ ...plates(['star']), forSale: true }, stocked);
    expect(p.readings.find(({ id }) => id.startsWith('terms'))?.verdict).toBe('stop');
  });
});
