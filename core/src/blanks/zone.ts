import { LIMITS } from '../facts';
import { boxHeight, boxWidth, type Box } from '../geometry';
import type { Id, Piece, Zone } from '../job';
import { wallOf } from './wall';

/** The whole zone on the wall, mm. */
export const zoneBox = (zone: Zone): Box => ({
  minX: zone.x - zone.width / 2,
  maxX: zone.x + zone.width / 2,
  minY: zone.y,
  maxY: zone.y + zone.height,
});

/** What a zone leaves for marks. */
export interface Usable {
  /** Clear of the lip band and of the wall's end, before breathing room. */
  readonly clear: Box;
  /** What is left inside the breathing room; undefined when nothing is. */
  readonly inner?: Box;
}

/**
 * The part of a zone that may take a mark.
 *
 * @param zone on the wall
 * @param piece whose upper edge carries the lip band
 */
export function usableOf(zone: Zone, piece: Piece): Usable {
  const { width, height } = wallOf(piece.shape);
  const box = zoneBox(zone);
  const clear: Box = {
    minX: Math.max(box.minX, -width / 2),
    maxX: Math.min(box.maxX, width / 2),
    minY: Math.max(0, box.minY),
    maxY: Math.min(box.maxY, height - zone.lipBand),
  };
  const inner: Box = {
    minX: clear.minX + zone.breathing,
    maxX: clear.maxX - zone.breathing,
    minY: clear.minY + zone.breathing,
    maxY: clear.maxY - zone.breathing,
  };
  return boxWidth(inner) > 0.5 && boxHeight(inner) > 0.5 ? { clear, inner } : { clear };
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
