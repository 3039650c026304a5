import type { ReactNode } from 'react';
import { useSettling } from '../workers/settled';

/** What is said where there is nothing: only once the plan is that of all that was typed. Until then nobody knows. */
export function OnceKnown({ children }: { children: ReactNode }) {
  return useSettling().fresh ? children : <span aria-busy>Working it out…</span>;
}
