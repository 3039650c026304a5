import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { demoShop, textMark } from '../../../test/sampleJobs';
import { drawMark } from '../../artwork';
import { applyToRegion, boxOf, boxRegion, ringsOf, scaling, translation, type Point, type Region } from '../../geometry';
import { readHpgl } from '../../artwork';
import { dxfCutFile, hpglCutFile, layoutFilm, reliefCuts, svgCutFile, withRelief, type CutPart } from '../index';
import { law } from '../../../test/depth';

/** Distance between two straight pieces, mm. */
function between(a: Point, b: Point, c: Point, d: Point): number {
  const side = (p: Point, q: Point, r: Point) => Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
  if (side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b)) return 0;
  const to = ([px, py]: Point, [qx, qy]: Point, [rx, ry]: Point) => {
    const [dx, dy] = [rx - qx, ry - qy];
    const t = Math.max(0, Math.min(1, ((px - qx) * dx + (py - qy) * dy) / Math.max(1e-12, dx * dx + dy * dy)));
    return Math.hypot(px - qx - t * dx, py - qy - t * dy);
  };
  return Math.min(to(a, c, d), to(b, c, d), to(c, a, b), to(d, a, b));
}
/** How near the lines come to any outline. */
function nearest(parts: readonly Region[], lines: ReturnType<typeof reliefCuts>['lines']): number {
  let least = Infinity;
  const edges = parts.flatMap((part) => ringsOf(part).flatMap((ring) => ring.map((p, i) => [p, ring[(i + 1) % ring.length]!] as const)));
  for (const { points, closed } of lines)
    for (let i = 1; i < points.length + (closed ? 1 : 0); i++)
      for (const [c, d] of edges) least = Math.min(least, between(points[i - 1]!, points[i % points.length]!, c, d));
  return least;
}
const placed = (parts: readonly CutPart[]): Region[] => {
  const { films, machines } = demoShop();
  const layout = layoutFilm(films[0]!, parts, machines);
  return layout.parts.map(({ outline, place }) => applyToRegion(place, layout.outlines[outline]!));
};
const part = (region: Region, copies: number, mark: string): CutPart => ({ job: 'j', mark, name: mark, copies, region });
const box = (w: number, h: number): Region => boxRegion({ minX: 0, minY: 0, maxX: w, maxY: h });
let word: Region;
beforeAll(() => {
  const drawn = drawMark(textMark('Regatta', {}, 'pacifico'), { width: 200, height: 100 }, shippedFaces()).layers[0]!.region;
  const size = boxOf(drawn);
  word = applyToRegion(scaling(70 / (size.maxX - size.minX)), drawn);
});

describe('relief cuts', () => {
  it('never come nearer to a mark than their clearance, whatever lies there; no strip is left out', () => {
    const side = fc.integer({ min: 6, max: 60 });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), side, side, fc.integer({ min: 1, max: 5 })), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 30, max: 90 }),
        (given, strip) => {
          const parts = placed(given.map(([text, w, h, copies], i) => part(text ? word : box(w, h), copies, `m${i}`)));
          const { lines, whole, bridged } = reliefCuts(parts, strip);
          expect(nearest(parts, lines)).toBeGreaterThanOrEqual(1 - 0.002);
          const all = boxOf([{ outer: lines[0]!.points, holes: [] }]);
          expect(whole + bridged).toBe(Math.max(1, Math.ceil((all.maxY - all.minY) / strip - 1e-9)) - 1);
          // what parts the waste whole goes from border to border
          const across = lines.filter(({ points, closed }) => !closed && points[0]![0] === all.minX && points.at(-1)![0] === all.maxX);
          expect(across).toHaveLength(whole);
          // and no two of them meet
          across.forEach(({ points: own }, i) => {
            for (const { points: other } of across.slice(i + 1))
              for (let a = 1; a < own.length; a++)
                for (let b = 1; b < other.length; b++) expect(between(own[a - 1]!, own[a]!, other[b - 1]!, other[b]!)).toBeGreaterThan(1);
          });
        },
      ),
      law(8, 60),
    );
  }, 120_000);
  it('are straight where there is room, bend where they must, and leave bridges where nothing leads through', () => {
    const rows = [0, 30, 60].map((y) => applyToRegion(translation(0, y), box(120, 26)));
    const straight = reliefCuts(rows, 40);
    expect([straight.whole, straight.bridged]).toEqual([2, 0]);
    for (const { points } of straight.lines.slice(1)) expect(new Set(points.map(([, y]) => y.toFixed(3))).size).toBeLessThanOrEqual(2);
    // a brick wall with its joint a little higher on one side
    const steps = [
      box(58, 30),
      applyToRegion(translation(62, 0), box(58, 36)),
      applyToRegion(translation(0, 34), box(58, 30)),
      applyToRegion(translation(62, 40), box(58, 24)),
    ];
    const bent = reliefCuts(steps, 40);
    expect([bent.whole, bent.bridged]).toEqual([1, 0]);
    expect(bent.lines[1]!.points.length).toBeGreaterThan(3);
    const closed = reliefCuts([box(120, 100)], 50);
    expect([closed.whole, closed.bridged]).toEqual([0, 2]);
    expect(reliefCuts([], 50).lines).toEqual([]);
  });
  it('are in every file after what is cut, and cost their minutes', () => {
    const { films, machines } = demoShop();
    const layout = layoutFilm(films[0]!, [part(word, 8, 'm')], machines);
    const relieved = withRelief(layout, 40);
    expect(relieved.minutes).toBeGreaterThan(layout.minutes);
    expect(relieved.relief!.length).toBeGreaterThan(1);
    const sent = readHpgl(hpglCutFile(relieved, relieved.machine!));
    const before = readHpgl(hpglCutFile(layout, layout.machine!));
    if (!sent.ok || !before.ok) throw new Error('not read');
    const runs = (moves: typeof sent.value.moves) => moves.filter((move, i) => move.down && !moves[i - 1]?.down).length;
    expect(runs(sent.value.moves)).toBe(runs(before.value.moves) + relieved.relief!.length);
    expect(svgCutFile(relieved, 't')).toMatch(/<g id="relief">/);
    expect(dxfCutFile(relieved).match(/\r\nRELIEF\r\n66/g)).toHaveLength(relieved.relief!.length);
    expect(svgCutFile(layout, 't')).not.toMatch(/relief/);
  });
});
