import { expose } from 'comlink';
import {
  checkNesting,
  copyKey,
  filmSpent,
  fillFrugally,
  FillSearch,
  layByHand,
  nestedLength,
  NestingSearch,
  placesOf,
  skyline,
  startByOutlines,
  Tightening,
  TURNS,
  type HandLaid,
  type HandMove,
  type Nested,
  type NestOptions,
  type NestPart,
  type Sheet,
  type Turning,
} from '@kolleta/core/cut';
import { regionArea } from '@kolleta/core/geometry';
import type { KeptLayout } from '@kolleta/core/job';

/** The best layout so far: how far along the film it reaches, mm, against that of the boxes; on a piece, what it holds. */
export interface NestReport {
  readonly length: number;
  readonly boxes: number;
  readonly rounds: number;
  /** Copies that it holds, and mm² of them. */
  readonly holds: number;
  readonly area: number;
  /** On a roll, at the end: mm² of film that it spends, what is left of it counted. */
  readonly spent?: number;
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

/** What a search begins with: the layout as it is, or another by the outlines. */
type Start = 'asItIs' | 'outlines';

/** The last hundredths of a layout are looked for so long at the end, ms. */
const TIGHTEN_MS = 2500;

/** So many orders are tried for a start by outlines. */
const STARTS = 24;

/** A search of either kind: for less of a roll, or for more on a piece. */
interface Looks {
  round(): void;
  /** The best layout so far. */
  best(): readonly Nested[];
  /** What comes of it at the end: layouts, the one that is wanted first. */
  last(): readonly (readonly Nested[])[];
}

let search: (NestSearch & { looks: Looks; boxes: number; before: NestReport; rounds: number }) | undefined;

const ofPiece = ({ sheet }: Pick<NestSearch, 'sheet'>): boolean => sheet.from.kind !== 'roll';

/** More on a sheet or an offcut: from what lies on it, or, where nothing is to stay, from those parts that make most of it. */
function onPiece({ parts, sheet, options, now, turning }: NestSearch, locked: ReadonlySet<string>, seed: number, from: Start): Looks {
  const frugal = from === 'outlines' && locked.size === 0 ? fillFrugally(parts, sheet, options, seed) : now;
  const looks = new FillSearch(parts, sheet, options, frugal, seed, TURNS[turning], locked);
  return { round: () => looks.round(), best: () => looks.nested(), last: () => [looks.nested()] };
}

/** Less of a roll: from the layout as it is, or from the outlines each laid at the lowest place and corner into corner. */
function onRoll({ parts, sheet, options, now, turning }: NestSearch, locked: ReadonlySet<string>, seed: number, from: Start): Looks {
  const asItIs = { nested: now, tooLarge: [] };
  const stay = now.filter((one) => locked.has(copyKey(one)));
  const start = from === 'asItIs' ? asItIs : startByOutlines(parts, sheet, options, { rounds: STARTS, seed }, asItIs, stay);
  const corners = from === 'outlines' ? 'corners' : 'asItIs';
  const looks = new NestingSearch(parts, sheet, options, start, seed, corners, TURNS[turning], locked);
  const last = () => {
    const tightening = new Tightening(parts, sheet, options, looks.nested(), TURNS[turning], locked);
    const until = performance.now() + TIGHTEN_MS;
    while (performance.now() < until && tightening.step());
    return [tightening.gathered(), tightening.nested()];
  };
  return { round: () => looks.round(), best: () => looks.nested(), last: () => [...last(), looks.gathered(), looks.nested()] };
}

const reportOf = (nested: readonly Nested[], parts: readonly NestPart[], boxes: number, rounds: number): NestReport => ({
  ...{ boxes, rounds, length: nestedLength({ nested }, parts), holds: nested.length },
  area: nested.reduce((sum, { part }) => sum + regionArea(parts[part]!.region), 0),
});

/** Whether one layout is better than another: on a piece it holds more, on a roll it is shorter. */
const better = (asked: NestSearch, one: NestReport, other: NestReport): boolean =>
  ofPiece(asked) ? one.area > other.area + 1 : one.length < other.length - 0.5;

const nester = {
  /** Begins with the layout as it is, or with the outlines: from there other layouts are found. */
  begin(asked: NestSearch, seed: number, from: Start): NestReport {
    const { parts, sheet, options, now } = asked;
    const looks = (ofPiece(asked) ? onPiece : onRoll)(asked, new Set(asked.locked), seed, from);
    const boxes = ofPiece(asked) ? 0 : nestedLength(skyline(parts, [sheet], options, { rounds: 1, seed }), parts);
    const before = reportOf(now, parts, boxes, 0);
    search = { ...asked, looks, boxes, before, rounds: 0 };
    return before;
  },
  /** Looks on for so long, ms. */
  run(ms: number): NestReport {
    if (!search) throw new Error('the nester was told to go on before it had begun');
    const until = performance.now() + ms;
    do {
      search.looks.round();
      search.rounds += 1;
    } while (performance.now() < until);
    const { looks, parts, boxes, before, rounds } = search;
    const now = reportOf(looks.best(), parts, boxes, rounds);
    return better(search, now, before) ? now : { ...before, rounds };
  },
  /** The places of what comes of it at the end, checked on the true outlines; nothing where that is no better than the layout before. */
  last(): { readonly places: KeptLayout['places']; readonly report: NestReport } | undefined {
    if (!search) return undefined;
    const { looks, parts, sheet, options, now, before, boxes, rounds, locked } = search;
    const some = ofPiece(search) ? parts.map((_, p) => p) : [];
    const found = looks.last().map((nested) => {
      const report = reportOf(nested, parts, boxes, rounds);
      return { nested, report: some.length > 0 ? report : { ...report, spent: filmSpent(nested, parts, sheet, options) } };
    });
    // what is left of the layout as it was counts too: a little less length is nothing won where an offcut is lost for it
    const spent = some.length > 0 ? Infinity : filmSpent(now, parts, sheet, options);
    for (const { nested, report } of found.toSorted((one, other) => (one.report.spent ?? 0) - (other.report.spent ?? 0))) {
      const sound =
        better(search, report, before) &&
        (report.spent ?? 0) < spent &&
        checkNesting({ nested, tooLarge: some }, parts, [sheet], options).length === 0;
      if (sound) return { places: placesOf({ nested }, parts, new Set(locked)), report };
    }
    return undefined;
  },
  /** A part moved or turned by hand. */
  byHand({ parts, sheet, options, now, locked }: Omit<NestSearch, 'turning'>, move: HandMove): { found: HandLaid } {
    return { found: layByHand(parts, sheet, options, { nested: now, tooLarge: [] }, move, new Set(locked)) };
  },
};

export type NestWorker = typeof nester;

expose(nester);
