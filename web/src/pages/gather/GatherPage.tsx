import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { GatherCard } from '../../frame/GatherCard';
import { useGather } from '../../frame/useGather';
import { now } from '../../storage/clock';
import { useWorkshop } from '../../storage/useWorkshop';
import { Choice, Sentence } from '../../ui/tokens';

const WEEK_MS = 7 * 24 * 3_600_000;

/** What the open jobs need within a week, or altogether. */
export function GatherPage() {
  const { jobs, shop } = useWorkshop();
  const [when, setWhen] = useState<'week' | 'all'>('week');
  const open = useMemo(() => jobs.filter((job) => !job.closed), [jobs]);
  const until = useMemo(() => (when === 'week' ? now() + WEEK_MS : Infinity), [when]);
  const items = useGather(open, until);
  return (
    <div className="mx-auto flex max-w-3xl flex-col gap-3">
      <Sentence className="px-1">
        Gather what your open jobs need{' '}
        <Choice
          label="For when"
          value={when}
          options={[
            { value: 'week', label: 'within seven days' },
            { value: 'all', label: 'until they are packed' },
          ]}
          onChange={setWhen}
        />
        .
      </Sentence>
      {items === undefined ? (
        <p role="status" className="sheet p-4">
          Working it out…
        </p>
      ) : open.length === 0 ? (
        <p className="sheet p-4">
          What your jobs need is gathered here: film, tape, paint, cloths and trimmings, with what has to be bought.{' '}
          <Link className="link" to="/jobs">
            Begin a job
          </Link>{' '}
          first.
        </p>
      ) : (
        <GatherCard title={when === 'week' ? 'This week' : 'All open jobs'} items={items} jobs={open} shop={shop} />
      )}
    </div>
  );
}
