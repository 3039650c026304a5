import type { Element } from '@xmldom/xmldom';
import { mixed, readPaint } from './colour';
import { childrenOf, hrefOf, nameOf } from './svgDom';
import { ownValues, userLength, type StyleSheet } from './svgStyle';

/** A gradient as one flat colour: film has no other. */
export interface FlatPaint {
  /** The colour that covers most of it, #rrggbb. */
  readonly main: string;
  /** The colour halfway along it. */
  readonly middle: string;
  /** How opaque it is on the whole, 0 to 1. */
  readonly opacity: number;
}

/** A gradient takes its stops from another, which takes them from another: so often. */
const MOST_STEPS = 16;

const stopsOf = (element: Element): Element[] => childrenOf(element).filter((child) => nameOf(child) === 'stop');

/**
 * The flat colours of a gradient.
 *
 * @param byId elements of the drawing
 * @returns nothing where it is no gradient, or has no stops that can be read
 */
export function flatGradient(id: string, byId: ReadonlyMap<string, Element>, sheet: StyleSheet): FlatPaint | undefined {
  let holder = byId.get(id);
  if (!holder || !/^(linear|radial)gradient$/.test(nameOf(holder))) return undefined;
  for (let step = 0; step < MOST_STEPS && stopsOf(holder).length === 0; step++) {
    const next: Element | undefined = byId.get(hrefOf(holder) ?? '');
    if (!next) return undefined;
    holder = next;
  }
  let least = 0;
  const stops = stopsOf(holder).flatMap((stop) => {
    const value = ownValues(stop, sheet);
    const paint = readPaint(value('stop-color') ?? '#000000');
    // offsets never run back
    least = Math.min(1, Math.max(least, userLength(value('offset'), 1) ?? 0));
    const own = Math.min(1, Math.max(0, userLength(value('stop-opacity') ?? '1', 1) ?? 1));
    return paint ? [{ at: least, colour: paint.colour, opacity: own * paint.opacity }] : [];
  });
  const first = stops[0];
  const last = stops.at(-1);
  if (!first || !last) return undefined;
  // each stop rules halfway to its neighbours
  const spans = stops.map(({ at }, i) => {
    const from = i === 0 ? 0 : (stops[i - 1]!.at + at) / 2;
    const to = i === stops.length - 1 ? 1 : (at + stops[i + 1]!.at) / 2;
    return to - from;
  });
  const shares = new Map<string, number>();
  stops.forEach(({ colour, opacity }, i) => shares.set(colour, (shares.get(colour) ?? 0) + spans[i]! * (0.001 + opacity)));
  const main = [...shares].reduce((most, one) => (one[1] > most[1] ? one : most))[0];
  const after = stops.findIndex(({ at }) => at >= 0.5);
  const [a, b] = after < 0 ? [last, last] : after === 0 ? [first, first] : [stops[after - 1]!, stops[after]!];
  const middle = mixed(a.colour, b.colour, b.at > a.at ? (0.5 - a.at) / (b.at - a.at) : 1);
  return { main, middle, opacity: stops.reduce((sum, { opacity }, i) => sum + opacity * spans[i]!, 0) };
}
