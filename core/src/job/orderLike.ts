import { copyJob, nameOfCopy } from './copies';
import type { Id } from './ids';
import type { Job } from './job';
import type { JobPattern } from './shop';

/** What is asked for: so many pieces like those of a job, of so many lines, by then. */
export interface Asked {
  readonly like: string;
  readonly count: number;
  /** Lines of its first mark of words; as they are where it is not said. */
  readonly lines: number | undefined;
  readonly wanted: number | undefined;
}

/** The lines of the first mark of words; none where a job has only drawings. */
export const linesOf = ({ marks }: Pick<Job, 'marks'>): number =>
  marks.map(({ artwork }) => (artwork.kind === 'text' ? artwork.lines.length : 0)).find((count) => count > 0) ?? 0;

/**
 * A job like another, for so many pieces; lines that are not known yet are as long as those that are.
 *
 * @param names of the jobs that there are
 * @param newId makes ids
 * @param at when it is asked for, UTC ms
 */
export function orderLike(
  { job, name }: Pick<JobPattern, 'job' | 'name'>,
  { count, lines, wanted }: Asked,
  names: readonly string[],
  newId: () => Id,
  at: number,
): Job {
  const fresh = copyJob(job, newId(), names.includes(name) ? nameOfCopy(name, names) : name, at);
  const rows = fresh.list?.rows ?? [];
  const first = fresh.marks.find(({ artwork }) => artwork.kind === 'text')?.id;
  const marks =
    lines === undefined
      ? fresh.marks
      : fresh.marks.map((mark) => {
          const { artwork } = mark;
          if (mark.id !== first || artwork.kind !== 'text' || artwork.lines.length === 0) return mark;
          const made = Array.from({ length: lines }, (_, i) => {
            const line = artwork.lines[i % artwork.lines.length]!;
            return i < artwork.lines.length ? line : { ...line, id: newId() };
          });
          return { ...mark, artwork: { ...artwork, lines: made } };
        });
  return {
    ...fresh,
    marks,
    count,
    ...(fresh.list && rows.length > 0
      ? { list: { ...fresh.list, rows: Array.from({ length: count }, (_row, i) => ({ ...rows[i % rows.length]!, id: newId() })) } }
      : {}),
    ...(wanted === undefined ? {} : { deadline: wanted }),
  };
}
