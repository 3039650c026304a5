import { boxHeight, boxOf, boxWidth } from '../geometry';
import { FILM_KINDS, LAYOUT } from '../facts';
import { capital, formatLength, listed, type LengthSystem } from '../units';
import { filmInstead, setAt, type Remedy, type Film, type Job, type Reading, type Shop } from '../job';
import { inLoads } from './loads';
import { holdDownOf } from './holdDown';
import { oneLoad } from './oneLoad';
import { holdsAll, overPieces, piecesBeside, spreadWords, type Spread } from './overPieces';
import { machineFor, type FilmLayout } from './layout';

/** The change that cuts from one film whatever of a job was to be cut from another. */
const useInstead = (job: Job, from: string, to: string): Remedy['patch'] => job.marks.flatMap((mark) => filmInstead(mark, from, to));

/** Film that the widest of its parts takes by itself, laid across, mm: so much is kept to cut one again. */
function againLength({ outlines, parts, machine }: Pick<FilmLayout, 'outlines' | 'parts' | 'machine'>): number {
  const sides = [...new Set(parts.map(({ outline }) => outline))].map((i) => {
    const box = boxOf(outlines[i]!);
    return Math.min(boxWidth(box), boxHeight(box));
  });
  return sides.length === 0 ? 0 : Math.max(...sides) + 2 * holdDownOf(machine);
}

/** Whether a sheet or an offcut beside the roll is so large both ways. */
const hasSpare = ({ pieces = [] }: Film, side: number): boolean => pieces.some(({ width, length }) => Math.min(width, length) >= side);

/** So many orders are tried on each piece. */
const ROUNDS = 2;

/** Where all of it is cut from where the roll has not enough or is too narrow; nothing where sheets and offcuts do not hold what is wanting. */
function beside(own: FilmLayout, film: Film, { machines, layouts }: Pick<Shop, 'machines' | 'layouts'>, has: number): Spread | undefined {
  const pieces = piecesBeside(film);
  if ((own.tooWide.length === 0 && has >= own.taken) || pieces.length === 0) return undefined;
  const spread = overPieces([own], pieces, machines, ROUNDS, layouts);
  return spread.sheets.length > 0 && holdsAll(spread, has) ? spread : undefined;
}

/** What is too wide for its roll, and the roll; a sentence. */
const wideWords = (own: FilmLayout): string =>
  `${capital(listed(own.tooWide.map(({ name }) => name)))} ${own.tooWide.length === 1 ? 'is' : 'are'} wider than the roll and the machine take, whichever way round.`;

/** How a film is cut where the roll has not enough of it, or is too narrow. */
function besideWords(own: FilmLayout, spread: Spread, say: (mm: number) => string): string {
  const { sheets, roll } = spread;
  const only = sheets.length === 1 && !roll ? sheets[0]!.piece : undefined;
  const short = own.tooWide.length > 0 ? wideWords(own) : `The roll ${only ? '' : 'alone '}has not enough.`;
  return only
    ? `${short} Cut it from the ${only.kind} of ${say(only.width)} × ${say(only.length)}: it holds all of it.`
    : `${short} Cut ${listed(spreadWords(spread, say))}.`;
}

/**
 * What cutting one film for one job tells: whether the roll has enough, and whether the machine takes it.
 *
 * @param shared the layout of all open jobs
 * @param own the layout of this job alone
 * @param left mm left of each film
 * @param needed mm that open jobs take of each film
 */
export function cutReadings(
  job: Job,
  shared: FilmLayout,
  own: FilmLayout,
  shop: Pick<Shop, 'films' | 'machines' | 'layouts'>,
  left: (film: string) => number,
  needed: (film: string) => number,
  system: LengthSystem,
): Reading[] {
  const { film } = shared;
  const say = (mm: number) => formatLength(mm, system, { digits: 0 });
  const has = left(film.id);
  const base = { id: `film:${film.id}` as const, station: 'cut' as const, title: film.name };
  const readings: Reading[] = [];
  const others = (lengthNeeded: number): Film[] =>
    shop.films
      .filter(
        (f) =>
          f.id !== film.id &&
          f.kind === film.kind &&
          f.width >= own.width - 0.01 &&
          left(f.id) >= needed(f.id) + lengthNeeded + LAYOUT.reserve,
      )
      .toSorted((a, b) => Number(b.finish === film.finish) - Number(a.finish === film.finish) || left(b.id) - left(a.id))
      .slice(0, 2);
  const spread = beside(own, film, shop, has);
  const margin = holdDownOf(own.machine);
  if (own.tooWide.length > 0 && spread) {
    const side = Math.max(...own.tooWide.map((one) => one.side));
    readings.push({
      ...base,
      id: `wide:${film.id}` as const,
      title: `The roll of ${film.name} is too narrow`,
      verdict: 'watch',
      value: say(own.width),
      limit: `${say(side + 2 * margin)} for the smaller side of the mark`,
      why: besideWords(own, spread, say),
      remedies: [],
    });
    return readings;
  }
  if (own.tooWide.length > 0) {
    // parts of one piece's row and those that are cut again are named after their mark
    const largest = job.marks.filter((mark) => own.tooWide.some((one) => one.mark.split(/[~+]/)[0] === mark.id));
    const room = own.width - 2 * margin;
    const smaller = room - LAYOUT.belowWidest;
    // copies of a spread that are cut in one are together wider than the mark
    const narrows = smaller >= LAYOUT.narrowest && largest.every(({ spread }) => !spread);
    const side = Math.max(...own.tooWide.map((one) => one.side));
    const long = own.tooWide.reduce((sum, one) => sum + one.long, own.taken) + 2 * margin;
    const wider = shop.films.filter((f) => {
      const machine = machineFor(f, shop.machines);
      const widest = Math.min(f.width, machine ? oneLoad(machine).width : f.width) - 2 * holdDownOf(machine);
      return f.kind === film.kind && widest >= side && left(f.id) >= needed(f.id) + long + LAYOUT.reserve;
    });
    readings.push({
      ...base,
      id: `wide:${film.id}` as const,
      title: `${film.name} is too narrow`,
      verdict: 'stop',
      value: say(own.width),
      limit: `${say(side + 2 * margin)} for the smaller side of the mark`,
      why: wideWords(own),
      remedies: [
        ...(narrows
          ? [
              {
                label: `Make it ${say(smaller)} wide`,
                patch: largest.flatMap((mark) => setAt(['marks', mark.id, 'size'], { mode: 'width', width: smaller })),
              },
            ]
          : []),
        ...wider
          .toSorted((a, b) => Number(b.finish === film.finish) - Number(a.finish === film.finish) || a.width - b.width)
          .slice(0, 2)
          .map((f) => ({ label: `${f.name} — ${say(f.width)} wide`, patch: useInstead(job, film.id, f.id) })),
      ],
      ...(narrows || wider.length > 0
        ? {}
        : { advice: `Buy ${film.name} of at least ${say(side + 2 * margin)}, or make the mark smaller at Fit.` }),
    });
    // of what finds no room there is nothing to measure
    if (own.parts.length === 0) return readings;
  }
  const most = own.machine && oneLoad(own.machine).length;
  if (own.machine && most !== undefined && own.taken > most) {
    const loads = inLoads(own);
    const takes = `${own.machine.name} takes ${say(most)} in one go`;
    readings.push({
      ...base,
      id: `load:${film.id}` as const,
      title: 'Longest load',
      verdict: 'watch',
      value: say(own.taken),
      limit: say(most),
      why: loads
        ? `${takes}: it is cut in ${loads.length} loads, parted where no letter is.`
        : `${takes}, and no place is free across the film at which it could be parted.`,
      remedies: [],
      advice: loads
        ? 'Each load has a file of its own. Lay the ticks of one on the ticks of the next.'
        : 'Make it smaller, set its letters further apart, or have it cut on a longer machine.',
    });
  }
  if (spread) {
    readings.push({
      ...base,
      verdict: 'watch',
      value: `${say(has)} left`,
      limit: `${say(own.taken)} needed`,
      why: besideWords(own, spread, say),
      remedies: [],
    });
  } else if (has < own.taken) {
    readings.push({
      ...base,
      verdict: 'stop',
      value: `${say(has)} left`,
      limit: `${say(own.taken)} needed`,
      why: 'The roll has not enough for this job.',
      remedies: others(own.taken).map((f) => ({
        label: `${f.name} — ${say(left(f.id))} left`,
        patch: useInstead(job, film.id, f.id),
      })),
      advice: `Buy ${film.name}, or make the mark smaller.`,
    });
  } else if (has < shared.taken) {
    readings.push({
      ...base,
      verdict: 'watch',
      value: `${say(has)} left`,
      limit: `${say(shared.taken)} for all open jobs`,
      why: `Enough for this job, not for all that wait for ${film.name}.`,
      remedies: others(own.taken).map((f) => ({
        label: `${f.name} — ${say(left(f.id))} left`,
        patch: useInstead(job, film.id, f.id),
      })),
      advice: `Buy ${film.name}.`,
    });
  } else if (has - shared.taken < againLength(own) && !hasSpare(film, againLength(own))) {
    readings.push({
      ...base,
      verdict: 'watch',
      value: `${say(has - shared.taken)} left over`,
      limit: `${say(againLength(own))} to cut one again`,
      why: `Barely enough of ${film.name}: when a part is lost, what is left holds no other.`,
      remedies: others(own.taken).map((f) => ({
        label: `${f.name} — ${say(left(f.id))} left`,
        patch: useInstead(job, film.id, f.id),
      })),
      advice: 'Have more of it at hand before you cut, or cut the most delicate mark first and weed it before the others.',
    });
  } else {
    readings.push({
      ...base,
      verdict: 'fine',
      value: `${say(own.taken)} of ${say(has)}`,
      limit: 'what is on the roll',
      why: `Cut from ${FILM_KINDS[film.kind].name}, ${say(film.width)} wide.`,
      remedies: [],
    });
  }
  return readings;
}
