import { wallBox, zoneBox } from '@kolleta/core/blanks';
import type { Box } from '@kolleta/core/geometry';
import type { Shape, Zone } from '@kolleta/core/job';

/** Every colour of a pattern is drawn so often. */
const TIMES = 3;

/** A patterned place on a piece as upright stripes of its colours: which ones it has, not how they lie. */
export function zoneStripes(zone: Zone, shape: Shape): { readonly box: Box; readonly colour: string }[] {
  const colours = zone.colours ?? [];
  if (colours.length === 0) return [];
  const [wall, own] = [wallBox(shape), zoneBox(zone)];
  const box = {
    minX: Math.max(wall.minX, own.minX),
    maxX: Math.min(wall.maxX, own.maxX),
    minY: Math.max(wall.minY, own.minY),
    maxY: Math.min(wall.maxY, own.maxY),
  };
  const count = colours.length === 1 ? 1 : colours.length * TIMES;
  const width = (box.maxX - box.minX) / count;
  if (!(width > 0) || !(box.maxY > box.minY)) return [];
  return Array.from({ length: count }, (_, i) => ({
    box: { ...box, minX: box.minX + i * width, maxX: box.minX + (i + 1) * width },
    colour: colours[i % colours.length]!,
  }));
}
