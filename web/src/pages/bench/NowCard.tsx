import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { CAUTIONS } from '@kolleta/core/facts';
import { stepText, stepTitle } from '@kolleta/core/words';
import type { PlacedStep, Schedule } from '@kolleta/core/schedule';
import { formatMoment, handsIn, stepIn } from '@kolleta/core/schedule';
import { inSentence, formatClock, formatDuration } from '@kolleta/core/units';
import type { Bench, RackItem } from '@kolleta/core/plan';
import type { Id, Job, Shop } from '@kolleta/core/job';
import { visitDemo } from '../../storage/workshop';
import { useTell } from '../../ui/toasts';
import { doneBy } from '../../frame/doneBy';
import { StepButtons } from '../../frame/StepButtons';
import { Meanwhile } from './Meanwhile';
import { StillTacky } from './StillTacky';
import { WorkingNow } from './WorkingNow';
import { askToNotify, mayNotify, ring } from './ring';
import { useSettling } from '../../workers/settled';

// what the log remembers is not needed to begin
const LastTime = lazy(async () => ({ default: (await import('../../frame/LastTime')).LastTime }));
const CameBetween = lazy(() => import('./CameBetween'));

/** The wait that a step stands at, if nothing but a short one holds it up. */
function waitFor(placed: PlacedStep, rack: readonly RackItem[]): RackItem | undefined {
  return rack.find((item) => item.step === placed.step.id && item.state === 'drying');
}

/** What is said when no step is to be done, by why there is none. */
function greetingFor(jobs: readonly Job[], shop: Shop, { watch }: Bench): { title: string; text: string; to?: string } {
  if (jobs.length === 0) return { title: 'The bench is clear', text: 'Begin with one word on one piece, or lay out a whole job.' };
  if (shop.hours.week.flat().length === 0 && !shop.hours.extra?.length)
    return { title: 'No hours to work in', text: 'Say when you work, and the steps of your jobs find their times.', to: '/workshop' };
  if (jobs.every(({ marks }) => marks.length === 0))
    return { title: 'No mark yet', text: 'Your open jobs have pieces and no marks. Open one and give it words or a drawing.' };
  const stop = watch.find(({ verdict, job }) => verdict === 'stop' && job !== undefined);
  if (stop)
    return {
      title: 'Something has to be fixed first',
      text: 'No step can be planned before. See what to keep an eye on.',
      to: `/job/${stop.job!}/${stop.station ?? 'fit'}`,
    };
  return { title: 'All done', text: 'Every step of your open jobs is done. Close them, or begin the next.' };
}

/** The step for hands now, with its timer; or what to do where there is none. */
export function NowCard({
  bench,
  schedule,
  who,
  jobs,
  shop,
  now,
}: {
  bench: Bench;
  /** Nothing until the plan is there. */
  schedule: Schedule | undefined;
  /** Whose Bench it is, where there are several people. */
  who: Id | undefined;
  jobs: readonly Job[];
  shop: Shop;
  now: number;
}) {
  const tell = useTell();
  const { fresh } = useSettling();
  const placed = bench.now;
  const steps = (placed && schedule?.jobs.get(placed.step.job)?.steps) ?? [];
  const told = useRef<string>(undefined);
  const [between, setBetween] = useState(false);
  const over = placed?.state === 'running' ? (now - placed.start) / 60_000 - handsIn(placed) : undefined;
  useEffect(() => {
    if (!placed || over === undefined || over < 0 || told.current === placed.step.id) return;
    told.current = placed.step.id;
    // a reload long after the time is over does not ring again
    if (over < 1) ring(`Time is up: ${stepTitle(placed.step)}`);
    tell(`Time is up: ${inSentence(stepTitle(placed.step))}.`);
  }, [over, placed, tell]);
  if (!placed) {
    const greeting: ReturnType<typeof greetingFor> =
      fresh || jobs.length === 0
        ? greetingFor(jobs, shop, bench)
        : { title: 'Working it out…', text: 'Your last change is being planned. What comes next is here in a moment.' };
    return (
      <div className="bg-primary text-primary-content flex flex-1 flex-col justify-center rounded-xl p-6">
        <h1 className="text-3xl font-extrabold">{greeting.title}</h1>
        <p className="mt-2 text-lg">{greeting.text}</p>
        <div className="mt-4 flex flex-wrap gap-2">
          {greeting.to && (
            <Link to={greeting.to} className="btn btn-lg border-0 bg-white text-[#0e3f44]">
              Go there
            </Link>
          )}
          <Link
            to="/quick"
            className={`btn btn-lg ${greeting.to ? 'border-white/70 bg-transparent text-white' : 'border-0 bg-white text-[#0e3f44]'}`}
          >
            Quick mark
          </Link>
          <Link to="/jobs" className="btn btn-lg border-white/70 bg-transparent text-white">
            A new job
          </Link>
          {jobs.length === 0 && (
            <button type="button" className="btn btn-lg border-white/70 bg-transparent text-white" onClick={visitDemo}>
              See a workshop at work
            </button>
          )}
        </div>
      </div>
    );
  }
  const job = jobs.find((j) => j.id === placed.step.job);
  const wait = waitFor(placed, bench.rack);
  const running = placed.state === 'running';
  const left = handsIn(placed) * 60 - (now - placed.start) / 1000;
  return (
    <section aria-label="Now" className="now-card flex flex-1 flex-col rounded-xl bg-[#0e5a61] p-6 text-white">
      <p className="text-[0.95rem] font-bold text-white/90">
        {bench.due ? (running ? 'NOW, RUNNING' : 'NOW') : `NEXT, ${formatMoment(placed.start, shop.hours.zone)}`} ·{' '}
        <Link
          className="underline decoration-white/40 underline-offset-4 hover:decoration-white"
          to={`/job/${placed.step.job}/${placed.step.station}`}
        >
          {job?.name}
        </Link>{' '}
        · {formatDuration(handsIn(placed))} of work
        {doneBy(placed, shop, ' · ')}
      </p>
      <h1 className="mt-1 text-[2.1rem] leading-10 font-extrabold text-balance">{stepTitle(placed.step)}</h1>
      <p className="mt-2 text-[1.12rem] leading-7">{stepText(stepIn(placed), shop.lengths, shop.temperatures)}</p>
      <Suspense>
        <LastTime step={placed.step} large />
      </Suspense>
      {placed.step.cautions.length > 0 && (
        <p className="mt-2 border-l-4 border-[#e9b35a] pl-3 text-[0.98rem] leading-snug">
          {placed.step.cautions.map((c) => CAUTIONS[c]).join(' ')}
        </p>
      )}
      <div className="mt-auto flex flex-wrap items-end gap-x-5 gap-y-3 pt-5">
        <div role="timer" aria-label={running ? 'Time left for this step' : 'Time for this step'}>
          <p className="text-[0.95rem] leading-4 font-bold text-white/90">
            {wait ? `wait: ${wait.what}` : running ? (left >= 0 ? 'left' : 'over by') : 'takes'}
          </p>
          <p className="measure text-[3.1rem] leading-none tracking-tight">
            {wait ? formatClock((wait.until - now) / 1000) : running ? formatClock(Math.abs(left)) : formatClock(handsIn(placed) * 60)}
          </p>
        </div>
        <StepButtons key={placed.step.id} placed={placed} large />
        {!running && bench.due && <StillTacky placed={placed} steps={steps} job={job} shop={shop} now={now} />}
      </div>
      {!bench.due && schedule && <Meanwhile schedule={schedule} next={placed} jobs={jobs} now={now} />}
      {!bench.due && <WorkingNow shop={shop} now={now} />}
      {!between && (
        // there from the start, so that nothing jumps when the plan comes
        <button
          type="button"
          className="mt-3 min-h-9 self-start text-[0.95rem] underline"
          disabled={!schedule}
          onClick={() => setBetween(true)}
        >
          Something comes between
        </button>
      )}
      {schedule && between && (
        <Suspense>
          <CameBetween {...{ placed, schedule, who, jobs, shop, now }} />
        </Suspense>
      )}
      {running && <RingWord />}
    </section>
  );
}

/** Whether it rings, said plainly; and the offer of a notification for when this tab is behind others. */
function RingWord() {
  const [asked, setAsked] = useState(mayNotify());
  return (
    <p className="mt-2 text-[0.85rem] text-white/85">
      It rings while this page is open; a closed page cannot.{' '}
      {asked === 'default' && (
        <button type="button" className="min-h-6 underline" onClick={() => void askToNotify().then(setAsked)}>
          Notify me when the tab is behind others
        </button>
      )}
    </p>
  );
}
