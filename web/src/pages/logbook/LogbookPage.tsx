import { logOf, logTotals } from '@kolleta/core/logbook';
import { counted, formatDuration } from '@kolleta/core/units';
import { useWorkshop } from '../../storage/useWorkshop';
import { LogList } from '../../frame/LogList';

/** What happened in the workshop, newest first. */
export function LogbookPage() {
  const { events, jobs, shop } = useWorkshop();
  const records = logOf(events);
  const steps = records.filter(({ outcome }) => outcome === 'done' || outcome === 'wrong');
  const totals = logTotals(steps);
  return (
    <div className="flex flex-col gap-3">
      <h1 className="text-[1.65rem] font-extrabold">Logbook</h1>
      {records.length === 0 ? (
        <p className="sheet p-6">
          Nothing is logged yet. Each “Done” and “Went wrong” writes a line here, with the minutes that it was to take and took.
        </p>
      ) : (
        <>
          <p>
            {counted(steps.length, 'step')}, {totals.timed} of them timed
            {totals.timed > 0
              ? `: ${formatDuration(totals.actual)} of work where ${formatDuration(totals.planned)} were planned`
              : ''}; {totals.wrong === 0 ? 'nothing went wrong' : `${totals.wrong} went wrong`}.
          </p>
          <LogList records={records.slice(0, 200)} shop={shop} jobName={(id) => jobs.find((j) => j.id === id)?.name} />
        </>
      )}
    </div>
  );
}
