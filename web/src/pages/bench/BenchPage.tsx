import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { benchOfPerson } from '@kolleta/core/plan';
import { stepWords } from '@kolleta/core/words';
import { formatMoment, handsIn, formatTime } from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';
import { benchOfState } from '../../storage/benchCache';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';
import { VerdictMark } from '../../ui/Verdict';
import { usePlan } from '../../workers/usePlan';
import { useAwake } from '../../ui/useAwake';
import { backupWatch } from './backupWatch';
import { FirstMark } from '../quick/FirstMark';
import { doneBy } from '../../frame/doneBy';
import { NowCard } from './NowCard';
import { OtherTimers } from './OtherTimers';
import { Rack } from './Rack';
import { ring } from './ring';
import { useNow } from './useNow';
import { WhoseBench } from './WhoseBench';

/** Where this device remembers whose Bench it shows. */
const WHOSE = 'benchOf';

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
  const [whose, setWhose] = useState(() => localStorage.getItem(WHOSE) ?? undefined);
  const who = (shop.people ?? []).length > 1 ? shop.people?.find(({ id }) => id === whose)?.id : undefined;
  const everybodys = plan?.bench ?? earlier;
  const bench = plan && who !== undefined ? benchOfPerson(plan.bench, plan.schedule, who, now) : everybodys;
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
        <WhoseBench
          shop={shop}
          who={who}
          onChange={(id) => {
            if (id === undefined) localStorage.removeItem(WHOSE);
            else localStorage.setItem(WHOSE, id);
            setWhose(id);
          }}
        />
        <NowCard bench={bench} schedule={plan?.schedule} who={who} jobs={open} shop={shop} now={now} />
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
                    {doneBy(placed, shop, ' · ')}
                  </span>
                </span>
                <span className="quiet measure shrink-0 text-[0.9rem]">{formatDuration(handsIn(placed))}</span>
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
