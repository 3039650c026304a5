import type { Point } from '../geometry';
import { KNIFE } from '../facts';
import { fromMachine } from './toolpath/hpglCutFile';
import { readHpgl, type Move } from '../artwork';

/** The film that lies in the cutter, mm. */
export interface LoadedFilm {
  readonly width: number;
  readonly length: number;
  /** What it is, as its maker calls it. */
  readonly name?: string;
}

/** How a machine counts, as the cutter is told once. */
export interface CutterMachine {
  readonly rollFed: boolean;
  /** mm. */
  readonly step: number;
  readonly origin: { readonly x: number; readonly y: number };
  /** mm/s with the knife down, and up. */
  readonly knife: number;
  readonly travel: number;
}

export type CutterPhase = 'idle' | 'cutting' | 'paused' | 'stopped' | 'done' | 'outOfFilm' | 'lidOpen';

/**
 * A cutter between two moments. It is a stand-in for a machine: it keeps only what such a machine knows, HPGL and film, and nothing of marks or jobs.
 */
export interface CutterState {
  readonly phase: CutterPhase;
  readonly machine: CutterMachine;
  readonly film?: LoadedFilm;
  /** The sender's name for the job. */
  readonly run?: string;
  readonly moves: readonly Move[];
  /** The move that is being made, and how much of it is done, mm. */
  readonly at: number;
  readonly into: number;
  /** The knife, mm from the film's lower left corner. */
  readonly knife: Point;
  /** Outlines cut whole. */
  readonly strokes: number;
  /** Furthest that the knife has been down along the film, mm. */
  readonly used: number;
  /** Knife down so far, and in all, mm. */
  readonly cut: number;
  readonly toCut: number;
  /** Why the last order was refused. */
  readonly refusal?: string;
}

export type CutterOrder =
  | { readonly kind: 'load'; readonly film: LoadedFilm }
  | { readonly kind: 'set'; readonly machine: CutterMachine }
  /** `film` is what the job is meant for: other film is refused. */
  | { readonly kind: 'send'; readonly run: string; readonly hpgl: string; readonly film?: string }
  | { readonly kind: 'pause' }
  | { readonly kind: 'resume' }
  | { readonly kind: 'stop' }
  | { readonly kind: 'openLid' }
  | { readonly kind: 'closeLid' }
  | { readonly kind: 'runOut' }
  | { readonly kind: 'time'; readonly ms: number };

/** A cutter that has just been switched on. */
export const switchedOn = (machine: CutterMachine): CutterState => ({
  phase: 'idle',
  machine,
  moves: [],
  at: 0,
  into: 0,
  knife: [0, 0],
  strokes: 0,
  used: 0,
  cut: 0,
  toCut: 0,
});

const busy = (state: CutterState): boolean => ['cutting', 'paused', 'lidOpen', 'outOfFilm'].includes(state.phase);
const refuse = (state: CutterState, refusal: string): CutterState => ({ ...state, refusal });

function send(state: CutterState, run: string, hpgl: string, wants: string | undefined): CutterState {
  // the same job sent twice, as when an answer was lost, is cut once
  if (state.run === run && state.phase !== 'idle') return state;
  if (busy(state)) return refuse(state, 'The cutter is still at another job. Let it finish, or stop it.');
  const { film } = state;
  if (!film) return refuse(state, 'No film lies in the cutter. Load the roll, and say how much is on it.');
  if (wants !== undefined && film.name !== undefined && film.name !== wants)
    return refuse(state, `${film.name} lies in the cutter, and this cut is for ${wants}. Load ${wants}, and say so below.`);
  const read = readHpgl(hpgl);
  if (!read.ok) return refuse(state, `${read.problem.found} ${read.problem.wayOut}`);
  const place = fromMachine(film.width, state.machine);
  const moves = read.value.moves.map((move) => ({ ...move, to: place(move.to) }));
  const cuts = moves.filter((move) => move.down);
  const reach = cuts.reduce((most, { to }) => Math.max(most, to[1]), 0);
  const out = cuts.find(({ to }) => to[0] < -KNIFE.step || to[0] > film.width + KNIFE.step || to[1] < -KNIFE.step);
  if (reach > film.length + KNIFE.step)
    return refuse(
      state,
      `The job is ${Math.ceil(reach)} mm long, and only ${Math.floor(film.length)} mm of film lie in the cutter. Load more, or cut it in parts.`,
    );
  if (out)
    return refuse(
      state,
      `The job is wider than the ${Math.round(film.width)} mm of film in the cutter. Load wider film, or turn the marks.`,
    );
  let from: Point = [0, 0];
  let toCut = 0;
  for (const { to, down } of moves) {
    if (down) toCut += Math.hypot(to[0] - from[0], to[1] - from[1]);
    from = to;
  }
  return { ...switchedOn(state.machine), film, phase: 'cutting', run, moves, toCut };
}

/** Moves the knife on for some time. */
function advance(state: CutterState, ms: number): CutterState {
  if (state.phase !== 'cutting') return state;
  const { moves, machine } = state;
  let { at, into, knife, strokes, used, cut } = state;
  let left = ms / 1000;
  while (at < moves.length && left > 0) {
    const { to, down, pen } = moves[at]!;
    const way = Math.hypot(to[0] - knife[0], to[1] - knife[1]);
    const speed = down ? machine.knife : machine.travel;
    const gone = Math.min(way, left * speed);
    const t = way > 0 ? gone / way : 1;
    knife = [knife[0] + (to[0] - knife[0]) * t, knife[1] + (to[1] - knife[1]) * t];
    if (down) {
      cut += gone;
      used = Math.max(used, knife[1]);
    }
    left -= gone / speed;
    if (gone < way) {
      into += gone;
      break;
    }
    // the knife comes up, or the job ends: an outline is whole
    if (down && !pen && !moves[at + 1]?.down) strokes += 1;
    at += 1;
    into = 0;
  }
  return { ...state, at, into, knife, strokes, used, cut, phase: at >= moves.length ? 'done' : 'cutting' };
}

/** What each order does; an order that does not suit the moment is refused with a sentence, and nothing else changes. */
export function orderCutter(before: CutterState, order: CutterOrder): CutterState {
  const state: CutterState = order.kind === 'time' ? before : { ...before, refusal: undefined };
  switch (order.kind) {
    case 'time':
      return advance(state, order.ms);
    case 'set':
      return busy(state) ? refuse(state, 'The cutter is at work.') : { ...state, machine: order.machine };
    case 'load':
      if (state.phase === 'outOfFilm') return { ...state, film: order.film, phase: 'stopped' };
      return busy(state) ? refuse(state, 'The cutter is at work: its film stays.') : { ...state, film: order.film };
    case 'send':
      return send(state, order.run, order.hpgl, order.film);
    case 'pause':
      return state.phase === 'cutting' ? { ...state, phase: 'paused' } : state;
    case 'resume':
      return state.phase === 'paused' ? { ...state, phase: 'cutting' } : state;
    case 'stop':
      return busy(state) ? { ...state, phase: 'stopped' } : state;
    case 'openLid':
      return state.phase === 'cutting' || state.phase === 'paused' ? { ...state, phase: 'lidOpen' } : state;
    case 'closeLid':
      return state.phase === 'lidOpen' ? { ...state, phase: 'paused' } : state;
    case 'runOut':
      return state.phase === 'cutting' || state.phase === 'paused' ? { ...state, phase: 'outOfFilm' } : state;
  }
}

/** What a cutter tells when it is asked. */
export interface CutterReport {
  readonly phase: CutterPhase;
  readonly run?: string;
  readonly film?: LoadedFilm;
  readonly knife: Point;
  /** Outlines cut whole. */
  readonly strokes: number;
  readonly used: number;
  readonly cut: number;
  readonly toCut: number;
  readonly refusal?: string;
}

export const reportOf = ({ phase, run, film, knife, strokes, used, cut, toCut, refusal }: CutterState): CutterReport => ({
  phase,
  run,
  film,
  knife,
  strokes,
  used,
  cut,
  toCut,
  refusal,
});
