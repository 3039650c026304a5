import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, intersection, offset, regionArea, regionInside } from '../geometry';
import type { DrawnPart, Feature, Piece, Zone } from '../job';
import { plateJob, textMark } from '../../test/sampleJobs';
import { bulbDiameterAt, bulbExcess, bulbReach, bulbSnips, bulbUpright, checkBulb } from './unroll/bulb';
import { featureBox, keptFree, slatGaps, usualFeature } from './feature';
import { measureReadings } from './measureReadings';
import { balancePoint, foldedPanel, radiusFromChord, setMeasure } from './measuring';
import { outlineRegion } from './outline';
import { outlineFromDrawing } from './outlineFrom';
import { usableOf } from './zone';
import { wallRegion } from './wall';
import { law } from '../../test/depth';

const { piece: plate, zones } = plateJob(textMark('x'));
const zone: Zone = zones[0]!;
const feature = (more: Partial<Feature>): Feature => ({
  id: 'f',
  kind: 'hole',
  x: 0,
  y: 40,
  width: 20,
  height: 20,
  round: true,
  clear: 4,
  ...more,
});
const withFeatures = (...features: Feature[]): Piece => ({ ...plate, features });

describe('a belly', () => {
  const sphere = { kind: 'bulb', diameter: 120, along: 60, height: 120 } as const;
  it('on a sphere flat film is too long by 1 − sin t / t', () => {
    for (const r of [5, 12, 20, 35, 50]) {
      const t = r / 60;
      expect(bulbExcess(sphere, r)).toBeCloseTo(1 - Math.sin(t) / t, 4);
    }
  });
  it('near the middle of any other it is about r² / (6·R₁·R₂)', () => {
    for (const along of [40, 90, 300]) {
      const bulb = { ...sphere, along, height: 60 };
      expect(bulbExcess(bulb, 12) / (144 / (6 * 60 * along))).toBeCloseTo(1, 1);
    }
  });
  it('a straight wall needs nothing: the belly of an endless radius', () =>
    expect(bulbExcess({ ...sphere, along: 1e7 }, 40)).toBeLessThan(1e-4));
  it('excess grows with the radius, and the reach is where it comes to the limit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 300 }),
        fc.integer({ min: 30, max: 400 }),
        fc.double({ min: 0.005, max: 0.05, noNaN: true }),
        (diameter, along, limit) => {
          const bulb = { kind: 'bulb', diameter, along, height: Math.min(along, diameter) * 0.8 } as const;
          const r = bulbReach(bulb, limit);
          expect(bulbExcess(bulb, r)).toBeLessThanOrEqual(limit + 1e-9);
          expect(bulbExcess(bulb, r * 0.9)).toBeLessThan(bulbExcess(bulb, r));
          const snips = bulbSnips(bulb, r + 5, limit);
          expect(snips!.from).toBeCloseTo(r, 6);
          expect(snips!.count).toBeGreaterThanOrEqual((Math.PI * (r + 5)) / (Math.sqrt((diameter / 2) * along) * Math.acos(1 - limit)));
        },
      ),
      law(60, 250),
    );
  });
  it('narrows to both ends alike and stands lower than its wall is long', () => {
    expect(bulbDiameterAt(sphere, 60)).toBe(120);
    expect(bulbDiameterAt(sphere, 10)).toBeCloseTo(bulbDiameterAt(sphere, 110), 9);
    expect(bulbUpright(sphere)).toBeCloseTo(2 * 60 * Math.sin(1), 9);
  });
  it('that closes on itself is refused with the longest wall', () => {
    const found = checkBulb({ ...sphere, height: 200 });
    expect(!found.ok && found.problem.expected).toMatch(/up to \d+ mm/);
    expect(checkBulb(sphere).ok).toBe(true);
  });
});

describe('outlines', () => {
  const box = { minX: -50, maxX: 50, minY: 0, maxY: 60 };
  it('an ellipse and rounded corners have the areas that formulas give', () => {
    expect(regionArea(outlineRegion({ kind: 'ellipse' }, box)) / (Math.PI * 50 * 30)).toBeCloseTo(1, 2);
    expect(regionArea(outlineRegion({ kind: 'rounded', radius: 10 }, box))).toBeCloseTo(6000 - (4 - Math.PI) * 100, -1);
    expect(regionArea(outlineRegion({ kind: 'rounded', radius: 500 }, box))).toBeCloseTo(40 * 60 + Math.PI * 900, -1);
  });
  it('a drawn one fills its box whatever its size, a ring within is a cut-out, crossings are untangled', () => {
    const ring = (a: number, b: number) =>
      [
        [a, a],
        [b, a],
        [b, b],
        [a, b],
      ] as [number, number][];
    const drawn = outlineRegion({ kind: 'drawn', name: 'x', rings: [ring(0, 1), ring(0.25, 0.75)] }, box);
    expect(regionArea(drawn)).toBeCloseTo(6000 * 0.75, 3);
    expect(boxOf(drawn)).toEqual(box);
    const bow = outlineRegion(
      {
        kind: 'drawn',
        name: 'bow',
        rings: [
          [
            [0, 0],
            [1, 1],
            [1, 0],
            [0, 1],
          ],
        ],
      },
      box,
    );
    expect(regionArea(bow)).toBeCloseTo(3000, 1);
    expect(bow).toHaveLength(2);
  });
});

describe('what a zone leaves', () => {
  it('is a plain box without features, and none of it lies on one with', () => {
    expect(usableOf(zone, plate).room).toBeUndefined();
    fc.assert(
      fc.property(
        fc.integer({ min: -110, max: 110 }),
        fc.integer({ min: -20, max: 120 }),
        fc.integer({ min: 2, max: 90 }),
        fc.boolean(),
        (x, y, side, round) => {
          const one = feature({ x, y, width: side, height: side, round });
          const { room, inner, clear } = usableOf({ ...zone }, withFeatures(one));
          if (!room) return;
          for (const kept of keptFree(one, plate.shape)) expect(regionArea(intersection(room, kept))).toBeLessThan(0.05);
          // breathing room from the zone's edge is still kept
          expect(inner!.minX).toBeGreaterThanOrEqual(clear.minX + zone.breathing - 0.01);
          expect(inner!.maxY).toBeLessThanOrEqual(clear.maxY - zone.breathing + 0.01);
        },
      ),
      law(20, 250),
    );
  });
  it('on a piece of its own outline keeps off the edge by the breathing room', () => {
    const round: Piece = { ...plate, shape: { kind: 'flat', width: 200, height: 120, outline: { kind: 'ellipse' } } };
    const { room } = usableOf({ ...zone }, round);
    expect(regionInside(offset(room!, 9.9), wallRegion(round.shape), 0.2)).toBe(true);
    expect(regionArea(room!)).toBeGreaterThan(0.98 * Math.PI * 90 * 50 * 0.96);
  });
});

it('a feature that covers the zone is named as the reason, not the breathing room', () => {
  const covered = measureReadings(withFeatures(feature({ width: 900, height: 900, x: 0, y: -300 })), [zone], 'mm').find(
    (r) => r.id === 'zone:z',
  )!;
  expect([covered.verdict, covered.why]).toEqual(['stop', 'What has to be kept off leaves no room inside the breathing room.']);
});

describe('features', () => {
  it('at the back of a round piece are kept off on both sides of the joint', () => {
    const mug = { kind: 'cylinder', diameter: 80, height: 95 } as const;
    const handle = usualFeature('h', 'handle', mug);
    expect(handle.x).toBeCloseTo((Math.PI * 80) / 2, 6);
    const [left, right] = keptFree(handle, mug).map(boxOf);
    expect(left!.minX + Math.PI * 80).toBeCloseTo(right!.minX, 6);
  });
  it('lines run over the whole height', () => {
    expect(featureBox(usualFeature('s', 'join', plate.shape))).toMatchObject({ minY: 0, maxY: 120 });
  });
  it('slats leave gaps of their pitch, none past the edge', () => {
    const gaps = slatGaps({ run: 'level', slat: 20, gap: 4, first: 20 }, plate.shape);
    expect(gaps.map((gap) => gap.minY)).toEqual([20, 44, 68, 92, 116]);
    expect(Math.max(...gaps.map((gap) => gap.maxY))).toBe(120);
  });
});

describe('help with measuring', () => {
  it('the radius of any arc comes back from its chord and how far it stands off', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 500, noNaN: true }), fc.double({ min: 0.05, max: Math.PI, noNaN: true }), (r, sweep) => {
        const found = radiusFromChord(2 * r * Math.sin(sweep / 2), r * (1 - Math.cos(sweep / 2)));
        expect(found.ok && found.value / r).toBeCloseTo(1, 6);
      }),
    );
    expect(radiusFromChord(60, 40).ok).toBe(false);
  });
  it('of a set the smallest counts; one far off is a slip', () => {
    expect(setMeasure([88.2, 87.9, 88.4])).toEqual({ ok: true, value: { least: 87.9, greatest: 88.4, spread: 88.4 - 87.9 } });
    expect(setMeasure([88, 8.8]).ok).toBe(false);
    expect(setMeasure([]).ok).toBe(false);
  });
  it('a folded cloth shows one of its panels', () => {
    expect(foldedPanel(480, 640, 3, 2)).toEqual({ width: 160, height: 320, middle: [400, 480] });
  });
  it('a piece balances at the middle of its area', () => {
    const [x, y] = balancePoint(
      wallRegion({
        kind: 'flat',
        width: 90,
        height: 60,
        outline: {
          kind: 'drawn',
          name: 't',
          rings: [
            [
              [0, 0],
              [1, 0],
              [0, 1],
            ],
          ],
        },
      }),
    );
    expect([x, y]).toEqual([expect.closeTo(-15, 2), expect.closeTo(20, 2)]);
  });
  it('an outline is taken from a drawing of any size, and refused without area', () => {
    const path: DrawnPart['path'] = [['M', [0, 0]], ['L', [4e-3, 0]], ['L', [4e-3, 2e-3]], ['L', [0, 2e-3]], ['Z']];
    const found = outlineFromDrawing([{ id: 'a', colour: '#000000', path, fill: 'nonzero' }], 'plate.svg');
    expect(found.ok && found.value.width / found.value.height).toBeCloseTo(2, 6);
    expect(outlineFromDrawing([{ id: 'a', colour: '#000000', path: path.slice(0, 2), fill: 'nonzero' }], 'line.svg').ok).toBe(false);
    const long: DrawnPart['path'] = [
      ['M', [1, 0]],
      ...Array.from({ length: 200_000 }, (_, i): DrawnPart['path'][number] => [
        'L',
        [Math.cos(i / 31831) * (1 + 0.001 * Math.sin(i)), Math.sin(i / 31831)],
      ]),
      ['Z'],
    ];
    const many = outlineFromDrawing([{ id: 'a', colour: '#000000', path: long, fill: 'nonzero' }], 'long.svg');
    expect(many.ok && many.value.outline.kind === 'drawn' && many.value.outline.rings.flat().length).toBeLessThan(8001);
  });
});
