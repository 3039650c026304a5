import type { StepKind } from '../facts';
import type { LayerAbout, Pieces, StepAbout } from '../finish';
import { capital, counted, inSentence, plural } from '../units';

type About<K extends StepKind> = Extract<StepAbout, { kind: K }>;

/** How a kind of step is said: lengths in the maker's units by `say`, temperatures by `heat`. */
export interface Words<K extends StepKind> {
  readonly verb: (about: About<K>) => string;
  readonly rest: (about: About<K>) => string;
  readonly short: (about: About<K>) => string;
  readonly text: (about: About<K>, say: (mm: number) => string, heat: (celsius: number) => string) => string;
}

/** The words of some kinds of steps. */
export type WordsOf<K extends StepKind> = { readonly [One in K]: Words<One> };

/** All the pieces: "the 12 pint glasses". */
export const all = ({ count, name, fixed }: Pieces): string => (count === 1 || fixed ? `the ${name}` : `the ${count} ${plural(name)}`);

/** A layer of a mark: "6 × the petrol layer of prize". */
export const layerOf = ({ mark, film, layered, count, again }: LayerAbout): string =>
  again
    ? `what was lost of ${layered ? `the ${inSentence(film)} layer of ${mark}` : mark}`
    : `${count === 1 ? '' : `${count} × `}${layered ? `the ${inSentence(film)} layer of ${mark}` : mark}`;

/** What a step of the maker's own says to do, its first word as the verb. */
export function orderIn(name: string): { verb: string; rest: string } {
  const [first = '', ...others] = name.trim().split(/\s+/);
  return others.length > 0
    ? { verb: capital(first), rest: others.join(' ') }
    : { verb: 'Do', rest: first === '' ? 'a step of your own' : inSentence(first) };
}

/** A step of the maker's own: its name says what to do. */
export const ownText = (pieces: Pieces): string => `A step of your own, for ${all(pieces)}.`;

/** Seconds, for a person. */
export const formatSeconds = (seconds: number): string => counted(Math.round(seconds), 'second');
