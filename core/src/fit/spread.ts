import { diameterAt, type Usable } from '../blanks';
import { boxCentre, boxHeight, boxWidth, IDENTITY, mirrorAt, then, translation, type Box, type Point, type Transform } from '../geometry';
import type { Mark, Piece, Zone } from '../job';

/** Turns upside down about the level line at `y`. */
const mirrorUp = (y: number): Transform => [1, 0, 0, -1, 0, 2 * y];

/** Where copies of a mark go: the room that one has, and what takes the first to each of them. */
export interface SpreadPlan {
  /** What one copy may use; undefined inner when the copies leave no room. */
  readonly usable: Usable;
  readonly hold?: Mark['hold'];
  /** From the placed mark to every copy, the mark itself first. */
  readonly copies: (at: Point) => Transform[];
}

const within = (usable: Usable, inner: Box): Usable =>
  boxWidth(inner) > 0.5 && boxHeight(inner) > 0.5 ? { clear: usable.clear, inner } : { clear: usable.clear };

/**
 * Where the first of the copies round a wall goes: the middle of its zone, unless a seam would then lie under one of them; then where the
 * seam lies in the middle of a gap.
 *
 * @param wrap the way round where the marks go, mm
 * @param half what one copy may take up to either side, mm
 */
function firstRound(
  { features, shape }: Pick<Piece, 'features' | 'shape'>,
  middle: number,
  wrap: number,
  pitch: number,
  half: number,
): number {
  const seam = features?.find((feature) => feature.kind === 'seam');
  if (!seam || shape.kind === 'flat') return middle;
  // across is counted at the middle height of the wall
  const x = (seam.x * wrap) / (Math.PI * diameterAt(shape, shape.height / 2));
  const near = Math.abs(x - middle - Math.round((x - middle) / pitch) * pitch);
  if (near >= half + seam.width / 2 + seam.clear) return middle;
  const from = x + pitch / 2;
  return from + Math.round((middle - from) / pitch) * pitch;
}

/**
 * Parts a zone, or the whole wrap, among the copies of a mark.
 *
 * Round: equal pitch from the zone's own middle; where that would lay one over a seam, the seam in the middle of a gap. Row: equal pitch across the zone.
 * Corners: a quarter of the zone each; two opposite ones rise from the lower left or fall from the upper left.
 *
 * @param along height along the wall at which widths are true, mm
 */
export function spreadOver(
  mark: Pick<Mark, 'spread' | 'hold'>,
  zone: Pick<Zone, 'x' | 'breathing'>,
  piece: Pick<Piece, 'shape' | 'features'>,
  usable: Usable,
  along: number,
): SpreadPlan {
  const { spread } = mark;
  const box = usable.inner;
  if (!spread || !box) return { usable, hold: mark.hold, copies: () => [IDENTITY] };
  const gap = zone.breathing;
  if (spread.kind === 'round') {
    if (piece.shape.kind === 'flat') return { usable, hold: mark.hold, copies: () => [IDENTITY] };
    const wrap = Math.PI * diameterAt(piece.shape, along);
    const pitch = wrap / spread.count;
    const half = (pitch - gap) / 2;
    const first = firstRound(piece, zone.x, wrap, pitch, half);
    const shifts = Array.from({ length: spread.count }, (_, i) => {
      const there = first + i * pitch;
      return i * pitch - Math.round(there / wrap) * wrap;
    });
    return {
      usable: within(usable, { ...box, minX: first - half, maxX: first + half }),
      copies: () => shifts.map((dx) => translation(dx, 0)),
    };
  }
  if (spread.kind === 'row') {
    const width = (boxWidth(box) - (spread.count - 1) * gap) / spread.count;
    return {
      usable: within(usable, { ...box, maxX: box.minX + width }),
      hold: mark.hold?.y ? { y: mark.hold.y } : undefined,
      copies: ([x]) =>
        Array.from({ length: spread.count }, (_, i) =>
          then(spread.mirrored && i % 2 === 1 ? mirrorAt(x) : IDENTITY, translation(i * (width + gap), 0)),
        ),
    };
  }
  const [cx, cy] = boxCentre(box);
  const falling = spread.which === 'falling';
  const quarter = { ...box, maxX: cx - gap / 2, ...(falling ? { minY: cy + gap / 2 } : { maxY: cy - gap / 2 }) };
  const opposite = spread.which === 'rising' || falling;
  return {
    usable: within(usable, quarter),
    hold: { x: 'left', y: falling ? 'top' : 'foot' },
    copies: ([x, y]) => {
      const [across, up] = [2 * (cx - x), 2 * (cy - y)];
      if (opposite) return [IDENTITY, spread.mirrored ? then(mirrorAt(cx), translation(0, up)) : translation(across, up)];
      return spread.mirrored
        ? [IDENTITY, mirrorAt(cx), mirrorUp(cy), then(mirrorAt(cx), mirrorUp(cy))]
        : [IDENTITY, translation(across, 0), translation(0, up), translation(across, up)];
    },
  };
}
