import { applyToRegion, boxOf, difference, growBox, intersection, offset, regionArea, type Box, type Region } from '../../geometry';
import type { NestOptions, NestPart, Nesting } from './nester';
import type { Sheet } from './sheet';

/** Areas under this are the rounding of the polygon library, mm². */
const NOTHING = 0.01;
/** Parts may be nearer than wanted by so much, mm: outlines are rounded to a thousandth. */
const SLACK = 0.02;

const apart = (a: Box, b: Box): boolean => a.maxX < b.minX || b.maxX < a.minX || a.maxY < b.minY || b.maxY < a.minY;

/**
 * What is wrong with a nesting, looked for on the true outlines: copies that are missing or laid twice, parts that leave their sheet or
 * come too near to its edge,
 * parts that overlap or come too near to each other. A part may lie in a hole of another.
 *
 * @returns one sentence a fault; nothing when all is well
 */
export function checkNesting(
  nesting: Nesting,
  parts: readonly NestPart[],
  sheets: readonly Sheet[],
  { gap, holdDown }: NestOptions,
): string[] {
  const faults: string[] = [];
  const laid = nesting.nested.map(({ part, copy, sheet, place }) => {
    const region: Region = applyToRegion(place, parts[part]!.region);
    return { name: `${part}/${copy}`, sheet, region, box: boxOf(region) };
  });
  const seen = new Set<string>();
  for (const { name } of laid) {
    if (seen.has(name)) faults.push(`${name} is laid twice`);
    seen.add(name);
  }
  for (const [p, { copies }] of parts.entries()) {
    if (nesting.tooLarge.includes(p)) continue;
    for (let copy = 0; copy < copies; copy++) if (!seen.has(`${p}/${copy}`)) faults.push(`${p}/${copy} is not laid`);
  }
  for (const [s, { outline }] of sheets.entries()) {
    const usable = offset(outline, SLACK - holdDown);
    const here = laid.filter(({ sheet }) => sheet === s);
    for (const [i, { name, region, box }] of here.entries()) {
      if (regionArea(difference(region, usable)) > NOTHING) faults.push(`${name} is too near the edge of sheet ${s}`);
      const wide = offset(region, gap - SLACK);
      for (const other of here.slice(i + 1)) {
        if (apart(growBox(box, gap), other.box)) continue;
        if (regionArea(intersection(wide, other.region)) > NOTHING) faults.push(`${name} is too near ${other.name}`);
      }
    }
  }
  return faults;
}
