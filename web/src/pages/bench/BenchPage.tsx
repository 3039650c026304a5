import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { CAUTIONS } from '@kolleta/core/facts';
import type { WaitFor } from '@kolleta/core/finish';
import { stepText, stepTitle, stepWords } from '@kolleta/core/words';
import type { PlacedStep } from '@kolleta/core/schedule';
import { formatMoment, formatTime } from '@kolleta/core/schedule';
import { inSentence, formatClock, formatDuration } from '@kolleta/core/units';
import type { Bench, RackItem } from '@kolleta/core/plan';
import type { Job, Shop } from '@kolleta/core/job';
import { benchOfState } from '../../storage/benchCache';
import { visitDemo } from '../../storage/workshop';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';
import { VerdictMark } from '../../ui/Verdict';
import { usePlan } from '../../workers/usePlan';
import { pinStep, unpinStep } from '../../frame/pinStep';
import { StepButtons } from '../../frame/StepButtons';
import { useAwake } from '../../ui/useAwake';
import { backupWatch } from './backupWatch';
import { FirstMark } from '../quick/FirstMark';
import { OtherTimers } from './OtherTimers';
import { WorkingNow } from './WorkingNow';
import { Rack } from './Rack';
import { askToNotify, mayNotify, ring } from './ring';
import { useNow } from './useNow';

/** Shorter waits than this are not for drying, minutes. */
const DRYING_MIN = 15;
/** Waits that a finger can tell to be over, or not. */
const DRYING: ReadonlySet<WaitFor> = new Set<WaitFor>([
  ...(['labelDry', 'filled', 'washedDry', 'sealedOver', 'recoat', 'beforeSealer', 'beforeFilm', 'washed', 'edgeSealer'] as const),
  ...(['halfDry', 'nearlyDry', 'dry', 'touchDry', 'firm', 'inkDry', 'rinsed'] as const),
]);
const GRAIN_MS = 5 * 60_000;

/** The wait that a step stands at, if nothing but a short one holds it up. */
function waitFor(placed: PlacedStep, rack: readonly RackItem[]): RackItem | undefined {
  return rack.find((item) => item.step === placed.step.id && item.state === 'drying');
}

/** Who does a step, where there are several people. */
const doneBy = ({ by }: PlacedStep, { people }: Shop): string =>
  (by ?? []).flatMap((id) => people?.find((person) => person.id === id)?.name ?? []).join(' and ');

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

function NowCard({
  bench,
  steps,
  jobs,
  shop,
  now,
}: {
  bench: Bench;
  /** Of the job of the step. */
  steps: readonly PlacedStep[];
  jobs: readonly Job[];
  shop: Shop;
  now: number;
}) {
  const tell = useTell();
  const placed = bench.now;
  const told = useRef<string>(undefined);
  const over = placed?.state === 'running' ? (now - placed.start) / 60_000 - placed.step.hands : undefined;
  useEffect(() => {
    if (!placed || over === undefined || over < 0 || told.current === placed.step.id) return;
    told.current = placed.step.id;
    // a reload long after the time is over does not ring again
    if (over < 1) ring(`Time is up: ${stepTitle(placed.step)}`);
    tell(`Time is up: ${inSentence(stepTitle(placed.step))}.`);
  }, [over, placed, tell]);
  if (!placed) {
    const greeting = greetingFor(jobs, shop, bench);
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
  const left = placed.step.hands * 60 - (now - placed.start) / 1000;
  const who = doneBy(placed, shop);
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
        · {formatDuration(placed.step.hands)} of work
        {who && ` · ${who}`}
      </p>
      <h1 className="mt-1 text-[2.1rem] leading-10 font-extrabold text-balance">{stepTitle(placed.step)}</h1>
      <p className="mt-2 text-[1.12rem] leading-7">{stepText(placed.step, shop.lengths, shop.temperatures)}</p>
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
            {wait ? formatClock((wait.until - now) / 1000) : running ? formatClock(Math.abs(left)) : formatClock(placed.step.hands * 60)}
          </p>
        </div>
        <StepButtons key={placed.step.id} placed={placed} large />
        {!running && bench.due && <StillTacky placed={placed} steps={steps} shop={shop} now={now} />}
      </div>
      {!bench.due && <WorkingNow shop={shop} now={now} />}
      {running && <RingWord />}
    </section>
  );
}

/** A wait that is over by the plan, and not by the finger: the step comes later, and other work first. */
function StillTacky({ placed, steps, shop, now }: { placed: PlacedStep; steps: readonly PlacedStep[]; shop: Shop; now: number }) {
  const tell = useTell();
  const { step } = placed;
  const waits = step.after.filter(({ why, least }) => DRYING.has(why) && least >= DRYING_MIN);
  const wait = Math.max(0, ...waits.map(({ least }) => least));
  // what may not come later than so does not
  const latest = Math.min(
    ...step.after.map(({ step: id, most }) => {
      const before = steps.find((one) => one.step.id === id);
      return most === undefined || !before ? Infinity : before.end + most * 60_000;
    }),
  );
  const more = Math.max(10, Math.round(wait / 4));
  const until = Math.min(Math.ceil((now + more * 60_000) / GRAIN_MS) * GRAIN_MS, Math.floor(latest / GRAIN_MS) * GRAIN_MS);
  if (waits.length === 0 || until < now + GRAIN_MS) return null;
  const put = async () => {
    await pinStep(step.job, step.id, until);
    tell(`It is left to dry until ${formatTime(until, shop.hours.zone)}.`, {
      action: { label: 'Undo', run: () => void unpinStep(step.job, step.id) },
    });
  };
  return (
    <button type="button" className="btn btn-lg min-h-11 border-white/70 bg-transparent text-lg text-white" onClick={() => void put()}>
      Still tacky
    </button>
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

/** So many steps and watches are listed, what is nearest first. */
const MOST_LINES = 16;

/** The home of the workshop: what hands do now, what dries, what follows, what to watch. */
export function BenchPage() {
  const state = useWorkshop();
  const { jobs, shop } = state;
  const plan = usePlan();
  const now = useNow();
  const rung = useRef(new Set<string>());
  const tell = useTell();
  // until the plan is there, the Bench as it was last laid out for just this workshop
  const earlier = useMemo(() => (plan ? undefined : benchOfState(state)), [plan, state]);
  const bench = plan?.bench ?? earlier;
  // a timer that is looked at from two metres does not go dark
  useAwake(bench?.now?.state === 'running');
  useEffect(() => {
    for (const item of bench?.rack ?? []) {
      if (item.state !== 'drying' || item.until > now || rung.current.has(item.id)) continue;
      rung.current.add(item.id);
      const words = `${jobs.find((j) => j.id === item.job)?.name ?? 'A piece'}: ${item.what}, ready${item.next ? ` to ${item.next}` : ''}.`;
      ring(words);
      tell(words);
    }
  }, [bench, now, jobs, tell]);
  if (!bench)
    return (
      <p className="sheet p-6" role="status">
        Laying out the bench…
      </p>
    );
  const open = jobs.filter((j) => !j.closed);
  const today = (at: number) => formatMoment(at, shop.hours.zone).slice(0, -6) === formatMoment(now, shop.hours.zone).slice(0, -6);
  const then = bench.then.slice(0, MOST_LINES);
  const backup = backupWatch(state, now);
  const watched = backup ? [...bench.watch, backup] : bench.watch;
  const watch = watched.slice(0, MOST_LINES);
  const running = bench.then.filter((placed) => placed.state === 'running');
  return (
    <div className="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.08fr)]">
      <FirstMark />
      <div className="flex flex-col gap-2">
        <NowCard
          bench={bench}
          steps={(bench.now && plan?.schedule.jobs.get(bench.now.step.job)?.steps) ?? []}
          jobs={open}
          shop={shop}
          now={now}
        />
        <OtherTimers running={running} jobs={open} now={now} />
      </div>
      <section aria-label="Drying rack" className="sheet flex min-h-72 flex-col px-4 pt-3 pb-4">
        <h2 className="mb-2 text-lg font-bold">Drying rack</h2>
        <Rack items={bench.rack} jobs={open} shop={shop} now={now} />
      </section>
      <section aria-label="Then" className="sheet px-4 pt-3 pb-2">
        <div className="flex items-baseline justify-between gap-3">
          <h2 className="mb-1 text-lg font-bold">Then{bench.then[0] && today(bench.then[0].start) ? ', today' : ''}</h2>
          <Link to="/gather" className="link text-[0.95rem]">
            Gather for the week
          </Link>
        </div>
        {then.length === 0 && <p className="quiet pb-3">Nothing follows.</p>}
        <ol>
          {then.map((placed) => (
            <li key={placed.step.id} className="border-base-300/60 border-b last:border-0">
              <Link
                to={`/job/${placed.step.job}/${placed.step.station}`}
                className="flex min-h-11 items-baseline gap-3 py-2 hover:underline"
              >
                <span className="measure w-[5.2rem] shrink-0 text-[0.98rem]">
                  {today(placed.start)
                    ? formatTime(placed.start, shop.hours.zone)
                    : formatMoment(placed.start, shop.hours.zone).replace(/ \d+ \w+ /, ' ')}
                </span>
                <span className="min-w-0 flex-1 leading-snug">
                  <strong>{stepWords(placed.step).verb}</strong> {stepWords(placed.step).rest}{' '}
                  <span className="quiet">
                    · {jobs.find((j) => j.id === placed.step.job)?.name}
                    {doneBy(placed, shop) && ` · ${doneBy(placed, shop)}`}
                  </span>
                </span>
                <span className="quiet measure shrink-0 text-[0.9rem]">{formatDuration(placed.step.hands)}</span>
              </Link>
            </li>
          ))}
        </ol>
      </section>
      <section aria-label="Keep an eye on" className="sheet px-4 pt-3 pb-2">
        <h2 className="mb-1 text-lg font-bold">Keep an eye on</h2>
        {watch.length === 0 && <p className="quiet pb-3">Everything is as it should be.</p>}
        <ul>
          {watch.map((item) => {
            const line = (
              <>
                <span className="pt-0.5">
                  <VerdictMark verdict={item.verdict} size={15} />
                </span>
                <span className="min-w-0 flex-1 leading-snug">
                  <strong>{item.lead}</strong> {item.text}
                </span>
              </>
            );
            return (
              <li key={item.id} className="border-base-300/60 border-b last:border-0">
                {item.job ? (
                  <Link className="flex min-h-11 gap-3 py-2 hover:underline" to={`/job/${item.job}/${item.station ?? 'fit'}`}>
                    {line}
                  </Link>
                ) : (
                  <Link className="flex min-h-11 gap-3 py-2 hover:underline" to="/stock">
                    {line}
                  </Link>
                )}
              </li>
            );
          })}
        </ul>
      </section>
    </div>
  );
}
