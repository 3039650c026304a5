/** How a script is written, as far as setting it goes. */
export interface Script {
  readonly name: string;
  readonly pattern: RegExp;
  /** Its letters join, or hang on one line: space between them would tear them apart. */
  readonly joins?: true;
}

/** Scripts that are shaped in ways of their own: a run never mixes two of them. */
const SHAPED: readonly Script[] = [
  { name: 'Arabic', pattern: /\p{Script=Arabic}/u, joins: true },
  { name: 'Hebrew', pattern: /\p{Script=Hebrew}/u },
  { name: 'Syriac', pattern: /\p{Script=Syriac}/u, joins: true },
  { name: 'Thaana', pattern: /\p{Script=Thaana}/u },
  { name: 'N’Ko', pattern: /\p{Script=Nko}/u, joins: true },
  { name: 'Devanagari', pattern: /\p{Script=Devanagari}/u, joins: true },
  { name: 'Bengali', pattern: /\p{Script=Bengali}/u, joins: true },
  { name: 'Gurmukhi', pattern: /\p{Script=Gurmukhi}/u, joins: true },
  { name: 'Gujarati', pattern: /\p{Script=Gujarati}/u },
  { name: 'Oriya', pattern: /\p{Script=Oriya}/u },
  { name: 'Tamil', pattern: /\p{Script=Tamil}/u },
  { name: 'Telugu', pattern: /\p{Script=Telugu}/u },
  { name: 'Kannada', pattern: /\p{Script=Kannada}/u },
  { name: 'Malayalam', pattern: /\p{Script=Malayalam}/u },
  { name: 'Sinhala', pattern: /\p{Script=Sinhala}/u },
  { name: 'Thai', pattern: /\p{Script=Thai}/u },
  { name: 'Lao', pattern: /\p{Script=Lao}/u },
  { name: 'Tibetan', pattern: /\p{Script=Tibetan}/u },
  { name: 'Myanmar', pattern: /\p{Script=Myanmar}/u },
  { name: 'Khmer', pattern: /\p{Script=Khmer}/u },
  { name: 'Mongolian', pattern: /\p{Script=Mongolian}/u, joins: true },
  { name: 'Greek', pattern: /\p{Script=Greek}/u },
  { name: 'Cyrillic', pattern: /\p{Script=Cyrillic}/u },
  { name: 'Latin', pattern: /\p{Script=Latin}/u },
];

/** The script of a character; undefined for what belongs to no one script, such as figures, points and marks. */
export const scriptOf = (character: string): Script | undefined => SHAPED.find(({ pattern }) => pattern.test(character));

/** The scripts of a text whose letters join, by name, each once. */
export const joiningScripts = (text: string): string[] =>
  SHAPED.flatMap(({ name, pattern, joins }) => (joins && pattern.test(text) ? [name] : []));
