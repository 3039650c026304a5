import { useId } from 'react';
import { FILM_KINDS } from '@kolleta/core/facts';
import { filmColours, type Film, type Shop } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { regionPath } from '../../drawing/regionPath';
import { StockAmount } from './StockAmount';

/** Rolls are drawn with so many pixels a metre of film and a mm of width. */
const PX_PER_METRE = 118;
const PX_PER_MM = 0.075;

/** A roll to scale, with what the open jobs will cut from it; its pieces beside it. */
export function Roll({ film, left, next, system }: { film: Film; left: number; next: number; system: Shop['lengths'] }) {
  const stripes = useId();
  const height = Math.max(18, film.width * PX_PER_MM);
  const length = (left / 1000) * PX_PER_METRE;
  const cut = (Math.min(next, left) / 1000) * PX_PER_METRE;
  const short = next > left;
  const colours = filmColours(film);
  const fill = colours.length > 1 ? `url(#${CSS.escape(stripes)})` : film.colour;
  return (
    <div className="grid grid-cols-1 items-center gap-x-3 sm:grid-cols-[minmax(9rem,17rem)_minmax(0,1fr)]">
      <div className="min-w-0">
        <p className="leading-5 font-bold break-words">{film.name}</p>
        <p className="quiet text-[0.8rem]">
          {FILM_KINDS[film.kind].name}, {film.finish} · {formatLength(film.width, system, { digits: 0 })} wide
          {film.covered ? ' · cover sheet' : ''}
        </p>
        {film.note && <p className="quiet text-[0.8rem]">{film.note}</p>}
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
          {colours.length > 1 && (
            <pattern id={stripes} width={6 * colours.length} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(30)">
              {colours.map((colour, i) => (
                <rect key={colour} x={6 * i} width={6} height={8} fill={colour} />
              ))}
            </pattern>
          )}
          <ellipse cx={12} cy={height / 2 + 4} rx={9} ry={height / 2} fill={fill} stroke="var(--color-base-content)" />
          <ellipse
            cx={12}
            cy={height / 2 + 4}
            rx={3.5}
            ry={height / 5}
            fill="var(--color-base-100)"
            stroke="var(--color-base-content)"
            strokeWidth={0.7}
          />
          <rect x={14} y={4} width={Math.max(1, length)} height={height} fill={fill} stroke="var(--color-base-content)" strokeWidth={0.8} />
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
        {(film.pieces ?? []).map((piece) => (
          <span key={piece.id} className="quiet inline-flex items-center gap-1 text-[0.8rem]">
            <svg
              width={Math.max(4, piece.width * PX_PER_MM)}
              height={Math.max(4, piece.length * PX_PER_MM)}
              role="img"
              aria-label={`${piece.kind} ${formatLength(piece.width, system)} × ${formatLength(piece.length, system)}`}
            >
              {piece.outline ? (
                <path
                  d={regionPath(piece.outline)}
                  transform={`scale(${PX_PER_MM} ${-PX_PER_MM}) translate(0 ${-piece.length})`}
                  fill={film.colour}
                  fillRule="evenodd"
                  stroke="var(--color-base-content)"
                  vectorEffect="non-scaling-stroke"
                />
              ) : (
                <rect width="100%" height="100%" fill={film.colour} stroke="var(--color-base-content)" />
              )}
            </svg>
            × {piece.count}
          </span>
        ))}
        <span className="text-[0.9rem]">
          <StockAmount stock="film" item={film.id} name={film.name} amount={left} system={system} />
          {next > 0 && (
            <span className={short ? 'text-error font-bold' : 'quiet'}>
              {' '}
              · next jobs take {formatLength(next, system, { digits: 0 })}
              {short ? ': too little' : ''}
            </span>
          )}
        </span>
      </div>
    </div>
  );
}
