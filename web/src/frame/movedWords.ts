import type { Job } from '@kolleta/core/job';
import type { Moved } from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';

/** So many jobs are named. */
const MOST_NAMED = 2;

/** "3 other steps begin later, 2 sooner." */
export function stepsMoved({ later, sooner }: Moved): string {
  if (later.length + sooner.length === 0) return 'Nothing else moved.';
  const steps = (count: number) => (count === 1 ? 'One other step begins' : `${count} other steps begin`);
  if (later.length === 0) return `${steps(sooner.length)} sooner.`;
  return sooner.length === 0 ? `${steps(later.length)} later.` : `${steps(later.length)} later, ${sooner.length} sooner.`;
}

/** "Regatta prizes is packed 2 h later." Of those that are packed at another time by at least so many minutes. */
export const packedMoved = ({ packed }: Moved, jobs: readonly Job[], least = 0, only: 'later' | 'both' = 'both'): string[] =>
  packed
    .filter(({ by }) => (only === 'later' ? by : Math.abs(by)) >= least)
    .slice(0, MOST_NAMED)
    .map(
      ({ job, by }) =>
        `${jobs.find(({ id }) => id === job)?.name ?? 'A job'} is packed ${formatDuration(Math.abs(by))} ${by > 0 ? 'later' : 'sooner'}.`,
    );
