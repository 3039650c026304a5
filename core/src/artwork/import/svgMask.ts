import type { Element } from '@xmldom/xmldom';
import { boxRegion, type Region } from '../../geometry';
import type { Room, ViewBox } from './svgFrame';
import { userLength } from './svgStyle';

/** How far a mask reaches beyond its object on every side where it does not say, shares of the object's box (CSS Masking 1, 7.1). */
const BEYOND = { from: '-10%', size: '120%' } as const;

/**
 * How far a mask reaches, in user units.
 *
 * @param box of what it masks, where that is known
 * @param room of the drawing
 * @returns nothing where it does not say, and nothing is known of what it masks
 */
export function maskEdge(mask: Element, box: ViewBox | undefined, room: Room): Region | undefined {
  const inUnits = mask.getAttribute('maskUnits') === 'userSpaceOnUse';
  if (!inUnits && !box) return undefined;
  const [x0, y0, across, up] = inUnits ? [0, 0, room.width, room.height] : box!;
  const side = (name: string, usual: string, whole: number) => {
    const text = mask.getAttribute(name) ?? (inUnits ? undefined : usual);
    // of a box all numbers are shares, with their sign or without
    return inUnits ? userLength(text, whole) : (userLength(text, 1) ?? 0) * whole;
  };
  const [x, y] = [side('x', BEYOND.from, across), side('y', BEYOND.from, up)];
  const [width, height] = [side('width', BEYOND.size, across), side('height', BEYOND.size, up)];
  if (x === undefined || y === undefined || !(width! > 0) || !(height! > 0)) return undefined;
  return boxRegion({ minX: x0 + x, minY: y0 + y, maxX: x0 + x + width!, maxY: y0 + y + height! });
}
