import type { Kept } from '../cut';
import { listed } from '../units';
import { weedWords } from './weedWords';

/** One mark on a sheet that is cut in one go, as it is called there. */
export interface OnSheet {
  readonly name: string;
  /** Cut mirrored, and why: it is seen through the piece, or pressed on face down. */
  readonly mirrored: false | 'seenThrough' | 'pressed';
  readonly kept: Kept;
  /** It is words, not a drawing. */
  readonly letters: boolean;
}

/** Which marks of a sheet are mirrored: each by itself, for one sheet may hold both. */
export function mirrorWords(marks: readonly OnSheet[]): string {
  const mirrored = marks.filter((mark) => mark.mirrored);
  if (mirrored.length === 0) return 'as they are read, not mirrored';
  if (mirrored.length === marks.length)
    return mirrored.every((mark) => mark.mirrored === 'pressed')
      ? 'mirrored, for they are pressed on face down'
      : 'mirrored, for they are seen through the piece';
  return `${listed(mirrored.map(({ name }) => name))} mirrored, the others as they are read`;
}

/** What comes off and what stays of a sheet; by the marks where it differs. */
export function sheetWeedWords(marks: readonly OnSheet[]): string {
  const sentences = new Map<string, string[]>();
  for (const { name, kept, letters } of marks) {
    const sentence = weedWords(kept, letters);
    sentences.set(sentence, [...(sentences.get(sentence) ?? []), name]);
  }
  if (sentences.size < 2) return [...sentences.keys()].join('');
  return [...sentences].map(([sentence, names]) => `${listed(names)}: ${sentence}`).join(' ');
}
