import { useMemo, useState } from 'react';
import { isWashed } from '@kolleta/core/blanks';
import { formatDuration } from '@kolleta/core/units';
import { careWords, stepTitle, stepWords, waitWords } from '@kolleta/core/words';
import { formatDay, formatMoment, formatPromise, waitOver } from '@kolleta/core/schedule';
import type { Job, Shop } from '@kolleta/core/job';
import type { JobPlan, Plan } from '@kolleta/core/plan';
import { Ribbon, type RibbonBlock, type RibbonWait } from '../../ui/Ribbon';

const FILM_STATIONS = new Set(['cut', 'weed', 'tape']);

const KEY = 'ribbonOpen';

/** One job's time on one line; opened, film in the upper lane, the piece in the middle, what goes on after the last step below. */
export function JobRibbon({ job, plan, whole, shop }: { job: Job; plan: JobPlan; whole: Plan; shop: Shop }) {
  const [open, setOpen] = useState(() => localStorage.getItem(KEY) === 'yes');
  const { zone } = shop.hours;
  const { blocks, waits } = useMemo(() => {
    const at = new Map(plan.schedule.steps.map((s) => [s.step.id, s]));
    const made: RibbonBlock[] = plan.schedule.steps.map((s) => ({
      id: s.step.id,
      lane: FILM_STATIONS.has(s.step.station) ? 0 : 1,
      spans: s.spans,
      label: `${stepWords(s.step).short} ${s.step.hands}`,
      title: `${stepTitle(s.step)}: ${formatMoment(s.start, zone)}, ${formatDuration(s.step.hands)}`,
      state: s.state,
      tone: s.step.kind === 'pack' ? 'last' : 'work',
    }));
    const between: RibbonWait[] = plan.schedule.steps.flatMap((s) =>
      s.step.after.flatMap((lag): RibbonWait[] => {
        const other = at.get(lag.step);
        return other && lag.least >= 3
          ? [
              {
                id: `${s.step.id}<${lag.step}`,
                lane: 1,
                start: other.end,
                end: waitOver(other.end, lag),
                label: waitWords(lag),
              },
            ]
          : [];
      }),
    );
    const after = plan.schedule.care.map((c): RibbonWait => ({
      id: careWords(c).what,
      lane: 2,
      start: c.from,
      end: c.until,
      label: `${careWords(c).what}, ${careWords(c).then} from ${formatDay(c.until, zone, whole.at)}${c.packed ? ' — may be packed meanwhile' : ''}`,
    }));
    const longest = after.toSorted((a, b) => b.end - a.end)[0];
    return { blocks: made, waits: [...between, ...(longest ? [longest] : [])] };
  }, [plan, zone, whole.at]);
  const dayName = (moment: number) => formatMoment(moment, zone).replace(/ \d\d:\d\d$/, '');
  const hands = formatDuration(plan.handsLeft);
  const done = plan.schedule.steps.filter((s) => s.state === 'done').flatMap((s) => s.spans);
  const windows = [...done, ...whole.schedule.windows].toSorted((a, b) => a.start - b.start);
  const wash = plan.schedule.care.toSorted((a, b) => b.until - a.until)[0];
  const { latestStart, slack } = plan.schedule;
  const turn = () => {
    localStorage.setItem(KEY, open ? 'no' : 'yes');
    setOpen(!open);
  };
  return (
    <div>
      <div className="flex items-stretch gap-1.5">
        <div className="min-w-0 flex-1">
          <Ribbon
            folded={!open}
            blocks={blocks}
            waits={waits}
            windows={merged(windows)}
            now={whole.at}
            deadline={job.deadline}
            dayName={dayName}
            label={`Time of ${job.name}: ${hands} of work left, packed ${plan.schedule.packed === undefined ? 'never' : formatPromise(plan.schedule.packed, zone)}${job.deadline ? `, wanted ${formatMoment(job.deadline, zone)}` : ''}`}
          />
        </div>
        <button
          type="button"
          className="btn btn-xs btn-ghost border-base-300 self-start"
          aria-expanded={open}
          aria-label={open ? 'Fold the time of this job' : 'Open the time of this job'}
          onClick={turn}
        >
          {open ? '▴ less' : '▾ time'}
        </button>
      </div>
      {open && (
        <p className="quiet mt-0.5 text-[0.86rem]">
          {hands} of work
          {latestStart ? ` · start by ${formatMoment(latestStart, zone)}` : ''}
          {slack !== undefined ? ` · ${formatDuration(slack)} to spare` : ''}
          {wash ? ` · ${isWashed(job.piece) ? 'first wash' : 'water'} from ${formatDay(wash.until, zone, whole.at)}` : ''}
        </p>
      )}
    </div>
  );
}

/** Overlapping spans joined. */
function merged(spans: readonly { start: number; end: number }[]): { start: number; end: number }[] {
  return spans.reduce<{ start: number; end: number }[]>((all, span) => {
    const last = all.at(-1);
    if (last && span.start <= last.end) return [...all.slice(0, -1), { start: last.start, end: Math.max(last.end, span.end) }];
    return [...all, { start: span.start, end: span.end }];
  }, []);
}
