import type { UsualCutter } from '@kolleta/core/facts';
import type { Machine } from '@kolleta/core/job';

/** A machine like one of the usual cutters. */
export function machineLike({ carrier, ...cutter }: UsualCutter, id: () => string): Machine {
  return { id: id(), ...cutter, ...(carrier ? { carriers: [{ id: id(), grade: 'standard', uses: 0, ...carrier }] } : {}) };
}
