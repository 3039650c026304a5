import { TRADE, type Column } from './fact';
import type { TechniqueId } from './techniques';

export const TECHNIQUE_WORTH_COLUMN: Column = { unit: 'months; a share from 0 to 1', source: TRADE };

/** How long a finished mark lasts where it stays dry and where water comes to it, and how easily it is taken off again. */
export interface TechniqueWorth {
  readonly lifeDry: number;
  readonly lifeWet: number;
  /** From 0, for good, to 1, comes off clean. */
  readonly reversible: number;
  readonly comesOff: string;
}

export const TECHNIQUE_WORTH: Record<TechniqueId, TechniqueWorth> = {
  decal: { lifeDry: 60, lifeWet: 24, reversible: 0.8, comesOff: 'peels off when it is warmed' },
  stencil: { lifeDry: 120, lifeWet: 12, reversible: 0.2, comesOff: 'has to be sanded or painted over' },
  mask: { lifeDry: 120, lifeWet: 12, reversible: 0.1, comesOff: 'has to be painted over with all around it' },
  etched: { lifeDry: 1200, lifeWet: 1200, reversible: 0, comesOff: 'stays for good' },
  heat: { lifeDry: 60, lifeWet: 36, reversible: 0.1, comesOff: 'stays; heat and patience take it off in part' },
  written: { lifeDry: 24, lifeWet: 6, reversible: 0.8, comesOff: 'peels off' },
};

/** What counts for how much, where a mark has to last and where it is only for a while: shares that add up to 1. */
export const WAY_WEIGHTS = {
  lasts: { life: 0.3, minutes: 0.2, cost: 0.2, days: 0.1, reversible: 0.05, risk: 0.15 },
  passing: { life: 0.05, minutes: 0.25, cost: 0.2, days: 0.1, reversible: 0.25, risk: 0.15 },
} as const;
