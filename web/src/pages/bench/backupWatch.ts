import type { WatchItem } from '@kolleta/core/plan';
import type { WorkshopState } from '../../storage/useWorkshop';

const DAY_MS = 86_400_000;
/** A workshop that has not gone out to a file for so many days is reminded of it. */
const REMIND_DAYS = 7;
/** A new workshop with fewer log entries than this has little to lose. */
const LITTLE = 5;

/** When the workshop last went out to a file, as something to keep an eye on; nothing for the demo and for an empty one. */
export function backupWatch({ isDemo, backedUpAt, jobs, events }: WorkshopState, now: number): WatchItem | undefined {
  if (isDemo || jobs.length === 0) return undefined;
  if (backedUpAt === undefined)
    return events.length < LITTLE
      ? undefined
      : { id: 'backup', verdict: 'watch', lead: 'Never backed up:', text: 'the workshop is in this browser only. Save it to a file.' };
  const days = Math.max(0, Math.floor((now - backedUpAt) / DAY_MS));
  const when = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
  return days >= REMIND_DAYS
    ? { id: 'backup', verdict: 'watch', lead: `Backed up ${when}:`, text: 'save the workshop to a file again.' }
    : { id: 'backup', verdict: 'fine', lead: '', text: `Backed up to a file ${when}.` };
}
