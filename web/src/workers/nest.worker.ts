import { expose } from 'comlink';
import {
  checkNesting,
  nestedLength,
  placesOf,
  Separation,
  skyline,
  startByOutlines,
  type NestOptions,
  type NestPart,
  type Sheet,
} from '@kolleta/core/cut';
import type { KeptLayout } from '@kolleta/core/job';

/** The best layout so far: how far along the film it reaches, mm, against that of the boxes. */
export interface NestReport {
  readonly length: number;
  readonly boxes: number;
  readonly rounds: number;
}

/** So many orders are tried for a start by outlines. */
const STARTS = 24;

let search:
  { separation: Separation; parts: readonly NestPart[]; sheet: Sheet; options: NestOptions; boxes: number; rounds: number } | undefined;

const nester = {
  /** Begins with the boxes of the parts, or with their outlines each laid at the lowest place: from there other layouts are found. */
  begin(parts: readonly NestPart[], sheet: Sheet, options: NestOptions, seed: number, from: 'boxes' | 'outlines'): NestReport {
    const laid = skyline(parts, [sheet], options, { rounds: 1, seed });
    const boxes = nestedLength(laid, parts);
    const start = from === 'boxes' ? laid : startByOutlines(parts, sheet, options, { rounds: STARTS, seed }, laid);
    search = { separation: new Separation(parts, sheet, options, start, seed), parts, sheet, options, boxes, rounds: 0 };
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
    const { separation, parts, boxes, rounds } = search;
    const length = separation.length < Infinity ? nestedLength({ nested: separation.nested() }, parts) : boxes;
    return { length: Math.min(length, boxes), boxes, rounds };
  },
  /** The places of the best layout, checked on the true outlines; nothing where it is no better than the boxes. */
  best(): KeptLayout['places'] | undefined {
    if (!search || search.separation.length === Infinity) return undefined;
    const { separation, parts, sheet, options, boxes } = search;
    const nesting = { nested: separation.nested(), tooLarge: [] };
    const better = nestedLength(nesting, parts) < boxes - 0.5;
    return better && checkNesting(nesting, parts, [sheet], options).length === 0 ? placesOf(nesting, parts) : undefined;
  },
};

export type NestWorker = typeof nester;

expose(nester);
