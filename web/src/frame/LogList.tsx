import { useState } from 'react';
import { formatMoment } from '@kolleta/core/schedule';
import type { LogRecord } from '@kolleta/core/logbook';
import type { Shop } from '@kolleta/core/job';
import { counted, formatDuration, formatLength, listed } from '@kolleta/core/units';
import { reverseEvents } from '../storage/logEvent';
import { useWorkshop } from '../storage/useWorkshop';
import { VerdictMark } from '../ui/Verdict';
import { PutRight } from './PutRight';

/** From how much to how much, in the unit that such stock is counted in. */
function countWords({ stock, was, is }: NonNullable<LogRecord['count']>, shop: Shop): string {
  const say = (amount: number) =>
    stock === 'film' || stock === 'tape'
      ? formatLength(Math.max(0, amount), shop.lengths, { digits: 0 })
      : `${Math.floor(Math.max(0, amount) * 10) / 10}${stock === 'paint' ? ' ml' : ''}`;
  return `Thought to be ${say(was)}, is ${say(is)}.`;
}

/** Log lines with planned and actual minutes drawn to one scale. */
export function LogList({
  records,
  shop,
  jobName,
}: {
  records: readonly LogRecord[];
  shop: Shop;
  jobName?: (id: string) => string | undefined;
}) {
  const { events } = useWorkshop();
  const [putting, setPutting] = useState<string>();
  const most = Math.max(10, ...records.flatMap((r) => [r.planned, r.actual]));
  const share = (minutes: number) => `${Math.max(0.6, (100 * minutes) / most)}%`;
  const undo = (record: LogRecord) => {
    const event = events.find((e) => e.id === record.event);
    if (!event) return;
    const together = 'step' in event ? events.filter((e) => e.at === event.at && 'step' in e && e.step === event.step) : [event];
    void reverseEvents(together);
  };
  return (
    <ol className="flex flex-col gap-2" aria-label="Log">
      {records.map((record) => (
        <li key={record.event} className="sheet px-4 py-2.5">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <VerdictMark
              verdict={
                record.outcome === 'done' || record.outcome === 'counted' || record.outcome === 'noted'
                  ? 'fine'
                  : record.outcome === 'wrong' || record.outcome === 'lost'
                    ? 'stop'
                    : 'watch'
              }
              size={15}
            />
            <h3 className="min-w-0 flex-1 basis-56 text-[0.98rem] font-bold break-words">{record.title}</h3>
            <span className="quiet text-[0.82rem]">
              {jobName?.(record.job) ? `${jobName(record.job)} · ` : ''}
              {formatMoment(record.at, shop.hours.zone)}
            </span>
            {(record.outcome === 'done' || record.outcome === 'wrong') && (
              <button
                type="button"
                className="btn btn-xs btn-ghost border-base-300"
                aria-expanded={putting === record.event}
                onClick={() => setPutting(putting === record.event ? undefined : record.event)}
              >
                Put right
              </button>
            )}
            {record.outcome !== 'overridden' && (
              <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => undo(record)}>
                Undo
              </button>
            )}
          </div>
          {record.outcome === 'overridden' && <p className="text-[0.9rem]">“{record.note}”</p>}
          {record.count && <p className="text-[0.9rem]">{countWords(record.count, shop)}</p>}
          <div
            hidden={!(record.outcome === 'done' || record.outcome === 'wrong')}
            className="mt-1 grid grid-cols-[4.4rem_minmax(0,1fr)_auto] items-center gap-x-2 text-[0.82rem]"
          >
            <span className="quiet">planned</span>
            <span className="bg-base-300 block h-2.5 rounded-sm" style={{ width: share(record.planned) }} />
            <span className="measure min-w-20 text-right whitespace-nowrap">{formatDuration(record.planned)}</span>
            <span className="quiet">took</span>
            {record.timed ? (
              <>
                <span
                  className={`block h-2.5 rounded-sm ${record.actual > record.planned * 1.25 ? 'bg-accent' : 'bg-primary'}`}
                  style={{ width: share(record.actual) }}
                />
                <span className="measure min-w-20 text-right whitespace-nowrap">{formatDuration(record.actual)}</span>
              </>
            ) : (
              <span className="quiet col-span-2">not timed</span>
            )}
          </div>
          {record.what && (
            <p className="text-[0.9rem]">
              Went wrong: {record.what.toLowerCase()}.{record.note ? ` ${record.note}` : ''}
            </p>
          )}
          {record.used && (record.used.pieces > 0 || record.used.length > 0) && (
            <p className="text-[0.9rem]">
              Used{' '}
              {listed([
                ...(record.used.pieces > 0 ? [counted(record.used.pieces, 'piece')] : []),
                ...(record.used.length > 0 ? [formatLength(record.used.length, shop.lengths, { digits: 0 })] : []),
              ])}{' '}
              of {shop.films.find(({ id }) => id === record.used?.film)?.name ?? 'film that is gone'}.
            </p>
          )}
          {record.outcome === 'done' && record.note && <p className="text-[0.9rem]">Noted: {record.note}</p>}
          {record.photo && <img src={record.photo} alt={`Picture of: ${record.title}`} className="mt-1 max-h-44 rounded" />}
          {putting === record.event && <PutRight record={record} onClose={() => setPutting(undefined)} />}
        </li>
      ))}
    </ol>
  );
}
