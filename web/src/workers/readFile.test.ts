import { expect, it } from '@jest/globals';
import { textOf } from './readFile';

const WORDS = 'Füße;Ærø;12,5 – “Łódź”';
/** UTF-16, the lower byte first or last. */
const wide = (text: string, first: 0 | 1) =>
  Uint8Array.from(
    [...text].flatMap((letter) => [letter.charCodeAt(0) & 255, letter.charCodeAt(0) >> 8]).flatMap((_, i, all) => all[i ^ first]!),
  );
const file = (bytes: Uint8Array | string) => new File([bytes as Uint8Array<ArrayBuffer>], 'list.csv');

it('a file is read in the letters in which it was saved: UTF-8, UTF-16 with or without its mark, Windows-1252', async () => {
  expect(await textOf(file(WORDS))).toBe(WORDS);
  expect(await textOf(file(`\uFEFF${WORDS}`))).toBe(WORDS);
  for (const first of [0, 1] as const) {
    expect(await textOf(file(wide(`\uFEFF${WORDS}`, first)))).toBe(WORDS);
    expect(await textOf(file(wide(WORDS, first)))).toBe(WORDS);
  }
  expect(await textOf(file(Uint8Array.from([0x46, 0xfc, 0xdf, 0x65])))).toBe('Füße');
  expect(await textOf(file(''))).toBe('');
});
