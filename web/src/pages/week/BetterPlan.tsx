import { useEffect, useRef, useState } from 'react';
import { setAt, type Job, type Shop } from '@kolleta/core/job';
import {
  boundOf,
  compareCosts,
  costOf,
  formatPromise,
  lateInAll,
  mendable,
  type Problem,
  type Schedule,
  type ScheduleCost,
} from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import type { ScheduleFind } from '../../workers/schedule.worker';
import { scheduleWorker } from '../../workers/scheduleClient';
import { WorkerStopped } from '../../workers/watchedWorker';

/** It stops by itself after so long, ms. */
const ENOUGH_MS = 20_000;
/** About so many steps are placed in a turn: it is told twice a second or so. */
const PLACED_A_TURN = 12_000;

/** In what a plan is better than the one that there is: in what counts most. */
function betterWords(found: ScheduleCost, now: ScheduleCost, say: (at: number) => string): string {
  if (found.unplaced < now.unplaced) return 'The best finds room for a job that this one does not.';
  if (found.broken < now.broken) return 'The best keeps a wait that this one does not.';
  if (lateInAll(found) < lateInAll(now) - 0.5) return `The best is ${formatDuration(lateInAll(now) - lateInAll(found))} less late in all.`;
  if (found.last < now.last - 60_000) return `By the best all is packed by ${say(found.last)}.`;
  return `By the best all is packed as soon, and hands turn to something else ${found.changes} times instead of ${now.changes}.`;
}

/** How good the plan is, against what no plan can do better than; and looking on for a better one. */
export function BetterPlan({ problem, schedule, jobs, shop }: { problem: Problem; schedule: Schedule; jobs: readonly Job[]; shop: Shop }) {
  const tell = useTell();
  const [running, setRunning] = useState(false);
  const [looked, setLooked] = useState(0);
  const [found, setFound] = useState<ScheduleFind>();
  const stop = useRef(false);
  useEffect(() => () => void (stop.current = true), []);
  useEffect(() => {
    // what was found is of the plan that was
    stop.current = true;
    setFound(undefined);
    setLooked(0);
  }, [problem]);

  const now = costOf(problem, schedule.solution);
  const bound = boundOf(problem);
  const { zone } = shop.hours;
  const say = (at: number) => formatPromise(at, zone);
  const late = jobs.flatMap((job) => {
    const { packed, ready, late: isLate } = schedule.jobs.get(job.id) ?? {};
    if (!isLate || packed === undefined || ready === undefined || job.deadline === undefined) return [];
    const soonest = bound.jobs.get(job.id);
    return [
      {
        job,
        packed,
        by: ready - job.deadline,
        never: soonest !== undefined && soonest + ready - packed > job.deadline ? soonest : undefined,
      },
    ];
  });
  const better = found && compareCosts(found.cost, now) < 0 ? found : undefined;
  const best = now.last <= bound.last + 15 * 60_000 && lateInAll(now) <= bound.late + 1e-6 && mendable(schedule.solution) === 0;

  const look = async () => {
    stop.current = false;
    setRunning(true);
    let [order, seed, all] = [shop.order as readonly string[] | undefined, 1, 0];
    const rounds = Math.max(10, Math.floor(PLACED_A_TURN / Math.max(1, schedule.steps.length)));
    const until = Date.now() + ENOUGH_MS;
    try {
      while (!stop.current && Date.now() < until) {
        const one = await scheduleWorker.call((remote) => remote.look(problem, order, rounds, seed));
        if (stop.current) break;
        all += rounds;
        seed += 1;
        order = one.order;
        setLooked(all);
        setFound(one);
      }
    } catch (error) {
      if (!(error instanceof WorkerStopped && stop.current)) tell(plainly(error), { tone: 'error' });
    }
    setRunning(false);
  };
  const take = () => {
    if (!better) return;
    stop.current = true;
    void editShop(() => setAt(['order'], [...better.order]), 'Take a better plan');
  };
  return (
    <section aria-label="How good this plan is" className="sheet flex flex-col gap-2 px-4 py-3 print:hidden">
      <h2 className="text-lg font-bold">How good this plan is</h2>
      {late.map(({ job, packed, by, never }) => (
        <p key={job.id}>
          <strong>{job.name}</strong> is packed {say(packed)}, {formatDuration(by / 60_000)} late.{' '}
          {never !== undefined ? `No plan can pack it before ${say(never)}.` : 'By itself it could be in time.'}
        </p>
      ))}
      <p>
        All is packed by {say(now.last)}. No plan can have all packed before {say(bound.last)}
        {best ? ', so none is sooner.' : '.'} Hands turn to something else {now.changes} times.
      </p>
      {(looked > 0 || running) && (
        <p role="status" className="text-[0.95rem]">
          {looked.toLocaleString('en-GB')} orders looked at. {better ? betterWords(better.cost, now, say) : 'None is better so far.'}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {running ? (
          <button type="button" className="btn btn-sm btn-outline" onClick={() => (stop.current = true)}>
            Stop
          </button>
        ) : (
          <button type="button" className="btn btn-sm btn-outline" onClick={() => void look()}>
            {looked > 0 ? 'Look on' : best ? 'Look for a calmer plan' : 'Look for a better plan'}
          </button>
        )}
        {better && (
          <button type="button" className="btn btn-sm btn-primary" onClick={take}>
            Take this plan
          </button>
        )}
        {shop.order && shop.order.length > 0 && (
          <button
            type="button"
            className="btn btn-sm btn-ghost border-base-300"
            onClick={() => void editShop(() => setAt(['order'], []), 'Forget the kept plan')}
          >
            Forget the plan that was kept
          </button>
        )}
      </div>
    </section>
  );
}
