import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { copyJob, nameOfCopy, type Job } from '@kolleta/core/job';
import { tookByJob, type Took } from '@kolleta/core/learning';
import { formatDate } from '@kolleta/core/schedule';
import { counted, formatDuration, parseNumber, plural, problemText } from '@kolleta/core/units';
import { FrontView } from '../../drawing/FrontView';
import { now } from '../../storage/clock';
import { addJob } from '../../storage/editJob';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { Boundary } from '../../ui/Boundary';
import { useTell } from '../../ui/toasts';

/** So many are shown before the rest is asked for. */
const FIRST = 6;
const MOST_PIECES = 500;

/** What a job took the last time, in words. */
function tookWords(took: Took | undefined, zone: string): string {
  if (!took || took.steps === 0) return 'Nothing of it is in the log.';
  const when = took.last === undefined ? '' : `Last worked on ${formatDate(took.last, zone)}. `;
  const time = took.timed === 0 ? 'It was not timed' : `${formatDuration(took.minutes)} of work in ${counted(took.timed, 'timed step')}`;
  return `${when}${time}; ${took.wrong === 0 ? 'nothing went wrong' : `${counted(took.wrong, 'thing')} went wrong`}.`;
}

/** Name, client and number for a job that is made again. */
function AgainForm({ job, onClose }: { job: Job; onClose: () => void }) {
  const { jobs } = useWorkshop();
  const tell = useTell();
  const navigate = useNavigate();
  const [name, setName] = useState(() =>
    nameOfCopy(
      job.name,
      jobs.map((one) => one.name),
    ),
  );
  const [client, setClient] = useState(job.client);
  const [count, setCount] = useState(`${job.count}`);
  const [problem, setProblem] = useState<string>();
  const make = async () => {
    const pieces = parseNumber(count, 'How many', { least: 1, most: MOST_PIECES, whole: true });
    if (!pieces.ok) {
      setProblem(problemText(pieces.problem));
      return;
    }
    try {
      const fresh = {
        ...copyJob(job, newId(), name.trim() === '' ? job.name : name.trim(), now()),
        client: client.trim(),
        count: pieces.value,
      };
      await addJob(fresh);
      await navigate(`/job/${fresh.id}/${job.list ? 'draw' : 'measure'}`);
      tell(
        job.list
          ? 'It is made as before. Its list still has the old words: change them here.'
          : 'It is made as before. Measure its pieces: they may be others.',
      );
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      aria-label={`Make ${job.name} again`}
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <label className="flex min-w-40 flex-1 flex-col text-[0.86rem]">
        Name
        <input className="input input-sm w-full" value={name} maxLength={200} onChange={(event) => setName(event.target.value)} />
      </label>
      <label className="flex min-w-32 flex-1 flex-col text-[0.86rem]">
        Client
        <input className="input input-sm w-full" value={client} maxLength={200} onChange={(event) => setClient(event.target.value)} />
      </label>
      <label className="flex w-20 flex-col text-[0.86rem]">
        Pieces
        <input
          className="input input-sm w-full"
          inputMode="numeric"
          value={count}
          maxLength={4}
          onChange={(event) => setCount(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-sm btn-primary">
        Make it
      </button>
      <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
        Leave it
      </button>
      {problem && (
        <p role="alert" className="text-error w-full">
          {problem}
        </p>
      )}
    </form>
  );
}

/** Jobs that are done, as what can be made again: for another client, another number, another piece; with what each took. */
export function PastWork({ closed }: { closed: readonly Job[] }) {
  const { events, shop } = useWorkshop();
  const [again, setAgain] = useState<string>();
  const [all, setAll] = useState(false);
  const took = tookByJob(events);
  const sorted = closed.toSorted((a, b) => (took.get(b.id)?.last ?? b.createdAt) - (took.get(a.id)?.last ?? a.createdAt));
  return (
    <section aria-label="Past work">
      <h2 className="mb-1 text-lg font-bold">Past work</h2>
      <ul className="flex flex-col gap-2">
        {(all ? sorted : sorted.slice(0, FIRST)).map((job) => (
          <li key={job.id} className="sheet grid grid-cols-[4.5rem_minmax(0,1fr)] gap-3 px-3 py-2">
            <Boundary of={job} instead={<span />}>
              <FrontView piece={job.piece} zones={job.zones} marks={[]} shop={shop} className="h-16" pad={[2, 2, 2, 2]} />
            </Boundary>
            <div className="min-w-0">
              <div className="flex flex-wrap items-center gap-2">
                <h3 className="min-w-0 flex-1 basis-40 font-bold break-words">
                  <Link className="hover:underline" to={`/job/${job.id}/log`}>
                    {job.name}
                  </Link>
                </h3>
                <button
                  type="button"
                  className="btn btn-sm btn-outline btn-primary"
                  aria-expanded={again === job.id}
                  onClick={() => setAgain(again === job.id ? undefined : job.id)}
                >
                  Make it again
                </button>
              </div>
              <p className="quiet text-[0.88rem]">
                {job.client && `${job.client} · `}
                {job.count} {job.count === 1 ? job.piece.name : plural(job.piece.name)}. {tookWords(took.get(job.id), shop.hours.zone)}
              </p>
              {again === job.id && <AgainForm job={job} onClose={() => setAgain(undefined)} />}
            </div>
          </li>
        ))}
      </ul>
      {!all && sorted.length > FIRST && (
        <button type="button" className="btn btn-ghost border-base-300 mt-2" onClick={() => setAll(true)}>
          {counted(sorted.length - FIRST, 'more', 'more')}
        </button>
      )}
    </section>
  );
}
