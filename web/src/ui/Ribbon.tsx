import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import { useSize } from './useSize';

/** Something on the ribbon; times are UTC ms. */
export interface RibbonBlock {
  id: string;
  lane: 0 | 1;
  spans: readonly { start: number; end: number }[];
  label: string;
  title: string;
  state: 'done' | 'running' | 'waiting';
  tone: 'work' | 'last';
}
export interface RibbonWait {
  id: string;
  lane: 0 | 1 | 2;
  start: number;
  end: number;
  label: string;
}

interface Props {
  blocks: readonly RibbonBlock[];
  waits: readonly RibbonWait[];
  /** Working windows; time between them is shaded and pressed together. */
  windows: readonly { start: number; end: number }[];
  now: number;
  deadline?: number;
  dayName: (at: number) => string;
  label: string;
  /** All of it on one line. */
  folded?: boolean;
}

/** Closed hours take this share of the room that working hours take. */
const CLOSED = 0.12;
/** A closed time takes no more room than so much working time, ms. */
const CLOSED_MOST = 90 * 60_000;
/** Hours in which hands are busy take at least this share of the width. */
const BUSY_SHARE = 0.55;
/** Busy times nearer than this are shown as one, ms. */
const JOIN = 45 * 60_000;
/** Height of a lane, and where the first one begins, px. */
const OPEN = { lane: 21, top: 24, lanes: 3 } as const;
const FOLDED = { lane: 20, top: 3, lanes: 1 } as const;

/** Spans nearer to each other than JOIN made one. */
function joined(spans: readonly { start: number; end: number }[]): { start: number; end: number }[] {
  return spans
    .toSorted((a, b) => a.start - b.start)
    .reduce<{ start: number; end: number }[]>((all, span) => {
      const last = all.at(-1);
      if (last && span.start - last.end < JOIN) return [...all.slice(0, -1), { start: last.start, end: Math.max(last.end, span.end) }];
      return [...all, span];
    }, []);
}

/**
 * The job's real time, busy hours drawn wider: hands solid, waits hatched, closed hours shaded and pressed together, the now-line, the flag
 * of the date.
 */
export function Ribbon({ blocks, waits, windows, now, deadline, dayName, label, folded = false }: Props) {
  const { lane: LANE, top: TOP, lanes } = folded ? FOLDED : OPEN;
  const laneOf = (lane: number) => (folded ? 0 : lane);
  const [ref, size] = useSize<HTMLDivElement>();
  const width = size?.width ?? 0;
  const ends = blocks.flatMap((b) => b.spans.map((s) => s.end));
  const from = Math.min(now, ...blocks.flatMap((b) => b.spans.map((s) => s.start))) - 10 * 60_000;
  const until = Math.max(now + 3_600_000, ...ends, deadline !== undefined && deadline > now ? deadline : 0) + 45 * 60_000;
  const scale = useMemo(() => {
    const inside = windows.filter((w) => w.end > from && w.start < until);
    const marks: [time: number, weight: number][] = [[from, 0]];
    let sum = 0;
    let at = from;
    const busy = joined(blocks.flatMap((b) => b.spans.map((s) => ({ start: s.start - 60_000, end: s.end + 60_000 }))));
    const open = inside.reduce((total, w) => total + Math.min(until, w.end) - Math.max(from, w.start), 0);
    const work = busy.reduce((total, b) => total + b.end - b.start, 0);
    const wide = work > 0 && open > work ? Math.max(1, (BUSY_SHARE * (open - work)) / ((1 - BUSY_SHARE) * work)) : 1;
    const step = (to: number, rate: number) => {
      if (to <= at) return;
      sum += (to - at) * rate;
      at = to;
      marks.push([at, sum]);
    };
    const go = (to: number, rate: number) => {
      for (const b of busy) {
        if (b.end <= at || b.start >= to) continue;
        step(Math.min(to, b.start), rate);
        step(Math.min(to, b.end), wide);
      }
      step(to, rate);
    };
    for (const window of inside) {
      const shut = window.start - at;
      go(Math.min(until, window.start), Math.min(CLOSED, CLOSED_MOST / Math.max(1, shut)));
      go(Math.min(until, window.end), 1);
    }
    go(until, CLOSED);
    return scaleLinear()
      .domain(marks.map(([t]) => t))
      .range(marks.map(([, w]) => 8 + (w / Math.max(1, sum)) * Math.max(0, width - 16)));
  }, [windows, blocks, from, until, width]);
  const x = (at: number) => scale(Math.min(until, Math.max(from, at)));
  const closed = windows
    .filter((w) => w.end > from && w.start < until)
    .flatMap((w, i, all) => {
      const next = all[i + 1]?.start ?? until;
      return next - w.end > 3 * 3_600_000 ? [{ start: w.end, end: Math.min(next, until) }] : [];
    });
  const days = [
    ...new Map(
      windows
        .filter((w) => w.end > from && w.start < until)
        .toReversed()
        .map((w) => [dayName(w.start), Math.max(from, w.start)]),
    ).entries(),
  ].toReversed();
  const height = TOP + lanes * LANE + (folded ? 1 : 6);
  return (
    <div ref={ref} className="sheet overflow-hidden">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={label} className="block">
          <defs>
            <pattern id="wait" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="4" height="8" fill="var(--wait)" opacity="0.65" />
            </pattern>
          </defs>
          {closed.map((c) => (
            <rect key={c.start} x={x(c.start)} y={0} width={Math.max(2, x(c.end) - x(c.start))} height={height} fill="var(--night)" />
          ))}
          {(folded ? [] : days).map(([name, at], i) => {
            const left = i === 0 ? Math.max(6, x(at) + 4) : x(at) + 4;
            const next = days[i + 1] ? x(days[i + 1]![1]) : width;
            const hidden = deadline !== undefined && x(deadline) > left - 4 && x(deadline) - left < 64 + 26;
            return next - left > 30 && !hidden ? (
              <text key={name} x={left} y={15} fontSize={12} fill="var(--quiet)">
                {next - left > 64 ? name : name.split(' ')[0]}
              </text>
            ) : null;
          })}
          {(folded ? waits.filter(({ lane }) => lane < 2) : waits).map((wait) => {
            const [a, b] = [x(wait.start), x(wait.end)];
            if (b - a < 2) return null;
            return (
              <g key={wait.id}>
                <title>{wait.label}</title>
                <rect
                  x={a}
                  y={TOP + laneOf(wait.lane) * LANE + 2}
                  width={b - a}
                  height={LANE - 5}
                  fill="url(#wait)"
                  opacity={0.85}
                  rx={2}
                />
                {b - a > wait.label.length * 6.2 && (
                  <text
                    x={(a + b) / 2}
                    y={TOP + laneOf(wait.lane) * LANE + 14}
                    fontSize={11.5}
                    textAnchor="middle"
                    fill="var(--color-base-content)"
                    stroke="var(--color-base-100)"
                    strokeWidth={3.5}
                    paintOrder="stroke"
                  >
                    {wait.label}
                  </text>
                )}
              </g>
            );
          })}
          {blocks.map((block) =>
            block.spans.map((span, i) => {
              const [a, b] = [x(span.start), Math.max(x(span.end), x(span.start) + 3)];
              const fill =
                block.state === 'done' ? 'var(--color-base-300)' : block.tone === 'last' ? 'var(--color-success)' : 'var(--color-primary)';
              return (
                <g key={`${block.id}${i}`}>
                  <title>{block.title}</title>
                  <rect
                    x={a}
                    y={TOP + laneOf(block.lane) * LANE}
                    width={Math.max(3, b - a - 0.8)}
                    height={LANE - 3}
                    rx={2.5}
                    fill={fill}
                    stroke={block.state === 'running' ? 'var(--color-accent)' : 'var(--color-base-100)'}
                    strokeWidth={block.state === 'running' ? 2 : 0.6}
                  />
                  {b - a > block.label.split(' ')[0]!.length * 6.2 + 8 && (
                    <text
                      x={a + 5}
                      y={TOP + laneOf(block.lane) * LANE + 13}
                      fontSize={11.5}
                      fill={block.state === 'done' ? 'var(--color-base-content)' : 'var(--color-primary-content)'}
                    >
                      {b - a > block.label.length * 6.4 + 8 ? block.label : block.label.split(' ')[0]}
                    </text>
                  )}
                </g>
              );
            }),
          )}
          {deadline !== undefined && deadline > from && (
            <g>
              <line x1={x(deadline)} x2={x(deadline)} y1={6} y2={height} stroke="var(--color-base-content)" strokeWidth={2} />
              <path d={`M${x(deadline)} 5 h-26 l5 6 l-5 6 h26z`} fill="var(--color-base-content)" />
            </g>
          )}
          <line x1={x(now)} x2={x(now)} y1={2} y2={height} stroke="var(--color-error)" strokeWidth={2} />
          <circle cx={x(now)} cy={4} r={4} fill="var(--color-error)" />
        </svg>
      )}
    </div>
  );
}
