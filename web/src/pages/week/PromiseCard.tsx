import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { WORKDAY } from '@kolleta/core/facts';
import { copyJob, nameOfCopy, type Job, type JobPattern, type Shop } from '@kolleta/core/job';
import { formatPromise, holdupWords, type Problem } from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';
import { MomentWord } from '../../frame/MomentWord';
import { now } from '../../storage/clock';
import { addJob } from '../../storage/editJob';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { Choice, CountWord, Sentence } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import type { Planner } from '../../workers/planner.worker';
import { timeFor } from '../../workers/plannerClient';
import { newPlannerWorker } from '../../workers/plannerWorker';
import type { OrderAnswer } from '../../workers/schedule.worker';
import { scheduleWorker } from '../../workers/scheduleClient';
import { WatchedWorker } from '../../workers/watchedWorker';

interface Asked {
  readonly like: string;
  readonly count: number;
  readonly wanted: number | undefined;
}

/** A job like another, for so many pieces. */
function orderLike({ job, name }: Pick<JobPattern, 'job' | 'name'>, { count, wanted }: Asked, names: readonly string[]): Job {
  const fresh = copyJob(job, newId(), names.includes(name) ? nameOfCopy(name, names) : name, now());
  const rows = fresh.list?.rows ?? [];
  return {
    ...fresh,
    count,
    ...(fresh.list && rows.length > 0
      ? { list: { ...fresh.list, rows: Array.from({ length: count }, (_row, i) => ({ ...rows[i % rows.length]!, id: newId() })) } }
      : {}),
    ...(wanted === undefined ? {} : { deadline: wanted }),
  };
}

/** Before an order is taken: when it could be packed among what is open, what it would delay, and what would make it possible. */
export function PromiseCard({ jobs, shop, problem }: { jobs: readonly Job[]; shop: Shop; problem: Problem }) {
  const tell = useTell();
  const navigate = useNavigate();
  const models = [...jobs.map((job) => ({ id: job.id, name: job.name, job })), ...(shop.patterns ?? [])].filter(
    ({ job }) => job.marks.length > 0,
  );
  const [asked, setAsked] = useState<Asked>({ like: models[0]?.id ?? '', count: models[0]?.job.count ?? 1, wanted: undefined });
  const [answer, setAnswer] = useState<{ asked: Asked; order: Job; found: OrderAnswer }>();
  const [busy, setBusy] = useState(false);
  const trial = useRef<WatchedWorker<Planner>>(undefined);
  useEffect(() => () => trial.current?.stop('Done.'), []);
  // the workshop is another since: what was answered may no longer be so
  useEffect(() => setAnswer(undefined), [problem]);
  const model = models.find(({ id }) => id === asked.like) ?? models[0];
  if (!model) return null;
  const { zone } = shop.hours;
  const say = (at: number) => formatPromise(at, zone);
  const ask = async () => {
    if (asked.wanted !== undefined && asked.wanted <= now()) {
      tell('That day is over. Type one to come, or no date.', { tone: 'error' });
      return;
    }
    setBusy(true);
    try {
      const names = jobs.map(({ name }) => name);
      const order = orderLike(model, asked, names);
      const planned = async (one: Job) => {
        trial.current ??= new WatchedWorker<Planner>('The trial', newPlannerWorker, timeFor(one));
        const plan = await trial.current.call((planner) => planner.plan('draft', [one], shop, [], now(), true));
        return plan.problem.jobs[0];
      };
      const whole = await planned(order);
      if (!whole) {
        tell(`“${model.name}” has nothing to plan yet. Choose another job that is like the order.`, { tone: 'error' });
        return;
      }
      const half =
        asked.wanted !== undefined && asked.count > 1 ? await planned({ ...order, count: Math.floor(asked.count / 2) }) : undefined;
      const found = await scheduleWorker.call((worker) => worker.promise(problem, whole, half));
      setAnswer({ asked, order, found });
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    } finally {
      setBusy(false);
    }
  };
  const change = (part: Partial<Asked>) => {
    setAnswer(undefined);
    setAsked((was) => ({ ...was, ...part }));
    return Promise.resolve(0);
  };
  const { promise, kept, evenings, half } = answer?.found ?? {};
  const name = (id: string) => jobs.find((job) => job.id === id)?.name ?? '';
  return (
    <section aria-label="Before you take an order" className="sheet flex flex-col gap-2 px-4 py-3">
      <h2 className="text-lg font-bold">Before you take an order</h2>
      <Sentence>
        <CountWord label="How many pieces" value={asked.count} least={1} most={500} onChange={(count) => change({ count })} /> like{' '}
        <Choice
          label="Like which job"
          value={model.id}
          options={models.map(({ id, name: label }) => ({ value: id, label }))}
          onChange={(like) => change({ like, count: models.find(({ id }) => id === like)?.job.count ?? 1 })}
        />
        , wanted <MomentWord label="Wanted by" value={asked.wanted} zone={zone} onChange={(wanted) => change({ wanted })} />.
      </Sentence>
      {answer && promise && (
        <div role="status" className="flex flex-col gap-1.5">
          {promise.order.packed === undefined ? (
            <p>It finds no room in your hours.</p>
          ) : (
            <>
              <p className="text-[1.05rem]">
                {answer.asked.wanted === undefined
                  ? 'You can promise it for '
                  : kept
                    ? 'Yes. It is packed '
                    : promise.order.packed > answer.asked.wanted
                      ? 'Not by then. It is packed '
                      : 'Only if others wait. It is packed '}
                <strong>{say(promise.order.packed)}</strong>
                {promise.begins !== undefined ? `, begun ${say(promise.begins)}` : ''}.
              </p>
              {kept && promise.order.latestStart !== undefined && <p>Begin it by {say(promise.order.latestStart)} at the latest.</p>}
            </>
          )}
          {!kept && answer.asked.wanted !== undefined && (
            <>
              {promise.order.holdup && <p>{holdupWords(promise.order.holdup)}</p>}
              {evenings !== undefined && (
                <p>
                  {evenings === 1 ? 'One evening' : `${evenings} evenings`} of {formatDuration(WORKDAY.evening.long)} would do it.
                </p>
              )}
              {half !== undefined && (
                <p>
                  Half of it, {Math.floor(answer.asked.count / 2)}, can be packed {say(half)}.
                </p>
              )}
              {evenings === undefined && half === undefined && (
                <p>
                  Neither {WORKDAY.evening.most} evenings nor half the number would do. Agree on a later day, or on work that dries faster.
                </p>
              )}
            </>
          )}
          {promise.delays.length === 0 ? (
            <p>It delays nothing else.</p>
          ) : (
            <ul>
              {promise.delays.slice(0, 4).map(({ job, by, late }) => (
                <li key={job}>
                  {name(job)} is packed {formatDuration(by)} later{late ? ', and is late then' : ''}.
                </li>
              ))}
              {promise.delays.length > 4 && <li>And {promise.delays.length - 4} more.</li>}
            </ul>
          )}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-outline" disabled={busy} onClick={() => void ask()}>
          {busy ? 'Working it out…' : 'When can it be packed?'}
        </button>
        {answer && (
          <button
            type="button"
            className="btn btn-sm btn-primary"
            onClick={() => void addJob(answer.order).then(() => navigate(`/job/${answer.order.id}/draw`))}
          >
            Take the order
          </button>
        )}
      </div>
    </section>
  );
}
