import { TAPE_KINDS, TAPE_WEAR } from '../facts';
import type { Tape } from '../job';
import { lengthOf, MOST_DULL, PIECE_COSTS, tightest, type TapePiece, type Task } from './tapeTask';

/** The best plan for few lifts: every way to part them into chains, each in whatever order works. */
export function exactTape(tasks: readonly Task[], tapes: readonly Tape[]): TapePiece[] {
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
