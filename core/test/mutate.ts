const TOKENS = [
  '<',
  '>',
  '/',
  '"',
  "'",
  '&',
  ';',
  '{',
  '}',
  '[',
  ']',
  ',',
  ':',
  'null',
  '-1',
  'NaN',
  '1e309',
  '-1e308',
  '0',
  '&#0;',
  '<!--',
  ']]>',
  '<![CDATA[',
  'M',
  'z',
  'A',
  '%',
  'url(#g)',
  'url(#s)',
  '#s',
  '<script>globalThis.ranScript=true</script>',
  '\u0000',
  '🂡',
  '<!DOCTYPE svg [<!ENTITY a "b">]>',
  '<g>',
  '</g>',
  'matrix(',
  ')',
  'href="http://example.invalid/a"',
  '__proto__',
  '99999999999',
  'L0 0L0 0',
  '9'.repeat(40),
];

/**
 * A text with a few things done to it: cut, doubled, planted, overwritten, a digit changed.
 *
 * @param random numbers in [0, 1)
 * @param times how many things
 */
export function mutated(text: string, random: () => number, times: number): string {
  let current = text;
  for (let i = 0; i < times; i++) {
    const at = Math.floor(random() * Math.max(1, current.length));
    const length = Math.floor(random() * 40);
    const token = TOKENS[Math.floor(random() * TOKENS.length)]!;
    const kind = Math.floor(random() * 6);
    if (kind === 0) current = current.slice(0, at) + current.slice(at + length);
    else if (kind === 1) current = current.slice(0, at + length) + current.slice(at);
    else if (kind === 2) current = current.slice(0, at) + token + current.slice(at);
    else if (kind === 3) current = current.slice(0, at) + token + current.slice(at + token.length);
    else if (kind === 4) {
      const digit = current.slice(at).search(/\d/);
      if (digit >= 0) current = current.slice(0, at + digit) + Math.floor(random() * 10) + current.slice(at + digit + 1);
    } else if (random() < 0.1) current = current.slice(0, at);
  }
  return current;
}
