import { GROUNDS, MATERIALS, PLACING_LIMITS, PLACINGS, TECHNIQUES, type PlacingId } from '../facts';
import { isCoated } from '../blanks';
import type { Mark, Piece } from '../job';

type Placed = Pick<Mark, 'technique' | 'placing'>;

/** Ways of placing that a mark can be put down by on its piece. */
export function placingsFor(mark: Pick<Mark, 'technique'>, piece: Piece): PlacingId[] {
  const { taped, filmStays } = TECHNIQUES[mark.technique];
  if (!taped) return ['hand'];
  const bare = !isCoated(piece);
  const wet = filmStays && bare && MATERIALS[GROUNDS[piece.ground].material].getsWet && !GROUNDS[piece.ground].porous;
  const flat = piece.shape.kind === 'flat';
  return (Object.keys(PLACINGS) as PlacingId[]).filter((id) => {
    if (PLACINGS[id].wet) return wet;
    // a stencil or mask keeps its shape on tape only
    return id === 'hand' ? filmStays : flat || id === 'centreOut';
  });
}

/** How a mark is put down: as the maker chose where that can be, else what suits its piece and its size, mm. */
export function placingOf(mark: Placed, piece: Piece, width: number, height: number): PlacingId {
  const able = placingsFor(mark, piece);
  if (mark.placing && able.includes(mark.placing)) return mark.placing;
  if (!TECHNIQUES[mark.technique].taped) return 'hand';
  if (piece.shape.kind !== 'flat') return 'centreOut';
  if (able.includes('wet') && width * height > PLACING_LIMITS.wetFrom) return 'wet';
  return Math.max(width, height) > PLACING_LIMITS.long ? 'rollOn' : 'hinge';
}
