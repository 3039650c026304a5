import { partArea, signedArea, type Point, type Region, type Ring } from '../../geometry';

/** One thing that film is cut into. */
export interface CutPiece {
  /** mm² */
  readonly area: number;
  readonly at: Point;
}

/** What an outline cuts film into. */
export interface CutPieces {
  /** Letters, dots, shapes: what lies within the outline. */
  readonly shapes: readonly CutPiece[];
  /** The insides of letters. */
  readonly counters: readonly CutPiece[];
}

const middle = (ring: Ring): Point => {
  const sum = ring.reduce<[number, number]>(([x, y], p) => [x + p[0], y + p[1]], [0, 0]);
  return [sum[0] / ring.length, sum[1] / ring.length];
};

/** Counts and measures the pieces that cutting a region makes, smallest first. */
export function cutPieces(region: Region): CutPieces {
  const bySize = (a: CutPiece, b: CutPiece) => a.area - b.area;
  return {
    shapes: region.map((part) => ({ area: partArea(part), at: middle(part.outer) })).toSorted(bySize),
    counters: region.flatMap((part) => part.holes.map((hole) => ({ area: Math.abs(signedArea(hole)), at: middle(hole) }))).toSorted(bySize),
  };
}
