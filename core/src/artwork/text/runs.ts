import bidiFactory, { type Bidi } from 'bidi-js';
import { fileWith, type Face } from './face';
import type { FontFile } from './fontFile';
import { scriptOf, type Script } from './scripts';

/** A stretch of a line in one file, one script and one direction; without a file it is a letter that no file has, or a space. */
export interface Run {
  readonly font: FontFile | undefined;
  readonly text: string;
  /** The first code unit in the line. */
  readonly start: number;
  readonly rightToLeft: boolean;
  /** Its letters join: space between them would tear them apart. */
  readonly joins: boolean;
}

let bidi: Bidi | undefined;

/** Letters that run from right to left, and marks that say so. */
const RIGHT_TO_LEFT = /[\u0590-\u08ff\u200f\u202b\u202e\u2067\ufb1d-\ufdff\ufe70-\ufefe\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u;
/** What stays with the letter before it: marks, and signs that join letters or part them. */
const WITH_BEFORE = /[\p{M}\p{Join_Control}\p{Variation_Selector}\p{Emoji_Modifier}]/u;
/** Signs that nobody sees: a font need not have them. */
const UNSEEN = /\p{Default_Ignorable_Code_Point}/u;

interface Piece {
  font: FontFile | undefined;
  script: Script | undefined;
  level: number;
  text: string;
  start: number;
}

/**
 * The file that each character of a text is set in: the first that has its letter with all of its marks, else the first that has the letter. A mark
 * that this one lacks has none: in another file it would stand beside its letter.
 */
function filesOf(text: string, face: Face): (FontFile | undefined)[] {
  const letters: string[][] = [];
  for (const character of text) {
    if (WITH_BEFORE.test(character) && letters.length > 0) letters.at(-1)!.push(character);
    else letters.push([character]);
  }
  return letters.flatMap((letter) => {
    const seen = letter.filter((character) => !UNSEEN.test(character));
    const own = fileWith(face, ...seen) ?? fileWith(face, letter[0]!);
    return letter.map((character) => (UNSEEN.test(character) || own?.has(character) ? own : undefined));
  });
}

/**
 * A line parted into runs, in the order in which they are seen from the left (Unicode bidirectional algorithm, UAX 9).
 *
 * @returns the runs, and the letters that no file of the face has
 */
export function runsOf(text: string, face: Face): { runs: Run[]; missing: string[] } {
  const embedding = RIGHT_TO_LEFT.test(text) ? (bidi ??= bidiFactory()).getEmbeddingLevels(text) : undefined;
  const pieces: Piece[] = [];
  const missing: string[] = [];
  let at = 0;
  const files = filesOf(text, face);
  for (const [i, character] of [...text].entries()) {
    const before = pieces.at(-1);
    const font = files[i];
    const script = scriptOf(character);
    const level = embedding?.levels[at] ?? 0;
    if (!font && !UNSEEN.test(character) && character.trim() !== '') missing.push(character);
    const goesOn =
      before &&
      font !== undefined &&
      before.font === font &&
      before.level === level &&
      (script === undefined || before.script === undefined || before.script === script);
    if (goesOn) {
      before.text += character;
      before.script ??= script;
    } else if (font || !UNSEEN.test(character)) pieces.push({ font, script, level, text: character, start: at });
    at += character.length;
  }
  const runs = pieces.map(({ font, script, level, text: own, start }): Run => ({
    ...{ font, text: own, start },
    rightToLeft: level % 2 === 1,
    joins: script?.joins === true,
  }));
  if (!embedding || !bidi) return { runs, missing };
  // each run stands where the first of its letters is seen
  const seen = bidi.getReorderedIndices(text, embedding);
  const place = new Map(seen.map((index, i) => [index, i]));
  const first = ({ start, text: own }: Run) => {
    let least = Infinity;
    for (let i = start; i < start + own.length; i++) least = Math.min(least, place.get(i) ?? Infinity);
    return least;
  };
  return { runs: runs.toSorted((a, b) => first(a) - first(b)), missing };
}
