import { differenceCiede2000, modeLab65, modeLrgb, modeRgb, modeXyz65, useMode, wcagContrast, wcagLuminance } from 'culori/fn';
import { CONTRAST } from '../facts';
import type { Verdict } from '../job';

useMode(modeRgb);
useMode(modeLab65);
useMode(modeLrgb);
useMode(modeXyz65);

/** How differently two colours are seen, both #rrggbb: ΔE2000 (Sharma, Wu and Dalal, 2005). */
export const colourDifference: (a: string, b: string) => number = differenceCiede2000();

/** How far two colours stand apart. */
export interface Contrast {
  /** WCAG 2 contrast ratio, 1 to 21. */
  readonly ratio: number;
  /** ΔE2000 (Sharma, Wu and Dalal, 2005). */
  readonly difference: number;
  readonly verdict: Verdict;
}

/** WCAG relative luminance of #rrggbb, 0 to 1. */
export const luminance = (colour: string): number => wcagLuminance(colour);

/** So many pairs of colours are remembered: every film on every piece is asked about in every plan. */
const MOST_PAIRS = 2000;
const judged = new Map<string, Contrast>();

/** Judges one colour on another; both #rrggbb. */
export function contrastOf(mark: string, ground: string): Contrast {
  const pair = `${mark} ${ground}`;
  const known = judged.get(pair);
  if (known) return known;
  if (judged.size >= MOST_PAIRS) judged.clear();
  const found = judgeContrast(mark, ground);
  judged.set(pair, found);
  return found;
}

function judgeContrast(mark: string, ground: string): Contrast {
  const ratio = wcagContrast(mark, ground);
  const difference = colourDifference(mark, ground);
  const stop = difference < CONTRAST.stopDifference || (ratio < CONTRAST.stopRatio && difference < CONTRAST.stopRatioDifference);
  return { ratio, difference, verdict: stop ? 'stop' : ratio >= CONTRAST.fineRatio ? 'fine' : 'watch' };
}
