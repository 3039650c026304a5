import { BLANKS } from '@kolleta/core/facts';
import { stepTitle } from '@kolleta/core/words';
import type { Plan } from '@kolleta/core/plan';
import { formatMoment } from '@kolleta/core/schedule';
import type { WorkshopState } from '../storage/useWorkshop';
import { stationsOf } from '../frame/stationList';

/** Something that can be found, and where it is. */
export interface Findable {
  readonly kind: string;
  readonly name: string;
  readonly also?: string;
  readonly to: string;
}

const PLACES: readonly Findable[] = [
  { kind: 'place', name: 'Bench', also: 'now next drying rack timers', to: '/' },
  { kind: 'place', name: 'Jobs', also: 'orders sets new job file', to: '/jobs' },
  { kind: 'place', name: 'Quick mark', also: 'one word label name', to: '/quick' },
  { kind: 'place', name: 'Stock', also: 'rolls films tapes paints', to: '/stock' },
  { kind: 'place', name: 'Logbook', also: 'history done wrong', to: '/logbook' },
  { kind: 'setting', name: 'Inches or millimetres', also: 'units lengths mm', to: '/stock' },
  { kind: 'setting', name: 'Room temperature and humidity', also: 'climate drying celsius fahrenheit', to: '/stock' },
  { kind: 'setting', name: 'Back up or restore the workshop', also: 'save file export import', to: '/stock' },
];

/** Everything in the workshop that a word may lead to. */
export function findables({ jobs, shop }: WorkshopState, plan: Plan | undefined): Findable[] {
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
    ...shop.films.map((film) => ({ kind: 'film', name: film.name, also: `${film.kind} ${film.finish} roll`, to: '/stock' })),
    ...shop.tapes.map((tape) => ({ kind: 'tape', name: tape.name, to: '/stock' })),
    ...shop.paints.map((paint) => ({ kind: 'paint', name: paint.name, also: paint.coat, to: '/stock' })),
    ...shop.machines.map((machine) => ({ kind: 'machine', name: machine.name, to: '/workshop' })),
    ...PLACES,
    ...open
      .slice(0, 40)
      .flatMap((job) =>
        stationsOf(job).map((station) => ({ kind: 'station', name: `${station.name}: ${job.name}`, to: `/job/${job.id}/${station.id}` })),
      ),
    ...BLANKS.map((blank) => ({ kind: 'blank for a new job', name: blank.name, to: '/jobs' })),
  ];
}

const plain = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

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
