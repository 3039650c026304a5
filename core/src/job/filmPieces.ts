import { standing, type WorkEvent } from './event';
import type { Id } from './ids';
import type { Film, FilmPiece } from './shop';

/**
 * How many of each sheet and offcut were cut up or are gone, by their ids: what several jobs cut from one piece at once is one piece; what one job cut at
 * once from a piece more than once are as many.
 */
export function piecesUsed(events: readonly WorkEvent[]): ReadonlyMap<Id, number> {
  const gone = new Map<Id, number>();
  /** Of each piece and moment how often each job cut from it. */
  const cuts = new Map<Id, Map<number, Map<Id, number>>>();
  for (const event of standing(events)) {
    if (event.kind === 'pieceGone') gone.set(event.piece, (gone.get(event.piece) ?? 0) + 1);
    if (event.kind !== 'cut' || !event.from || event.from.kind === 'roll') continue;
    const { id } = event.from;
    const moments = cuts.get(id) ?? new Map<number, Map<Id, number>>();
    const jobs = moments.get(event.at) ?? new Map<Id, number>();
    jobs.set(event.job, (jobs.get(event.job) ?? 0) + 1);
    cuts.set(id, moments.set(event.at, jobs));
  }
  const times = (id: Id) => [...(cuts.get(id)?.values() ?? [])].reduce((sum, jobs) => sum + Math.max(...jobs.values()), 0);
  return new Map([...new Set([...gone.keys(), ...cuts.keys()])].map((id) => [id, times(id) + (gone.get(id) ?? 0)]));
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
