import { useNavigate } from 'react-router';
import { copyJob, nameOfCopy, setAt, type Job, type JobPattern } from '@kolleta/core/job';
import { now } from '../../storage/clock';
import { addJob } from '../../storage/editJob';
import { editShop } from '../../storage/editShop';
import { takeAway } from '../../storage/takeAway';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';

/** The next thing like the last: a copy of the job, or a pattern that others begin from. */
export function CopyJob({ job }: { job: Job }) {
  const { jobs } = useWorkshop();
  const tell = useTell();
  const navigate = useNavigate();
  const copy = async () => {
    const name = nameOfCopy(
      job.name,
      jobs.map((one) => one.name),
    );
    try {
      const fresh = copyJob(job, newId(), name, now());
      await addJob(fresh);
      await navigate(`/job/${fresh.id}/measure`);
      tell(`This is ${name}: the same pieces and marks, without a date. Nothing of it is done yet.`);
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const keep = async () => {
    // a pattern has no photo of somebody's piece, no client and no date
    const { photo: _, ...plain } = copyJob(job, newId(), job.name, now());
    const pattern: JobPattern = { id: newId(), name: job.name, job: { ...plain, client: '' } };
    try {
      await editShop(() => setAt(['patterns', pattern.id], pattern), 'Save a pattern');
      tell(`${job.name} is a pattern now: begin from it under Jobs.`, {
        action: { label: 'Undo', run: () => void takeAway('patterns', pattern.id, pattern.name) },
      });
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <>
      <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void copy()}>
        Copy the job
      </button>
      <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void keep()}>
        Save as a pattern
      </button>
    </>
  );
}
