import { applyPatch, type Patch } from '@kolleta/core/job';
import type { Change, History } from './db';

/** Changes of one kind that follow within this many ms are one step of undo. */
const TOGETHER_MS = 1200;
/** The most steps kept for one thing. */
const MOST_STEPS = 300;

/** A change made, and the history with it: quick repeats under one label are one step. What could be done again is gone. */
export function change<T>(document: T, history: History, patch: Patch, label: string, at: number): { document: T; history: History } {
  const applied = applyPatch(document, patch);
  const last = history.past.at(-1);
  const together = last !== undefined && last.label === label && at - last.at < TOGETHER_MS;
  const kept: Change = together
    ? { label, at, forward: [...last.forward, ...patch], inverse: [...applied.inverse, ...last.inverse] }
    : { label, at, forward: patch, inverse: applied.inverse };
  const past = [...(together ? history.past.slice(0, -1) : history.past), kept].slice(-MOST_STEPS);
  return { document: applied.document, history: { id: history.id, past, future: [] } };
}

/** A change taken back ('past') or done again ('future'); nothing when there is none. */
export function step<T>(
  document: T,
  history: History,
  from: 'past' | 'future',
): { document: T; history: History; label: string } | undefined {
  const last = history[from].at(-1);
  if (!last) return undefined;
  const other = from === 'past' ? 'future' : 'past';
  return {
    document: applyPatch(document, from === 'past' ? last.inverse : last.forward).document,
    // a change that was taken back never joins with the next one
    history: { ...history, [from]: history[from].slice(0, -1), [other]: [...history[other], { ...last, at: 0 }] },
    label: last.label,
  };
}
