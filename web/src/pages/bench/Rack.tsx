import { formatClock, formatDuration } from '@kolleta/core/units';
import { formatMoment } from '@kolleta/core/schedule';
import type { Paint, Job, Shop } from '@kolleta/core/job';
import { diameterAt } from '@kolleta/core/blanks';
import type { RackItem } from '@kolleta/core/plan';
import { Link } from 'react-router';
import { isWood, pieceFill } from '../../drawing/pieceLook';

/** So many pieces stand on a shelf, and so high, px: few fill the rack, many are all there. */
function shelving(pieces: number): { across: number; high: number } {
  if (pieces <= 1) return { across: 1, high: 190 };
  if (pieces <= 3) return { across: pieces, high: 150 };
  if (pieces <= 6) return { across: 3, high: 92 };
  return { across: 4, high: pieces <= 8 ? 84 : 62 };
}

/** One piece as it stands on the rack, drawn to its own proportions. */
function Piece({ job, item, now, paints, high }: { job: Job; item: RackItem; now: number; paints: readonly Paint[]; high: number }) {
  const { shape } = job.piece;
  const [top, foot] = shape.kind === 'flat' ? [shape.width, shape.width] : [diameterAt(shape, shape.height), diameterAt(shape, 0)];
  const [w, h] = [Math.max(top, foot), shape.height];
  const k = Math.min(high / h, (1.55 * high) / w);
  const look = pieceFill(job.piece, paints);
  const left = (item.until - now) / 60_000;
  const text = left < 60 ? formatClock(left * 60) : formatDuration(left);
  const shown = Math.min(job.count, shape.kind === 'flat' ? 1 : 3);
  const width = Math.max(96, k * w * shown + 10 * (shown - 1));
  const start = (width - (k * w * shown + 10 * (shown - 1))) / 2;
  const hexDark =
    Number.parseInt(look.fill.slice(1, 3), 16) * 0.3 +
      Number.parseInt(look.fill.slice(3, 5), 16) * 0.6 +
      Number.parseInt(look.fill.slice(5, 7), 16) * 0.1 <
      120 && look.opacity === 1;
  return (
    <svg width={width} height={high} role="img" aria-label={`${job.piece.name}, ${text}`} className="block">
      <defs>
        <pattern id="grain" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(60)">
          <rect width="2" height="9" fill="#000" opacity="0.12" />
        </pattern>
      </defs>
      {Array.from({ length: shown }, (_, i) => {
        const [x, y] = [start + i * (k * w + 10), high - k * h];
        return (
          <g key={i} stroke="var(--color-base-content)" strokeOpacity={0.6}>
            {shape.kind === 'taper' ? (
              <path
                d={`M${x + (k * (w - top)) / 2} ${y + 0.5}h${k * top}L${x + (k * (w + foot)) / 2} ${high}h${-k * foot}Z`}
                fill={look.fill}
                fillOpacity={look.opacity}
              />
            ) : (
              <rect
                x={x + 0.5}
                y={y + 0.5}
                width={k * w - 1}
                height={k * h}
                rx={shape.kind === 'flat' ? 2 : 5}
                fill={look.fill}
                fillOpacity={look.opacity}
              />
            )}
            {isWood(job.piece) && <rect x={x} y={y} width={k * w} height={k * h} fill="url(#grain)" stroke="none" />}
            {shape.kind === 'cylinder' && (
              <ellipse cx={x + (k * w) / 2} cy={y + 4} rx={(k * w) / 2 - 1} ry={4} fill="var(--color-base-100)" fillOpacity={0.5} />
            )}
          </g>
        );
      })}
      <text
        x={width / 2}
        y={high - (k * h) / 2 + 6}
        textAnchor="middle"
        className="measure"
        fontSize={high > 120 ? 24 : 15}
        fontWeight={700}
        fill={hexDark ? '#ffffff' : '#22302f'}
        stroke={hexDark ? '#22302f' : '#ffffff'}
        strokeWidth={3.5}
        paintOrder="stroke"
      >
        {text}
      </text>
    </svg>
  );
}

interface Standing {
  readonly item: RackItem;
  readonly job: Job;
}

/** Pieces on shelves, so many beside each other. */
function Shelves({ shown, shop, now, size }: { shown: readonly Standing[]; shop: Shop; now: number; size: number }) {
  const { across, high } = shelving(size);
  const shelves = Array.from({ length: Math.ceil(shown.length / across) }, (_, i) => shown.slice(i * across, (i + 1) * across));
  return shelves.map((shelf, i) => (
    <div key={i}>
      <ul className="flex flex-wrap items-end justify-around gap-x-4 gap-y-3 px-1">
        {shelf.map(({ item, job }) => (
          <li key={item.id} className="flex flex-col items-center">
            <Link
              to={`/job/${job.id}/cure`}
              className="flex flex-col items-center"
              title={`until ${formatMoment(item.until, shop.hours.zone)}`}
            >
              <span
                className={`mb-1.5 max-w-52 text-center text-[0.82rem] leading-tight font-bold ${item.state === 'open' ? 'text-error' : ''}`}
              >
                {item.state === 'open' ? '■ ' : ''}
                {job.name}: {item.what}
                {item.state === 'open' ? ', window open' : ''}
              </span>
              <Piece high={high} paints={shop.paints} job={job} item={item} now={now} />
            </Link>
          </li>
        ))}
      </ul>
      <div className="h-1.5 rounded" style={{ background: 'var(--shelf)' }} />
    </div>
  ));
}

/** The drying rack: pieces on shelves with the time that each still needs, place by place where the workshop has named them. */
export function Rack({ items, jobs, shop, now }: { items: readonly RackItem[]; jobs: readonly Job[]; shop: Shop; now: number }) {
  const shown = items.flatMap((item) => {
    const job = jobs.find((j) => j.id === item.job);
    return job ? [{ item, job }] : [];
  });
  if (shown.length === 0) {
    return (
      <div className="flex flex-1 flex-col justify-end">
        <p className="quiet max-w-md pb-4">
          Nothing dries just now. When a coat, a sealer or an adhesive needs time, the piece stands here with the minutes that are left.
        </p>
        <div className="mb-3 h-1.5 rounded" style={{ background: 'var(--shelf)' }} />
      </div>
    );
  }
  const places = (shop.rack ?? []).flatMap((place) => {
    const own = shown.filter(({ item }) => item.place === place.id);
    return own.length > 0 ? [{ ...place, own }] : [];
  });
  const others = shown.filter(({ item }) => !places.some(({ id }) => id === item.place));
  return (
    <div className="flex flex-1 flex-col justify-end gap-3">
      {places.map(({ id, name, holds, own }) => (
        <section key={id} aria-label={name} className="flex flex-col gap-3">
          <Shelves shown={own} shop={shop} now={now} size={shown.length} />
          <p className="quiet -mt-2 flex justify-between gap-3 text-[0.86rem]">
            <span className="min-w-0 truncate">{name}</span>
            <span className="shrink-0">
              {[...new Set(own.map(({ job }) => job))].reduce((sum, { count }) => sum + count, 0)} of {holds} pieces
            </span>
          </p>
        </section>
      ))}
      {others.length > 0 && <Shelves shown={others} shop={shop} now={now} size={shown.length} />}
    </div>
  );
}
