import { BLADE, CARRIER_GRADES } from '../facts';
import { standing, type Carrier, type Id, type WorkEvent } from '../job';

/** How often a carrier sheet was used since it was new, washed or tacked anew. */
export interface CarrierUses {
  readonly uses: number;
  /** After about how many it is renewed: the mean of the times before, else what is usual for its grade. */
  readonly lasts: number;
  /** It has come near to that. */
  readonly spent: boolean;
}

/** Counts the uses of a carrier sheet from real cuts, beginning with those that were typed. */
export function carrierUses(events: readonly WorkEvent[], machine: Id, { id, grade, uses: typed }: Carrier): CarrierUses {
  const before: number[] = [];
  let uses = typed;
  for (const event of standing(events)) {
    if (event.kind === 'cut' && event.machine === machine && event.carrier === id) uses += 1;
    if (event.kind === 'carrierRenewed' && event.machine === machine && event.carrier === id) {
      before.push(uses);
      uses = 0;
    }
  }
  const done = before.filter((one) => one > 0);
  const lasts = done.length > 0 ? Math.round(done.reduce((sum, one) => sum + one, 0) / done.length) : CARRIER_GRADES[grade].lasts;
  return { uses, lasts, spent: uses >= lasts * BLADE.soon };
}
