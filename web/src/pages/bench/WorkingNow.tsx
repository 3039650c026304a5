import { Link } from 'react-router';
import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { formatMoment, formatTime, workingWindows } from '@kolleta/core/schedule';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';

const HOUR_MS = 3_600_000;
/** Spans that were over so long ago are forgotten. */
const FORGET_MS = 30 * 24 * HOUR_MS;

/** Outside hours: says that somebody is at work all the same, for so long; in time off, that they are back. */
export function WorkingNow({ shop, now }: { shop: Shop; now: number }) {
  const [first] = workingWindows(shop.hours, now, 1);
  if (first && first.start <= now) return null;
  const away = (shop.hours.off ?? []).find((span) => span.who === undefined && span.start <= now && now < span.end);
  const back = ({ id, start }: { id: string; start: number }) => {
    // to the minute, so that it is over
    const end = Math.floor(now / 60_000) * 60_000;
    return editShop(() => (end > start ? setAt(['hours', 'off', id, 'end'], end) : removeAt(['hours', 'off', id])), 'Back at work');
  };
  if (away)
    return (
      <p className="mt-3 flex flex-wrap items-center gap-2 text-[0.95rem]">
        {away.name ?? 'Time off'} until {formatMoment(away.end, shop.hours.zone)}.
        <button type="button" className="btn min-h-11 border-white/60 bg-transparent px-3 text-white" onClick={() => void back(away)}>
          I am back
        </button>
      </p>
    );
  const work = (hours: number) => {
    const span = { id: newId(), start: Math.floor(now / 60_000) * 60_000, end: now + hours * HOUR_MS };
    void editShop(
      (saved) => setAt(['hours', 'extra'], [...(saved.hours.extra ?? []).filter(({ end }) => end > now - FORGET_MS), span]),
      'Work now',
    );
  };
  return (
    <p className="mt-3 flex flex-wrap items-center gap-2 text-[0.95rem]">
      Outside{' '}
      <Link className="underline" to="/workshop">
        your hours
      </Link>
      . I am working now, for
      {[1, 2, 4].map((hours) => (
        <button
          key={hours}
          type="button"
          className="btn min-h-11 border-white/60 bg-transparent px-3 text-white"
          aria-label={`I am working now, for ${hours} h`}
          title={`until ${formatTime(now + hours * HOUR_MS, shop.hours.zone)}`}
          onClick={() => work(hours)}
        >
          {hours} h
        </button>
      ))}
    </p>
  );
}
