import { FILM_KINDS, TECHNIQUES, WEEDING, type FilmKindId } from '../facts';
import type { CutPieces } from '../artwork';
import type { Id, Mark } from '../job';

/**
 * What of the film is kept: the shapes; a plate out of which they are taken; the whole of what lies behind them; or, of a mask, what lies
 * around them, or they
 * themselves.
 */
export type Kept = 'shapes' | 'plate' | 'backing' | 'surround' | 'maskShapes';

/** What of a film of a mark is kept. */
export function keptOf({ technique, edits, film: own }: Pick<Mark, 'technique' | 'edits' | 'film'>, film: Id): Kept {
  const plate = edits.some(({ kind }) => kind === 'showGround' || kind === 'outOf');
  if (TECHNIQUES[technique].kept === 'surround') return plate ? 'maskShapes' : 'surround';
  if (film !== own && edits.some((edit) => edit.kind === 'backing' && edit.film === film)) return 'backing';
  return plate ? 'plate' : 'shapes';
}

/** What is pulled off one mark, and how long that takes. */
export interface Weeding {
  readonly kept: Kept;
  readonly wastePieces: number;
  readonly smallPieces: number;
  /** For one mark. */
  readonly minutes: number;
  /** Intricate marks are weeded while the carrier holds them flat. */
  readonly onCarrier: boolean;
}

/** How much a waste piece counts as small: 0 from 15 mm², rising smoothly to 1 at 4 mm². */
export function smallness(area: number): number {
  const t = Math.min(1, Math.max(0, (WEEDING.smallFrom - area) / (WEEDING.smallFrom - WEEDING.smallFull)));
  return t * t * (3 - 2 * t);
}

/**
 * Weeding of one layer of one mark.
 *
 * @param pieces what the outline cuts film into
 * @param edge mm of edge
 * @param kept what stays of the film
 * @param days since it was cut; adhesive flows back into the cuts
 */
export function weedingOf(pieces: CutPieces, edge: number, kind: FilmKindId, kept: Kept, days = 0): Weeding {
  const mask = kept === 'surround' || kept === 'maskShapes';
  const waste = !mask ? [...pieces.counters.map((c) => c.area), Infinity] : pieces.shapes.map((s) => s.area);
  const small = waste.reduce((sum, area) => sum + smallness(area), 0);
  const plain = WEEDING.start + WEEDING.piece * waste.length + WEEDING.small * small + (WEEDING.metreOfEdge * edge) / 1000;
  return {
    kept,
    wastePieces: waste.length,
    smallPieces: waste.filter((area) => area < WEEDING.smallFrom).length,
    minutes: plain * FILM_KINDS[kind].weeding.typical * (1 + WEEDING.staleADay * Math.min(days, WEEDING.staleDays)),
    onCarrier: waste.length > WEEDING.onCarrier,
  };
}
