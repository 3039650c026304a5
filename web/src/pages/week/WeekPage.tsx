import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { formatDuration } from '@kolleta/core/units';
import {
  formatMoment,
  formatPromise,
  GRAIN_MS,
  handsIn,
  heldBack,
  heldBackWords,
  HORIZON_DAYS,
  midnightOf,
  whatMoved,
  type PlacedStep,
  type Schedule,
} from '@kolleta/core/schedule';
import { download, fileName } from '../../storage/download';
import { undoJob } from '../../storage/editJob';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { visitDemo } from '../../storage/workshop';
import { useTell } from '../../ui/toasts';
import { usePlan } from '../../workers/usePlan';
import { BetterPlan } from './BetterPlan';
import { DayList } from './DayList';
import { dayRows, hoursShown } from './dayRows';
import { PromiseCard } from './PromiseCard';
import { packedMoved, stepsMoved } from '../../frame/movedWords';
import { pinStep } from '../../frame/pinStep';
import { StepPanel } from './StepPanel';
import { WeekDays } from './WeekDays';
import { OnceKnown } from '../../frame/OnceKnown';

const DAYS = 7;
const DAY_MS = 24 * 3_600_000;

/** The week of the workshop on one scale: who does what when, what dries, what is wanted; steps are put elsewhere by hand. */
export function WeekPage() {
  const { jobs, shop } = useWorkshop();
  const plan = usePlan();
  const tell = useTell();
  const [params, setParams] = useSearchParams();
  const [later, setLater] = useState(0);
  const [list, setList] = useState<number>();
  const chosen = params.get('step') ?? undefined;
  /** The plan before a step was put elsewhere, until the plan with it is there. */
  const before = useRef<{ schedule: Schedule; placed: PlacedStep }>(undefined);
  const rows = useMemo(
    () => (plan ? dayRows(plan.schedule, jobs, shop.hours, midnightOf(plan.at, shop.hours.zone, later), DAYS) : []),
    [plan, jobs, shop.hours, later],
  );
  useEffect(() => {
    const was = before.current;
    if (!plan || !was || plan.schedule === was.schedule) return;
    before.current = undefined;
    const moved = whatMoved(was.schedule, plan.schedule, was.placed.step.id);
    const parts = [stepsMoved(moved), ...packedMoved(moved, jobs)];
    const { job } = was.placed.step;
    tell(parts.join(' '), {
      action: { label: 'Undo', run: () => void undoJob(job).catch((error: unknown) => tell(plainly(error), { tone: 'error' })) },
    });
  }, [plan, jobs, tell]);
  if (!plan)
    return (
      <p role="status" className="sheet p-6">
        Working out the week…
      </p>
    );
  const { schedule, problem } = plan;
  const open = jobs.filter(({ closed }) => !closed);
  const waiting = schedule.steps.filter(({ state }) => state === 'waiting');
  const hours = hoursShown(rows);
  const placed = schedule.steps.find(({ step }) => step.id === chosen);
  const listed =
    rows.find(({ midnight }) => midnight === list) ??
    rows.find(({ blocks }) => blocks.some(({ placed: one }) => one.state !== 'done')) ??
    rows[0];
  const pinned = new Set(open.flatMap(({ pins }) => (pins ?? []).map(({ step }) => step)));
  const choose = (step: string) => setParams({ step }, { replace: true });
  const put = (one: PlacedStep, at: number) => {
    const wrong =
      at < plan.at - GRAIN_MS
        ? 'That moment is over. Put it at one to come.'
        : at > plan.at + HORIZON_DAYS * DAY_MS
          ? `Nothing is planned more than ${HORIZON_DAYS} days ahead. Put it at a nearer day.`
          : undefined;
    if (wrong) {
      tell(wrong, { tone: 'error' });
      return;
    }
    before.current = { schedule, placed: one };
    choose(one.step.id);
    void pinStep(one.step.job, one.step.id, at);
  };
  const heldAt = (one: PlacedStep, at: number): string | undefined => {
    const held = heldBack(one, at, schedule.steps, schedule.windows);
    return held && heldBackWords(held, (moment) => formatMoment(moment, shop.hours.zone));
  };
  const save = async () => {
    const { writeCalendar } = await import('@kolleta/core/calendars');
    download(`${fileName(shop.name)}.ics`, writeCalendar(schedule.steps, open, shop.name, plan.at), 'text/calendar');
  };
  const end = waiting.reduce((last, one) => Math.max(last, one.end), 0);
  const without = open.filter(({ id }) => schedule.jobs.get(id)?.unplaced !== undefined);
  const lates = open.filter((job) => schedule.jobs.get(job.id)?.late && !without.includes(job));
  return (
    <div className="week-whole flex flex-col gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-1 print:hidden">
        <h1 className="text-[1.65rem] font-extrabold">Week</h1>
        <p>
          {waiting.length === 0 ? (
            <OnceKnown>
              Nothing is planned.{' '}
              <Link className="link" to="/jobs">
                Begin a job
              </Link>{' '}
              and its steps find their times here, or{' '}
              <button type="button" className="link" onClick={visitDemo}>
                see a workshop at work
              </button>
              .
            </OnceKnown>
          ) : (
            <>
              {formatDuration(waiting.reduce((sum, one) => sum + handsIn(one), 0))} of work until {formatPromise(end, shop.hours.zone)}.{' '}
              {lates.length > 0 && `Late: ${lates.map(({ name }) => name).join(', ')}. `}
              {without.length > 0 && (
                <strong className="text-error">No room in your hours: {without.map(({ name }) => name).join(', ')}.</strong>
              )}
              {lates.length + without.length === 0 && 'Everything with a date is packed in time.'}
            </>
          )}
        </p>
        <div className="ml-auto flex flex-wrap gap-2">
          <button
            type="button"
            className="btn btn-sm btn-ghost border-base-300"
            disabled={later === 0}
            onClick={() => setLater(later - DAYS)}
          >
            Week before
          </button>
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setLater(later + DAYS)}>
            Week after
          </button>
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void save()}>
            Save as a calendar file
          </button>
        </div>
      </div>
      <div className="week-page grid items-start gap-3">
        <div className="sheet min-w-0 px-3 py-2 [grid-area:days] print:hidden">
          <WeekDays
            rows={rows}
            hours={hours}
            jobs={open}
            shop={shop}
            now={plan.at}
            chosen={chosen}
            listed={listed?.midnight ?? 0}
            pinned={pinned}
            heldAt={heldAt}
            onChoose={choose}
            onList={setList}
            onPut={put}
          />
          <p className="quiet mt-1 text-[0.82rem]">
            Solid: hands at work. Hatched: it dries or waits. Shaded: nobody works.{' '}
            <Link className="link" to="/workshop">
              Hours and days off
            </Link>
          </p>
        </div>
        {listed && <DayList row={listed} jobs={open} shop={shop} onChoose={choose} />}
        <div className="flex min-w-0 flex-col gap-3 [grid-area:side] print:hidden">
          {placed && (
            <StepPanel
              placed={placed}
              schedule={schedule}
              job={open.find(({ id }) => id === placed.step.job)}
              nameOf={(id) => open.find((job) => job.id === id)?.name ?? ''}
              shop={shop}
              onPut={put}
            />
          )}
          <PromiseCard jobs={open} shop={shop} problem={problem} />
          {waiting.length > 0 && <BetterPlan problem={problem} schedule={schedule} jobs={open} shop={shop} />}
        </div>
      </div>
    </div>
  );
}
