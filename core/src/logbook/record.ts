import {
  isTimed,
  kindOf,
  photosOf,
  standing,
  type StepOf,
  type Id,
  type StockKindId,
  type JobId,
  type ReadingId,
  type WorkEvent,
} from '../job';
import { CUT_OUTCOMES, FILM_KINDS, GROUNDS, TAPE_KINDS, TECHNIQUES } from '../facts';
import { counted, formatDuration } from '../units';
import { wentAhead } from '../words';

/** One line of the log: what was done, how long it was to take and took, and how it came out. */
export interface LogRecord {
  readonly event: Id;
  readonly at: number;
  readonly job: JobId;
  readonly title: string;
  readonly planned: number;
  readonly actual: number;
  /** Whether that was measured or typed. */
  readonly timed: boolean;
  readonly outcome: 'done' | 'wrong' | 'overridden' | 'counted' | 'lost' | 'noted';
  /** Stock that was counted: of what kind, what was thought to be there and what is. */
  readonly count?: { readonly stock: StockKindId; readonly was: number; readonly is: number };
  /** What went wrong. */
  readonly what?: string;
  /** Film that it took: which, mm of the roll, and how many sheets and offcuts. */
  readonly used?: { readonly film: Id; readonly length: number; readonly pieces: number };
  readonly note?: string;
  /** A small picture, as it stands in a page. */
  readonly photo?: string;
  /** The film, the ground, the technique and the tape that it was about, by their names. */
  readonly about?: string;
}

/** What is said of what happened in the workshop beside the work. */
function notedTitle(event: WorkEvent): string | undefined {
  if (event.kind === 'testCut') return `Test cut of ${event.name}, force ${event.force}: ${CUT_OUTCOMES[event.outcome].name}`;
  if (event.kind === 'bladeChanged') return `New blade in ${event.name}`;
  if (event.kind === 'carrierRenewed') return `Carrier sheet of ${event.name} renewed`;
  if (event.kind === 'forgotten') return 'Forgot what the log had taught';
  if (event.kind === 'pieceGone') return `An offcut of ${event.name} is gone`;
  return undefined;
}

type Cut = Extract<WorkEvent, { kind: 'cut' }>;

/** What one press took, of a film that its step was cut from. */
function usedOf([first, ...others]: readonly [Cut, ...Cut[]]): NonNullable<LogRecord['used']> {
  const all = [first, ...others];
  const ofRoll = all.filter(({ from }) => (from?.kind ?? 'roll') === 'roll');
  return { film: first.film, length: ofRoll.reduce((sum, { length }) => sum + length, 0), pieces: all.length - ofRoll.length };
}

const aboutWords = ({ film, ground, technique, tape }: StepOf): string =>
  [film && FILM_KINDS[film].name, ground && GROUNDS[ground].name, technique && TECHNIQUES[technique].name, tape && TAPE_KINDS[tape].name]
    .filter((word) => word !== undefined)
    .join(', ');

/** The log of the workshop or of one job, newest first. Reversed entries are left out. */
export function logOf(events: readonly WorkEvent[], job?: JobId): LogRecord[] {
  const photos = photosOf(events);
  const all = standing(events);
  // the film that a step took is in the log beside it
  const cuts = new Map<string, [Cut, ...Cut[]]>();
  for (const event of all) {
    if (event.kind !== 'cut') continue;
    const key = `${event.step} ${event.at}`;
    const known = cuts.get(key);
    if (known) known.push(event);
    else cuts.set(key, [event]);
  }
  return all
    .flatMap((event): LogRecord[] => {
      if (event.kind === 'counted' && job === undefined) {
        const { id, at, name, reason, stock, was, is } = event;
        const counted = { planned: 0, actual: 0, timed: false, outcome: 'counted' as const, note: reason };
        return [{ event: id, at, job: '', title: `${name}, ${reason}`, ...counted, count: { stock, was, is } }];
      }
      if (event.kind === 'overridden' && (job === undefined || event.job === job)) {
        const { id, at, reason } = event;
        const title = wentAhead(kindOf({ id: event.reading as ReadingId }));
        return [{ event: id, at, job: event.job, title, planned: 0, actual: 0, timed: false, outcome: 'overridden', note: reason }];
      }
      const noted = job === undefined ? notedTitle(event) : undefined;
      if (noted) return [{ event: event.id, at: event.at, job: '', title: noted, planned: 0, actual: 0, timed: false, outcome: 'noted' }];
      if (event.kind === 'dried' && (job === undefined || event.job === job)) {
        const { id, at, title, unlearned, actual, tacky } = event;
        const said = tacky ? `Still tacky after ${formatDuration(actual)}` : `Dry after ${formatDuration(actual)}`;
        const line = `${said}, ${formatDuration(unlearned)} was worked out: before “${title}”`;
        return [{ event: id, at, job: event.job, title: line, planned: 0, actual: 0, timed: false, outcome: 'noted' }];
      }
      if (event.kind === 'lost' && (job === undefined || event.job === job)) {
        const { id, at, name, copies, shapes, what, note } = event;
        const title = `Lost: ${shapes ? `${counted(shapes.length, 'shape')} of ` : ''}${name}${copies > 1 ? `, ${copies} copies` : ''}`;
        return [
          { event: id, at, job: event.job, title, planned: 0, actual: 0, timed: false, outcome: 'lost', what, ...(note ? { note } : {}) },
        ];
      }
      if ((event.kind !== 'done' && event.kind !== 'wrong') || (job !== undefined && event.job !== job)) return [];
      const { id, at, title, planned, actual, note } = event;
      return [
        {
          event: id,
          at,
          job: event.job,
          title,
          planned,
          actual,
          timed: isTimed(event),
          outcome: event.kind,
          note,
          ...(cuts.has(`${event.step} ${at}`) ? { used: usedOf(cuts.get(`${event.step} ${at}`)!) } : {}),
          ...(photos.has(id) ? { photo: photos.get(id)! } : {}),
          ...(event.of ? { about: aboutWords(event.of) } : {}),
          ...(event.kind === 'wrong'
            ? { what: event.spoiled ? `${event.what}, and it cost ${counted(event.spoiled, 'piece')}` : event.what }
            : {}),
        },
      ];
    })
    .toReversed();
}

/** Planned against actual over the records that were timed, how many those are, and how many of all went wrong. */
export const logTotals = (records: readonly LogRecord[]): { planned: number; actual: number; timed: number; wrong: number } =>
  records.reduce(
    (sum, r) => ({
      planned: sum.planned + (r.timed ? r.planned : 0),
      actual: sum.actual + (r.timed ? r.actual : 0),
      timed: sum.timed + (r.timed ? 1 : 0),
      wrong: sum.wrong + (r.outcome === 'wrong' || r.outcome === 'lost' ? 1 : 0),
    }),
    { planned: 0, actual: 0, timed: 0, wrong: 0 },
  );
