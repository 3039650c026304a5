import { KNIFE } from '../../facts';
import type { Point, Ring } from '../../geometry';
import type { Machine } from '../../job';
import type { FilmLayout } from '../layout';
import { spareLines } from '../spares';
import { axisWay } from './dragKnife';
import { penLinesOf, strokesOf } from './strokes';

/** Points in one PD: small controllers keep no more in their buffer. */
const POINTS_A_COMMAND = 40;

/**
 * Takes film to machine: mm from the film's lower left corner to whole steps. A roll-fed machine counts its first axis along the feed, a
 * flat-bed across the
 * film; both are turned, never mirrored.
 */
export function toMachine(
  layout: Pick<FilmLayout, 'width'>,
  machine: Pick<Machine, 'rollFed' | 'step' | 'origin'>,
): (point: Point) => Point {
  const step = machine.step ?? KNIFE.step;
  const [ox, oy] = [machine.origin?.x ?? 0, machine.origin?.y ?? 0];
  return ([x, y]) =>
    machine.rollFed
      ? [Math.round((y - oy) / step), Math.round((layout.width - x - ox) / step)]
      : [Math.round((x - ox) / step), Math.round((y - oy) / step)];
}

/** The way back: whole steps to mm from the film's lower left corner. */
export function fromMachine(width: number, machine: Pick<Machine, 'rollFed' | 'step' | 'origin'>): (point: Point) => Point {
  const step = machine.step ?? KNIFE.step;
  const [ox, oy] = [machine.origin?.x ?? 0, machine.origin?.y ?? 0];
  return ([u, v]) => (machine.rollFed ? [width - v * step - ox, u * step + oy] : [u * step + ox, v * step + oy]);
}

/** The ring closed, and so much further along its start, so that the corner there is cut through. */
function withOvercut(ring: Ring, overcut: number): Point[] {
  const points: Point[] = [...ring, ring[0]!];
  let left = overcut;
  for (let i = 0; left > 0 && i < ring.length; i++) {
    const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const t = Math.min(1, left / Math.max(length, 1e-9));
    points.push([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]);
    left -= length;
  }
  return points;
}

/**
 * A layout as HPGL: absolute steps, one pen-down run an outline, outlines in the order of `strokesOf`.
 *
 * @param machine whose step, origin and feed direction the numbers are for; its force (FS) and speed (VS) are written where they are known, and its
 * way is that of the axis where the tip of its knife trails
 * @returns IN; PA; where something is written SP2 and the pen's lines; SP1; then PU and PD, and the knife brought home at the end
 */
export function hpglCutFile(layout: FilmLayout, machine: Machine): string {
  const place = toMachine(layout, machine);
  const written = penLinesOf(layout);
  const text: string[] = [written.length > 0 ? 'IN;PA;SP2;' : 'IN;PA;SP1;'];
  const draw = (points: readonly Point[]) => {
    const steps = points.map(place).filter((p, i, all) => i === 0 || p[0] !== all[i - 1]![0] || p[1] !== all[i - 1]![1]);
    text.push(`PU${steps[0]!.join(',')};`);
    for (let i = 1; i < steps.length; i += POINTS_A_COMMAND)
      text.push(
        `PD${steps
          .slice(i, i + POINTS_A_COMMAND)
          .flat()
          .join(',')};`,
      );
  };
  // the pen first, in the second holder: where there is only one, the machine waits here for the knife
  if (written.length > 0) {
    for (const { points, closed } of written) draw(closed ? [...points, points[0]!] : points);
    text.push('PU0,0;SP1;');
  }
  if (machine.speed !== undefined) text.push(`VS${Math.round(machine.speed)};`);
  if (machine.force !== undefined) text.push(`FS${Math.round(machine.force)};`);
  const offset = machine.knifeOffset ?? 0;
  let heading: number | undefined;
  /** Draws a line with the knife: where the machine does not make up for a tip that trails, the axis goes ahead of it. */
  const cut = (points: readonly Point[]) => {
    if (offset <= 0) return draw(points);
    const way = axisWay(points, offset, heading);
    heading = way.heading;
    draw(way.points);
  };
  // what was cut before the knife had turned is cut again
  for (const { ring } of strokesOf(layout)) cut(withOvercut(ring, KNIFE.overcut + offset));
  for (const { points } of spareLines(layout)) cut(withOvercut(points, KNIFE.overcut + offset));
  for (const { points, closed } of [...(layout.register ?? []), ...(layout.relief ?? [])]) cut(closed ? [...points, points[0]!] : points);
  text.push('PU0,0;SP0;');
  return `${text.join('\n')}\n`;
}
