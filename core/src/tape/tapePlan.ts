import { GRIP_LIMITS, TAPE_KINDS, TAPE_WEAR } from '../facts';
import type { Tape } from '../job';
import { numbersFrom } from '../geometry';
import { exactTape } from './tapeExact';
import { bandOf, costOf, lengthOf, MOST_DULL, tightest, type Band, type Lift, type TapePiece, type Task } from './tapeTask';

/** Pieces of tape for many marks. */
export interface TapePlan {
  readonly pieces: readonly TapePiece[];
  /** Lifts for which no tape works. */
  readonly without: readonly string[];
  /** Taken from the rolls in all, mm; and how much it would be with tape for each mark by itself. */
  readonly length: number;
}

/** How hard to look: the same seed and rounds give the same plan. */
export interface TapeBudget {
  readonly rounds: number;
  readonly seed: number;
  /** Plans for no more lifts than this are found exactly. */
  readonly exact?: number;
}

/** Plans for no more lifts than this are found exactly. */
const EXACT = 9;
/** Whether a box fits in another, turned or not. */
const within = (w: number, h: number, width: number, height: number): boolean =>
  (w <= width + 1e-9 && h <= height + 1e-9) || (h <= width + 1e-9 && w <= height + 1e-9);

/** The next of some lifts that a piece can do, dulled first where nothing else works: the one that a worn piece could soonest do no more. */
function nextFor(
  left: readonly { readonly task: Task; readonly times: number }[],
  tape: Tape,
  [width, height]: readonly [number, number],
  worn: number,
  used: number,
): { readonly at: number; readonly dull: number } | undefined {
  const { uses } = TAPE_KINDS[tape.kind];
  for (let dull = 0; dull <= MOST_DULL; dull++) {
    const now = worn * TAPE_WEAR.hard.typical ** dull;
    if (used + dull >= uses) return undefined;
    let best: { at: number; low: number; area: number } | undefined;
    for (const [at, { task, times }] of left.entries()) {
      const band = task.bands.get(tape.id);
      if (times === 0 || !band || now < band.low || now > band.high || !within(task.w, task.h, width, height)) continue;
      const area = task.w * task.h;
      if (!best || band.low > best.low + 1e-12 || (band.low > best.low - 1e-12 && area > best.area)) best = { at, low: band.low, area };
    }
    if (best) return { at: best.at, dull };
  }
  return undefined;
}

/** Cuts piece after piece, each as large as a mark that is still to be lifted, and uses each for as much as it can do. */
function cover(
  tasks: readonly Task[],
  tapes: readonly Tape[],
  choose: (open: readonly number[]) => { first: number; tape: number },
): TapePiece[] {
  const left = tasks.map((task) => ({ task, times: task.lift.times }));
  const pieces: TapePiece[] = [];
  for (;;) {
    const open = left.flatMap(({ times }, i) => (times > 0 ? [i] : []));
    if (open.length === 0) return pieces;
    const { first, tape: t } = choose(open);
    const { task } = left[first]!;
    const able = tapes.filter(({ id }) => task.bands.has(id));
    const tape = able[t % able.length]!;
    const size = [task.w, task.h] as const;
    let worn = 1;
    let used = 0;
    const uses: { lift: string; dull: number }[] = [];
    const [boxes, wear] = [[] as Task[], TAPE_WEAR.hard.typical];
    for (;;) {
      const next = nextFor(left, tape, size, worn, used);
      if (!next) break;
      const chosen = left[next.at]!;
      worn *= wear ** next.dull * chosen.task.bands.get(tape.id)!.wear;
      used += next.dull + 1;
      uses.push({ lift: chosen.task.lift.id, dull: next.dull });
      boxes.push(chosen.task);
      left[next.at] = { task: chosen.task, times: chosen.times - 1 };
    }
    // where nothing could be done, not even what it was cut for, the tape cannot be worn so far
    if (uses.length === 0) {
      left[first] = { task, times: 0 };
      continue;
    }
    const [width, height] = tightest(boxes);
    pieces.push({ tape: tape.id, width, height, length: lengthOf(width, height, tape.width), uses });
  }
}

/**
 * The fewest and shortest pieces of tape that lift every mark within what its film and its piece allow: a piece is cut for the largest of the
 * marks that it serves, and goes from those that want a firm grip to the delicate ones as it wears.
 *
 * @param lifts every layer of every mark, so many times
 * @param tapes the shop's
 * @param budget rounds of looking on; few lifts are planned exactly
 * @returns pieces, the largest first, with their uses in order
 */
export function tapePlan(lifts: readonly Lift[], tapes: readonly Tape[], budget: TapeBudget = { rounds: 60, seed: 1 }): TapePlan {
  const margin = 2 * GRIP_LIMITS.margin;
  const every = lifts
    .filter(({ times }) => times > 0)
    .map((lift): Task => {
      const able = tapes.flatMap((tape) => {
        const band = bandOf(lift, tape);
        return band && reachable(band, tape) ? [[tape.id, band] as const] : [];
      });
      // the maker's own choice counts where it works; substitutes only where nothing else does
      const wanted = able.filter(([id]) => id === lift.wanted);
      const proper = able.filter(([id]) => !TAPE_KINDS[tapes.find((tape) => tape.id === id)!.kind].substitute);
      return {
        lift,
        w: lift.width + margin,
        h: lift.height + margin,
        bands: new Map(wanted.length > 0 ? wanted : proper.length > 0 ? proper : able),
      };
    });
  const tasks = every.filter(({ bands }) => bands.size > 0);
  const without = every.filter(({ bands }) => bands.size === 0).map(({ lift }) => lift.id);
  const count = tasks.reduce((sum, { lift }) => sum + lift.times, 0);
  const pieces = count <= (budget.exact ?? EXACT) ? exactTape(tasks, tapes) : searched(tasks, tapes, budget);
  const ordered = pieces.toSorted((a, b) => b.width * b.height - a.width * a.height);
  return { pieces: ordered, without, length: ordered.reduce((sum, { length }) => sum + length, 0) };
}

/** Whether a tape, dulled if need be, comes into a band before it is used up. */
function reachable({ low, high }: Band, { kind }: Tape): boolean {
  const most = Math.min(MOST_DULL, TAPE_KINDS[kind].uses - 1);
  for (let dull = 0; dull <= most; dull++) {
    const now = TAPE_WEAR.hard.typical ** dull;
    if (now >= low && now <= high) return true;
  }
  return false;
}

/** Lifts of one piece or several, as tasks that are each done so often. */
function tasksOf(pieces: readonly TapePiece[], tasks: readonly Task[]): Task[] {
  const times = new Map<string, number>();
  for (const { uses } of pieces) for (const { lift } of uses) times.set(lift, (times.get(lift) ?? 0) + 1);
  return tasks.flatMap((task) => {
    const n = times.get(task.lift.id) ?? 0;
    return n > 0 ? [{ ...task, lift: { ...task.lift, times: n } }] : [];
  });
}

/** So many lifts are planned anew at once. */
const ANEW = 7;

/**
 * Largest first; then looked on from there (large neighbourhood search: Shaw, 1998): some pieces are taken back, and what they lift is planned
 * anew, the best way where that is little, else in another order and from other tapes.
 */
function searched(tasks: readonly Task[], tapes: readonly Tape[], { rounds, seed }: TapeBudget): TapePiece[] {
  const random = numbersFrom(seed);
  const below = (n: number) => Math.floor(random() * n);
  const largest = (of: readonly Task[]) => (open: readonly number[]) =>
    open.reduce((a, b) => (of[b]!.w * of[b]!.h > of[a]!.w * of[a]!.h ? b : a));
  const anyWay = (of: readonly Task[]) => cover(of, tapes, (open) => ({ first: open[below(open.length)]!, tape: below(tapes.length) }));
  // of each mark the tape that takes least of its roll, to begin with
  const usual = tasks.map(({ w, h, bands }) => {
    const lengths = tapes.filter(({ id }) => bands.has(id)).map((tape) => lengthOf(w, h, tape.width));
    return lengths.indexOf(Math.min(...lengths));
  });
  let best = cover(tasks, tapes, (open) => {
    const first = largest(tasks)(open);
    return { first, tape: usual[first]! };
  });
  for (let round = 0; round < rounds; round++) {
    const taken = new Set<TapePiece>();
    let lifts = 0;
    const pieces = 2 + below(4);
    for (let tries = 0; tries < 3 * pieces && taken.size < pieces; tries++) {
      const piece = best[below(best.length)];
      if (!piece || taken.has(piece) || (taken.size > 0 && lifts + piece.uses.length > ANEW && random() < 0.7)) continue;
      taken.add(piece);
      lifts += piece.uses.length;
    }
    const old = best.filter((piece) => taken.has(piece));
    const own = tasksOf(old, tasks);
    const fresh = lifts <= ANEW ? exactTape(own, tapes) : anyWay(own);
    if (costOf(fresh) < costOf(old) - 1e-9) best = [...best.filter((piece) => !taken.has(piece)), ...fresh];
  }
  return best;
}
