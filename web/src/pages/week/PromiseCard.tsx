import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { TECHNIQUES, WORKDAY, type TechniqueId } from '@kolleta/core/facts';
import { linesOf, orderLike, type Asked, type Job, type Shop } from '@kolleta/core/job';
import { formatPromise, holdupWords, type JobToPlace, type Problem } from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';
import { MomentWord } from '../../frame/MomentWord';
import { now } from '../../storage/clock';
import { addJob } from '../../storage/editJob';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { Choice, CountWord, Sentence } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import type { Planner } from '../../workers/planner.worker';
import { newPlannerWorker } from '../../workers/plannerWorker';
import type { OrderAnswer } from '../../workers/schedule.worker';
import { scheduleWorker } from '../../workers/scheduleClient';
import { WatchedWorker } from '../../workers/watchedWorker';

/** An answer stands for so long, ms. */
const STANDS_MS = 15 * 60_000;

const aOrAn = (name: string): string => `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;

/** Before an order is taken: when it could be packed among what is open, what it would delay, and what would make it possible. */
export function PromiseCard({ jobs, shop, problem }: { jobs: readonly Job[]; shop: Shop; problem: Problem }) {
  const tell = useTell();
  const navigate = useNavigate();
  const models = [...jobs.map((job) => ({ id: job.id, name: job.name, job })), ...(shop.patterns ?? [])].filter(
    ({ job }) => job.marks.length > 0,
  );
  const [asked, setAsked] = useState<Asked>({
    like: models[0]?.id ?? '',
    count: models[0]?.job.count ?? 1,
    lines: undefined,
    wanted: undefined,
  });
  const [answered, setAnswer] = useState<{
    at: number;
    asked: Asked;
    order: Job;
    found: OrderAnswer & { way?: { technique: TechniqueId; job: Job; packed: number } };
  }>();
  const [busy, setBusy] = useState(false);
  const trial = useRef<WatchedWorker<Planner>>(undefined);
  useEffect(() => () => trial.current?.stop('Done.'), []);
  // the workshop is another since: what was answered may no longer be so. A plan that is only some minutes newer changes nothing
  const workshop = useWorkshop();
  useEffect(() => setAnswer(undefined), [workshop]);
  const answer = answered && problem.now - answered.at < STANDS_MS ? answered : undefined;
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
      const order = orderLike(model, asked, names, newId, now());
      const planned = async (one: Job) => {
        trial.current ??= new WatchedWorker<Planner>('The trial', newPlannerWorker);
        const plan = await trial.current.call((planner) => planner.plan('draft', [one], shop, [], now(), { whole: true }));
        const stops = (plan.jobs.get(one.id)?.readings ?? []).filter(({ verdict, id }) => verdict === 'stop' && id !== 'date').length;
        return { job: plan.problem.jobs[0], stops };
      };
      const { job: whole, stops } = await planned(order);
      if (!whole) {
        tell(`“${model.name}” has nothing to plan yet. Choose another job that is like the order.`, { tone: 'error' });
        return;
      }
      const half =
        asked.wanted !== undefined && asked.count > 1 ? (await planned({ ...order, count: Math.floor(asked.count / 2) })).job : undefined;
      const first = await scheduleWorker.call((worker) => worker.promise(problem, whole, half));
      // only where it matters: another technique that this piece takes as well
      const ways = first.kept || asked.wanted === undefined ? [] : await trial.current!.call((planner) => planner.otherWays(order, shop));
      const made: { way: (typeof ways)[number]; job: JobToPlace }[] = [];
      for (const way of ways) {
        const { job, stops: others } = await planned(way.job);
        if (job && others <= stops) made.push({ way, job });
      }
      const kept =
        made.length === 0
          ? undefined
          : await scheduleWorker.call((worker) =>
              worker.firstKept(
                problem,
                made.map(({ job }) => job),
              ),
            );
      const found = { ...first, ...(kept ? { way: { ...made[kept.which]!.way, packed: kept.packed } } : {}) };
      setAnswer({ at: problem.now, asked, order, found });
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    } finally {
      setBusy(false);
    }
  };
  const take = (order: Job) => addJob(order).then(() => navigate(`/job/${order.id}/draw`));
  const change = (part: Partial<Asked>) => {
    setAnswer(undefined);
    setAsked((was) => ({ ...was, ...part }));
    return Promise.resolve(0);
  };
  const { promise, kept, evenings, half, way } = answer?.found ?? {};
  const lines = linesOf(model.job);
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
          onChange={(like) => change({ like, count: models.find(({ id }) => id === like)?.job.count ?? 1, lines: undefined })}
        />
        {lines > 0 && (
          <>
            {' '}
            of{' '}
            <CountWord
              label="How many lines"
              value={asked.lines ?? lines}
              least={1}
              most={12}
              onChange={(count) => change({ lines: count })}
            />{' '}
            {(asked.lines ?? lines) === 1 ? 'line' : 'lines'}
          </>
        )}
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
              {way && (
                <p>
                  As {aOrAn(TECHNIQUES[way.technique].name)} it can be packed {say(way.packed)}.{' '}
                  <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void take(way.job)}>
                    Take it so
                  </button>
                </p>
              )}
              {evenings === undefined && half === undefined && !way && (
                <p>
                  Neither {WORKDAY.evening.most} evenings nor half the number nor another technique would do. Agree on a later day, or on
                  work that dries faster.
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
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void take(answer.order)}>
            Take the order
          </button>
        )}
      </div>
    </section>
  );
}
