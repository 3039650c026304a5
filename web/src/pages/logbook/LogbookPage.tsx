import { useMemo, useState } from 'react';
import { dayOf } from '@kolleta/core/schedule';
import { logOf, logTotals, type LogRecord } from '@kolleta/core/logbook';
import { filmByWeek, learntFrom, spoilageByCause, workTallies } from '@kolleta/core/learning';
import { counted, formatDuration } from '@kolleta/core/units';
import { LogList } from '../../frame/LogList';
import { download, fileName } from '../../storage/download';
import { useWorkshop } from '../../storage/useWorkshop';
import { FilmChart, SpoilChart, wentWrongWords, WorkChart } from './LogCharts';
import { Taught } from './Taught';

/** So many entries are shown at first. */
const SHOWN = 40;

const OUTCOMES = { all: 'everything', wrong: 'what went wrong', noted: 'notes and pictures', timed: 'timed runs' } as const;
type Only = keyof typeof OUTCOMES;

/** What happened in the workshop, what it has taught, and where to look it up. */
export function LogbookPage() {
  const { events, jobs, shop } = useWorkshop();
  const [words, setWords] = useState('');
  const [only, setOnly] = useState<Only>('all');
  const [shown, setShown] = useState(SHOWN);
  const records = useMemo(() => logOf(events), [events]);
  const learnt = useMemo(() => learntFrom(events), [events]);
  const { tallies, causes, weeks } = useMemo(() => {
    const width = new Map(shop.films.map((film) => [film.id, film.width]));
    const day = (at: number) => Date.parse(`${dayOf(at, shop.hours.zone)}T00:00:00Z`) / 86_400_000;
    return {
      tallies: workTallies(events),
      causes: spoilageByCause(events),
      weeks: filmByWeek(events, (film) => width.get(film) ?? 300, day),
    };
  }, [events, shop.films, shop.hours.zone]);
  const jobName = (id: string) => jobs.find((job) => job.id === id)?.name;
  const steps = records.filter(({ outcome }) => outcome === 'done' || outcome === 'wrong');
  const totals = logTotals(records);
  const wanted = words.trim().toLowerCase();
  const found = records.filter((record: LogRecord) => {
    if (only === 'wrong' && record.outcome !== 'wrong' && record.outcome !== 'lost') return false;
    if (only === 'noted' && !record.note && !record.photo) return false;
    if (only === 'timed' && !record.timed) return false;
    if (wanted === '') return true;
    const job = jobs.find(({ id }) => id === record.job);
    const all = [record.title, record.what, record.note, record.about, job?.name, job?.client, job?.piece.name].join(' ').toLowerCase();
    return wanted.split(/\s+/).every((word) => all.includes(word));
  });
  const asList = async () => {
    const { writeLogList } = await import('@kolleta/core/stockList');
    download(
      `${fileName(shop.name)}-log.csv`,
      writeLogList(events, (id) => jobName(id) ?? ''),
      'text/csv',
    );
  };
  const asData = () =>
    download(
      `${fileName(shop.name)}-log.json`,
      `${JSON.stringify({ kolleta: 'log', events: events.map((event) => ({ ...event, at: new Date(event.at).toISOString() })) }, null, 1)}\n`,
      'application/json',
    );
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <h1 className="text-[1.65rem] font-extrabold">Logbook</h1>
        {records.length > 0 && (
          <div className="flex flex-wrap gap-2 print:hidden">
            <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={() => void asList()}>
              For a spreadsheet (CSV)
            </button>
            <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={asData}>
              As data (JSON)
            </button>
          </div>
        )}
      </div>
      {records.length === 0 ? (
        <p className="sheet p-6">
          Nothing is logged yet. Each “Done” and “Went wrong” writes a line here, with the minutes that it was to take and took; from those
          Kolleta learns how long your own hands take.
        </p>
      ) : (
        <>
          <p>
            {counted(steps.length, 'step')}, {totals.timed} of them timed
            {totals.timed > 0
              ? `: ${formatDuration(totals.actual)} of work where ${formatDuration(totals.planned)} were planned`
              : ''}; {wentWrongWords(totals.wrong)}.
          </p>
          <div className="grid grid-cols-1 items-start gap-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <Taught learnt={learnt} shop={shop} />
            <div className="flex flex-col gap-3">
              {tallies.length > 0 && <WorkChart tallies={tallies} />}
              {causes.length > 0 && <SpoilChart causes={causes} />}
              {weeks.length > 0 && <FilmChart weeks={weeks} shop={shop} />}
            </div>
          </div>
          <div className="flex flex-wrap items-center gap-2 print:hidden">
            <h2 className="mr-2 text-[1.15rem] font-bold">What happened</h2>
            <input
              type="search"
              className="input input-sm w-64 max-w-full"
              placeholder="glitter, mug, hinge…"
              aria-label="Find in the log"
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
            <select
              className="select select-sm w-auto"
              aria-label="Show"
              value={only}
              onChange={(event) => setOnly(event.target.value as Only)}
            >
              {Object.entries(OUTCOMES).map(([value, label]) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
            {(wanted !== '' || only !== 'all') && <span role="status">{counted(found.length, 'entry', 'entries')}</span>}
          </div>
          {found.length === 0 ? (
            <p className="sheet p-4">No entry says that. Try a film, a piece, or a part of a note.</p>
          ) : (
            <LogList records={found.slice(0, shown)} shop={shop} jobName={jobName} />
          )}
          {found.length > shown && (
            <button type="button" className="btn btn-ghost border-base-300 self-start" onClick={() => setShown(shown + 200)}>
              Show older ones
            </button>
          )}
        </>
      )}
    </div>
  );
}
