import { orderCutter, reportOf, switchedOn, type CutterMachine, type CutterOrder, type CutterReport, type CutterState } from './cutter';

/** What may be asked of a simulated cutter: an order for the machine, or its cable pulled and put back. */
export type HostOrder =
  | CutterOrder
  | { readonly kind: 'unplug' }
  | { readonly kind: 'plug' }
  /** How many times faster than a machine it works from now on. */
  | { readonly kind: 'pace'; readonly times: number };

/** A cutter behind a cable. */
export interface CutterHost {
  /** Carries an order out; undefined when the cable is pulled, as a machine that does not answer. */
  order(order: HostOrder): CutterReport | undefined;
  report(): CutterReport | undefined;
}

const FIRST: CutterMachine = { rollFed: true, step: 0.025, origin: { x: 0, y: 0 }, knife: 60, travel: 180 };

/**
 * Keeps a simulated cutter and lets its time pass.
 *
 * @param clock ms that never run backwards
 * @param pace how many times faster than a machine it works: a demonstration need not take an hour
 */
export function cutterHost(clock: () => number, pace: number): CutterHost {
  let times = pace;
  let state: CutterState = switchedOn(FIRST);
  let last = clock();
  let plugged = true;
  const pass = () => {
    const at = clock();
    state = orderCutter(state, { kind: 'time', ms: Math.max(0, at - last) * times });
    last = at;
  };
  return {
    order(order) {
      pass();
      if (order.kind === 'pace') times = order.times;
      else if (order.kind === 'plug' || order.kind === 'unplug') plugged = order.kind === 'plug';
      else if (plugged) state = orderCutter(state, order);
      return plugged ? reportOf(state) : undefined;
    },
    report() {
      pass();
      return plugged ? reportOf(state) : undefined;
    },
  };
}
