import type { StepKind } from '../facts';
import type { StepAbout, WorkStep } from '../finish';
import { formatLength, formatTemperature, type LengthSystem, type TemperatureSystem } from '../units';
import { FILM_WORDS } from './filmWords';
import { PAINT_WORDS } from './paintWords';
import { PLACE_WORDS } from './placeWords';
import { PREPARE_WORDS } from './prepareWords';
import { PRESS_WORDS } from './pressWords';
import type { Words, WordsOf } from './stepRow';

/** What is said of a step. */
export interface StepWords {
  /** What to do, as an order: "Wipe the 12 glasses with alcohol". Its first word is the verb, and the rest what it is done to. */
  readonly title: string;
  readonly verb: string;
  readonly rest: string;
  /** A word or two for the ribbon. */
  readonly short: string;
}

const STEP_WORDS: WordsOf<StepKind> = { ...PREPARE_WORDS, ...FILM_WORDS, ...PLACE_WORDS, ...PAINT_WORDS, ...PRESS_WORDS };

// the row and what it is about are of one kind, which the type of a table cannot say
const rowOf = ({ kind }: StepAbout): Words<StepKind> => STEP_WORDS[kind] as Words<StepKind>;

/** What a step is called. */
export function stepWords({ about }: Pick<WorkStep, 'about'>): StepWords {
  const row = rowOf(about);
  const [verb, rest] = [row.verb(about), row.rest(about)];
  return { verb, rest, title: `${verb} ${rest}`, short: row.short(about) };
}

/** What a step is called: "Wipe the 12 glasses with alcohol". */
export const stepTitle = (step: Pick<WorkStep, 'about'>): string => stepWords(step).title;

/** How a step is done, in whole sentences. */
export const stepText = ({ about }: Pick<WorkStep, 'about'>, lengths: LengthSystem, temperatures: TemperatureSystem = 'C'): string =>
  rowOf(about).text(
    about,
    (mm) => formatLength(mm, lengths, { digits: 0 }),
    (celsius) => formatTemperature(celsius, temperatures),
  );
