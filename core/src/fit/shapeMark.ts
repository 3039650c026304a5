import { applyEdits, type DrawnMark, type Layer } from '../artwork';
import { applyToRegion, convexHull, ringsOf, scaling, simplifyRing, type Point, type Ring } from '../geometry';
import type { Mark } from '../job';

/** The drawn mark's outer points: all that its fit in a convex zone depends on. */
export const outlinePoints = (drawn: Pick<DrawnMark, 'layers'>): Point[] => [
  ...convexHull(drawn.layers.flatMap((layer) => ringsOf(layer.region).flat())),
];

/** The drawn mark's outer rings: what its fit in any other zone depends on. A ring within another is left out. */
export const outerRings = (layers: readonly Layer[]): Ring[] => layers.flatMap((layer) => layer.region.map((part) => part.outer));

/** The counters of a mark: what is open within its outer rings. */
export const counterRings = (layers: readonly Layer[]): Ring[] => layers.flatMap((layer) => layer.region.flatMap((part) => part.holes));

/** The layers of a mark at their real size around its own middle, with the changes that depend on it. */
export const shapeMark = (drawn: Pick<DrawnMark, 'layers'>, scale: number, { edits }: Pick<Mark, 'edits'>): readonly Layer[] =>
  applyEdits(
    drawn.layers.map(({ film, region }) => ({ film, region: applyToRegion(scaling(scale), region) })),
    edits,
  );

/** Hulls are kept with this much of their size off at most. */
const HULL_FINE = 2e-4;

/** The layers of a mark as hulls, with their changes, at a scale: all that its box depends on. */
export function hullShapes(drawn: DrawnMark, mark: Pick<Mark, 'edits'>): (scale: number) => readonly Layer[] {
  const fine = Math.max(drawn.width, drawn.height) * HULL_FINE;
  const layers = drawn.layers.map(({ film, region }) => {
    const outer = simplifyRing(convexHull(region.flatMap((part) => part.outer)), fine);
    return { film, region: outer.length >= 3 ? [{ outer, holes: [] }] : region };
  });
  return (scale) => shapeMark({ ...drawn, layers }, scale, mark);
}
