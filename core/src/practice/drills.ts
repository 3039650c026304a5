import { blade } from './blade';
import { pulls } from './pulls';
import { mirrored, sides } from './sides';
import { sizes } from './sizes';
import { tapes } from './tapes';
import { tones } from './tones';
import type { Drill } from './round';

/** Every drill, in the order of the work. */
export const DRILLS = { sizes, tones, sides, mirrored, blade, tapes, pulls } as const satisfies Record<string, Drill>;
export type DrillId = keyof typeof DRILLS;

/** So many rounds make a handful. */
export const HANDFUL = 5;

/** One answer as it is recorded. */
export interface Answered {
  readonly drill: DrillId;
  readonly topic: string;
  readonly right: boolean;
  /** UTC ms. */
  readonly at: number;
}

/** So many of the newest answers to a drill count. */
const COUNTED = 20;

/** How a drill stands: the newest answers, and the topics at which one guessed wrong more often than right. */
export function standingOf(record: readonly Answered[], drill: DrillId): { answers: readonly Answered[]; guessed: string[] } {
  const answers = record
    .filter((one) => one.drill === drill)
    .toSorted((a, b) => a.at - b.at)
    .slice(-COUNTED);
  const topics = new Map<string, number>();
  for (const { topic, right } of answers) topics.set(topic, (topics.get(topic) ?? 0) + (right ? -1 : 1));
  return { answers, guessed: [...topics].filter(([, balance]) => balance > 0).map(([topic]) => topic) };
}
