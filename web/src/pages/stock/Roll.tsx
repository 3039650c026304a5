import { FILM_KINDS } from '@kolleta/core/facts';
import type { Film, Shop } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { countRoll } from '../../storage/editShop';
import { LengthWord } from '../../ui/tokens';

/** Rolls are drawn with so many pixels a metre of film and a mm of width. */
const PX_PER_METRE = 118;
const PX_PER_MM = 0.075;

/** A roll to scale, with what the open jobs will cut from it. */
export function Roll({ film, left, next, system }: { film: Film; left: number; next: number; system: Shop['lengths'] }) {
  const height = Math.max(18, film.width * PX_PER_MM);
  const length = (left / 1000) * PX_PER_METRE;
  const cut = (Math.min(next, left) / 1000) * PX_PER_METRE;
  const short = next > left;
  return (
    <li className="border-base-300/60 grid grid-cols-[minmax(9rem,13rem)_minmax(0,1fr)] items-center gap-3 border-b py-2 last:border-0">
      <div className="min-w-0">
        <p className="leading-5 font-bold break-words">{film.name}</p>
        <p className="quiet text-[0.8rem]">
          {FILM_KINDS[film.kind].name}, {film.finish} · {formatLength(film.width, system, { digits: 0 })} wide
        </p>
      </div>
      <div className="flex min-w-0 flex-wrap items-center gap-3">
        <svg
          width={length + 40}
          height={height + 8}
          className="max-w-full"
          role="img"
          aria-label={`${formatLength(left, system, { digits: 0 })} left`}
          preserveAspectRatio="xMinYMid meet"
          viewBox={`0 0 ${length + 40} ${height + 8}`}
        >
          <ellipse cx={12} cy={height / 2 + 4} rx={9} ry={height / 2} fill={film.colour} stroke="var(--color-base-content)" />
          <ellipse
            cx={12}
            cy={height / 2 + 4}
            rx={3.5}
            ry={height / 5}
            fill="var(--color-base-100)"
            stroke="var(--color-base-content)"
            strokeWidth={0.7}
          />
          <rect
            x={14}
            y={4}
            width={Math.max(1, length)}
            height={height}
            fill={film.colour}
            stroke="var(--color-base-content)"
            strokeWidth={0.8}
          />
          {next > 0 && (
            <rect
              x={14 + Math.max(0, length - cut)}
              y={4}
              width={Math.max(2, cut)}
              height={height}
              fill="var(--wait)"
              fillOpacity={0.4}
              stroke="var(--color-error)"
              strokeDasharray="5 3"
              strokeWidth={1.4}
            />
          )}
        </svg>
        <span className="text-[0.9rem]">
          <LengthWord label={`${film.name} left`} value={left} system={system} onChange={(mm) => countRoll(film.id, mm)} /> left
          {next > 0 && (
            <span className={short ? 'text-error font-bold' : 'quiet'}>
              {' '}
              · next jobs take {formatLength(next, system, { digits: 0 })}
              {short ? ': too little' : ''}
            </span>
          )}
        </span>
      </div>
    </li>
  );
}
