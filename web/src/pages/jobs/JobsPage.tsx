import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Blank } from '@kolleta/core/facts';
import { stepTitle } from '@kolleta/core/words';
import { formatMoment, formatPromise } from '@kolleta/core/schedule';
import { inSentence, formatDuration, plural, type Result } from '@kolleta/core/units';
import { FrontView } from '../../drawing/FrontView';
import { now } from '../../storage/clock';
import { db } from '../../storage/db';
import { addJob } from '../../storage/editJob';
import { newId } from '../../storage/newId';
import { useWorkshop } from '../../storage/useWorkshop';
import { visitDemo } from '../../storage/workshop';
import { FileButton } from '../../ui/FileButton';
import { useTell } from '../../ui/toasts';
import { VerdictMark } from '../../ui/Verdict';
import { Boundary } from '../../ui/Boundary';
import { importerWorker } from '../../workers/importerClient';
import { readFile } from '../../workers/readFile';
import { usePlan } from '../../workers/usePlan';
import { gravest, type Job } from '@kolleta/core/job';
import { BlankShelf } from './BlankShelf';
import { newJob } from '../newJob';
import { PastWork } from './PastWork';
import { Patterns } from './Patterns';

/** The open jobs, each with its piece as it will look, and the shelf of blanks for a new one. */
export function JobsPage() {
  const { jobs, shop } = useWorkshop();
  const plan = usePlan();
  const tell = useTell();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const open = jobs.filter((j) => !j.closed);
  const closed = jobs.filter((j) => j.closed);
  const begin = async (blank: Blank) => {
    const job = newJob(shop, blank, now());
    await addJob(job);
    await navigate(`/job/${job.id}/measure`);
  };
  const take = async (file: File) => {
    setProblem(undefined);
    const read = await readFile(file, (text) =>
      importerWorker.call(async (importer): Promise<Result<Job>> => importer.job(text, file.name)),
    );
    if (!read.ok) {
      setProblem(`${read.problem.found} ${read.problem.wayOut}`);
      return;
    }
    const taken = (await db.jobs.get(read.value.id)) !== undefined;
    const job = taken ? { ...read.value, id: newId(), name: `${read.value.name} (from file)` } : read.value;
    await addJob(job);
    tell(`${job.name} is here${taken ? '; the job of the same origin was left as it is' : ''}.`);
    await navigate(`/job/${job.id}/fit`);
  };
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="mr-auto text-[1.65rem] font-extrabold">Jobs</h1>
        <FileButton label="Job file" accept=".json,application/json" className="btn btn-outline" onFile={(file) => void take(file)}>
          Open a job file
        </FileButton>
      </div>
      {problem && (
        <p role="alert" className="bg-error text-error-content rounded px-3 py-2">
          {problem}
        </p>
      )}
      {open.length === 0 && (
        <div className="sheet p-6">
          <h2 className="text-xl font-bold">No job is open</h2>
          <p className="mb-3">
            A job is one set of equal pieces with their marks: what goes on, how large, from which film, by when. Choose a blank below to
            begin one.
          </p>
          <button type="button" className="btn btn-outline btn-primary" onClick={visitDemo}>
            See a workshop at work
          </button>
        </div>
      )}
      <ul className="grid grid-cols-1 gap-3 xl:grid-cols-2">
        {open.map((job) => {
          const own = plan?.jobs.get(job.id);
          const packed = own?.schedule.packed;
          const late = own?.schedule.late === true && packed !== undefined;
          const next = own?.schedule.steps.find((s) => s.state !== 'done');
          return (
            <li key={job.id}>
              <Boundary
                of={job}
                instead={
                  <Link to={`/job/${job.id}/draw`} className="sheet block p-3">
                    {job.name} cannot be shown here. Open it to mend or delete it.
                  </Link>
                }
              >
                <Link
                  to={`/job/${job.id}/fit`}
                  className="sheet hover:border-primary grid min-h-36 grid-cols-[10rem_minmax(0,1fr)] gap-3 p-3"
                >
                  <Boundary of={job} instead={<span className="quiet self-center text-sm">It cannot be drawn.</span>}>
                    <FrontView
                      piece={job.piece}
                      zones={job.zones}
                      marks={own?.marks ?? []}
                      shop={shop}
                      className="h-36"
                      pad={[4, 4, 8, 4]}
                    />
                  </Boundary>
                  <div className="col-start-2 min-w-0">
                    <div className="flex items-start gap-2">
                      <h2 className="min-w-0 flex-1 text-lg leading-6 font-bold break-words">{job.name}</h2>
                      {own && <VerdictMark verdict={gravest(own.readings)} />}
                    </div>
                    <p className="quiet text-sm">
                      {job.client}
                      {job.client && ' · '}
                      {job.count === 1 ? '' : `${job.count} `}
                      {job.count === 1 ? job.piece.name : plural(job.piece.name)}
                    </p>
                    {own?.aside && (
                      <p className="text-error mt-1.5 text-[0.95rem]">
                        Set aside: it {own.aside === 'slow' ? 'takes too much work' : 'cannot be worked out'}.
                      </p>
                    )}
                    {own?.schedule.unplaced !== undefined && (
                      <p className="text-error mt-1.5 text-[0.95rem]">It finds no room in your hours.</p>
                    )}
                    {packed !== undefined && (
                      <p className="mt-1.5 text-[0.95rem]">
                        packed{' '}
                        <strong className={late ? 'text-error' : 'text-success'}>
                          {formatPromise(packed, shop.hours.zone)}
                          {late && ', too late'}
                        </strong>
                        {job.deadline !== undefined && <> · wanted {formatMoment(job.deadline, shop.hours.zone)}</>}
                      </p>
                    )}
                    {next && (
                      <p className="quiet text-sm">
                        next: {inSentence(stepTitle(next.step))} · {formatDuration(own!.handsLeft)} of work left
                      </p>
                    )}
                  </div>
                </Link>
              </Boundary>
            </li>
          );
        })}
      </ul>
      <Patterns shop={shop} names={jobs.map(({ name }) => name)} />
      <BlankShelf shop={shop} onBegin={(blank) => void begin(blank)} />
      {closed.length > 0 && <PastWork closed={closed} />}
    </div>
  );
}
