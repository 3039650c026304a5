import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Job } from '@kolleta/core/job';
import { stepTitle } from '@kolleta/core/words';
import { handsIn, type PlacedStep } from '@kolleta/core/schedule';
import { inSentence, formatClock } from '@kolleta/core/units';
import { useTell } from '../../ui/toasts';
import { StepButtons } from '../../frame/StepButtons';
import { ring } from './ring';

/** Timers that run beside the one in hand. */
export function OtherTimers({ running, jobs, now }: { running: readonly PlacedStep[]; jobs: readonly Job[]; now: number }) {
  const tell = useTell();
  const rung = useRef(new Set<string>());
  useEffect(() => {
    for (const placed of running) {
      const { step, start } = placed;
      const over = (now - start) / 60_000 - handsIn(placed);
      if (over < 0 || rung.current.has(step.id)) continue;
      rung.current.add(step.id);
      if (over < 1) ring(`Time is up: ${stepTitle(step)}`);
      tell(`Time is up: ${inSentence(stepTitle(step))}.`);
    }
  }, [running, now, tell]);
  if (running.length === 0) return null;
  return (
    <section aria-label="Also running" className="flex flex-col gap-2">
      {running.map((placed) => {
        const left = handsIn(placed) * 60 - (now - placed.start) / 1000;
        return (
          <div key={placed.step.id} className="sheet flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2">
            <span className="measure text-2xl" role="timer" aria-label={`${stepTitle(placed.step)}, ${left >= 0 ? 'left' : 'over by'}`}>
              {left < 0 ? '+' : ''}
              {formatClock(Math.abs(left))}
            </span>
            <Link to={`/job/${placed.step.job}/${placed.step.station}`} className="min-w-0 flex-1 leading-snug hover:underline">
              <strong>{stepTitle(placed.step)}</strong> <span className="quiet">· {jobs.find((j) => j.id === placed.step.job)?.name}</span>
            </Link>
            <StepButtons placed={placed} />
          </div>
        );
      })}
    </section>
  );
}
