import { distance, type Point } from '../../geometry';
import { endOf, reversed, type Way } from './dxfWays';

/** Ends nearer than this meet: mm where the drawing says its units, but never more than a hundredth of it; else a share of it. */
const MEET = { mm: 0.05, most: 1 / 100, share: 1e-4 } as const;

/** What is nearer than this share of where ends meet is no gap. */
const NO_GAP = 0.02;

/**
 * How near ends have to be to meet, units of the drawing.
 *
 * @param size its larger side, in its units
 * @param mm of a unit, where it says so
 */
export const meetWithin = (size: number, mm: number | undefined): number =>
  Math.max(1e-9, mm ? Math.min(MEET.mm / mm, size * MEET.most) : size * MEET.share);

/**
 * Joins open ways of a colour end to end into closed ones; what stays open is returned apart, and how many gaps were closed.
 *
 * @param same ends nearer than this meet, units of the drawing
 */
export function joinWays(ways: readonly Way[], same: number): { closed: Way[]; open: Way[]; healed: number } {
  let healed = 0;
  const heal = (by: number) => {
    if (by > same * NO_GAP) healed += 1;
  };
  // a short straight line has its ends beside each other, and is no outline
  const curved = (w: Way) => w.segments.length > 1 || w.segments[0]?.[0] !== 'L';
  const closed = ways.filter((w) => w.closed || (curved(w) && distance(w.from, endOf(w)) <= same));
  let left = ways.filter((w) => !closed.includes(w));
  const open: Way[] = [];
  const cell = (p: Point) => `${Math.round(p[0] / same / 4)} ${Math.round(p[1] / same / 4)}`;
  const ends = new Map<string, Way[]>();
  const keys = (p: Point) => {
    const all = new Set<string>();
    for (const dx of [-same, 0, same]) for (const dy of [-same, 0, same]) all.add(cell([p[0] + dx, p[1] + dy]));
    return all;
  };
  for (const way of left) for (const end of [way.from, endOf(way)]) ends.set(cell(end), [...(ends.get(cell(end)) ?? []), way]);
  for (const way of closed) if (!way.closed) heal(distance(way.from, endOf(way)));
  const used = new Set<Way>();
  for (const start of left) {
    if (used.has(start)) continue;
    used.add(start);
    let chain = start;
    for (;;) {
      const end = endOf(chain);
      if (distance(chain.from, end) <= same) break;
      const next = [...keys(end)]
        .flatMap((key) => ends.get(key) ?? [])
        .find((w) => !used.has(w) && w.colour === chain.colour && (distance(w.from, end) <= same || distance(endOf(w), end) <= same));
      if (!next) break;
      used.add(next);
      const piece = distance(next.from, end) <= same ? next : reversed(next);
      heal(distance(piece.from, end));
      chain = { ...chain, segments: [...chain.segments, ...piece.segments] };
    }
    if (distance(chain.from, endOf(chain)) <= same && chain.segments.length > 1) {
      heal(distance(chain.from, endOf(chain)));
      closed.push(chain);
    } else open.push(chain);
  }
  left = [];
  return { closed, open, healed };
}

/** What is told of gaps that were closed. */
export const gapsSaid = (healed: number): string =>
  `${healed} small ${healed === 1 ? 'gap' : 'gaps'} between lines, which ${healed === 1 ? 'is' : 'are'} closed`;
