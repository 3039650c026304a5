import { good, refused, SAME_MM, type Result } from '../../units';
import type { Point, Region, Ring } from '../../geometry';
import type { Shape } from '../../job';
import { bulbDiameterAt, bulbUpright, bulbUprightAt } from './bulb';

export type Taper = Extract<Shape, { kind: 'taper' }>;

/** A taper's wall laid flat: a part of a ring about an apex. */
export interface Sector {
  /** From the apex to the middle height of the wall, mm. */
  readonly rho: number;
  /** 1 when the wall widens upward (the apex lies below), −1 when it narrows. */
  readonly up: 1 | -1;
  /** The whole wrap as an angle, radians. */
  readonly angle: number;
}

/** An arc that leaves its chord by less than this over the whole wrap is drawn straight, mm: nobody could lay film truer. */
const STRAIGHT_MM = 0.05;
/** Bent edges are parted so that no chord leaves its arc by more than this, mm. */
const CHORD_MM = 0.01;

/** How far an arc of a length leaves its tangent at the ends, mm: √(ρ² + w²/4) − ρ. */
export const sagOf = (width: number, rho: number): number => Math.hypot(rho, width / 2) - rho;

/**
 * The ring that a taper's wall unrolls to.
 *
 * @param taper diameters at rim and foot, and the height along the wall (the slant), mm
 * @returns undefined when it is so nearly straight that a cylinder does
 */
export function sectorOf(taper: Taper): Sector | undefined {
  const { rim, foot, height } = taper;
  const difference = Math.abs(rim - foot);
  if (difference < SAME_MM) return undefined;
  // both wraps are arcs of one angle: ρ at the larger is slant · D / ΔD
  const rho = (height * (rim + foot)) / 2 / difference;
  const angle = (Math.PI * difference) / height;
  const wrap = (Math.PI * (rim + foot)) / 2;
  return (wrap * wrap) / (8 * rho) < STRAIGHT_MM ? undefined : { rho, up: rim > foot ? 1 : -1, angle };
}

/** The diameter at a height along the wall, mm. */
export const diameterAt = (shape: Exclude<Shape, { kind: 'flat' }>, along: number): number =>
  shape.kind === 'cylinder'
    ? shape.diameter
    : shape.kind === 'bulb'
      ? bulbDiameterAt(shape, along)
      : shape.foot + ((shape.rim - shape.foot) * along) / shape.height;

/** How high a round piece stands, from its wall. */
export const standsHigh = (shape: Exclude<Shape, { kind: 'flat' }>): number =>
  shape.kind === 'taper' ? uprightOf(shape) : shape.kind === 'bulb' ? bulbUpright(shape) : shape.height;

/** How high above the foot a height along the wall stands, mm. */
export const uprightAt = (shape: Exclude<Shape, { kind: 'flat' }>, along: number): number =>
  shape.kind === 'bulb' ? bulbUprightAt(shape, along) : (along * standsHigh(shape)) / shape.height;

/** The upright height of a taper from its slant, mm. */
export const uprightOf = ({ rim, foot, height }: Taper): number => Math.sqrt(Math.max(0, height * height - ((rim - foot) / 2) ** 2));

/** The slant from the upright height, mm. */
export const slantOf = (rim: number, foot: number, upright: number): number => Math.hypot(upright, (rim - foot) / 2);

/** Whether a wall can run from foot to rim at all; a problem when it is shorter than the difference of the radii. */
export function checkTaper(taper: Taper): Result<Taper> {
  const least = Math.abs(taper.rim - taper.foot) / 2;
  if (taper.height > least + SAME_MM) return good(taper);
  return refused(
    `A wall of ${taper.height.toFixed(1)} mm cannot reach from ${taper.foot.toFixed(1)} mm at the foot to ${taper.rim.toFixed(1)} mm at the rim.`,
    `more than ${least.toFixed(1)} mm along the wall`,
    'Taper',
    'Measure both diameters again, and the height along the wall, not through the air.',
  );
}

/** From the apex to a height along the wall, mm. */
export const rhoAt = (sector: Sector, taper: Taper, along: number): number => sector.rho + sector.up * (along - taper.height / 2);

/**
 * Takes places on the wall to the film laid flat. Across is counted along the arc at the height `at`, where lengths come out true;
 * baselines become arcs about the
 * apex, so that they read level on the piece.
 *
 * @param at height along the wall at which the artwork keeps its size, mm
 * @returns a map of [across, along] to the plane, with [0, at] staying where it is; nothing is changed on walls that are not a ring
 */
export function bendAt(shape: Shape, at: number): (point: Point) => Point {
  const sector = shape.kind === 'taper' ? sectorOf(shape) : undefined;
  if (!sector || shape.kind !== 'taper') return (point) => point;
  const own = rhoAt(sector, shape, at);
  return ([across, along]) => {
    const rho = own + sector.up * (along - at);
    const phi = across / own;
    return [rho * Math.sin(phi), sector.up * (rho * Math.cos(phi) - own) + at];
  };
}

/**
 * Into how many pieces a straight edge of the wall is parted, so that no chord leaves the curve that it becomes by more than `CHORD_MM`. The
 * curve's second derivative over the edge is at most ρ·Δu²/ρ₀² towards the apex and 2·Δu·Δv/ρ₀ along the arc; a chord leaves it by an eighth.
 */
function piecesOf([u, v]: Point, [u1, v1]: Point, sector: Sector, own: number, at: number): number {
  const [du, dv] = [Math.abs(u1 - u), Math.abs(v1 - v)];
  const rho = own + Math.max(sector.up * (v - at), sector.up * (v1 - at));
  const second = Math.hypot((rho * du * du) / (own * own), (2 * du * dv) / own);
  return Math.max(1, Math.ceil(Math.sqrt(second / (8 * CHORD_MM))));
}

/** Bends a region of the wall for the film laid flat; edges are parted finely enough to become arcs. */
export function bendRegion(region: Region, shape: Shape, at: number): Region {
  const sector = shape.kind === 'taper' ? sectorOf(shape) : undefined;
  if (!sector || shape.kind !== 'taper') return region;
  const bend = bendAt(shape, at);
  const own = rhoAt(sector, shape, at);
  const bendRing = (ring: Ring): Ring =>
    ring.flatMap((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const pieces = piecesOf(a, b, sector, own, at);
      return Array.from({ length: pieces }, (_, k): Point =>
        bend([a[0] + ((b[0] - a[0]) * k) / pieces, a[1] + ((b[1] - a[1]) * k) / pieces]),
      );
    });
  return region.map(({ outer, holes }) => ({ outer: bendRing(outer), holes: holes.map(bendRing) }));
}
