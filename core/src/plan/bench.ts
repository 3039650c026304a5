import { WORKDAY } from '../facts';
import { inSentence, DAY, MINUTE_MS } from '../units';
import type { Id, Job, JobId, Reading, Shop, StepId, WorkEvent } from '../job';
import { stepFacts } from '../logbook';
import {
  beforeNight,
  dayEnd,
  formatTime,
  rackPlaces,
  staysOf,
  waitCloses,
  waitOver,
  type PlacedStep,
  type Problem,
  type Schedule,
} from '../schedule';
import { careWords, stepTitle, stepWords, waitWords } from '../words';

/** Something on the drying rack. */
export interface RackItem {
  readonly id: string;
  readonly job: JobId;
  /** The step that it is waited for with. */
  readonly step?: StepId;
  /** What is waited for. */
  readonly what: string;
  /** UTC ms: when it is ready, or when the window that is open closes. */
  readonly until: number;
  readonly state: 'drying' | 'open' | 'care';
  /** What comes then. */
  readonly next?: string;
  /** Where it stands, where the workshop has named its drying places. */
  readonly place?: Id;
}

/** Something to keep an eye on. */
export interface WatchItem {
  readonly id: string;
  readonly job?: JobId;
  readonly verdict: 'fine' | 'watch' | 'stop';
  readonly lead: string;
  readonly text: string;
  readonly station?: Reading['station'];
}

/** What the Bench shows. */
export interface Bench {
  /** The step for hands now, or the next one when the workshop is closed or everything dries. */
  readonly now?: PlacedStep;
  /** Whether its time has come. */
  readonly due: boolean;
  readonly then: readonly PlacedStep[];
  readonly rack: readonly RackItem[];
  readonly watch: readonly WatchItem[];
}

/** Whether a station's work is done, so that its readings are of no more use. */
function isBehind(station: Reading['station'], placed: readonly PlacedStep[]): boolean {
  const before = station === 'measure' || station === 'draw' || station === 'fit' ? 'place' : station;
  const own = placed.filter((s) => s.step.station === before);
  return own.length > 0 && own.every((s) => s.state === 'done');
}

function rackOf(schedule: Schedule, { jobs }: Problem, places: Shop['rack'], now: number): RackItem[] {
  const items: RackItem[] = [];
  const stays = places ? staysOf(jobs, new Map(schedule.steps.map((placed) => [placed.step.id, placed]))) : [];
  const standing = rackPlaces(stays, places ?? []);
  const placeOf = (step: StepId) => {
    const place = standing.get(step);
    return place ? { place: place.id } : {};
  };
  for (const job of schedule.jobs.values()) {
    const at = new Map(job.steps.map((s) => [s.step.id, s]));
    for (const placed of job.steps.filter((s) => s.state === 'waiting')) {
      const { opens } = placed.step;
      if (opens && opens.at > now)
        items.push({
          ...{ id: `${placed.step.id}<`, job: job.job, step: placed.step.id, what: waitWords(opens), until: opens.at },
          ...{ state: 'drying', next: stepWords(placed.step).short },
        });
      for (const lag of placed.step.after) {
        const other = at.get(lag.step);
        if (other?.state !== 'done') continue;
        const ready = waitOver(other.end, lag);
        const closes = lag.most === undefined ? undefined : waitCloses(other.end, lag);
        const id = `${placed.step.id}<${lag.step}`;
        if (lag.least > 0 && ready > now)
          items.push({
            id,
            job: job.job,
            step: placed.step.id,
            what: waitWords(lag),
            until: ready,
            state: 'drying',
            next: stepWords(placed.step).short,
            ...placeOf(lag.step),
          });
        else if (lag.least > 0 && closes !== undefined && closes > now)
          items.push({
            id,
            job: job.job,
            step: placed.step.id,
            what: `${stepWords(placed.step).short} now`,
            until: closes,
            state: 'open',
            next: stepWords(placed.step).short,
            ...placeOf(lag.step),
          });
      }
    }
    for (const care of job.care)
      if (care.from <= now && care.until > now && at.size > 0) {
        const { what } = careWords(care);
        items.push({ id: `${job.job}:${what}`, job: job.job, what, until: care.until, state: 'care' });
      }
  }
  const done = new Set(schedule.steps.filter((s) => s.state === 'done').map((s) => s.end));
  return items.filter((item) => item.state !== 'care' || done.size > 0).toSorted((a, b) => a.until - b.until);
}

/** What hands do now, whether its time has come, and what follows within the day. */
function handsNow(steps: readonly PlacedStep[], now: number): Pick<Bench, 'now' | 'due' | 'then'> {
  const open = steps.filter((s) => s.state !== 'done');
  const current = open.find((s) => s.state === 'running') ?? open[0];
  const rest = open.filter((s) => s !== current);
  const lastNow = current ? Math.max(now, current.start) + DAY * MINUTE_MS : 0;
  return {
    now: current,
    due: current !== undefined && (current.state === 'running' || current.start <= now + 5 * MINUTE_MS),
    then: rest.filter((s) => s.start < lastNow).slice(0, 12),
  };
}

/** The Bench of one of several people: what they do now and then; what dries and what to watch is everybody's. */
export const benchOfPerson = (bench: Bench, schedule: Schedule, who: Id, now: number): Bench => ({
  ...bench,
  ...handsNow(
    schedule.steps.filter(({ by }) => !by || by.includes(who)),
    now,
  ),
});

/**
 * What hands should do now, what dries, what follows, what to watch.
 *
 * @param readings of all open jobs
 * @param filmLeft and what open jobs need, mm
 */
export function benchOf(
  { schedule, problem }: { readonly schedule: Schedule; readonly problem: Problem },
  jobs: readonly Job[],
  readings: ReadonlyMap<JobId, readonly Reading[]>,
  events: readonly WorkEvent[],
  shop: Shop,
  films: readonly { film: Id; left: number; needed: number }[],
  now: number,
  say: (mm: number) => string,
): Bench {
  const hands = handsNow(schedule.steps, now);
  const watch: WatchItem[] = [];
  const facts = stepFacts(events);
  for (const job of jobs) {
    const placed = schedule.jobs.get(job.id)?.steps ?? [];
    for (const weed of placed.filter((s) => s.step.station === 'weed' && s.state === 'waiting')) {
      const cut = weed.step.after.map((lag) => facts.get(lag.step)?.doneAt).find((at) => at !== undefined);
      const hours = cut === undefined ? 0 : (now - cut) / MINUTE_MS / 60;
      if (hours >= 20)
        watch.push({
          id: `stale:${weed.step.id}`,
          job: job.id,
          verdict: 'watch',
          lead: `Cut ${Math.round(hours)} h ago, not weeded:`,
          text: `${job.name}. The cuts close up with time; weed today.`,
          station: 'weed',
        });
    }
    const speaking = (readings.get(job.id) ?? []).filter(
      (r) => r.verdict !== 'fine' && !r.overridden && !/^(film|missed):/.test(r.id) && !isBehind(r.station, placed),
    );
    for (const verdict of ['stop', 'watch'] as const) {
      const [first, ...others] = speaking.filter((r) => r.verdict === verdict);
      if (!first) continue;
      const more =
        others.length === 0
          ? ''
          : ` And ${others
              .map((r) => inSentence(r.title))
              .filter((title, i, all) => all.indexOf(title) === i)
              .join(', ')}.`;
      watch.push({
        id: `${job.id}:${first.id}`,
        job: job.id,
        verdict,
        lead: `${job.name}:`,
        text: `${first.title}, ${first.value}. ${first.why}${more}`,
        station: first.station,
      });
    }
  }
  for (const { film, left, needed } of films) {
    if (left >= needed) continue;
    watch.push({
      id: `roll:${film}`,
      verdict: 'watch',
      lead: `${shop.films.find((f) => f.id === film)?.name ?? film}:`,
      text: `${say(left)} left, open jobs need ${say(needed)}.`,
    });
  }
  // an hour or two before the day ends: what may not stand until the next
  const day = dayEnd(schedule.windows, now);
  if (day && day.end - now <= WORKDAY.beforeNight * MINUTE_MS)
    for (const { placed, by } of beforeNight(schedule, now))
      watch.push({
        ...{ id: `night:${placed.step.id}`, job: placed.step.job, verdict: 'watch', lead: 'Before you go:', station: placed.step.station },
        text: `${stepTitle(placed.step)} by ${formatTime(by, shop.hours.zone)}. It cannot stand until tomorrow.`,
      });
  const weight = { stop: 0, watch: 1, fine: 2 };
  return {
    ...hands,
    rack: rackOf(schedule, problem, shop.rack, now),
    watch: watch.toSorted((a, b) => weight[a.verdict] - weight[b.verdict]),
  };
}
