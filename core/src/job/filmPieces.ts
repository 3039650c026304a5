import { standing, type WorkEvent } from './event';
import type { Id } from './ids';
import type { Film, FilmPiece } from './shop';

/** How many of each sheet and offcut were cut up or are gone, by their ids: what several jobs cut from one piece at once is one piece. */
export function piecesUsed(events: readonly WorkEvent[]): ReadonlyMap<Id, number> {
  const times = new Map<Id, Set<number | Id>>();
  const use = (piece: Id, when: number | Id) => times.set(piece, (times.get(piece) ?? new Set()).add(when));
  for (const event of standing(events)) {
    if (event.kind === 'cut' && event.from && event.from.kind !== 'roll') use(event.from.id, event.at);
    if (event.kind === 'pieceGone') use(event.piece, event.id);
  }
  return new Map([...times].map(([piece, when]) => [piece, when.size]));
}

/** Sheets and offcuts that lie beside the roll now: those that were typed and those that cuts left, without those that are used up. */
export function piecesOf(film: Film, events: readonly WorkEvent[], used = piecesUsed(events)): FilmPiece[] {
  const left = standing(events).flatMap((event) =>
    event.kind === 'cut' && event.film === film.id
      ? (event.left ?? []).map((one): FilmPiece => ({ ...one, kind: 'offcut', count: 1 }))
      : [],
  );
  return [...(film.pieces ?? []), ...left].flatMap((piece) => {
    const count = piece.count - (used.get(piece.id) ?? 0);
    return count > 0 ? [{ ...piece, count }] : [];
  });
}
