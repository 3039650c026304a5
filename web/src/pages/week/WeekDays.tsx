import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { formatDuration } from '@kolleta/core/units';
import { stepTitle, stepWords } from '@kolleta/core/words';
import { formatMoment, handsIn, formatTime, GRAIN_MS, type PlacedStep } from '@kolleta/core/schedule';
import type { Job, Shop } from '@kolleta/core/job';
import type { DayBlock, DayRow } from './dayRows';

const HOUR_MS = 3_600_000;
/** Less than this is a press, not a drag, px. */
const STILL_PX = 4;
/** Heights, rem. */
const LANE = 2.1;
const WAIT = 0.42;

interface Props {
  rows: readonly DayRow[];
  hours: { readonly from: number; readonly until: number };
  jobs: readonly Job[];
  shop: Shop;
  now: number;
  /** The step that is looked at, and the day that is listed. */
  chosen: string | undefined;
  listed: number;
  pinned: ReadonlySet<string>;
  /** Why a step cannot begin then; nothing where it can. */
  heldAt: (placed: PlacedStep, at: number) => string | undefined;
  onChoose: (step: string) => void;
  onList: (midnight: number) => void;
  onPut: (placed: PlacedStep, at: number) => void;
}

/** Days one under the other on one scale of hours: people as lanes, hands solid, waits hatched, closed hours shaded, flags where a job is wanted. */
export function WeekDays({ rows, hours, jobs, shop, now, chosen, listed, pinned, heldAt, onChoose, onList, onPut }: Props) {
  const { zone } = shop.hours;
  const people = shop.people?.length ? shop.people : undefined;
  const lanes = people ?? [{ id: '', name: '' }];
  const field = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ placed: PlacedStep; grab: number; x: number; y: number; at?: number; moved: boolean }>();
  const across = hours.until - hours.from;
  const x = (at: number, midnight: number) => `${(100 * Math.max(0, Math.min(across, at - midnight - hours.from))) / across}%`;
  const wide = (start: number, end: number, midnight: number) => {
    const [a, b] = [Math.max(hours.from, start - midnight), Math.min(hours.until, end - midnight)];
    return `${(100 * Math.max(0, b - a)) / across}%`;
  };
  const chosenJob = rows.flatMap(({ blocks }) => blocks).find(({ placed }) => placed.step.id === chosen)?.placed.step.job;
  const nameOf = (job: string) => jobs.find(({ id }) => id === job)?.name ?? '';
  const tint = (job: string) =>
    ['week-a', 'week-b', 'week-c'][
      Math.max(
        0,
        jobs.findIndex(({ id }) => id === job),
      ) % 3
    ]!;

  /** The moment under a place of the page, of the day that is drawn there. */
  const momentAt = (clientX: number, clientY: number): number | undefined => {
    for (const one of field.current?.querySelectorAll<HTMLElement>('[data-day]') ?? []) {
      const box = one.getBoundingClientRect();
      if (clientY < box.top || clientY > box.bottom) continue;
      return Number(one.dataset['day']) + hours.from + ((clientX - box.left) / box.width) * across;
    }
    return undefined;
  };
  const snapped = (at: number) => Math.max(Math.ceil(now / GRAIN_MS) * GRAIN_MS, Math.round(at / GRAIN_MS) * GRAIN_MS);
  const begin = (event: PointerEvent<HTMLButtonElement>, { placed, first }: DayBlock) => {
    if (placed.state !== 'waiting' || !first || event.button !== 0) return;
    const at = momentAt(event.clientX, event.clientY);
    if (at === undefined) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setDrag({ placed, grab: at - placed.start, x: event.clientX, y: event.clientY, moved: false });
  };
  const move = (event: PointerEvent) => {
    if (!drag) return;
    const at = momentAt(event.clientX, event.clientY);
    const moved = drag.moved || Math.hypot(event.clientX - drag.x, event.clientY - drag.y) > STILL_PX;
    setDrag({ ...drag, moved, at: moved && at !== undefined ? snapped(at - drag.grab) : drag.at });
  };
  const drop = () => {
    if (drag?.moved && drag.at !== undefined && drag.at !== drag.placed.start) onPut(drag.placed, drag.at);
    setDrag(undefined);
  };
  const dragging = drag !== undefined;
  // wherever the keys go: a plan that comes meanwhile may draw the step anew
  useEffect(() => {
    if (!dragging) return;
    const letGo = ({ key }: globalThis.KeyboardEvent) => {
      if (key === 'Escape') setDrag(undefined);
    };
    window.addEventListener('keydown', letGo);
    return () => window.removeEventListener('keydown', letGo);
  }, [dragging]);
  const byKey = (event: KeyboardEvent, { placed, first }: DayBlock) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -12, PageDown: 12 }[event.key];
    if (by === undefined || placed.state !== 'waiting' || !first) return;
    event.preventDefault();
    onPut(placed, snapped(placed.start + by * GRAIN_MS));
  };

  const ticks = Array.from({ length: Math.round(across / HOUR_MS) + 1 }, (_, i) => hours.from + i * HOUR_MS);
  return (
    <div ref={field} className="week-days" onPointerMove={move} onPointerUp={drop} onPointerCancel={() => setDrag(undefined)}>
      <div className="grid grid-cols-[5.2rem_minmax(0,1fr)]">
        <span />
        <div className="relative h-5" aria-hidden="true">
          {ticks.map((tick, i) => (
            <span
              key={tick}
              className={`quiet measure absolute text-[0.72rem] whitespace-nowrap ${i === 0 ? '' : i === ticks.length - 1 ? '-translate-x-full' : '-translate-x-1/2'} ${i % 2 === 1 && ticks.length > 6 ? 'week-odd' : ''}`}
              style={{ left: `${(100 * (tick - hours.from)) / across}%` }}
            >
              {Math.round(tick / HOUR_MS)}
            </span>
          ))}
        </div>
      </div>
      {rows.map((row) => {
        const { midnight } = row;
        const noon = midnight + 12 * HOUR_MS;
        const day = formatMoment(noon, zone).replace(/ \d\d:\d\d$/, '');
        const empty = row.open.length === 0 && row.blocks.length === 0 && row.wanted.length === 0;
        const waitRows = Math.max(0, ...row.waits.map((wait) => wait.row + 1));
        const flags = Math.max(0, ...row.wanted.map(({ at }) => row.wanted.filter((other) => other.at === at).length));
        const height = empty ? 1.2 : Math.max(lanes.length * LANE + waitRows * WAIT + 0.3, flags * 1.05);
        const dragged = drag?.moved && drag.at !== undefined && drag.at >= midnight && drag.at < midnight + 24 * HOUR_MS ? drag : undefined;
        return (
          <section key={midnight} aria-label={day} className="border-base-300/70 grid grid-cols-[5.2rem_minmax(0,1fr)] border-t">
            <button
              type="button"
              className={`min-h-6 pr-2 text-left text-[0.86rem] leading-tight whitespace-nowrap ${listed === midnight ? 'font-bold underline' : ''}`}
              aria-pressed={listed === midnight}
              aria-label={`List ${day}`}
              onClick={() => onList(midnight)}
            >
              {day}
            </button>
            <div data-day={midnight} className="week-closed relative" style={{ height: `${height}rem` }}>
              {row.open.map((window) => (
                <span
                  key={window.start}
                  className="bg-base-100 absolute inset-y-0"
                  style={{ left: x(window.start, midnight), width: wide(window.start, window.end, midnight) }}
                />
              ))}
              {ticks.map((tick) => (
                <span
                  key={tick}
                  aria-hidden="true"
                  className="border-base-300/50 absolute inset-y-0 border-l"
                  style={{ left: `${(100 * (tick - hours.from)) / across}%` }}
                />
              ))}
              {row.off.map((off) => (
                <span
                  key={off.id}
                  className="week-off absolute top-0 overflow-hidden px-1 text-[0.72rem] leading-tight whitespace-nowrap"
                  style={{
                    left: x(off.start, midnight),
                    width: wide(off.start, off.end, midnight),
                    ...(off.who && people
                      ? {
                          top: `${
                            Math.max(
                              0,
                              people.findIndex(({ id }) => id === off.who),
                            ) * LANE
                          }rem`,
                          height: `${LANE}rem`,
                        }
                      : { bottom: 0 }),
                  }}
                  title={off.name ?? 'Off'}
                >
                  {off.name ?? 'off'}
                </span>
              ))}
              {people?.map((person, i) =>
                empty ? null : (
                  <span
                    key={person.id}
                    className="quiet pointer-events-none absolute right-1 max-w-[28%] truncate text-[0.68rem]"
                    style={{ top: `${i * LANE + 0.15}rem` }}
                  >
                    {person.name}
                  </span>
                ),
              )}
              {row.waits.map((wait) => (
                <span
                  key={wait.id}
                  className={`week-wait absolute ${tint(wait.job)}`}
                  style={{
                    left: x(wait.start, midnight),
                    width: wide(wait.start, wait.end, midnight),
                    top: `${lanes.length * LANE + wait.row * WAIT + 0.08}rem`,
                    height: `${WAIT - 0.12}rem`,
                  }}
                  title={`${nameOf(wait.job)}: ${wait.words}`}
                />
              ))}
              {row.blocks.flatMap((block) => {
                const { placed, start, end } = block;
                const own = lanes.flatMap((lane, i) => (!people || placed.by?.includes(lane.id) ? [i] : []));
                return (own.length > 0 ? own : [0]).slice(0, people ? undefined : 1).map((lane) => (
                  <button
                    key={`${placed.step.id}@${start}@${lane}`}
                    type="button"
                    className={`week-step ${tint(placed.step.job)} ${placed.state} ${placed.step.id === chosen ? 'chosen' : placed.step.job === chosenJob ? 'same' : ''} ${drag?.placed === placed && drag.moved ? 'opacity-40' : ''}`}
                    style={{
                      left: x(start, midnight),
                      width: wide(start, end, midnight),
                      top: `${lane * LANE + 0.12}rem`,
                      height: `${LANE - 0.24}rem`,
                    }}
                    title={`${stepTitle(placed.step)} · ${nameOf(placed.step.job)} · ${formatTime(placed.start, zone)}, ${formatDuration(handsIn(placed))}`}
                    aria-label={`${stepTitle(placed.step)}, ${nameOf(placed.step.job)}, ${formatMoment(placed.start, zone)}${pinned.has(placed.step.id) ? ', put there' : ''}`}
                    aria-pressed={placed.step.id === chosen}
                    onPointerDown={(event) => begin(event, block)}
                    onKeyDown={(event) => byKey(event, block)}
                    onClick={() => onChoose(placed.step.id)}
                  >
                    {pinned.has(placed.step.id) && <i aria-hidden="true" className="week-pin" />}
                    <span>{stepWords(placed.step).verb}</span>
                  </button>
                ));
              })}
              {dragged && (
                <span
                  className="week-ghost absolute top-0 bottom-0"
                  style={{
                    left: x(dragged.at!, midnight),
                    width: wide(dragged.at!, dragged.at! + handsIn(dragged.placed) * 60_000, midnight),
                  }}
                >
                  <b className="measure">{formatTime(dragged.at!, zone)}</b>
                  {heldAt(dragged.placed, dragged.at!) && (
                    <span className="week-why">Not as it stands: {heldAt(dragged.placed, dragged.at!)}</span>
                  )}
                </span>
              )}
              {row.wanted.map((flag, i) => (
                <span
                  key={flag.job}
                  className={`week-flag ${flag.late ? 'late' : ''}`}
                  style={{
                    left: x(flag.at, midnight),
                    bottom: `${row.wanted.slice(0, i).filter(({ at }) => at === flag.at).length * 1.05}rem`,
                  }}
                  title={`${flag.name} is wanted ${formatMoment(flag.at, zone)}${flag.late ? ', and will be late' : ''}`}
                >
                  {flag.late ? '▲ late: ' : '⚑ '}
                  {flag.name}
                </span>
              ))}
              {now >= midnight && now < midnight + 24 * HOUR_MS && (
                <span aria-hidden="true" className="bg-error absolute inset-y-0 w-0.5" style={{ left: x(now, midnight) }} />
              )}
            </div>
          </section>
        );
      })}
    </div>
  );
}
