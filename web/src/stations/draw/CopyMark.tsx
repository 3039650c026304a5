import { copyMark, missingColumns, type Job, type Mark } from '@kolleta/core/job';
import { listed } from '@kolleta/core/units';
import { editJob } from '../../storage/editJob';
import { newId } from '../../storage/newId';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';

/** Copies a mark to a zone of this job, or to another job. */
export function CopyMark({ job, mark, chooseMark }: { job: Job; mark: Mark; chooseMark: (id: string) => void }) {
  const { jobs } = useWorkshop();
  const tell = useTell();
  const others = jobs.filter(({ id, closed }) => id !== job.id && !closed);
  const go = async (target: string) => {
    const [to, zone] = JSON.parse(target) as [string, string];
    const id = newId();
    const other = jobs.find((one) => one.id === to);
    try {
      await editJob(to, (saved) => (saved.zones.some((one) => one.id === zone) ? copyMark(mark, saved, zone, id) : []), 'Copy a mark');
    } catch (error) {
      return tell(plainly(error), { tone: 'error' });
    }
    if (to === job.id) return chooseMark(id);
    const missing = other ? missingColumns(mark, other) : [];
    tell(
      `${mark.name} is in ${other?.name ?? 'the other job'} too.${missing.length > 0 ? ` Its list has no column ${listed(missing)}: add it there.` : ''}`,
    );
  };
  const option = (to: Job, zone: { id: string; name: string }, name: string) => (
    <option key={`${to.id} ${zone.id}`} value={JSON.stringify([to.id, zone.id])}>
      {name}
    </option>
  );
  return (
    <select
      className="select select-xs w-auto"
      aria-label="Copy this mark to"
      value=""
      onChange={(event) => event.target.value && void go(event.target.value)}
    >
      <option value="">Copy this mark to…</option>
      <optgroup label="this job">{job.zones.map((zone) => option(job, zone, zone.name))}</optgroup>
      {others.length > 0 && (
        <optgroup label="another job">
          {others.flatMap((to) => to.zones.map((zone) => option(to, zone, to.zones.length > 1 ? `${to.name}: ${zone.name}` : to.name)))}
        </optgroup>
      )}
    </select>
  );
}
