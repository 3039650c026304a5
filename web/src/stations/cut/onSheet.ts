import { cutMirrored, keptOf } from '@kolleta/core/cut';
import type { Id, Job, JobId } from '@kolleta/core/job';
import type { JobPlan, Plan } from '@kolleta/core/plan';
import type { LayoutToCut } from './layoutToCut';

interface OnSheet {
  readonly job: Job;
  readonly layers: JobPlan['layers'];
}

/** Jobs that come along on the sheet, with what was planned of their layers. */
export const comers = (
  ready: LayoutToCut['ready'],
  along: ReadonlySet<JobId>,
  done: boolean,
  jobs: readonly Job[],
  whole: Plan | undefined,
): OnSheet[] =>
  ready
    .filter(({ job }) => !done && along.has(job))
    .flatMap(({ job: id }) => {
      const [job, layers] = [jobs.find((one) => one.id === id), whole?.jobs.get(id)?.layers];
      return job && layers ? [{ job, layers }] : [];
    });

/** Every mark on the sheet as it is spoken of, those of jobs that come along by their job's name. */
export const marksOnSheet = (film: Id | undefined, own: OnSheet, along: readonly OnSheet[]) =>
  film === undefined
    ? []
    : [own, ...along].flatMap(({ job, layers }) =>
        job.marks
          .filter((m) => layers.some((l) => l.mark === m.id && l.film.id === film))
          .map((m) => ({
            key: `${job.id}/${m.id}`,
            name: job === own.job ? m.name : `${m.name} of ${job.name}`,
            mirrored: cutMirrored(m) && (m.seenThrough ? ('seenThrough' as const) : ('pressed' as const)),
            kept: keptOf(m, film),
            letters: m.artwork.kind === 'text',
          })),
      );
