import {
  applyToRegion,
  boxAround,
  boxCentre,
  boxesMeet,
  boxOf,
  intersection,
  mirrorAt,
  regionArea,
  then,
  translation,
  union,
  type Region,
} from '../../geometry';
import type { Mark } from '../../job';
import { shapeRegions } from '../drawMark';
import type { Faces } from '../text/face';

/** Overlaps smaller than this share of the drawing's box are only touching outlines. */
const LEAST_SHARE = 1e-6;
/** So many pairs are looked at and no more: a drawing of thousands of shapes has its overlaps everywhere. */
const MOST_PAIRS = 3000;

/**
 * Where shapes of one film lie over each other: a knife that followed each outline would cut across there, so they are joined into one.
 *
 * @param reference as for `drawMark`
 * @returns in the same place as the layers of `drawMark`
 */
export function overlapsOf(mark: Mark, reference: { width: number; height: number }, faces: Faces): Region {
  const shapes = shapeRegions(mark, reference, faces)
    .filter(({ film, region }) => film !== null && region.length > 0)
    .map(({ film, region }) => ({ film, region, box: boxOf(region) }));
  if (shapes.length < 2) return [];
  const whole = boxAround(shapes.map(({ box }) => box));
  const least = (whole.maxX - whole.minX) * (whole.maxY - whole.minY) * LEAST_SHARE;
  const found: Region[] = [];
  let pairs = 0;
  shapes.forEach((a, i) => {
    for (const b of shapes.slice(i + 1)) {
      if (a.film !== b.film || pairs >= MOST_PAIRS || !boxesMeet(a.box, b.box)) continue;
      pairs += 1;
      const both = intersection(a.region, b.region).filter((part) => regionArea([part]) > least);
      if (both.length > 0) found.push(both);
    }
  });
  const [cx, cy] = boxCentre(whole);
  const centred = translation(-cx, -cy);
  return applyToRegion(mark.flip ? then(centred, mirrorAt(0)) : centred, found.length > 0 ? union(...found) : []);
}
