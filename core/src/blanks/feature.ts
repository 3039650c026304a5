import { FEATURES, type FeatureKind } from '../facts';
import { boxRegion, ellipseIn, growBox, type Box, type Region } from '../geometry';
import type { Feature, Id, Piece, Shape } from '../job';
import { wallOf } from './wall';

/** A feature's own box on the wall, mm. */
export const featureBox = ({ x, y, width, height }: Feature): Box => ({
  minX: x - width / 2,
  maxX: x + width / 2,
  minY: y,
  maxY: y + height,
});

/**
 * What a feature keeps free: itself and its clearance, mm. On round pieces one that crosses the back is kept free on both sides of the joint.
 *
 * @returns one region an image
 */
export function keptFree(feature: Feature, shape: Shape): Region[] {
  const box = growBox(featureBox(feature), feature.clear);
  const own = (b: Box) => (feature.round ? ellipseIn(b) : boxRegion(b));
  if (shape.kind === 'flat') return [own(box)];
  const wrap = wallOf(shape).width;
  return [-wrap, 0, wrap]
    .map((shift) => ({ ...box, minX: box.minX + shift, maxX: box.maxX + shift }))
    .filter((b) => b.maxX > -wrap / 2 && b.minX < wrap / 2)
    .map(own);
}

/** A feature of a kind to begin with: seams at the back, handles beside it, others in the middle. */
export function usualFeature(id: Id, kind: FeatureKind, shape: Shape): Feature {
  const wall = wallOf(shape);
  const { line, clear, round, ...size } = FEATURES[kind];
  const width = size.width || wall.width;
  const height = line ? wall.height : Math.min(size.height, wall.height);
  const back = shape.kind !== 'flat' && (kind === 'seam' || kind === 'handle');
  return { id, kind, x: back ? wall.width / 2 : 0, y: (wall.height - height) / 2, width, height, round, clear };
}

/** The gaps between slats as boxes on the wall, mm. */
export function slatGaps(slats: NonNullable<Piece['slats']>, shape: Shape): Box[] {
  const wall = wallOf(shape);
  const pitch = slats.slat + slats.gap;
  const length = slats.run === 'level' ? wall.height : wall.width;
  const boxes: Box[] = [];
  for (let at = slats.first; at < length && boxes.length < 500 && pitch > 0.5; at += pitch) {
    const to = Math.min(length, at + slats.gap);
    boxes.push(
      slats.run === 'level'
        ? { minX: -wall.width / 2, maxX: wall.width / 2, minY: at, maxY: to }
        : { minX: at - wall.width / 2, maxX: to - wall.width / 2, minY: 0, maxY: wall.height },
    );
  }
  return boxes;
}
