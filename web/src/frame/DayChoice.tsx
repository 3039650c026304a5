import { TZDate } from '@date-fns/tz';
import { useState } from 'react';
import { DayPicker } from 'react-day-picker';
import { formatTime } from '@kolleta/core/schedule';
import { now } from '../storage/clock';
import 'react-day-picker/style.css';

const HALF_HOURS = Array.from({ length: 30 }, (_, i) => 7 * 60 + i * 30);
const two = (n: number) => String(n).padStart(2, '0');

/** A calendar with the half hours of the day. */
export function DayChoice({
  value,
  zone,
  onChange,
  onClose,
}: {
  value: number | undefined;
  zone: string;
  onChange: (at: number | undefined) => void;
  onClose: () => void;
}) {
  const [minutes, setMinutes] = useState(() => {
    if (value === undefined) return 17 * 60;
    const [h, m] = formatTime(value, zone).split(':').map(Number);
    return h! * 60 + m!;
  });
  const [day, setDay] = useState<Date | undefined>(value === undefined ? undefined : new TZDate(value, zone));
  const put = (on: Date | undefined, at: number) => {
    if (!on) return;
    const local = new TZDate(on.getTime(), zone);
    onChange(new TZDate(local.getFullYear(), local.getMonth(), local.getDate(), Math.floor(at / 60), at % 60, zone).getTime());
  };
  const times = HALF_HOURS.includes(minutes) ? HALF_HOURS : [...HALF_HOURS, minutes].toSorted((a, b) => a - b);
  return (
    <div
      role="dialog"
      aria-label="Pick the day"
      className="sheet absolute top-full right-0 z-30 p-3 text-left shadow-lg max-sm:fixed max-sm:inset-x-3 max-sm:top-20"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <DayPicker
        mode="single"
        timeZone={zone}
        weekStartsOn={1}
        selected={day}
        defaultMonth={day ?? new TZDate(now(), zone)}
        today={new TZDate(now(), zone)}
        disabled={{ before: new TZDate(now(), zone) }}
        onSelect={(on) => {
          setDay(on);
          put(on, minutes);
        }}
        style={
          { '--rdp-accent-color': 'var(--color-primary)', '--rdp-day-height': '2.5rem', '--rdp-day-width': '2.5rem' } as React.CSSProperties
        }
      />
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-1.5">
          at
          <select
            className="select select-sm w-auto"
            value={minutes}
            onChange={(event) => {
              const at = Number(event.target.value);
              setMinutes(at);
              put(day, at);
            }}
          >
            {times.map((at) => (
              <option key={at} value={at}>
                {two(Math.floor(at / 60))}:{two(at % 60)}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className="btn btn-sm btn-primary" onClick={onClose}>
          Done
        </button>
        {value !== undefined && (
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            onClick={() => {
              onChange(undefined);
              onClose();
            }}
          >
            No date
          </button>
        )}
      </div>
    </div>
  );
}
