import { standing, type WorkEvent } from '../job';
import { logOf } from '../logbook';
import { listOf } from './listOf';

const COLUMNS = [
  'when',
  'job',
  'what',
  'kind',
  'outcome',
  'planned min',
  'computed min',
  'took min',
  'timed',
  'film',
  'ground',
  'technique',
  'what went wrong',
  'note',
] as const;

/**
 * The log as a list for a spreadsheet, oldest first: comma-separated, a heading first, moments by ISO 8601.
 *
 * @param jobName names a job by its id
 */
export function writeLogList(events: readonly WorkEvent[], jobName: (id: string) => string): string {
  const byId = new Map(standing(events).map((event) => [event.id, event]));
  const rows = logOf(events)
    .toReversed()
    .map((record): Record<(typeof COLUMNS)[number], string | number> => {
      const event = byId.get(record.event);
      const ended = event && 'work' in event ? event : undefined;
      const of = ended?.of ?? {};
      const worked = record.outcome === 'done' || record.outcome === 'wrong';
      return {
        when: new Date(record.at).toISOString(),
        job: record.job === '' ? '' : jobName(record.job),
        what: record.title,
        kind: ended?.work ?? '',
        outcome: record.outcome,
        'planned min': worked ? record.planned : '',
        'computed min': ended?.unlearned ?? '',
        'took min': worked && record.timed ? record.actual : '',
        timed: worked ? (record.timed ? 'yes' : 'no') : '',
        film: of.film ?? '',
        ground: of.ground ?? '',
        technique: of.technique ?? '',
        'what went wrong': record.what ?? '',
        note: record.note ?? '',
      };
    });
  return listOf(COLUMNS, rows);
}
