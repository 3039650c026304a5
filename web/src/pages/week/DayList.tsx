import { CAUTIONS } from '@kolleta/core/facts';
import { formatDuration } from '@kolleta/core/units';
import { stepText, stepTitle } from '@kolleta/core/words';
import { formatMoment, handsIn, stepIn, formatTime } from '@kolleta/core/schedule';
import type { Job, Shop } from '@kolleta/core/job';
import { doneBy } from '../../frame/doneBy';
import type { DayRow } from './dayRows';

/** One day as a list, to tick on paper: what is printed of this page. */
export function DayList({
  row,
  jobs,
  shop,
  onChoose,
}: {
  row: DayRow;
  jobs: readonly Job[];
  shop: Shop;
  onChoose: (step: string) => void;
}) {
  const { zone } = shop.hours;
  const day = formatMoment(row.midnight + 12 * 3_600_000, zone).replace(/ \d\d:\d\d$/, '');
  const blocks = row.blocks.filter(({ placed }) => placed.state !== 'done');
  const work = blocks.reduce((sum, { start, end }) => sum + (end - start) / 60_000, 0);
  return (
    <section aria-label={`${day}, step by step`} className="sheet day-sheet min-w-0 px-4 py-3 [grid-area:list]">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-lg font-bold">{day}</h2>
        <p className="quiet text-[0.92rem]">
          {blocks.length === 0 ? (row.open.length === 0 ? 'Nobody works.' : 'Nothing to do.') : `${formatDuration(work)} of work`}
          {row.wanted.length > 0 && ` · wanted: ${row.wanted.map(({ name, at }) => `${name} ${formatTime(at, zone)}`).join(', ')}`}
        </p>
        <button type="button" className="btn btn-sm btn-ghost border-base-300 ml-auto" onClick={() => window.print()}>
          Print this day
        </button>
      </div>
      <ol className="mt-1">
        {blocks.map(({ placed, start, first }) => {
          return (
            <li key={`${placed.step.id}@${start}`} className="border-base-300/60 flex gap-3 border-t py-1.5 first:border-0">
              <span aria-hidden="true" className="mt-1 hidden size-4 shrink-0 border border-current print:block" />
              <span className="measure min-w-14 shrink-0 whitespace-nowrap">{formatTime(start, zone)}</span>
              <span className="min-w-0 flex-1 leading-snug">
                <button
                  type="button"
                  className="step-name text-left font-semibold hover:underline"
                  onClick={() => onChoose(placed.step.id)}
                >
                  {stepTitle(placed.step)}
                  {first ? '' : ' (go on)'}
                </button>{' '}
                <span className="quiet">
                  · {jobs.find(({ id }) => id === placed.step.job)?.name}
                  {doneBy(placed, shop, ' · ')}
                </span>
                <span className="hidden text-[0.86rem] print:block">
                  {stepText(stepIn(placed), shop.lengths, shop.temperatures)} {placed.step.cautions.map((one) => CAUTIONS[one]).join(' ')}
                </span>
              </span>
              <span className="quiet measure shrink-0 text-[0.9rem]">{formatDuration(handsIn(placed))}</span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
