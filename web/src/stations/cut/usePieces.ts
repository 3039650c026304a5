import { useQuery } from '@tanstack/react-query';
import { oneLoad, piecesBeside as piecesOf, type FilmLayout, type Spread } from '@kolleta/core/cut';
import type { FilmPiece, Shop } from '@kolleta/core/job';
import { plannerWorker } from '../../workers/plannerClient';
import { pieceFrom, piecesFirst, type PieceOffer } from './cutFirst';
import { layTogether, useNumberOf } from './useTogether';

/** Pieces of the film of some layouts, as they are looked at. */
const piecesBeside = ([first]: readonly FilmLayout[]): FilmPiece[] => (first ? piecesOf(first.film) : []);

/** What pieces would hold, and those that do not go into a machine. */
interface PieceOffers {
  readonly offers: readonly PieceOffer[];
  readonly tooLarge: readonly FilmPiece[];
}

/** What pieces are laid with: the machines, and layouts that were kept. */
type Laying = Pick<Shop, 'machines' | 'layouts'>;

/** What was kept since counts too. */
const keptIn = ({ layouts = [] }: Laying): readonly string[] => layouts.map(({ id }) => id);

const NO_OFFERS: PieceOffers = { offers: [], tooLarge: [] };

const offersOf = async (layouts: readonly FilmLayout[], pieces: readonly FilmPiece[], shop: Laying): Promise<PieceOffers> => {
  const { machines, layouts: kept = [] } = shop;
  const found = await plannerWorker.call((planner) => planner.onPieces([...layouts], [...pieces], [...machines], [...kept]));
  return {
    offers: pieces.flatMap((piece, i) => (found[i] ? [{ ...found[i], piece }] : [])),
    tooLarge: pieces.filter((_, i) => !found[i]),
  };
};

/** What sheets and offcuts beside the roll would hold of some layouts; nothing while it is worked out. */
export function usePieces(layouts: readonly FilmLayout[], shop: Laying, on: boolean): PieceOffers {
  const number = useNumberOf(layouts);
  const pieces = piecesBeside(layouts);
  const { data } = useQuery({
    queryKey: ['pieces', number, keptIn(shop)],
    queryFn: () => offersOf(layouts, pieces, shop),
    // a layout that was kept is laid with it: until then as it was
    placeholderData: (before, query) => (query?.queryKey[1] === number ? before : undefined),
    enabled: on && pieces.length > 0,
    staleTime: Infinity,
    gcTime: 5_000,
    retry: false,
  });
  return (on && pieces.length > 0 && data) || NO_OFFERS;
}

/** A layout in the order of the cut with its relief cuts and spares, once these are found; until then as it is. */
export function useAsCut(
  layout: FilmLayout | undefined,
  { relief }: Pick<Shop, 'relief'>,
  spares: readonly string[],
): FilmLayout | undefined {
  const number = useNumberOf(layout ? [layout] : []);
  const { data } = useQuery({
    queryKey: ['as cut', number, relief, ...spares],
    queryFn: () => plannerWorker.call((planner) => planner.asCut(layout!, relief, spares)),
    enabled: layout !== undefined,
    staleTime: Infinity,
    gcTime: 5_000,
    retry: false,
  });
  return data ?? layout;
}

/** The loads of a layout that is longer than its machine takes in one go; nothing where one is enough. */
export function useLoads(
  layout: FilmLayout | undefined,
  { relief }: Pick<Shop, 'relief'>,
  spares: readonly string[],
): readonly FilmLayout[] | undefined {
  const number = useNumberOf(layout ? [layout] : []);
  const { data } = useQuery({
    queryKey: ['loads', number, relief, ...spares],
    queryFn: () => plannerWorker.call((planner) => planner.loads(layout!, relief, spares)),
    enabled: layout?.machine !== undefined && layout.taken > oneLoad(layout.machine).length,
    staleTime: Infinity,
    gcTime: 5_000,
    retry: false,
  });
  return data && data.length > 1 ? data : undefined;
}

const spreadOf = (layouts: readonly FilmLayout[], { machines, layouts: kept = [] }: Laying): Promise<Spread> =>
  plannerWorker.call((planner) => planner.overPieces([...layouts], piecesBeside(layouts), [...machines], [...kept]));

/** Layouts spread over the sheets and offcuts beside the roll; nothing while it is worked out, and where none holds anything. */
export function useSpread(layouts: readonly FilmLayout[], shop: Laying, on: boolean): Spread | undefined {
  const number = useNumberOf(layouts);
  const { data } = useQuery({
    queryKey: ['spread', number, keptIn(shop)],
    queryFn: () => spreadOf(layouts, shop),
    placeholderData: (before, query) => (query?.queryKey[1] === number ? before : undefined),
    enabled: on && piecesBeside(layouts).length > 0,
    staleTime: Infinity,
    gcTime: 5_000,
    retry: false,
  });
  return on && data && data.sheets.length > 0 ? data : undefined;
}

/**
 * How parts lie as the workshop is saved now: on the piece that is cut from, else on the roll.
 *
 * @param left mm of the roll
 */
export async function laidFrom(layouts: readonly FilmLayout[], shop: Shop, from: string | undefined, left: number): Promise<FilmLayout> {
  const pieces = from === 'roll' ? [] : piecesBeside(layouts);
  const roll = await layTogether(layouts, shop);
  if (pieces.length === 0) return roll;
  const { offers } = await offersOf(layouts, pieces, shop);
  const spread = await spreadOf(layouts, shop);
  const first = piecesFirst(from, { offers, roll, spread, left }) ? spread.sheets[0] : pieceFrom(offers, from);
  return first?.layout ?? roll;
}

/**
 * What is cut as the workshop is saved now, in the order of the cut.
 *
 * @param spares marks of which small bits are cut once more, as `job/mark`
 */
export async function layFrom(
  layouts: readonly FilmLayout[],
  shop: Shop,
  from: string | undefined,
  left: number,
  spares: readonly string[],
): Promise<FilmLayout> {
  const laid = await laidFrom(layouts, shop, from, left);
  return plannerWorker.call((planner) => planner.asCut(laid, shop.relief, spares));
}
