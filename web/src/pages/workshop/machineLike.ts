import type { UsualCutter } from '@kolleta/core/facts';
import type { Machine, Shop } from '@kolleta/core/job';

const HALF_INCH = 12.7;

/** A machine like one of the usual cutters; where inches are spoken, its measures are round in them. */
export function machineLike({ carrier, ...cutter }: UsualCutter, lengths: Shop['lengths'], id: () => string): Machine {
  const round = (mm: number) => (lengths === 'inch' ? Math.max(1, Math.round(mm / HALF_INCH)) * HALF_INCH : mm);
  const { width, least, most } = cutter;
  return {
    id: id(),
    ...cutter,
    ...{ width: round(width), least: round(least), most: round(most) },
    ...(carrier
      ? { carriers: [{ id: id(), grade: 'standard', uses: 0, width: round(carrier.width), length: round(carrier.length) }] }
      : {}),
  };
}
