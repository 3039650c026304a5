import { FILM_KINDS, FINISH_GRIP, GRIP_LIMITS, TAPE_KINDS, TAPE_WEAR, type FilmFinish, type FilmKindId, type TapeKindId } from '../facts';
import type { Surface } from '../blanks';

/** What transfer meets: the film, and what it comes on. */
export interface Transfer {
  readonly kind: FilmKindId;
  readonly finish: FilmFinish;
  /** What is on top where it goes, at that moment. */
  readonly surface: Pick<Surface, 'hold' | 'contact' | 'strength' | 'wear'>;
  /** It is a stencil or mask: one sheet that is held by its border, and comes off again. */
  readonly sheet: boolean;
  /** Days from cutting to taping. */
  readonly daysCut: number;
}

/** The band of grips that work, N/25 mm. */
export interface GripWindow {
  /** Least that lifts the film off its liner. */
  readonly low: number;
  /** Most that the piece and its coating stand. */
  readonly high: number;
  /** Above this it is to be watched: a stencil is held by its border, and may still lift. */
  readonly careful: number;
  /** Whether the band is wide enough to work in. */
  readonly open: boolean;
  /** What sets the upper limit. */
  readonly limitedBy: 'film on the piece' | 'coating';
  /** Film on the piece at once, and the coating on its ground. */
  readonly bond: number;
  readonly coating: number;
  readonly wear: number;
  /** Share of a fresh tape's grip that touches the ground beside the film. */
  readonly groundShare: number;
  /** How many times as firmly as usual tapes hold here, where the log has taught so. */
  readonly learnt?: Readonly<Partial<Record<TapeKindId, number>>>;
}

/** One tape against a window. */
export interface TapeUses {
  readonly tape: TapeKindId;
  /** Grip on this film at each use, the first first. */
  readonly grips: readonly number[];
  /** Uses (from 1) at which it works, without gaps; undefined when it never does. */
  readonly from?: number;
  readonly to?: number;
}

/** The most uses looked at. */
const MOST_USES = 40;

/**
 * The grip window of a transfer.
 *
 * Peel adds up like this: the tape must hold film twice as hard as the liner does, and at most 0.7 of what the piece holds at once; a
 * stencil, which is one sheet
 * held by its border, up to all of it. Beside the film it touches the coating itself, of which it may pull at 0.7. The finish does not
 * enter here: it weakens
 * the tape. Values are typical of the trade; the logbook corrects them.
 */
export function gripWindow({ kind, surface, sheet, daysCut }: Transfer): GripWindow {
  const film = FILM_KINDS[kind];
  const liner = film.liner.typical * (1 + (GRIP_LIMITS.linerWeek - 1) * Math.min(1, daysCut / 7));
  const bond = film.bond.typical * surface.hold * surface.contact * GRIP_LIMITS.atOnce;
  const coating = surface.strength;
  const low = GRIP_LIMITS.overLiner * liner;
  const careful = GRIP_LIMITS.underPiece * Math.min(bond, coating);
  const high = Math.min((sheet ? 1 : GRIP_LIMITS.underPiece) * bond, GRIP_LIMITS.underPiece * coating);
  return {
    low,
    high,
    careful,
    open: high >= GRIP_LIMITS.leastWindow * low,
    limitedBy: GRIP_LIMITS.underPiece * coating < (sheet ? 1 : GRIP_LIMITS.underPiece) * bond ? 'coating' : 'film on the piece',
    bond,
    coating,
    wear: TAPE_WEAR[surface.wear].typical,
    groundShare: Math.min(1, surface.hold),
  };
}

/** At which uses a tape works. */
export function tapeUses(tape: TapeKindId, window: GripWindow, finish: FilmFinish): TapeUses {
  const kind = TAPE_KINDS[tape];
  const wear = kind.substitute ? Math.min(window.wear, TAPE_WEAR.substitute.typical) : window.wear;
  const fresh = kind.grip.typical * (window.learnt?.[tape] ?? 1);
  const grips = Array.from({ length: MOST_USES }, (_, i) => fresh * FINISH_GRIP[finish].typical * wear ** i);
  const works = grips.map(
    (grip, i) =>
      window.open &&
      grip >= window.low &&
      grip <= window.high &&
      fresh * window.groundShare * wear ** i <= GRIP_LIMITS.underPiece * window.coating &&
      i < kind.uses,
  );
  const first = works.indexOf(true);
  if (first === -1) return { tape, grips };
  const after = works.indexOf(false, first);
  return { tape, grips, from: first + 1, to: after === -1 ? MOST_USES : after };
}
