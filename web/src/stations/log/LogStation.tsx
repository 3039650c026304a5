import { logOf, logTotals } from '@kolleta/core/logbook';
import { formatDuration } from '@kolleta/core/units';
import { useWorkshop } from '../../storage/useWorkshop';
import { DrawingHead, StationLayout, type StationProps } from '../../frame/station';
import { SpoiledCard } from './SpoiledCard';
import { LostButton } from '../../frame/LostButton';
import { LogList } from '../../frame/LogList';

/** What happened to this job. */
export function LogStation({ job, plan, shop }: StationProps) {
  const { events } = useWorkshop();
  const records = logOf(events, job.id);
  const totals = logTotals(records);
  const left = plan.schedule.steps.filter((s) => s.state !== 'done').length;
  const drawing = (
    <>
      <DrawingHead title="What was done" text="planned against actual minutes, all to one scale" />
      <div className="flex-1 p-3">
        {records.length > 0 ? (
          <LogList records={records} shop={shop} />
        ) : (
          <p className="p-6">
            Nothing is logged yet. “Done” and “Went wrong” on the Bench or at a step write it here, with the minutes that it took.
          </p>
        )}
      </div>
    </>
  );
  return (
    <StationLayout title="Log" drawing={drawing}>
      <div className="sheet px-4 py-3">
        <p className="measure text-2xl font-semibold">{totals.timed > 0 ? formatDuration(totals.actual) : 'not timed'}</p>
        <p>
          {totals.timed > 0
            ? `of work in ${totals.timed === 1 ? 'the step' : `the ${totals.timed} steps`} that ran with a timer; ${formatDuration(totals.planned)} were planned (×${(totals.actual / Math.max(0.1, totals.planned)).toFixed(2)}).`
            : 'No step has run with a timer yet: Start begins one.'}{' '}
          {totals.wrong === 0 ? 'Nothing went wrong.' : totals.wrong === 1 ? 'One thing went wrong.' : `${totals.wrong} things went wrong.`}
        </p>
        <p className="quiet text-sm">
          {left === 0
            ? 'Every step is done: the job can be closed.'
            : `${left} steps and ${formatDuration(plan.handsLeft)} of work are left.`}
        </p>
      </div>
      <SpoiledCard job={job} />
      <LostButton plan={plan} />
    </StationLayout>
  );
}
