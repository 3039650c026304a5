import { Link } from 'react-router';
import type { Job } from '@kolleta/core/job';
import { formatDuration } from '@kolleta/core/units';
import { handsIn, meanwhile, type PlacedStep, type Schedule } from '@kolleta/core/schedule';
import { stepTitle } from '@kolleta/core/words';
import { StepButtons } from '../../frame/StepButtons';

/** What is short enough to be done while the next step has to wait. */
export function Meanwhile({ schedule, next, jobs, now }: { schedule: Schedule; next: PlacedStep; jobs: readonly Job[]; now: number }) {
  if (!schedule.windows.some(({ start, end }) => start <= now && now < end)) return null;
  const fits = meanwhile(schedule, next, now);
  return (
    <div className="mt-4 border-t border-white/30 pt-3" aria-label="Until then" role="group">
      {fits.length === 0 ? (
        <p className="text-[0.98rem]">
          Nothing else is ready before.{' '}
          <Link className="underline" to="/gather">
            Gather what the next steps need
          </Link>
          .
        </p>
      ) : (
        <>
          <p className="text-[0.95rem] font-bold text-white/90">Until then there is time for</p>
          <ul className="mt-1 flex flex-col gap-2">
            {fits.map((placed) => (
              <li key={placed.step.id} className="flex flex-wrap items-center justify-between gap-2">
                <span>
                  <strong>{stepTitle(placed.step)}</strong> · {jobs.find(({ id }) => id === placed.step.job)?.name} ·{' '}
                  {formatDuration(handsIn(placed))}
                </span>
                <StepButtons placed={placed} />
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
