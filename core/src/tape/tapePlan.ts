import { GRIP_LIMITS, TAPE_KINDS, TAPE_WEAR, type FilmFinish, FINISH_GRIP } from '../facts';
import type { Id, Tape } from '../job';
import { numbersFrom } from '../geometry';
import type { GripWindow } from './grip';

/** One layer of a mark that has to be lifted so many times. */
export interface Lift {
  /** Tells it from others. */
  readonly id: string;
  /** Of the film, mm; the tape reaches beyond it all round. */
  readonly width: number;
  readonly height: number;
  readonly times: number;
  readonly window: GripWindow;
  readonly finish: FilmFinish;
  /** The tape that the maker chose for it, where it works. */
  readonly wanted?: Id;
}

/** One piece of tape, cut once and used for one lift after the other. */
export interface TapePiece {
  readonly tape: Id;
  /** mm, with the margin all round the largest of its lifts. */
  readonly width: number;
  readonly height: number;
  /** Taken from the roll, mm. */
  readonly length: number;
  /** What it lifts, in this order; how often it is pressed on clean cloth before each. */
  readonly uses: readonly { readonly lift: string; readonly dull: number }[];
}

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

/** A piece counts as so much more tape, mm: between plans of one length the one with fewer pieces is better. */
const PIECE_COSTS = 5;
/** Plans for no more lifts than this are found exactly. */
const EXACT = 9;
/** A piece is pressed on cloth at most so often before a lift. */
const MOST_DULL = 12;

/** In which state of wear a tape works for a lift: wear is what is left of its first grip, from 1 down. */
interface Band {
  readonly low: number;
  readonly high: number;
  /** What is left after the lift. */
  readonly wear: number;
}

function bandOf(lift: Lift, tape: Tape): Band | undefined {
  const { window, finish } = lift;
  if (!window.open) return undefined;
  const kind = TAPE_KINDS[tape.kind];
  const fresh = kind.grip.typical;
  const grip = fresh * FINISH_GRIP[finish].typical;
  const onCoat =
    window.coating === Infinity ? Infinity : (GRIP_LIMITS.underPiece * window.coating) / Math.max(1e-9, fresh * window.groundShare);
  const [low, high] = [window.low / grip, Math.min(window.high / grip, onCoat)];
  const wear = kind.substitute ? Math.min(window.wear, TAPE_WEAR.substitute.typical) : window.wear;
  return low <= Math.min(1, high) ? { low, high, wear } : undefined;
}

/** What a piece takes from a roll, mm: laid either way, in strips side by side where it is wider than the roll. */
function lengthOf(width: number, height: number, roll: number): number {
  const strips = (side: number) => Math.ceil(side / roll - 1e-9);
  const [a, b] = [strips(width) * height, strips(height) * width];
  return strips(width) < strips(height) ? a : strips(height) < strips(width) ? b : Math.min(a, b);
}

/** Whether a box fits in another, turned or not. */
const within = (w: number, h: number, width: number, height: number): boolean =>
  (w <= width + 1e-9 && h <= height + 1e-9) || (h <= width + 1e-9 && w <= height + 1e-9);

/** A lift with what each tape can do for it. */
interface Task {
  readonly lift: Lift;
  readonly w: number;
  readonly h: number;
  readonly bands: ReadonlyMap<Id, Band>;
}

const costOf = (pieces: readonly TapePiece[]): number => pieces.reduce((sum, { length }) => sum + length + PIECE_COSTS, 0);

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

/** The least box that holds each of some, turned where that helps. */
function tightest(boxes: readonly { readonly w: number; readonly h: number }[]): [number, number] {
  const sides = boxes.map(({ w, h }) => [Math.max(w, h), Math.min(w, h)] as const);
  return [Math.max(...sides.map(([long]) => long)), Math.max(...sides.map(([, short]) => short))];
}

/** The best plan for few lifts: every way to part them into chains, each in whatever order works. */
function exact(tasks: readonly Task[], tapes: readonly Tape[]): TapePiece[] {
  const singles = tasks.flatMap((task) => Array.from({ length: task.lift.times }, () => task));
  const all = 1 << singles.length;
  const best: (TapePiece | undefined)[] = Array.from({ length: all }, () => undefined);
  for (const tape of tapes) {
    const most = TAPE_KINDS[tape.kind].uses;
    // how worn a piece is after a set of lifts, dulled as little as can be; the last lift of the set
    const state: ({ worn: number; used: number; last: number; dull: number; from: number } | undefined)[] = Array.from(
      { length: all },
      () => undefined,
    );
    state[0] = { worn: 1, used: 0, last: -1, dull: 0, from: 0 };
    for (let set = 0; set < all; set++) {
      const here = state[set];
      if (!here) continue;
      for (const [i, task] of singles.entries()) {
        if (set & (1 << i)) continue;
        const band = task.bands.get(tape.id);
        if (!band) continue;
        for (let dull = 0; dull <= MOST_DULL; dull++) {
          const now = here.worn * TAPE_WEAR.hard.typical ** dull;
          if (here.used + dull >= most || now < band.low) break;
          if (now > band.high) continue;
          const to = set | (1 << i);
          const next = { worn: now * band.wear, used: here.used + dull + 1, last: i, dull, from: set };
          if (!state[to] || next.worn > state[to].worn + 1e-12) state[to] = next;
          break;
        }
      }
    }
    for (let set = 1; set < all; set++) {
      if (!state[set]) continue;
      const [width, height] = tightest(singles.filter((_, i) => set & (1 << i)));
      const length = lengthOf(width, height, tape.width);
      const had = best[set];
      if (had && had.length <= length) continue;
      const uses: { lift: string; dull: number }[] = [];
      for (let at = set; at > 0; at = state[at]!.from) uses.unshift({ lift: singles[state[at]!.last]!.lift.id, dull: state[at]!.dull });
      best[set] = { tape: tape.id, width, height, length, uses };
    }
  }
  const cost = new Float64Array(all).fill(Infinity);
  const part = new Int32Array(all);
  cost[0] = 0;
  for (let set = 1; set < all; set++) {
    const lowest = set & -set;
    for (let piece = set; piece > 0; piece = (piece - 1) & set) {
      const own = best[piece];
      if (!(piece & lowest) || !own) continue;
      const sum = cost[set ^ piece]! + own.length + PIECE_COSTS;
      if (sum < cost[set]!) {
        cost[set] = sum;
        part[set] = piece;
      }
    }
  }
  const pieces: TapePiece[] = [];
  for (let set = all - 1; set > 0; set ^= part[set]!) {
    if (part[set] === 0) break;
    pieces.push(best[part[set]!]!);
  }
  return pieces;
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
  const pieces = count <= (budget.exact ?? EXACT) ? exact(tasks, tapes) : searched(tasks, tapes, budget);
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
    const fresh = lifts <= ANEW ? exact(own, tapes) : anyWay(own);
    if (costOf(fresh) < costOf(old) - 1e-9) best = [...best.filter((piece) => !taken.has(piece)), ...fresh];
  }
  return best;
}
