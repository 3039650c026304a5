import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  dragSpan,
  formatMoment,
  formatSpans,
  formatTimeOfDay,
  parseSpans,
  snapMinutes,
  SPAN_STEP,
  tidySpans,
  type SpanEdge,
} from '@kolleta/core/schedule';
import { setAt, type Shop } from '@kolleta/core/job';
import { refused, good } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { editShop } from '../../storage/editShop';
import { Sentence, Typed } from '../../ui/tokens';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
/** The week begins on Monday on the wall. */
const ORDER = [1, 2, 3, 4, 5, 6, 0] as const;
const DAY = 1440;
const share = (minutes: number) => `${(100 * minutes) / DAY}%`;

type Span = [number, number];
type Grab = { readonly span: number; readonly edge: SpanEdge; readonly from: number; readonly was: Span };

/** The hours of one day as they are saved at that moment, changed. */
const editDay = (day: number, change: (spans: Span[]) => Span[]) =>
  editShop((shop) => {
    const week = shop.hours.week.map((spans, i) => (i === day ? tidySpans(change(spans.map(([a, b]): Span => [a, b]))) : spans));
    return setAt(['hours', 'week'], week);
  }, `Change the hours on ${DAYS[day]!}`);

/** A day drawn from midnight to midnight: spans are dragged by their ends or whole, and drawn where there is none. */
function Day({ day, spans }: { day: number; spans: readonly (readonly [number, number])[] }) {
  const track = useRef<HTMLDivElement>(null);
  const [grab, setGrab] = useState<Grab>();
  const [at, setAt_] = useState(0);
  const minuteOf = (event: PointerEvent) => {
    const box = track.current!.getBoundingClientRect();
    return ((event.clientX - box.left) / box.width) * DAY;
  };
  const name = DAYS[day]!;
  const down = (span: number, edge: Grab['edge'], was: Span) => (event: PointerEvent) => {
    event.stopPropagation();
    track.current!.setPointerCapture(event.pointerId);
    setGrab({ span, edge, from: minuteOf(event), was });
    setAt_(minuteOf(event));
  };
  const drop = () => {
    if (!grab) return;
    const to = dragSpan(grab.was, grab.edge, at - grab.from);
    const { span } = grab;
    setGrab(undefined);
    void editDay(day, (saved) => (span < saved.length ? saved.map((one, i) => (i === span ? to : one)) : [...saved, to]));
  };
  const keys = (i: number, edge: 'start' | 'end') => (event: KeyboardEvent) => {
    const by =
      event.key === 'ArrowRight' || event.key === 'ArrowUp'
        ? SPAN_STEP
        : event.key === 'ArrowLeft' || event.key === 'ArrowDown'
          ? -SPAN_STEP
          : 0;
    if (event.key === 'Delete' || event.key === 'Backspace') void editDay(day, (saved) => saved.filter((_, k) => k !== i));
    else if (by === 0) return;
    else void editDay(day, (saved) => saved.map((one, k): Span => (k === i ? dragSpan(one, edge, by) : one)));
    event.preventDefault();
  };
  const shown = grab
    ? grab.span < spans.length
      ? spans.map((one, i) => (i === grab.span ? dragSpan(grab.was, grab.edge, at - grab.from) : one))
      : [...spans, dragSpan(grab.was, grab.edge, at - grab.from)]
    : spans;
  return (
    <>
      <span className="text-[0.95rem] font-bold">{name.slice(0, 3)}</span>
      <div
        ref={track}
        className="border-base-300 bg-base-200 relative h-9 touch-none rounded border"
        onPointerDown={(event) => {
          const start = Math.min(snapMinutes(minuteOf(event)), DAY - 60);
          track.current!.setPointerCapture(event.pointerId);
          setGrab({ span: spans.length, edge: 'end', from: start + 60, was: [start, start + 60] });
          setAt_(start + 60);
        }}
        onPointerMove={(event) => grab && setAt_(minuteOf(event))}
        onPointerUp={drop}
        onPointerCancel={() => setGrab(undefined)}
      >
        {[6, 12, 18].map((hour) => (
          <span key={hour} className="border-base-300 pointer-events-none absolute inset-y-0 border-l" style={{ left: share(hour * 60) }} />
        ))}
        {shown.map(([start, end], i) => (
          <div
            key={i}
            className="bg-primary/85 absolute inset-y-0.5 cursor-grab rounded"
            style={{ left: share(start), width: share(end - start) }}
            onPointerDown={down(i, 'both', [start, end])}
          >
            {(['start', 'end'] as const).map((edge) => (
              <span
                key={edge}
                role="slider"
                tabIndex={0}
                aria-label={`${name}, ${shown.length > 1 ? `${i + 1}, ` : ''}${edge === 'start' ? 'from' : 'to'}`}
                aria-valuemin={0}
                aria-valuemax={DAY}
                aria-valuenow={edge === 'start' ? start : end}
                aria-valuetext={formatTimeOfDay(edge === 'start' ? start : end)}
                className={`absolute inset-y-0 w-3 cursor-ew-resize rounded bg-[#0b3d42] ${edge === 'start' ? 'left-0' : 'right-0'}`}
                onPointerDown={down(i, edge, [start, end])}
                onKeyDown={keys(i, edge)}
              />
            ))}
          </div>
        ))}
      </div>
      <Typed
        label={`Hours on ${name}`}
        shown={formatSpans(shown)}
        read={(text) => parseSpans(text, name)}
        onChange={(typed) => editDay(day, () => typed)}
      />
    </>
  );
}

const ZONES = typeof Intl.supportedValuesOf === 'function' ? Intl.supportedValuesOf('timeZone') : [];
const deviceZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The zone as it is typed: a place of it, a city, any case. */
function readZone(text: string) {
  const plain = text.trim().toLowerCase().replaceAll(' ', '_');
  const found =
    ZONES.find((zone) => zone.toLowerCase() === plain) ??
    ZONES.find((zone) => zone.toLowerCase().endsWith(`/${plain}`)) ??
    (plain.length > 2 ? ZONES.find((zone) => zone.toLowerCase().includes(plain)) : undefined);
  if (found) return good(found);
  try {
    new Intl.DateTimeFormat('en', { timeZone: text.trim() });
    return good(text.trim());
  } catch {
    return refused(`“${text}” is not a time zone.`, 'a city', 'Time zone', 'Type a large city of yours, such as Chicago or Kolkata.');
  }
}

/** When somebody works, drawn as a week; and the zone that all times are shown in. */
export function HoursCard({ shop }: { shop: Shop }) {
  const { week, zone } = shop.hours;
  const device = deviceZone();
  const setZone = (to: string) => editShop(setAt(['hours', 'zone'], to), 'Change the zone');
  const same = (days: readonly number[], like: number) =>
    editShop(
      (saved) =>
        setAt(
          ['hours', 'week'],
          saved.hours.week.map((spans, i) => (days.includes(i) ? saved.hours.week[like]! : spans)),
        ),
      'Change the hours',
    );
  const minutes = week.flat().reduce((sum, [start, end]) => sum + end - start, 0);
  return (
    <section id="hours" aria-label="Hours" className="sheet px-4 py-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-lg font-bold">When you work</h2>
        <p className="quiet text-sm">
          {minutes === 0
            ? 'No hours yet, so nothing can be planned. Draw some into a day, or type them.'
            : `${Math.round(minutes / 6) / 10} hours a week. Drag a bar by its ends, draw one where there is none, or type the times.`}
        </p>
      </div>
      <div className="mt-2 grid grid-cols-[2.6rem_minmax(6rem,1fr)_minmax(6rem,auto)] items-center gap-x-3 gap-y-1">
        {ORDER.map((day) => (
          <Day key={day} day={day} spans={week[day]!} />
        ))}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void same([2, 3, 4, 5], 1)}>
          Tuesday to Friday like Monday
        </button>
        <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void same([0], 6)}>
          Sunday like Saturday
        </button>
      </div>
      <Sentence className="mt-2">
        Times are those of <Typed label="Time zone" shown={zone} read={readZone} onChange={setZone} plain />, where it is{' '}
        {formatMoment(now(), zone)} now.
        {zone !== device && (
          <>
            {' '}
            This device is in {device}.{' '}
            <button type="button" className="btn btn-xs btn-outline" onClick={() => void setZone(device)}>
              Take {device.split('/').at(-1)!.replaceAll('_', ' ')}
            </button>
          </>
        )}
      </Sentence>
    </section>
  );
}
