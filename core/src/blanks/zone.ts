import { LIMITS } from '../facts';
import { boxHeight, boxOf, boxRegion, boxWidth, difference, growBox, intersection, offset, type Box, type Region } from '../geometry';
import type { Id, Piece, Zone } from '../job';
import { keptFree } from './feature';
import { outlineRegion } from './outline';
import { wallBox, wallOf, wallRegion } from './wall';

/** The whole zone on the wall, mm. */
export const zoneBox = (zone: Pick<Zone, 'x' | 'y' | 'width' | 'height'>): Box => ({
  minX: zone.x - zone.width / 2,
  maxX: zone.x + zone.width / 2,
  minY: zone.y,
  maxY: zone.y + zone.height,
});

/** Where a zone lies, and what it keeps clear. */
export type ZonePlace = Pick<Zone, 'x' | 'y' | 'width' | 'height' | 'breathing' | 'lipBand' | 'outline'>;
/** The wall of a piece, with what is on it. */
export type Walled = Pick<Piece, 'shape' | 'features'>;

/** What a zone leaves for marks. */
export interface Usable {
  /** The box clear of the lip band and of the wall's end, before breathing room. */
  readonly clear: Box;
  /** The box of what is left inside the breathing room; undefined when nothing is. */
  readonly inner?: Box;
  /** Where the zone is not a plain box: what is clear, before breathing room, and what is left inside it. */
  readonly free?: Region;
  readonly room?: Region;
}

const asBox = (inner: Box): Box | undefined => (boxWidth(inner) > 0.5 && boxHeight(inner) > 0.5 ? inner : undefined);

function compute(zone: ZonePlace, piece: Walled): Usable {
  const wall = wallBox(piece.shape);
  const box = zoneBox(zone);
  const clear: Box = {
    minX: Math.max(box.minX, wall.minX),
    maxX: Math.min(box.maxX, wall.maxX),
    minY: Math.max(0, box.minY),
    maxY: Math.min(box.maxY, wall.maxY - zone.lipBand),
  };
  const inner = asBox(growBox(clear, -zone.breathing));
  const kept = (piece.features ?? []).flatMap((feature) => keptFree(feature, piece.shape));
  const near = kept.filter((region) => {
    const b = boxOf(region);
    return b.minX < clear.maxX && b.maxX > clear.minX && b.minY < clear.maxY && b.maxY > clear.minY;
  });
  const shaped = piece.shape.kind === 'flat' && piece.shape.outline !== undefined;
  if (!zone.outline && !shaped && near.length === 0) return inner ? { clear, inner } : { clear };
  if (boxWidth(clear) <= 0 || boxHeight(clear) <= 0) return { clear };
  const cut = (region: Region) => near.reduce<Region>((left, feature) => difference(left, feature), region);
  const whole = [zone.outline ? outlineRegion(zone.outline, box) : undefined, shaped ? wallRegion(piece.shape) : undefined].reduce<Region>(
    (left, region) => (region ? intersection(left, region) : left),
    boxRegion(clear),
  );
  // a feature keeps its own clearance; breathing room is kept from the zone's edge
  const room = cut(offset(whole, -zone.breathing)).filter((part) => asBox(boxOf([part])));
  const free = cut(whole);
  const left = room.length > 0 ? asBox(boxOf(room)) : undefined;
  return left ? { clear, inner: left, free, room } : { clear, free };
}

const known = new WeakMap<ZonePlace, { piece: Walled; usable: Usable }>();

/**
 * The part of a zone that may take a mark.
 *
 * @param zone on the wall
 * @param piece whose upper edge carries the lip band, and whose features are kept off
 */
export function usableOf(zone: ZonePlace, piece: Walled): Usable {
  const before = known.get(zone);
  if (before?.piece === piece) return before.usable;
  const usable = compute(zone, piece);
  known.set(zone, { piece, usable });
  return usable;
}

/** The breathing room to start with: a share of the smaller side, by what is made. */
export const usualBreathing = (width: number, height: number, stencil: boolean): number =>
  Math.round(Math.min(width, height) * (stencil ? LIMITS.breathingStencil : LIMITS.breathing) * 2) / 2;

/** The zone to start with on a piece: the flat face, or what is seen at once of a round one, clear of a drinking rim. */
export function usualZone(id: Id, piece: Piece, stencil = false): Zone {
  const wall = wallOf(piece.shape);
  const width = piece.shape.kind === 'flat' ? wall.width : wall.width * LIMITS.seenShare;
  const lipBand = piece.use.drink ? LIMITS.lipBand : 0;
  return {
    id,
    name: 'Front',
    x: 0,
    y: 0,
    width,
    height: wall.height,
    breathing: usualBreathing(width, wall.height - lipBand, stencil),
    lipBand,
  };
}
