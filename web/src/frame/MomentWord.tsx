import { lazy, Suspense, useState } from 'react';
import { now } from '../storage/clock';
import type { Saving } from '../ui/held';
import { Typed } from '../ui/tokens';
import { readMoment, sayMoment } from './readMoment';

// opened by hand: not part of the page
const DayChoice = lazy(async () => ({ default: (await import('./DayChoice')).DayChoice }));

interface Props {
  label: string;
  /** UTC ms; undefined: no date. */
  value: number | undefined;
  zone: string;
  onChange: (at: number | undefined) => Saving;
}

/** A day and a time, typed as it is spoken or picked from a calendar, in the workshop's zone. Half a date changes nothing. */
export function MomentWord({ label, value, zone, onChange }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <span className="relative">
      <Typed
        label={label}
        shown={value === undefined ? 'no date' : sayMoment(value, zone, now())}
        read={(text) => readMoment(text, zone, now())}
        onChange={onChange}
        plain
      />
      <button
        type="button"
        className="btn btn-xs btn-ghost px-1.5"
        aria-label="Pick the day from a calendar"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <svg width="15" height="15" viewBox="0 0 15 15" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth="1.4">
          <rect x="1" y="2.5" width="13" height="11.5" rx="1.5" />
          <path d="M1 6h13M4.5 1v3M10.5 1v3" />
        </svg>
      </button>
      {open && (
        <Suspense>
          <DayChoice value={value} zone={zone} onChange={(at) => void onChange(at)} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </span>
  );
}
