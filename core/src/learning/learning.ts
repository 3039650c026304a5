import { LEARNING, type Coat, type CoatId, type FilmFinish, type GroundId, type StepKind, type TapeKindId } from '../facts';
import { isTimed, PAINT_CAME_OFF, standing, STAYED_ON_LINER, type StepOf, type WorkEvent } from '../job';

/** What was learnt about one thing: how many times as long, or as strong, it is as computed. */
export interface Factor {
  /** Tells it from others; what was forgotten is named by it. */
  readonly key: string;
  readonly about: FactorAbout;
  /** Exactly 1 where nothing was learnt. */
  readonly value: number;
  readonly runs: number;
  /** Where it most likely lies, in 8 cases of 10. */
  readonly low: number;
  readonly high: number;
}

/** What a factor is about. */
export type FactorAbout =
  | { readonly kind: 'work'; readonly work: StepKind }
  | { readonly kind: 'film'; readonly work: StepKind; readonly film: NonNullable<StepOf['film']> }
  | { readonly kind: 'technique'; readonly work: StepKind; readonly technique: NonNullable<StepOf['technique']> }
  | { readonly kind: 'ground'; readonly work: StepKind; readonly ground: GroundId }
  | { readonly kind: 'who'; readonly who: string }
  | { readonly kind: 'drying'; readonly coat?: CoatId | undefined; readonly base: Coat['base'] }
  | { readonly kind: 'grip'; readonly tape: TapeKindId; readonly finish: FilmFinish; readonly ground: GroundId };

/** What the log has taught so far, by key. */
export type Learnt = ReadonlyMap<string, Factor>;

/** The key of what is learnt about something. */
export function factorKey(about: FactorAbout): string {
  switch (about.kind) {
    case 'work':
      return `work ${about.work}`;
    case 'film':
      return `work ${about.work} film ${about.film}`;
    case 'technique':
      return `work ${about.work} technique ${about.technique}`;
    case 'ground':
      return `work ${about.work} ground ${about.ground}`;
    case 'who':
      return `who ${about.who}`;
    case 'drying':
      return `drying ${about.coat ?? about.base}`;
    case 'grip':
      return `grip ${about.tape} ${about.finish} ${about.ground}`;
  }
}

/** One run: what it was about, and the logarithm of how many times as long it took as computed. */
interface Run {
  readonly at: number;
  readonly work: StepKind;
  readonly of: StepOf;
  readonly log: number;
}

/** The runs that teach how long work takes: ended well, timed, and not absurd. */
function runsOf(events: readonly WorkEvent[]): Run[] {
  return events.flatMap((event): Run[] => {
    if (event.kind !== 'done' || event.work === undefined || !event.unlearned || event.actual <= 0 || !isTimed(event)) return [];
    const ratio = event.actual / event.unlearned;
    if (ratio > LEARNING.most || ratio < 1 / LEARNING.most) return [];
    return [{ at: event.at, work: event.work, of: event.of ?? {}, log: Math.log(ratio) }];
  });
}

/** Something that may make a difference to a run: what is learnt about it comes on top of what was learnt before. */
type Level = (run: Run) => FactorAbout | undefined;
const LEVELS: readonly Level[] = [
  ({ work }) => ({ kind: 'work', work }),
  ({ work, of: { film } }) => film && { kind: 'film', work, film },
  ({ work, of: { technique } }) => technique && { kind: 'technique', work, technique },
  ({ work, of: { ground } }) => ground && { kind: 'ground', work, ground },
  ({ of: { who } }) => (who === undefined ? undefined : { kind: 'who', who }),
];

/**
 * A factor from logarithms of ratios, drawn towards 1 (James and Stein 1961): exp(Σ ln / (n + 4)). Its range is that of the mean of so many
 * values when as
 * many more lie at 1.
 */
function factorOf(about: FactorAbout, logs: readonly number[], spread: number): Factor {
  const n = logs.length;
  const mean = logs.reduce((sum, log) => sum + log, 0) / (n + LEARNING.towards);
  const either = (LEARNING.range * spread) / Math.sqrt(n + LEARNING.towards);
  return { key: factorKey(about), about, value: Math.exp(mean), runs: n, low: Math.exp(mean - either), high: Math.exp(mean + either) };
}

/** How far values lie apart; the usual where there are too few to tell. */
function spreadOf(logs: readonly number[]): number {
  if (logs.length < LEARNING.enough) return LEARNING.spread;
  const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length;
  return Math.max(LEARNING.leastSpread, Math.sqrt(logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) / (logs.length - 1)));
}

/** Values by what they are about. */
function grouped<T>(items: readonly T[], aboutOf: (item: T) => FactorAbout | undefined): Map<string, { about: FactorAbout; items: T[] }> {
  const groups = new Map<string, { about: FactorAbout; items: T[] }>();
  for (const item of items) {
    const about = aboutOf(item);
    if (!about) continue;
    const key = factorKey(about);
    const group = groups.get(key) ?? { about, items: [] };
    groups.set(key, group);
    group.items.push(item);
  }
  return groups;
}

/** What teaches how firmly a tape holds a film on a ground: letters that stayed, paint that came along, and marks that went down well. */
function tapeRuns(events: readonly WorkEvent[]): { at: number; about: FactorAbout; log: number }[] {
  return events.flatMap((event) => {
    if ((event.kind !== 'done' && event.kind !== 'wrong') || !event.of) return [];
    const { tape, finish, ground } = event.of;
    if (!tape || !finish || !ground || (event.kind === 'done' && event.work !== 'place')) return [];
    const what = event.kind === 'wrong' ? event.what : undefined;
    if (what !== undefined && what !== STAYED_ON_LINER && what !== PAINT_CAME_OFF) return [];
    const log = what === undefined ? 0 : what === STAYED_ON_LINER ? -LEARNING.tape : LEARNING.tape;
    return [{ at: event.at, about: { kind: 'grip' as const, tape, finish, ground }, log }];
  });
}

/**
 * What a log has taught: how many times as long as computed each kind of work takes, then with which film, by which technique and on which ground
 * it takes
 * longer still, and in whose hands; how long coats dry here; how firmly tapes hold. Runs that were not timed teach nothing, nor do runs before
 * what they taught was forgotten.
 */
export function learntFrom(events: readonly WorkEvent[]): Learnt {
  const all = standing(events);
  const forgotten = new Map<string, number>();
  for (const event of all)
    if (event.kind === 'forgotten') forgotten.set(event.key, Math.max(event.at, forgotten.get(event.key) ?? -Infinity));
  const counts = (key: string, at: number) => at > (forgotten.get(key) ?? -Infinity) && at > (forgotten.get('all') ?? -Infinity);
  const found = new Map<string, Factor>();
  // what was forgotten of a kind of work is forgotten of its films, techniques and grounds
  const runs = runsOf(all).filter(({ at, work }) => counts(factorKey({ kind: 'work', work }), at));
  const rest = new Map(runs.map((run) => [run, run.log]));
  for (const level of LEVELS) {
    const groups = grouped(
      runs.filter((run) => {
        const about = level(run);
        return about && counts(factorKey(about), run.at);
      }),
      level,
    );
    for (const [key, { about, items }] of groups) {
      const logs = items.map((run) => rest.get(run)!);
      found.set(key, factorOf(about, logs, spreadOf(logs)));
      // what comes after learns only what differs: what this teaches is not learnt twice
      const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length;
      for (const run of items) rest.set(run, rest.get(run)! - mean);
    }
  }
  const single = (items: readonly { at: number; about: FactorAbout; log: number }[]) => {
    for (const [key, group] of grouped(
      items.filter(({ at, about }) => counts(factorKey(about), at)),
      ({ about }) => about,
    )) {
      const logs = group.items.map(({ log }) => log);
      found.set(key, factorOf(group.about, logs, spreadOf(logs)));
    }
  };
  single(
    all.flatMap((event) => {
      if (event.kind !== 'dried') return [];
      const ratio = event.actual / event.unlearned;
      // tacky still after so long: it takes longer than that, and nobody knows by how much
      const log = Math.log(Math.min(LEARNING.most, Math.max(1 / LEARNING.most, ratio)));
      return [
        { at: event.at, about: { kind: 'drying' as const, coat: event.coat, base: event.base }, log: event.tacky ? Math.max(0, log) : log },
      ];
    }),
  );
  single(tapeRuns(all));
  return found;
}

/** How many times as long as computed a step takes, and what says so: exactly 1 where nothing was learnt. */
export function factorFor(learnt: Learnt, work: StepKind, of: StepOf): { readonly value: number; readonly from: readonly Factor[] } {
  const run: Run = { at: 0, work, of, log: 0 };
  const from = LEVELS.flatMap((level) => {
    const about = level(run);
    const factor = about && learnt.get(factorKey(about));
    return factor ? [factor] : [];
  });
  return { value: from.reduce((product, factor) => product * factor.value, 1), from };
}

/** How many times as firmly as computed a tape holds a film with a finish on a ground. */
export const gripFactor = (learnt: Learnt, tape: TapeKindId, finish: FilmFinish, ground: GroundId): number =>
  learnt.get(factorKey({ kind: 'grip', tape, finish, ground }))?.value ?? 1;

/** How many times as long as computed a coat takes to dry here; what dries without being a coat goes by what leaves it. */
export const dryingLearnt = (learnt: Learnt, coat: CoatId | undefined, base: Coat['base']): number =>
  learnt.get(factorKey({ kind: 'drying', coat, base }))?.value ?? 1;
