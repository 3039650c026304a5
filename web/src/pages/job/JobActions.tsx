import { inSentence } from '@kolleta/core/units';
import { useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Job, Reading } from '@kolleta/core/job';
import type { AsideReason } from '@kolleta/core/plan';
import { removeJob, restoreJob, undoJob } from '../../storage/editJob';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import { useSettling } from '../../workers/settled';
import { tryLonger } from '../../workers/plannerClient';

/** Deletes a job after a question; it can be brought back from what is told then. */
export function DeleteJob({ job }: { job: Pick<Job, 'id' | 'name'> }) {
  const [asking, setAsking] = useState(false);
  const tell = useTell();
  const navigate = useNavigate();
  const remove = async () => {
    try {
      const removed = await removeJob(job.id);
      await navigate('/jobs');
      tell(
        `${job.name} is deleted. What was logged of it stays in the log.`,
        removed ? { action: { label: 'Undo', run: () => void restoreJob(removed).catch((error: unknown) => tell(plainly(error))) } } : {},
      );
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  if (!asking)
    return (
      <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setAsking(true)}>
        Delete the job
      </button>
    );
  return (
    <span className="flex flex-wrap items-center gap-2" role="group" aria-label={`Delete ${job.name}?`}>
      <span className="text-sm font-bold">Delete {job.name} with its marks?</span>
      <button type="button" className="btn btn-sm btn-error" autoFocus onClick={() => void remove()}>
        Delete it
      </button>
      <button type="button" className="btn btn-sm btn-ghost" onClick={() => setAsking(false)}>
        Leave it
      </button>
    </span>
  );
}

/** A job that was set aside, or a station of it that cannot be shown: what happened, and the ways out. */
export function SetAside({ job, why, reading }: { job: Job; why: AsideReason | 'shown'; reading?: Reading | undefined }) {
  const tell = useTell();
  const queries = useQueryClient();
  const { fresh } = useSettling();
  const says = why === 'shown' ? 'Something in it cannot be drawn here.' : reading?.why;
  const [help, trying] =
    why === 'slow' ? [reading?.advice, 'Try again, and wait longer'] : ['Take a simpler drawing at Draw.', undefined];
  const undo = async () => {
    try {
      const label = await undoJob(job.id);
      tell(label ? `Taken back: ${inSentence(label)}.` : 'There is nothing to take back.');
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <section role="alert" aria-label="Set aside" className="sheet border-error border-l-4 px-4 py-3">
      <h2 className="text-lg font-bold">This job is set aside</h2>
      <p className="mb-2">
        {says} {help} Or take back your last change, or save the job as a file and delete it.
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-primary" onClick={() => void undo()}>
          Take back the last change
        </button>
        {trying && (
          <button
            type="button"
            className="btn btn-sm"
            disabled={!fresh}
            onClick={() => {
              tryLonger(job.id);
              void queries.invalidateQueries({ queryKey: ['plan'] });
            }}
          >
            {fresh ? trying : 'Working it out…'}
          </button>
        )}
      </div>
    </section>
  );
}
