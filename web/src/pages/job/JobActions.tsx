import { inSentence } from '@kolleta/core/units';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Job } from '@kolleta/core/job';
import { removeJob, restoreJob, undoJob } from '../../storage/editJob';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';

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
export function SetAside({ job, why }: { job: Job; why: 'slow' | 'failed' | 'shown' }) {
  const tell = useTell();
  const says = {
    slow: 'It takes too long to work out. The other jobs are planned without it.',
    failed: 'Something in it cannot be worked out. The other jobs are planned without it.',
    shown: 'Something in it cannot be drawn here.',
  }[why];
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
      <p className="mb-2">{says} Take back your last change, take a simpler drawing at Draw, or save the job as a file and delete it.</p>
      <button type="button" className="btn btn-sm btn-primary" onClick={() => void undo()}>
        Take back the last change
      </button>
    </section>
  );
}
