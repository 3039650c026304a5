import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Verdict } from '@kolleta/core/job';

export interface StripStation {
  id: string;
  name: string;
  to: string;
  current: boolean;
  /** Its work is done: it has been peeled off the liner. */
  peeled: boolean;
  /** What needs attention there. */
  attention?: Exclude<Verdict, 'fine'>;
}

/** The stations in working order, as labels on a strip of liner. */
export function Strip({ stations }: { stations: readonly StripStation[] }) {
  const strip = useRef<HTMLElement>(null);
  const current = stations.find((station) => station.current)?.id;
  // where the strip is longer than the screen, the station that is worked at is in sight
  useEffect(() => {
    const [nav, here] = [strip.current, strip.current?.querySelector<HTMLElement>('[aria-current="page"]')];
    if (nav && here) nav.scrollLeft = here.offsetLeft - nav.offsetLeft - (nav.clientWidth - here.clientWidth) / 2;
  }, [current]);
  return (
    <nav ref={strip} aria-label="Stations" className="liner flex snap-x gap-1.5 overflow-x-auto p-1">
      {stations.map((station) => (
        <Link
          key={station.id}
          to={station.to}
          className="station min-w-[5.2rem] flex-1 snap-center px-1"
          data-peeled={station.peeled}
          aria-current={station.current ? 'page' : undefined}
          aria-label={`${station.name}${station.peeled ? ', done' : ''}${station.attention ? `, needs attention: ${station.attention}` : ''}`}
        >
          {station.name}
          {station.attention && (
            <svg width="11" height="11" viewBox="0 0 10 10" aria-hidden="true" className="absolute top-1 right-1">
              {station.attention === 'watch' ? (
                <path d="M5 .5l4.8 9H.2z" fill="var(--wait)" stroke="#22302f" strokeWidth=".5" />
              ) : (
                <rect
                  x=".7"
                  y=".7"
                  width="8.6"
                  height="8.6"
                  rx="1"
                  fill="var(--color-error)"
                  stroke="var(--color-base-100)"
                  strokeWidth=".8"
                />
              )}
            </svg>
          )}
        </Link>
      ))}
    </nav>
  );
}
