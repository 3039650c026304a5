import type { ReactNode } from 'react';
import type { JobPlan } from '@kolleta/core/plan';
import { useSettling } from '../workers/settled';

/**
 * What is said where there is nothing: only once the plan is that of all that was typed, and of a job that could be planned. Until then nobody
 * knows.
 */
export function OnceKnown({ of, children }: { of?: JobPlan; children: ReactNode }) {
  if (!useSettling().fresh) return <span aria-busy>Working it out…</span>;
  return of?.aside ? 'Not worked out: this job is set aside.' : children;
}
