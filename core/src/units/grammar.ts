/** What follows the noun that counts: "mug with a handle", "box of card". */
const TAIL = /^(.*?)( (?:with|of|for|in|on|from|to|and) .*|,.*| \(.*)$/;
const IRREGULAR: Readonly<Record<string, string>> = {
  shelf: 'shelves',
  knife: 'knives',
  leaf: 'leaves',
  person: 'people',
  foot: 'feet',
  canvas: 'canvases',
  bus: 'buses',
};

function pluralHead(noun: string): string {
  const word = /[^\s-]+$/.exec(noun)?.[0] ?? noun;
  const irregular = IRREGULAR[word.toLowerCase()];
  if (irregular)
    return (
      noun.slice(0, -word.length) + (word[0] === word[0]!.toLowerCase() ? irregular : irregular[0]!.toUpperCase() + irregular.slice(1))
    );
  if (/(?:ss|x|ch|sh|z)$/i.test(word)) return `${noun}es`;
  // it is one already
  if (/s$/i.test(word) || word === '') return noun;
  if (/[^aeiou]y$/i.test(word)) return `${noun.slice(0, -1)}ies`;
  return `${noun}s`;
}

/** Several of a thing: "glasses", "mugs with a handle"; a plural stays one. */
export function plural(noun: string): string {
  const parts = TAIL.exec(noun.trim());
  return parts ? pluralHead(parts[1]!) + parts[2]! : pluralHead(noun.trim());
}

/** So many of a thing: "1 mug", "3 mugs". */
export const counted = (count: number, one: string, several = plural(one)): string => `${count} ${count === 1 ? one : several}`;

/** A thing, one of many: "a mug", "an old print". By its letters: an hour, a one, a use are the exceptions that are known. */
export const aOrAn = (noun: string): string =>
  `${/^(?:hour|honest|honour|heir)/i.test(noun) || (/^[aeiou]/i.test(noun) && !/^(?:one|once|uni|use|usu|eu)/i.test(noun)) ? 'an' : 'a'} ${noun}`;

/** Once, twice, 3 times. */
export const times = (count: number): string => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

/** Things one after the other: "a", "a and b", "a, b and c". */
export const listed = (things: readonly string[]): string =>
  things.length < 2 ? (things[0] ?? '') : `${things.slice(0, -1).join(', ')} and ${things.at(-1)!}`;
