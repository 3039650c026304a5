import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { counted, formatDuration, inSentence, plural } from '@kolleta/core/units';
import { isWashed } from '@kolleta/core/blanks';
import { formatDay, formatMoment, formatPromise } from '@kolleta/core/schedule';
import { holdsCut, readingTitle, removeAt, setAt, type StationId } from '@kolleta/core/job';
import { download, fileName } from '../../storage/download';
import { editJob } from '../../storage/editJob';
import { now } from '../../storage/clock';
import { spoiledOf } from '@kolleta/core/logbook';
import { useWorkshop } from '../../storage/useWorkshop';
import { useSettling } from '../../workers/settled';
import { useTell } from '../../ui/toasts';
import { Owned } from '../../ui/Owned';
import { Choice, TextWord } from '../../ui/tokens';
import { Strip } from '../../ui/Strip';
import { Boundary } from '../../ui/Boundary';
import { useJobPlan, usePlan } from '../../workers/usePlan';
import { CutStation } from '../../stations/cut/CutStation';
import { DrawStation } from '../../stations/draw/DrawStation';
import { FitStation } from '../../stations/fit/FitStation';
import { LogStation } from '../../stations/log/LogStation';
import { PriceStation } from '../../stations/price/PriceStation';
import { MeasureStation } from '../../stations/measure/MeasureStation';
import { StepsStation } from '../../stations/steps/StepsStation';
import { TapeStation } from '../../stations/tape/TapeStation';
import { WeedStation } from '../../stations/weed/WeedStation';
import { JobRibbon } from './JobRibbon';
import { CopyJob } from './CopyJob';
import { DeleteJob, SetAside } from './JobActions';
import { MomentWord } from '../../frame/MomentWord';
import { useJobEdits } from '../../frame/useJobEdits';
import type { StationProps } from '../../frame/station';
import { attentionAt, isPeeled, stationsOf } from '../../frame/stationList';
import { OnceKnown } from '../../frame/OnceKnown';

const VIEWS: Record<StationId, (props: StationProps & { station: StationId }) => React.ReactNode> = {
  measure: MeasureStation,
  draw: DrawStation,
  fit: FitStation,
  cut: CutStation,
  weed: WeedStation,
  tape: TapeStation,
  prepare: StepsStation,
  place: StepsStation,
  paint: StepsStation,
  cure: StepsStation,
  log: LogStation,
  price: PriceStation,
};

/** One job: its time, its stations, and the station that is worked at. What is typed or chosen for one job is never another's. */
export function JobPage() {
  const { id = '', station = 'fit' } = useParams();
  return <OneJob key={id} id={id} station={station} />;
}

function OneJob({ id, station }: { id: string; station: string }) {
  const { jobs, shop, events } = useWorkshop();
  const { fresh } = useSettling();
  const job = jobs.find((j) => j.id === id);
  const plan = useJobPlan(id);
  const whole = usePlan();
  const tell = useTell();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<string>();
  const { edit, fix } = useJobEdits(id);
  if (!job) {
    return (
      <div className="sheet p-6">
        <h1 className="text-xl font-bold">This job is not here</h1>
        <p className="mb-3">It may have been on another device, or taken out of the workshop.</p>
        <Link className="btn btn-primary" to="/jobs">
          All jobs
        </Link>
      </div>
    );
  }
  const { zone } = shop.hours;
  const mark = job.marks.find((m) => m.id === chosen) ?? job.marks[0];
  const current = (stationsOf(job).find((s) => s.id === station)?.id ?? 'fit') as StationId;
  const View = VIEWS[current];
  const packed = plan?.schedule.packed;
  const stopAt = plan?.readings.find(holdsCut);
  const late = plan?.schedule.late === true && packed !== undefined;
  const ready = plan?.schedule.ready;
  const exportJob = async () => {
    const { writeJobFile } = await import('@kolleta/core/jobFile');
    download(`${fileName(job.name)}.kolleta-job.json`, writeJobFile(job), 'application/json');
  };
  const close = () => {
    edit(setAt(['closed'], true), 'Close the job');
    tell(`${job.name} is closed and off the bench.`, {
      action: { label: 'Undo', run: () => void editJob(job.id, setAt(['closed'], false), 'Open the job again') },
    });
    void navigate('/jobs');
  };
  return (
    <div className="-mt-2 flex flex-col gap-1.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <div className="flex min-w-0 flex-wrap items-baseline gap-x-3">
          <h1 className="min-w-0 max-w-full text-[1.4rem] leading-8 font-extrabold break-words [&_.token]:text-base-content [&_.token]:border-transparent hover:[&_.token]:border-primary">
            <TextWord label="Name of the job" value={job.name} onChange={(name) => edit(setAt(['name'], name), 'Name the job')} />
          </h1>
          <p className="quiet min-w-0 max-w-full text-[0.9rem] [&_.token]:font-normal [&_.token]:text-inherit [&_.token]:border-transparent">
            <TextWord
              label="Client"
              value={job.client}
              empty="no client"
              onChange={(client) => edit(setAt(['client'], client), 'Name the client')}
            />{' '}
            · {job.count === 1 ? '' : `${job.count} × `}
            {job.count === 1 ? job.piece.name : plural(job.piece.name)}, {counted(job.marks.length, 'mark')}
            {job.count === 1 ? '' : ' each'}
            {job && spoiledOf(events, job).spoiled > 0 ? ` · ${spoiledOf(events, job).spoiled} spoiled, still to make` : ''}
          </p>
        </div>
        <p className="ml-auto text-[0.95rem]">
          wanted{' '}
          {job.deadline !== undefined && ((plan?.recipe.care.length ?? 0) > 0 || (job.wantedAs ?? 'packed') !== 'packed') && (
            <>
              <Choice
                label="What it is wanted as"
                value={job.wantedAs ?? 'packed'}
                options={[
                  { value: 'packed', label: 'packed' },
                  ...(job.piece.use.drink ? [{ value: 'filled' as const, label: 'ready to be filled' }] : []),
                  { value: 'washed', label: isWashed(job.piece) ? 'ready to wash' : 'ready for water' },
                ]}
                onChange={(as) => edit(setAt(['wantedAs'], as), 'Say what it is wanted as')}
              />{' '}
            </>
          )}
          <MomentWord
            label="Wanted"
            value={job.deadline}
            zone={zone}
            onChange={(at) =>
              edit(
                at === undefined ? removeAt(['deadline']) : setAt(['deadline'], at),
                at === undefined ? 'Take the date off' : 'Set the date',
              )
            }
          />
          {packed !== undefined && (
            <>
              {' '}
              · packed{' '}
              <strong
                aria-busy={!fresh}
                className={`font-head text-[1.02rem] ${fresh ? '' : 'goes-pale'} ${late ? 'text-error' : 'text-success'}`}
              >
                {formatPromise(packed, zone)}
                {(job.wantedAs ?? 'packed') !== 'packed' && ready !== undefined && `, ready ${formatDay(ready, zone, whole?.at ?? packed)}`}
                {late && ', too late'}
              </strong>
            </>
          )}
          {plan?.schedule.unplaced !== undefined && (
            <strong className="text-error">
              {' '}
              · finds no room in{' '}
              <Link className="underline" to="/workshop">
                your hours
              </Link>
            </strong>
          )}
          {plan && !plan.aside && plan.schedule.steps.length > 0 && (
            <span className="quiet text-[0.86rem]"> · {formatDuration(plan.handsLeft)} of work</span>
          )}
        </p>
      </div>
      {plan && whole && plan.schedule.steps.length > 0 ? (
        <JobRibbon job={job} plan={plan} whole={whole} shop={shop} />
      ) : (
        // its room is kept: nothing moves when the first letter is typed
        <p className="sheet quiet flex h-6.5 items-center px-3 text-[0.8rem]">
          {job.closed ? (
            'No steps any more.'
          ) : (
            <OnceKnown>
              {stopAt ? `No steps yet. Fix this first: ${inSentence(readingTitle(stopAt))}.` : 'No steps yet: give it a mark.'}
            </OnceKnown>
          )}
        </p>
      )}
      <Strip
        stations={stationsOf(job).map((s) => ({
          ...s,
          to: `/job/${job.id}/${s.id}`,
          current: s.id === current,
          peeled: isPeeled(s.id, plan),
          attention: attentionAt(s.id, plan),
        }))}
      />
      {plan?.aside && <SetAside job={job} why={plan.aside} reading={plan.readings[0]} />}
      {plan ? (
        <Boundary of={job} instead={plan.aside ? null : <SetAside job={job} why="shown" />}>
          <Owned by={mark?.id ?? ''}>
            <View job={job} plan={plan} shop={shop} edit={edit} fix={fix} mark={mark} chooseMark={setChosen} station={current} />
          </Owned>
        </Boundary>
      ) : (
        <p className="sheet p-6">
          {job.closed ? (
            <>
              This job is closed. What was done is in the{' '}
              <Link className="font-bold underline" to="/logbook">
                Logbook
              </Link>
              ; to work on it, open it again.
            </>
          ) : (
            'Working it out…'
          )}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void exportJob()}>
          Save as job file
        </button>
        <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => window.print()}>
          Print
        </button>
        {job.closed ? (
          <button
            type="button"
            className="btn btn-sm btn-ghost border-base-300"
            onClick={() => edit(setAt(['closed'], false), 'Open the job again')}
          >
            Open it again
          </button>
        ) : (
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={close}>
            Close the job
          </button>
        )}
        <CopyJob job={job} />
        <DeleteJob key={job.id} job={job} />
        <span className="quiet ml-auto self-center text-sm">
          Saved in this browser as you go. {whole ? `Planned ${formatMoment(Math.min(whole.at, now()), zone)}.` : ''}
        </span>
      </div>
    </div>
  );
}
