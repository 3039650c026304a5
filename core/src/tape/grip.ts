import {
  COATINGS,
  CONTACTS,
  FILM_KINDS,
  FINISH_GRIP,
  GRIP_LIMITS,
  GROUNDS,
  TAPE_KINDS,
  TAPE_WEAR,
  type CoatingId,
  type Contact,
  type FilmFinish,
  type FilmKindId,
  type GroundId,
  type TapeKindId,
} from '../facts';

/** What transfer meets: the film, the ground, and how fresh things are. */
export interface Transfer {
  readonly kind: FilmKindId;
  readonly finish: FilmFinish;
  readonly ground: GroundId;
  readonly contact: Contact;
  /** A clear sealer lies over the ground. */
  readonly sealed: boolean;
  /** The coating was put on the same day. */
  readonly sameDay: boolean;
  /** Days from cutting to taping. */
  readonly daysCut: number;
}

/** The band of grips that work, N/25 mm. */
export interface GripWindow {
  /** Least that lifts the film off its liner. */
  readonly low: number;
  /** Most that the piece and its coating stand. */
  readonly high: number;
  /** Most that is preferred. */
  readonly preferred: number;
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
 * Peel adds up like this: the tape must hold film twice as hard as the liner does, and at most 0.7 of what the piece holds at once and of what
 * its coating stands. The finish does not enter here: it weakens the tape. Values are typical of the trade; the logbook corrects them.
 */
export function gripWindow(transfer: Transfer): GripWindow {
  const { kind, ground: groundId, contact, sealed, sameDay, daysCut } = transfer;
  const ground = GROUNDS[groundId];
  const film = FILM_KINDS[kind];
  const liner = film.liner.typical * (1 + (GRIP_LIMITS.linerWeek - 1) * Math.min(1, daysCut / 7));
  const hold = sealed ? Math.max(ground.hold.typical, GROUNDS.sealedWood.hold.typical) : ground.hold.typical;
  const bond = film.bond.typical * hold * CONTACTS[contact].share.typical * GRIP_LIMITS.atOnce;
  const coatingId: CoatingId | undefined = ground.coating;
  const bare = coatingId ? COATINGS[coatingId].hold.typical * (sameDay ? GRIP_LIMITS.sameDay : 1) : Infinity;
  const coating = sealed && coatingId ? Math.max(bare, GRIP_LIMITS.sealer) : bare;
  const low = GRIP_LIMITS.overLiner * liner;
  const high = GRIP_LIMITS.underPiece * Math.min(bond, coating);
  return {
    low,
    high,
    preferred: GRIP_LIMITS.preferred * Math.min(bond, coating),
    open: high >= GRIP_LIMITS.leastWindow * low,
    limitedBy: coating < bond ? 'coating' : 'film on the piece',
    bond,
    coating,
    wear: TAPE_WEAR[sealed ? 'sealed' : ground.wear].typical,
    groundShare: Math.min(1, hold),
  };
}

/** At which uses a tape works. */
export function tapeUses(tape: TapeKindId, window: GripWindow, finish: FilmFinish): TapeUses {
  const kind = TAPE_KINDS[tape];
  const wear = kind.substitute ? Math.min(window.wear, TAPE_WEAR.substitute.typical) : window.wear;
  const fresh = kind.grip.typical;
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
