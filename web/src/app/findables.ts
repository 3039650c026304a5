import { BLANKS } from '@kolleta/core/facts';
import { stepTitle } from '@kolleta/core/words';
import type { Plan } from '@kolleta/core/plan';
import { formatMoment } from '@kolleta/core/schedule';
import { counted } from '@kolleta/core/units';
import type { WorkshopState } from '../storage/useWorkshop';
import { actions } from './actions';
import type { Findable } from './findable';
import { stationsOf } from '../frame/stationList';

const PLACES: readonly Findable[] = [
  { kind: 'place', name: 'Bench', also: 'now next drying rack timers', to: '/' },
  { kind: 'place', name: 'Jobs', also: 'orders sets new job file', to: '/jobs' },
  { kind: 'place', name: 'Quick mark', also: 'one word label name', to: '/quick' },
  { kind: 'place', name: 'Stock', also: 'rolls films tapes paints', to: '/stock' },
  { kind: 'place', name: 'Week', also: 'calendar schedule plan when days dates time steps ics print', to: '/week' },
  { kind: 'place', name: 'Gather', also: 'shopping list buy supplies what jobs need this week', to: '/gather' },
  { kind: 'place', name: 'Logbook', also: 'history done wrong learnt taught', to: '/logbook' },
  { kind: 'place', name: 'Practice', also: 'drills train learn quiz try', to: '/practice' },
  { kind: 'place', name: 'Workshop', also: 'hours machines room units money files settings', to: '/workshop' },
  { kind: 'setting', name: 'Inches or millimetres', also: 'units lengths mm', to: '/workshop', focus: 'Lengths' },
  {
    ...{ kind: 'setting', name: 'Room temperature and humidity', also: 'climate drying celsius fahrenheit' },
    ...{ to: '/workshop', focus: 'Room temperature' },
  },
  {
    ...{ kind: 'setting', name: 'Back up or restore the workshop', also: 'save file export import' },
    ...{ to: '/workshop', focus: 'The workshop as a file' },
  },
];

/** Everything in the workshop that a word may lead to. */
export function findables({ jobs, shop }: WorkshopState, plan: Plan | undefined, onScreen?: string): Findable[] {
  const open = jobs.filter((job) => !job.closed);
  return [
    ...jobs.map((job) => ({
      kind: job.closed ? 'closed job' : 'job',
      name: job.name,
      also: `${job.client} ${job.piece.name} ${job.marks.map((m) => m.name).join(' ')}`,
      to: `/job/${job.id}/fit`,
    })),
    ...(plan?.schedule.steps ?? [])
      .filter((placed) => placed.state !== 'done')
      .slice(0, 400)
      .map((placed) => ({
        kind: `step, ${formatMoment(placed.start, shop.hours.zone)}`,
        name: stepTitle(placed.step),
        also: open.find((job) => job.id === placed.step.job)?.name,
        to: `/job/${placed.step.job}/${placed.step.station}`,
      })),
    ...shop.films.map((film) => ({
      kind: 'film',
      name: film.name,
      also: `${film.kind} ${film.finish} roll`,
      to: '/stock',
      focus: `Change ${film.name}`,
    })),
    ...shop.tapes.map((tape) => ({ kind: 'tape', name: tape.name, to: '/stock', focus: `Change ${tape.name}` })),
    ...shop.paints.map((paint) => ({ kind: 'paint', name: paint.name, also: paint.coat, to: '/stock', focus: `Change ${paint.name}` })),
    ...(shop.supplies ?? []).map((supply) => ({
      kind: 'supply',
      name: supply.name,
      also: supply.kind,
      to: '/stock',
      focus: `Change ${supply.name}`,
    })),
    ...shop.machines.map((machine) => ({ kind: 'machine', name: machine.name, to: '/workshop', focus: 'Machines' })),
    ...PLACES,
    ...actions(open.find(({ id }) => id === onScreen) ?? open[0]),
    ...open
      .slice(0, 40)
      .flatMap((job) =>
        stationsOf(job).map((station) => ({ kind: 'station', name: `${station.name}: ${job.name}`, to: `/job/${job.id}/${station.id}` })),
      ),
    ...BLANKS.map((blank) => ({ kind: 'blank for a new job', name: blank.name, to: '/jobs' })),
  ];
}

const plain = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/** What was looked through when nothing was found. */
export const lookedThrough = (all: readonly Findable[]): string => {
  const of = (kind: RegExp) => all.filter((item) => kind.test(item.kind)).length;
  const jobs = of(/job$/);
  return `Looked through ${counted(jobs, 'job')}, ${counted(of(/^step/), 'step')}, ${counted(of(/^(?:film|tape|paint|supply|machine)$/), 'thing')} in stock and ${counted(of(/^(?:to do|setting|place)/), 'thing')} to do.`;
};

/** What a few typed words find: every word has to occur; names that begin with the first one come first. */
export function find(all: readonly Findable[], typed: string, most = 12): Findable[] {
  const words = plain(typed).split(/\s+/).filter(Boolean);
  if (words.length === 0) return all.slice(0, most);
  const scored = all.flatMap((item, i) => {
    const [name, rest] = [plain(item.name), plain(`${item.kind} ${item.also ?? ''}`)];
    if (!words.every((word) => name.includes(word) || rest.includes(word))) return [];
    const score = (name.startsWith(words[0]!) ? 0 : name.includes(words[0]!) ? 1 : 2) * 1e6 + i;
    return [{ item, score }];
  });
  return scored
    .toSorted((a, b) => a.score - b.score)
    .slice(0, most)
    .map(({ item }) => item);
}
