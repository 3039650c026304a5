import { useNavigate } from 'react-router';
import { makeAgain, nameOfCopy, type Job } from '@kolleta/core/job';
import { spoiledOf } from '@kolleta/core/logbook';
import { counted } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { addJob } from '../../storage/editJob';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';

/** How many pieces of the set were spoiled and are still to make; one press plans them as a job of their own. */
export function SpoiledCard({ job }: { job: Job }) {
  const { events, jobs } = useWorkshop();
  const tell = useTell();
  const navigate = useNavigate();
  const { spoiled, good } = spoiledOf(events, job);
  if (spoiled === 0) return null;
  const plan = async () => {
    const name = nameOfCopy(
      job.name,
      jobs.map((one) => one.name),
    );
    try {
      const fresh = makeAgain(job, spoiled, newId(), name, now());
      await addJob(fresh);
      await navigate(`/job/${fresh.id}/measure`);
      tell(
        `This is ${name}: ${counted(spoiled, 'piece')}, wanted with the others.${job.list ? ' Keep those rows of its list that are made again.' : ''}`,
      );
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <div className="sheet px-4 py-3" role="group" aria-label="Spoiled pieces">
      <p>
        <strong>{counted(spoiled, 'piece')}</strong> of {job.count} {spoiled === 1 ? 'was' : 'were'} spoiled: {good}{' '}
        {good === 1 ? 'is' : 'are'} good, {spoiled} still to make.
      </p>
      <button type="button" className="btn btn-sm btn-outline btn-primary mt-2" onClick={() => void plan()}>
        Plan {spoiled === 1 ? 'it' : `the ${spoiled}`} as a job
      </button>
    </div>
  );
}
