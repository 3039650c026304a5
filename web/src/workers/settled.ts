import { createContext, useCallback, useContext } from 'react';
import type { Plan } from '@kolleta/core/plan';
import { keepingBecomes, keepingNow } from '../storage/keeping';
import { Told } from '../storage/told';
import type { WorkshopState } from '../storage/useWorkshop';
import { savesOf } from '../storage/write';
import { useWhen } from './useWhen';

/** A plan, and the workshop that it is the plan of. */
export interface SettledPlan {
  readonly plan: Plan;
  readonly state: WorkshopState;
}

/** Whether the plan on the screen is that of the workshop as it is saved, and how to wait for the one that is. */
export interface Settling {
  readonly fresh: boolean;
  /**
   * Waits until everything that was typed is saved and planned. Whatever leaves the screen (a file, an order to the cutter, a line in the
   * log) goes by this plan.
   */
  readonly settled: () => Promise<SettledPlan>;
}

export const SettlingContext = createContext<Settling>({
  fresh: true,
  settled: () => Promise.reject(new Error('settled: used outside the shell')),
});
export const useSettling = (): Settling => useContext(SettlingContext);

/** What is held in this tab only is in no plan. */
const HELD = 'Some of your changes are not saved yet, so nothing was cut or logged by them. See the band at the top first.';

/** Watches the plan of a workshop. */
export function useSettlingOf(state: WorkshopState, plan: Plan | undefined, fresh: boolean, error: Error | null): Settling['settled'] {
  const when = useWhen({ state, plan, fresh, error });
  return useCallback(async () => {
    for (;;) {
      await keepingBecomes(({ saving }) => saving === 0);
      if (keepingNow().trouble) throw new Told(HELD);
      const saves = await savesOf();
      const seen = await when((now) => now.state.saves >= saves && (now.error !== null || (now.fresh && now.plan?.complete === true)));
      if (seen.error) throw seen.error;
      if (keepingNow().saving === 0) return { plan: seen.plan!, state: seen.state };
    }
  }, [when]);
}
