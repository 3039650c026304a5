import { expose } from 'comlink';
import {
  checkNesting,
  copyKey,
  layByHand,
  nestedLength,
  placesOf,
  Separation,
  skyline,
  startByOutlines,
  TURNS,
  type HandLaid,
  type HandMove,
  type Nested,
  type NestOptions,
  type NestPart,
  type Sheet,
  type Turning,
} from '@kolleta/core/cut';
import type { KeptLayout } from '@kolleta/core/job';

/** The best layout so far: how far along the film it reaches, mm, against that of the boxes. */
export interface NestReport {
  readonly length: number;
  readonly boxes: number;
  readonly rounds: number;
}

/** What is looked for a shorter layout of. */
export interface NestSearch {
  readonly parts: readonly NestPart[];
  readonly sheet: Sheet;
  readonly options: NestOptions;
  /** How they lie now. */
  readonly now: readonly Nested[];
  /** Copies that stay where they lie, as `copyKey` calls them. */
  readonly locked: readonly string[];
  readonly turning: Turning;
}

/** So many orders are tried for a start by outlines. */
const STARTS = 24;

let search: (NestSearch & { separation: Separation; boxes: number; before: number; rounds: number }) | undefined;

const nester = {
  /** Begins with the layout as it is, or with the outlines each laid at the lowest place: from there other layouts are found. */
  begin(asked: NestSearch, seed: number, from: 'asItIs' | 'outlines'): NestReport {
    const { parts, sheet, options, now, turning } = asked;
    const locked = new Set(asked.locked);
    const asItIs = { nested: now, tooLarge: [] };
    const stay = now.filter((one) => locked.has(copyKey(one)));
    const start = from === 'asItIs' ? asItIs : startByOutlines(parts, sheet, options, { rounds: STARTS, seed }, asItIs, stay);
    const boxes = nestedLength(skyline(parts, [sheet], options, { rounds: 1, seed }), parts);
    const before = nestedLength(asItIs, parts);
    search = { ...asked, separation: new Separation(parts, sheet, options, start, seed, TURNS[turning], locked), boxes, before, rounds: 0 };
    return { length: nestedLength(start, parts), boxes, rounds: 0 };
  },
  /** Looks on for so long, ms. */
  run(ms: number): NestReport {
    if (!search) throw new Error('the nester was told to go on before it had begun');
    const until = performance.now() + ms;
    do {
      search.separation.round();
      search.rounds += 1;
    } while (performance.now() < until);
    const { separation, parts, boxes, before, rounds } = search;
    const length = separation.length < Infinity ? nestedLength({ nested: separation.nested() }, parts) : before;
    return { length: Math.min(length, before), boxes, rounds };
  },
  /** The places of the best layout, checked on the true outlines; nothing where it is no better than the one before. */
  best(): KeptLayout['places'] | undefined {
    if (!search || search.separation.length === Infinity) return undefined;
    const { separation, parts, sheet, options, before, locked } = search;
    const found = [separation.gathered(), separation.nested()].map((nested) => ({ nested, tooLarge: [] }));
    const sound = found.find(
      (nesting) => nestedLength(nesting, parts) < before - 0.5 && checkNesting(nesting, parts, [sheet], options).length === 0,
    );
    return sound && placesOf(sound, parts, new Set(locked));
  },
  /** A part moved or turned by hand. */
  byHand({ parts, sheet, options, now, locked }: Omit<NestSearch, 'turning'>, move: HandMove): { found: HandLaid } {
    return { found: layByHand(parts, sheet, options, { nested: now, tooLarge: [] }, move, new Set(locked)) };
  },
};

export type NestWorker = typeof nester;

expose(nester);
