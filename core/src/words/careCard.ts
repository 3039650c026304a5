import { FILM_KINDS, SEALERS, TECHNIQUES, WITHSTANDS } from '../facts';
import { getsWet, isWashed } from '../blanks';
import type { CareWait } from '../finish';
import type { Film, Job, Mark } from '../job';
import { capital } from '../units';

/** What goes along with a piece: what it is, from when it stands what, and how it is treated and taken off again. */
export interface CareCard {
  readonly title: string;
  /** The words on this piece, where they differ from piece to piece. */
  readonly words?: string;
  /** "First wash by hand: from Fri 4 Dec". */
  readonly dates: readonly string[];
  /** How it is treated, in whole sentences. */
  readonly care: readonly string[];
  /** How it comes off again, where it does. */
  readonly off: readonly string[];
  readonly maker: string;
}

/** What a card is written from. */
export interface CareInput {
  readonly job: Job;
  /** Waits after the last steps, with their ends, UTC ms. */
  readonly waits: readonly (Pick<CareWait, 'coat' | 'then'> & { readonly until: number })[];
  /** When it is packed, UTC ms; not known where it finds no room in the hours. */
  readonly packed?: number;
  readonly films: readonly Film[];
  readonly maker: string;
  /** A day, as the maker's workshop writes it. */
  readonly day: (at: number) => string;
}

const filmOf = (mark: Mark, films: readonly Film[]): Film | undefined => films.find(({ id }) => id === mark.film);

/** Whether every mark is part of the glass: nothing else is promised for a machine. */
const standsMachine = ({ job: { marks, piece } }: CareInput): boolean =>
  piece.sealedAfter === undefined && marks.length > 0 && marks.every(({ technique }) => TECHNIQUES[technique].stays === 'etching');

/** Whether the piece may stand outside: its ground stands water, and each mark is etched, or of film that is made to stay on with its adhesive. */
const standsWeather = ({ job: { marks, piece }, films }: CareInput): boolean =>
  marks.length > 0 &&
  !piece.use.dryShort &&
  !isWashed(piece) &&
  getsWet(piece) &&
  marks.every((mark) => {
    const { stays, filmBy } = TECHNIQUES[mark.technique];
    const film = filmOf(mark, films);
    return stays === 'etching' || (stays === 'film' && filmBy === 'adhesive' && film !== undefined && FILM_KINDS[film.kind].stays);
  });

function datesOf(input: CareInput): string[] {
  const { job, waits, packed, day } = input;
  const { piece } = job;
  const until = (then: CareWait['then']) => {
    const own = waits.filter((wait) => wait.then === then).map((wait) => wait.until);
    return own.length > 0 ? Math.max(...own) : undefined;
  };
  const [water, wash, cloth] = [until('water'), until('firstWash'), until('clothWash')];
  const last = waits.length > 0 ? Math.max(...waits.map((wait) => wait.until)) : packed;
  const from = (what: string, at: number | undefined) => (at === undefined ? [] : [`${what}: from ${day(at)}`]);
  const wet = water === undefined && wash === undefined ? undefined : Math.max(water ?? 0, wash ?? 0);
  return [
    ...(packed === undefined ? [] : [`Packed: ${day(packed)}`]),
    ...(piece.use.drink ? from('Filled', water ?? packed) : []),
    ...(isWashed(piece) ? from('First wash by hand', wet) : getsWet(piece) ? from('Wiped with a damp cloth', wet) : []),
    ...(isWashed(piece) && standsMachine(input) ? from('Dishwasher', Math.max(wet ?? 0, packed ?? 0) || undefined) : []),
    ...(standsWeather(input) ? from('Set outdoors', last) : []),
    ...from('First wash', cloth),
    ...(wet !== undefined && !getsWet(piece) && water !== undefined ? from('Near water, or wiped damp', water) : []),
    ...(waits.some(({ coat }) => coat !== undefined) ? from('Fully hardened', last) : []),
  ];
}

function careOf({ job, films, waits }: CareInput): string[] {
  const { piece, marks } = job;
  const stands = marks.flatMap((mark) => {
    const { withstands, penned, filmBy } = TECHNIQUES[mark.technique];
    const film = filmOf(mark, films);
    if (penned && film) return [FILM_KINDS[film.kind].ink?.stands ?? WITHSTANDS.label];
    if (filmBy === 'heat') return piece.use.dryShort ? [] : [WITHSTANDS.cloth];
    const words = WITHSTANDS[withstands];
    return words !== undefined && (isWashed(piece) || withstands !== 'handWash') ? [words] : [];
  });
  const film = marks.some(({ technique }) => TECHNIQUES[technique].stays === 'film');
  const bare = marks.length > 0 && marks.every(({ technique }) => TECHNIQUES[technique].food);
  return [
    ...new Set([
      ...stands,
      ...(piece.sealedAfter ? [`Sealed over: it stands ${SEALERS[piece.sealedAfter].stands} once it has hardened.`] : []),
      ...(waits.some(({ coat }) => coat !== undefined) ? ['Until it has hardened: no soaking, no rubbing, nothing heavy on it.'] : []),
      ...(film && !isWashed(piece) && getsWet(piece) ? ['Wipe it with a soft damp cloth; no scouring and no steam.'] : []),
      ...(!bare && (piece.use.food || piece.use.drink) ? ['The mark is not for food: food, knives and lips stay off it.'] : []),
      ...(marks.some((mark) => mark.seenThrough) ? ['The mark is on the back: clean that side gently.'] : []),
    ]),
  ];
}

/** How the marks of a job come off again. */
function offOf({ job, films }: CareInput): string[] {
  const found = new Set<string>();
  for (const mark of job.marks) {
    const { stays, filmBy } = TECHNIQUES[mark.technique];
    const film = filmOf(mark, films);
    if (stays !== 'film' || filmBy === 'heat' || !film) continue;
    found.add(
      FILM_KINDS[film.kind].stays
        ? 'It is made to stay. To take it off, warm it with a hair dryer and peel it flat and slowly; rub off what sticks with ' +
            'citrus cleaner or alcohol, tried on a hidden spot first, and never on fresh paint.'
        : 'It comes off again: warm it with a hair dryer, lift a corner and peel it flat and slowly, within a season or two. ' +
            'Rub off what sticks with citrus cleaner or alcohol, tried on a hidden spot first, and never on fresh paint.',
    );
  }
  return [...found];
}

/** The cards of a job, one a piece where the words differ, else one that serves them all. */
export function careCards(input: CareInput): CareCard[] {
  const { job, maker } = input;
  const common = { title: capital(job.piece.name), dates: datesOf(input), care: careOf(input), off: offOf(input), maker };
  const rows = job.list?.rows.slice(0, job.count) ?? [];
  return rows.length === 0 ? [common] : rows.map(({ cells }) => ({ ...common, words: cells.join(' · ') }));
}

/** A card as text. */
export const careText = ({ title, words, dates, care, off, maker }: CareCard): string =>
  [
    words ? `${title}: ${words}` : title,
    '',
    ...dates,
    ...(dates.length > 0 ? [''] : []),
    ...care,
    ...(off.length > 0 ? ['', ...off] : []),
    '',
    maker,
    '',
  ].join('\n');
