import { good, refused, SAME_MM, type Result } from '../units';
import type { Box, Region } from '../geometry';
import type { Shape } from '../job';
import { outlineRegion } from './outline';
import { diameterAt } from './unroll/taper';

/** The outer surface laid flat, mm: as wide as the wrap of a cylinder, and of a taper at its middle height. */
export interface Wall {
  readonly width: number;
  readonly height: number;
}

/** A shape's wall laid flat. */
export const wallOf = (shape: Shape): Wall =>
  shape.kind === 'flat'
    ? { width: shape.width, height: shape.height }
    : { width: Math.PI * diameterAt(shape, shape.height / 2), height: shape.height };

/** The wall as a box: 0 across is the middle of the front, 0 up is the foot. */
export const wallBox = (shape: Shape): Box => {
  const { width, height } = wallOf(shape);
  return { minX: -width / 2, maxX: width / 2, minY: 0, maxY: height };
};

/** The wall as a region: a flat piece's own outline. */
export const wallRegion = (shape: Shape): Region => outlineRegion(shape.kind === 'flat' ? shape.outline : undefined, wallBox(shape));

/** The least and greatest measure of a piece that film is put on, mm. */
export const LEAST_PIECE = 5;
export const MOST_PIECE = 5000;

/** Whether a measure can be a piece's. */
export function checkMeasure(mm: number, where: string): Result<number> {
  if (!Number.isFinite(mm) || mm < LEAST_PIECE || mm > MOST_PIECE) {
    return refused(
      `${where} of ${Number.isFinite(mm) ? `${Math.round(mm * 10) / 10} mm` : 'that size'} is no piece that film is put on.`,
      `${LEAST_PIECE} mm to ${MOST_PIECE / 1000} m`,
      where,
      'Measure again, and check the unit.',
    );
  }
  return good(mm);
}

/**
 * The diameter of a round piece from what was measured.
 *
 * @param measured a diameter, a wrap (circumference), or both; mm
 * @returns mm; a problem when both were measured and disagree by more than 1 mm or 1 % of the diameter
 */
export function diameterFrom(measured: { diameter?: number; wrap?: number }): Result<number> {
  const { diameter, wrap } = measured;
  const fromWrap = wrap === undefined ? undefined : wrap / Math.PI;
  if (diameter !== undefined && fromWrap !== undefined && Math.abs(diameter - fromWrap) > Math.max(1, diameter / 100) + SAME_MM) {
    return refused(
      `A wrap of ${wrap!.toFixed(1)} mm belongs to a diameter of ${fromWrap.toFixed(1)} mm, not ${diameter.toFixed(1)} mm.`,
      `a wrap near ${(diameter * Math.PI).toFixed(1)} mm`,
      'Diameter and wrap',
      'Measure both again; a string round the piece is the surer one. Then type the one that you trust.',
    );
  }
  const found = diameter ?? fromWrap;
  return found === undefined
    ? refused(
        'Neither diameter nor wrap was measured.',
        'one of them',
        'Diameter or wrap',
        'Lay a string round the piece and type its length.',
      )
    : checkMeasure(found, 'Diameter');
}

/**
 * How wide an arc looks from the front.
 *
 * @param arc length along the wall, mm
 * @param diameter mm
 * @returns mm; the whole diameter from half the wrap on
 */
export const seenWidth = (arc: number, diameter: number): number =>
  arc >= (Math.PI * diameter) / 2 ? diameter : diameter * Math.sin(arc / diameter);
