import { removeAt, setAt, type Id, type Shop } from '@kolleta/core/job';
import { dayEnd, formatTime, type Schedule } from '@kolleta/core/schedule';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { useTell } from '../../ui/toasts';

const MINUTE_MS = 60_000;
const NAME = 'Called away';

/** Somebody is called away in the middle of the day: nothing is planned for them until they are back, and the rest stays where it is. */
export function CalledAway({ schedule, who, shop, now }: { schedule: Schedule; who: Id | undefined; shop: Shop; now: number }) {
  const tell = useTell();
  const { zone } = shop.hours;
  const day = dayEnd(schedule.windows, now);
  if (!day) return null;
  const ends: [string, number][] = [
    ...([30, 60, 120] as const).map((minutes): [string, number] => [
      minutes < 60 ? `${minutes} min` : `${minutes / 60} h`,
      now + minutes * MINUTE_MS,
    ]),
    ['the day', day.end],
  ];
  const go = async (end: number) => {
    const id = newId();
    const span = { id, start: Math.floor(now / MINUTE_MS) * MINUTE_MS, end, name: NAME, ...(who === undefined ? {} : { who }) };
    await editShop((saved) => setAt(['hours', 'off'], [...(saved.hours.off ?? []), span]), NAME);
    tell(`Nothing is planned until ${formatTime(end, zone)}. What has to wait moves, the rest stays.`, {
      action: { label: 'Undo', run: () => void editShop(removeAt(['hours', 'off', id]), 'Take it back') },
    });
  };
  return (
    <p className="mt-3 flex flex-wrap items-center gap-2 text-[0.95rem]">
      {who === undefined && (shop.people ?? []).length > 1 ? 'Everybody is called away for' : 'Called away for'}
      {ends
        .filter(([, end]) => end <= day.end)
        .map(([label, end]) => (
          <button
            key={label}
            type="button"
            className="btn min-h-11 border-white/60 bg-transparent px-3 text-white"
            aria-label={`Called away for ${label}`}
            title={`until ${formatTime(end, zone)}`}
            onClick={() => void go(end)}
          >
            {label}
          </button>
        ))}
    </p>
  );
}
