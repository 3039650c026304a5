import { BLADE, CUT_OUTCOMES, LADDER, TEST_CUT } from '../facts';
import { boxRegion, type Point, type Region } from '../geometry';
import { standing, type Film, type Id, type Machine, type WorkEvent } from '../job';
import { layoutFilm, type FilmLayout } from './layout';

/** A test cut as it is in the log. */
export type TestCut = Extract<WorkEvent, { kind: 'testCut' }>;

/** How the next test cut is made: force in the machine's own units, speed in cm/s. */
export interface Trial {
  readonly force: number;
  readonly speed?: number;
  /** The last one was right: this is how that film is cut. */
  readonly done: boolean;
  /** Between these forces nothing right was found, and there is hardly room left: it is not the force. */
  readonly narrow: boolean;
}

/** When the blade of a machine was last changed, UTC ms; never, where nobody said so. */
const bladeSince = (events: readonly WorkEvent[], machine: Id): number =>
  events.reduce((at, event) => (event.kind === 'bladeChanged' && event.machine === machine ? Math.max(at, event.at) : at), -Infinity);

/** Test cuts of a film on a machine with the blade that is in it, oldest first. */
export function testCutsOf(events: readonly WorkEvent[], film: Id, machine: Id): TestCut[] {
  const all = standing(events);
  const since = bladeSince(all, machine);
  return all.filter(
    (event): event is TestCut => event.kind === 'testCut' && event.film === film && event.machine === machine && event.at >= since,
  );
}

/** Whole numbers, and halves where the forces are small. */
const handy = (force: number): number => (force >= 5 ? Math.round(force) : Math.round(force * 2) / 2);

/**
 * The next test cut of a ladder: between the greatest force that did not go through and the least that marked the liner, by halves. Where one
 * side is not known yet it steps out. What contradicts what came later is forgotten: blades wear.
 *
 * @param tests of one film, machine and blade, oldest first
 * @param start force and speed to begin with
 */
export function nextTrial(
  tests: readonly Pick<TestCut, 'force' | 'speed' | 'outcome'>[],
  start: { readonly force?: number | undefined; readonly speed?: number | undefined } = {},
): Trial {
  let [low, high]: [number | undefined, number | undefined] = [undefined, undefined];
  for (const { force, outcome } of tests) {
    const says = CUT_OUTCOMES[outcome].force;
    if (says === 'more') [low, high] = [Math.max(low ?? 0, force), high !== undefined && high <= force ? undefined : high];
    if (says === 'less') [low, high] = [low !== undefined && low >= force ? undefined : low, Math.min(high ?? Infinity, force)];
  }
  const last = tests.at(-1);
  const speed = last?.speed ?? start.speed;
  const at = (force: number, more: Partial<Trial> = {}): Trial => ({
    force: Math.max(LADDER.least, Math.min(LADDER.most, force)),
    ...(speed === undefined ? {} : { speed }),
    ...{ done: false, narrow: false, ...more },
  });
  if (!last) return at(start.force ?? LADDER.start);
  const says = CUT_OUTCOMES[last.outcome].force;
  if (says === 'right') return at(last.force, { done: true });
  if (last.outcome === 'torn' && speed !== undefined) return at(last.force, { speed: Math.max(1, Math.round(speed * LADDER.slower)) });
  if (says === 'same') return at(last.force);
  if (low !== undefined && high !== undefined) {
    const middle = handy((low + high) / 2);
    const narrow = high - low <= LADDER.narrow || middle <= low || middle >= high;
    return at(narrow ? (low + high) / 2 : middle, { narrow });
  }
  if (low !== undefined) return at(handy(Math.max(low + 1, low * LADDER.up)));
  return at(handy(Math.min(high! - (high! > 5 ? 1 : 0.5), high! * LADDER.down)));
}

/** How a film is cut on a machine: as its last right test cut with this blade was. */
export function cutSetting(events: readonly WorkEvent[], film: Id, machine: Id): TestCut | undefined {
  const last = testCutsOf(events, film, machine).at(-1);
  return last?.outcome === 'clean' ? last : undefined;
}

/** Why a test cut is a step of its own before a film is cut: a new blade, bargain film, a new roll. */
export type TestCutWhy = 'blade' | 'bargain' | 'roll';

/** What of the log says whether test cuts are wanted. */
export const knifeEvents = (events: readonly WorkEvent[]): readonly WorkEvent[] =>
  standing(events).filter(({ kind }) => kind === 'testCut' || kind === 'bladeChanged' || kind === 'counted');

/**
 * Why a film wants a test cut on a machine before it is cut; nothing where its last one with this blade came out right, or where nothing is known that asks
 * for one.
 *
 * @param events as `knifeEvents` gives them
 */
export function testCutWanted(events: readonly WorkEvent[], film: Pick<Film, 'id' | 'kind'>, machine: Id): TestCutWhy | undefined {
  const right = cutSetting(events, film.id, machine)?.at ?? -Infinity;
  const rolled = events.some(
    (event) =>
      event.kind === 'counted' &&
      event.stock === 'film' &&
      event.item === film.id &&
      event.at > right &&
      event.is - event.was >= TEST_CUT.newRoll,
  );
  // film that was never tested here is cut as its maker is used to; only what changed since asks
  if (rolled && testCutsOf(events, film.id, machine).length > 0) return 'roll';
  if (right > -Infinity) return undefined;
  if (film.kind === 'bargain') return 'bargain';
  return bladeSince(events, machine) > -Infinity ? 'blade' : undefined;
}

/** A layout whose machine is set as the film's last right test cut was. */
export function asTested(layout: FilmLayout, events: readonly WorkEvent[]): FilmLayout {
  const { machine, film } = layout;
  const setting = machine && cutSetting(events, film.id, machine.id);
  if (!setting) return layout;
  return { ...layout, machine: { ...machine, force: setting.force, ...(setting.speed === undefined ? {} : { speed: setting.speed }) } };
}

/** How far blades have cut, m. */
export interface BladeMetres {
  readonly now: number;
  readonly before: readonly number[];
  /** After about how many a blade is changed: the mean of those before, else what is usual. */
  readonly lasts: number;
  /** This one has come near to that. */
  readonly worn: boolean;
}

/** How far the blade of a machine has cut, m, and how far those before it did; of cuts that did not say how far, nothing is counted. */
export function bladeMetres(events: readonly WorkEvent[], machine: Id): BladeMetres {
  const before: number[] = [];
  let now = 0;
  for (const event of standing(events)) {
    if (event.kind === 'cut' && event.machine === machine) now += (event.knife ?? 0) / 1000;
    if (event.kind === 'bladeChanged' && event.machine === machine) {
      before.push(now);
      now = 0;
    }
  }
  const done = before.filter((metres) => metres > 0);
  const lasts = done.length > 0 ? done.reduce((sum, metres) => sum + metres, 0) / done.length : BLADE.lasts;
  return { now, before: done, lasts, worn: now >= lasts * BLADE.soon };
}

/** A test cut as it is sent to a machine: a square with a circle in it. */
export function testCutLayout(film: Film, machine: Machine, { force, speed }: Pick<Trial, 'force' | 'speed'>): FilmLayout {
  const half = TEST_CUT.square / 2;
  const circle = Array.from({ length: 48 }, (_, i): Point => [
    TEST_CUT.circle * Math.cos((2 * Math.PI * i) / 48),
    -TEST_CUT.circle * Math.sin((2 * Math.PI * i) / 48),
  ]);
  const [square] = boxRegion({ minX: -half, minY: -half, maxX: half, maxY: half });
  const region: Region = [{ outer: square!.outer, holes: [circle] }];
  const set = { ...machine, force, ...(speed === undefined ? {} : { speed }) };
  return layoutFilm(film, [{ job: 'test', mark: 'test', name: 'Test cut', copies: 1, region }], [set]);
}
