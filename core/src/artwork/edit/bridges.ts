import { boxCentre, boxOf, boxRegion, difference, intersection, offset, type Box, type Region, type Ring } from '../../geometry';

/** More insides than this are bridged by no device in time; the others stay loose. */
const MOST_BRIDGED = 400;

/** Taken beyond a strip on all sides, mm. */
const HAIR = 0.01;

type Side = 'up' | 'down' | 'left' | 'right';
const SIDES: readonly Side[] = ['up', 'down', 'left', 'right'];
const OPPOSITE: Record<Side, Side> = { up: 'down', down: 'up', left: 'right', right: 'left' };

/** A bar of a width from the middle of an inside out over one side of its part. */
function barFrom(hole: Ring, around: Box, side: Side, width: number): Region {
  const [x, y] = boxCentre(boxOf([{ outer: hole, holes: [] }]));
  const half = width / 2;
  const level = { minY: y - half, maxY: y + half };
  const upright = { minX: x - half, maxX: x + half };
  switch (side) {
    case 'up':
      return boxRegion({ ...upright, minY: y, maxY: around.maxY + 1 });
    case 'down':
      return boxRegion({ ...upright, minY: around.minY - 1, maxY: y });
    case 'left':
      return boxRegion({ ...level, minX: around.minX - 1, maxX: x });
    case 'right':
      return boxRegion({ ...level, minX: x, maxX: around.maxX + 1 });
  }
}

const holesIn = (region: Region): Ring[] => region.flatMap(({ holes }) => [...holes]);

/** What of a stroke a bar takes away first, beginning at the inside, and how thick the stroke is there. */
function firstOf(cut: Region, side: Side): { readonly piece: Region; readonly length: number } | undefined {
  const start = (box: Box) => ({ up: box.minY, down: -box.maxY, right: box.minX, left: -box.maxX })[side];
  const pieces = cut.map((part) => ({ part, box: boxOf([part]) })).toSorted((a, b) => start(a.box) - start(b.box));
  const [first] = pieces;
  if (!first) return undefined;
  const { box } = first;
  return { piece: [first.part], length: side === 'up' || side === 'down' ? box.maxY - box.minY : box.maxX - box.minX };
}

/** One inside of a part joined to what lies around it, where the stroke is thinnest and on the other side too; undefined where no bar reaches it. */
function bridge(region: Region, hole: Ring, width: number): Region | undefined {
  const before = holesIn(region).length;
  const around = boxOf(region);
  const found = SIDES.flatMap((side) => {
    const first = firstOf(intersection(region, barFrom(hole, around, side, width)), side);
    if (!first) return [];
    // a hair more than the strip: on a curved edge it would else leave one behind
    const piece = offset(first.piece, HAIR);
    const joined = difference(region, piece);
    return holesIn(joined).length < before ? [{ side, length: first.length, piece, joined }] : [];
  }).toSorted((a, b) => a.length - b.length);
  const [best] = found;
  if (!best) return undefined;
  const other = found.find(({ side }) => side === OPPOSITE[best.side]);
  return other ? difference(best.joined, other.piece) : best.joined;
}

/**
 * Strips taken out of strokes so that no inside stands by itself: in a stencil, what would be a loose island of film hangs on the film around.
 *
 * @param region openings of the stencil, mm
 * @param width of each strip, mm
 * @returns the same openings, parted by bridges; insides that no straight strip reaches stay as they are
 */
export function bridged(region: Region, width: number): Region {
  let left = MOST_BRIDGED;
  return region.flatMap((part) => {
    let own: Region = [part];
    let stuck = 0;
    while (left > 0) {
      const hole = holesIn(own)[stuck];
      if (!hole) break;
      left -= 1;
      const next = bridge(own, hole, width);
      if (next) own = next;
      else stuck += 1;
    }
    return own;
  });
}
