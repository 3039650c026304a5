/** Scripts whose letters join, change with their neighbours, or run from right to left, with what they are called. */
const SHAPED: readonly (readonly [name: string, pattern: RegExp])[] = [
  ['Arabic', /\p{Script=Arabic}/u],
  ['Hebrew', /\p{Script=Hebrew}/u],
  ['Syriac', /\p{Script=Syriac}/u],
  ['Thaana', /\p{Script=Thaana}/u],
  ['N’Ko', /\p{Script=Nko}/u],
  ['Devanagari', /\p{Script=Devanagari}/u],
  ['Bengali', /\p{Script=Bengali}/u],
  ['Gurmukhi', /\p{Script=Gurmukhi}/u],
  ['Gujarati', /\p{Script=Gujarati}/u],
  ['Oriya', /\p{Script=Oriya}/u],
  ['Tamil', /\p{Script=Tamil}/u],
  ['Telugu', /\p{Script=Telugu}/u],
  ['Kannada', /\p{Script=Kannada}/u],
  ['Malayalam', /\p{Script=Malayalam}/u],
  ['Sinhala', /\p{Script=Sinhala}/u],
  ['Thai', /\p{Script=Thai}/u],
  ['Lao', /\p{Script=Lao}/u],
  ['Tibetan', /\p{Script=Tibetan}/u],
  ['Myanmar', /\p{Script=Myanmar}/u],
  ['Khmer', /\p{Script=Khmer}/u],
  ['Mongolian', /\p{Script=Mongolian}/u],
];
/** Marks that stand above or below a letter and are no letter with it. */
const MARKS = /\p{M}/u;

/**
 * The scripts of a text that are not set here as they are written: letters would stand unjoined and in the order in which they were typed.
 *
 * @returns their names, each once; “marks above or below letters” for those that no letter has in it
 */
export function unshapedScripts(text: string): string[] {
  const found = SHAPED.flatMap(([name, pattern]) => (pattern.test(text) ? [name] : []));
  return found.length === 0 && MARKS.test(text.normalize('NFC')) ? ['marks above or below letters'] : found;
}
