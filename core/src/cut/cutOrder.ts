import { applyToPoint, boxOf, pointInRing, type Point, type Ring } from '../geometry';
import type { FilmLayout, LaidPart } from './layout';
import { orderContours, travelOf } from './pathOrder';
import type { Entry } from './tour';
import { ringsToCut, strokesOf } from './toolpath/strokes';

/** So many points of a part stand for it where the order of parts is looked for. */
const STANDING = 24;

/** For each part those that lie in a hole of it: they are cut before it. */
function withinFirst(parts: readonly { readonly rings: readonly Ring[]; readonly outer: Ring }[]): number[][] {
  const boxes = parts.map(({ rings }) => boxOf(rings.map((outer) => ({ outer, holes: [] }))));
  return parts.map(({ rings, outer }, o) =>
    parts.flatMap(({ outer: inner }, i) => {
      const [box, own] = [boxes[o]!, boxes[i]!];
      if (i === o || own.minX < box.minX || own.maxX > box.maxX || own.minY < box.minY || own.maxY > box.maxY) return [];
      return [outer, ...rings].some((ring) => pointInRing(inner[0]!, ring)) ? [i] : [];
    }),
  );
}

/**
 * A layout in the order of the cut: part by part, so that a cut that stops has spoiled one of them, what lies in a hole of another before
 * it, what lies within an outline before that, near ones together, each outline begun where the knife travels least.
 *
 * @returns the same parts in another order, with the order and the beginnings of their outlines; `travel` as it is then, and the minutes with it
 */
export function inCutOrder(layout: FilmLayout): FilmLayout {
  if (layout.parts.length === 0) return layout;
  const parts = layout.parts.map((part) => {
    const rings = ringsToCut(layout.outlines[part.outline]!).map((ring) => ring.map((p) => applyToPoint(part.place, p)));
    const all = rings.flat();
    const step = Math.max(1, Math.floor(all.length / STANDING));
    // the ring that reaches furthest stands for the part where others lie in it
    const outer = rings.reduce((most, ring) => (spread(ring) > spread(most) ? ring : most), rings[0] ?? []);
    return { part, rings, outer, standing: all.filter((_, i) => i % step === 0) };
  });
  const order = orderContours(
    parts.map(({ standing }) => standing),
    withinFirst(parts),
  );
  let at: Point = [0, 0];
  const cut = order.map(({ contour }): LaidPart => {
    const { part, rings } = parts[contour]!;
    const entries: Entry[] = orderContours(rings, undefined, at);
    const last = entries.at(-1);
    if (last) at = rings[last.contour]![last.start]!;
    return { ...part, cut: entries };
  });
  const found = { ...layout, parts: cut };
  const rings = strokesOf(found).map(({ ring }) => ring);
  const travel = travelOf(
    rings,
    rings.map((_, contour) => ({ contour, start: 0 })),
  );
  const { machine } = layout;
  return { ...found, travel, minutes: layout.minutes - (machine ? (layout.travel - travel) / machine.travel / 60 : 0) };
}

function spread(ring: Ring): number {
  const box = boxOf([{ outer: ring, holes: [] }]);
  return box.maxX - box.minX + box.maxY - box.minY;
}
