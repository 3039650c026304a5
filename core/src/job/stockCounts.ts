import { piecesOf, piecesUsed } from './filmPieces';
import { filmTaken, standing, type WorkEvent } from './event';
import type { Id } from './ids';
import type { Shop } from './shop';

/** Which things of a shop are stock that is counted. */
export type StockKindId = Extract<WorkEvent, { kind: 'counted' }>['stock'];

/** How far counts moved each thing in stock, in its own unit; by kind and id. */
export function countedBy(events: readonly WorkEvent[]): (stock: StockKindId, item: Id) => number {
  const moved = new Map<string, number>();
  for (const event of standing(events)) {
    if (event.kind !== 'counted') continue;
    const key = `${event.stock} ${event.item}`;
    moved.set(key, (moved.get(key) ?? 0) + event.is - event.was);
  }
  return (stock, item) => moved.get(`${stock} ${item}`) ?? 0;
}

/** Films with the sheets and offcuts that there are of them now; those that have not changed stay as they are. */
function withPieces(films: Shop['films'], events: readonly WorkEvent[]): Shop['films'] {
  const used = piecesUsed(events);
  if (used.size === 0 && !events.some((event) => event.kind === 'cut' && event.left)) return films;
  return films.map((film) => {
    const pieces = piecesOf(film, events, used);
    return pieces.length === 0 && !film.pieces ? film : { ...film, pieces };
  });
}

/** The shop with its tapes, paints and supplies as they were last counted; film is counted with what was cut (`filmLeftOf`). */
export function asCounted(shop: Shop, events: readonly WorkEvent[]): Shop {
  const films = withPieces(shop.films, events);
  if (!events.some(({ kind }) => kind === 'counted')) return films === shop.films ? shop : { ...shop, films };
  const by = countedBy(events);
  const left = (amount: number, moved: number) => Math.max(0, amount + moved);
  return {
    ...shop,
    films,
    tapes: shop.tapes.map((tape) => ({ ...tape, length: left(tape.length, by('tape', tape.id)) })),
    paints: shop.paints.map((paint) => ({ ...paint, volume: left(paint.volume, by('paint', paint.id)) })),
    ...(shop.supplies ? { supplies: shop.supplies.map((one) => ({ ...one, amount: left(one.amount, by('supply', one.id)) })) } : {}),
  };
}

/**
 * What there is of one thing in stock, in its own unit, with its name; nothing when it is not there. Below 0 where more was taken than lay there: a
 * count starts from that, so that what is counted is what there is.
 */
export function amountOf(
  shop: Shop,
  events: readonly WorkEvent[],
  stock: StockKindId,
  item: Id,
): { readonly name: string; readonly amount: number } | undefined {
  const found = {
    film: () => shop.films.map(({ id, name, length }) => ({ id, name, amount: length - (filmTaken(events).get(id) ?? 0) })),
    tape: () => shop.tapes.map(({ id, name, length }) => ({ id, name, amount: length + countedBy(events)('tape', id) })),
    paint: () => shop.paints.map(({ id, name, volume }) => ({ id, name, amount: volume + countedBy(events)('paint', id) })),
    supply: () => (shop.supplies ?? []).map(({ id, name, amount }) => ({ id, name, amount: amount + countedBy(events)('supply', id) })),
  }
    [stock]()
    .find(({ id }) => id === item);
  return found && { name: found.name, amount: found.amount };
}
