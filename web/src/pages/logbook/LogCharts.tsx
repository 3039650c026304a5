import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { STEP_KINDS } from '@kolleta/core/facts';
import type { Shop } from '@kolleta/core/job';
import type { FilmWeek, WorkTally } from '@kolleta/core/learning';
import { formatDate } from '@kolleta/core/schedule';
import { capital, counted, formatDuration } from '@kolleta/core/units';
import { useSize } from '../../ui/useSize';

const DAY_MS = 86_400_000;

/** A chart with the figures behind it as a table. */
function Charted({
  title,
  text,
  head,
  rows,
  children,
}: {
  title: string;
  text: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
  children: (width: number) => ReactNode;
}) {
  const [ref, size] = useSize<HTMLDivElement>();
  return (
    <section className="sheet px-4 py-3" aria-label={title}>
      <h2 className="text-[1.05rem] font-bold">{title}</h2>
      <p className="quiet text-[0.86rem]">{text}</p>
      <div ref={ref} className="mt-1">
        {size && children(size.width)}
      </div>
      <details className="mt-1 text-[0.88rem]">
        <summary className="cursor-pointer py-1">As a table</summary>
        <div className="overflow-x-auto">
          <table className="table-sm table">
            <thead className="text-base-content">
              <tr>
                {head.map((cell) => (
                  <th key={cell} scope="col" className="text-base-content">
                    {cell}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row[0]}>
                  {row.map((cell, i) => (
                    <td key={head[i]} className={i > 0 ? 'measure' : ''}>
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </section>
  );
}

/** Minutes as computed and as taken, by kind of work. */
export function WorkChart({ tallies }: { tallies: readonly WorkTally[] }) {
  const ROW = 34;
  const shown = tallies.slice(0, 8);
  return (
    <Charted
      title="Computed and taken"
      text="minutes of work by kind, of all runs that were timed"
      head={['Work', 'Runs', 'Computed', 'Taken', 'Times']}
      rows={tallies.map(({ work, runs, unlearned, actual }) => [
        ...[capital(STEP_KINDS[work].doing), `${runs}`, formatDuration(unlearned), formatDuration(actual)],
        (actual / unlearned).toFixed(2),
      ])}
    >
      {(width) => {
        const left = Math.min(140, width * 0.32);
        const x = scaleLinear()
          .domain([0, Math.max(...shown.map(({ unlearned, actual }) => Math.max(unlearned, actual)))])
          .range([0, width - left - 64]);
        return (
          <svg width={width} height={shown.length * ROW + 4} role="img" aria-label="Minutes computed and taken by kind of work">
            {shown.map(({ work, unlearned, actual }, i) => (
              <g key={work} transform={`translate(0 ${i * ROW + 4})`} fill="var(--color-base-content)" fontSize={13}>
                <text x={left - 8} y={17} textAnchor="end">
                  {STEP_KINDS[work].doing.slice(0, 20)}
                </text>
                <rect x={left} y={3} width={x(unlearned)} height={8} fill="none" stroke="var(--color-base-content)" strokeDasharray="3 2" />
                <rect
                  x={left}
                  y={13}
                  width={x(actual)}
                  height={11}
                  rx={2}
                  fill={actual > unlearned * 1.1 ? 'var(--color-accent)' : 'var(--color-primary)'}
                />
                <text x={left + Math.max(x(actual), x(unlearned)) + 6} y={20} className="measure">
                  ×{(actual / unlearned).toFixed(2)}
                </text>
              </g>
            ))}
          </svg>
        );
      }}
    </Charted>
  );
}

/** What went wrong, by cause, each as one notch. */
export function SpoilChart({ causes }: { causes: readonly { cause: string; times: number; pieces: number }[] }) {
  const ROW = 30;
  const shown = causes.slice(0, 8);
  const most = Math.max(1, ...shown.map(({ times }) => times));
  return (
    <Charted
      title="What went wrong"
      text="by cause; a full notch cost a piece"
      head={['Cause', 'Times', 'Pieces lost']}
      rows={causes.map(({ cause, times, pieces }) => [cause, `${times}`, `${pieces}`])}
    >
      {(width) => {
        const left = Math.min(220, width * 0.55);
        const notch = Math.min(26, (width - left - 10) / most);
        return (
          <svg width={width} height={shown.length * ROW} role="img" aria-label="What went wrong, by cause">
            {shown.map(({ cause, times, pieces }, i) => (
              <g key={cause} transform={`translate(0 ${i * ROW})`} fill="var(--color-base-content)" fontSize={13}>
                <text x={left - 8} y={19} textAnchor="end">
                  {cause.length > 30 ? `${cause.slice(0, 29)}…` : cause}
                </text>
                {Array.from({ length: times }, (_, k) => (
                  <rect
                    key={k}
                    x={left + k * notch + 1}
                    y={6}
                    width={notch - 4}
                    height={18}
                    rx={3}
                    fill={k < pieces ? 'var(--color-error)' : 'none'}
                    stroke="var(--color-error)"
                    strokeWidth={2}
                  />
                ))}
              </g>
            ))}
          </svg>
        );
      }}
    </Charted>
  );
}

/** Film that was cut, by week, in the films' own colours. */
export function FilmChart({ weeks, shop }: { weeks: readonly FilmWeek[]; shop: Shop }) {
  const HEIGHT = 130;
  const shown = weeks.slice(-16);
  const name = (id: string) => shop.films.find((film) => film.id === id)?.name ?? 'a film that is gone';
  const total = ({ areas }: FilmWeek) => [...areas.values()].reduce((sum, area) => sum + area, 0);
  const day = (monday: number) => formatDate(monday * DAY_MS + DAY_MS / 2, 'UTC').replace(/^\w+ /, '');
  const square = (area: number) => `${(area / 1e6).toFixed(2)} m²`;
  return (
    <Charted
      title="Film by week"
      text="cut with its waste, in the films’ own colours"
      head={['Week from', 'Film', 'Films']}
      rows={shown.map((week) => [
        ...[day(week.monday), square(total(week))],
        [...week.areas].map(([id, area]) => `${name(id)} ${square(area)}`).join(', '),
      ])}
    >
      {(width) => {
        const y = scaleLinear()
          .domain([0, Math.max(...shown.map(total))])
          .range([0, HEIGHT - 40]);
        const step = Math.min(70, width / Math.max(1, shown.length));
        return (
          <svg width={width} height={HEIGHT} role="img" aria-label="Film that was cut, by week">
            {shown.map((week, i) => {
              let base = HEIGHT - 22;
              return (
                <g key={week.monday} transform={`translate(${i * step} 0)`} fontSize={12} fill="var(--color-base-content)">
                  {[...week.areas].map(([id, area]) => {
                    const height = y(area);
                    base -= height;
                    return (
                      <rect
                        key={id}
                        x={4}
                        y={base}
                        width={step - 10}
                        height={height}
                        fill={shop.films.find((film) => film.id === id)?.colour ?? 'var(--color-base-300)'}
                        stroke="var(--color-base-content)"
                        strokeOpacity={0.5}
                      >
                        <title>{`${name(id)}, ${square(area)}`}</title>
                      </rect>
                    );
                  })}
                  {total(week) > 0 && (
                    <text x={step / 2 - 1} y={base - 4} textAnchor="middle" className="measure">
                      {(total(week) / 1e6).toFixed(2)}
                    </text>
                  )}
                  {(i % Math.ceil(46 / step) === 0 || i === shown.length - 1) && (
                    <text x={step / 2 - 1} y={HEIGHT - 6} textAnchor="middle">
                      {day(week.monday)}
                    </text>
                  )}
                </g>
              );
            })}
          </svg>
        );
      }}
    </Charted>
  );
}

/** A sentence where nothing went wrong. */
export const wentWrongWords = (wrong: number): string => (wrong === 0 ? 'nothing went wrong' : `${counted(wrong, 'thing')} went wrong`);
