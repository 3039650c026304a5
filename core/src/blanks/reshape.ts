import { setAt, type Job, type Patch, type Shape, type Zone } from '../job';
import { SAME_MM, type Result } from '../units';
import { checkShape } from './checkShape';
import { wallOf } from './wall';
import { usualBreathing } from './zone';

/** Whether a zone's breathing room is the usual one for its size, so that nobody has set it. */
const isUsual = ({ width, height, lipBand, breathing }: Zone): boolean =>
  [height, height - lipBand].some((tall) =>
    [false, true].some((stencil) => Math.abs(usualBreathing(width, tall, stencil) - breathing) < SAME_MM),
  );

/**
 * The change that gives a piece another shape. Its zones and features keep their shares of the wall; breathing room that a maker set stays
 * as it is, and
 * shrinks with the zone only where it is the usual one.
 *
 * @returns a problem when there can be no such piece
 */
export function reshape(job: Job, shape: Shape): Result<Patch> {
  const checked = checkShape(shape);
  if (!checked.ok) return checked;
  const [before, after] = [wallOf(job.piece.shape), wallOf(shape)];
  const [sx, sy] = [after.width / before.width, after.height / before.height];
  const fields = (path: string[], values: Record<string, number>): Patch =>
    Object.entries(values).flatMap(([field, mm]) => setAt([...path, field], mm));
  const zones = job.zones.flatMap((zone) => {
    const [width, height] = [zone.width * sx, zone.height * sy];
    const breathing = isUsual(zone) ? Math.min(zone.breathing, usualBreathing(width, height, false)) : zone.breathing;
    return fields(['zones', zone.id], { x: zone.x * sx, y: zone.y * sy, width, height, breathing });
  });
  const features = (job.piece.features ?? []).flatMap((f) => fields(['piece', 'features', f.id], { x: f.x * sx, y: f.y * sy }));
  return { ok: true, value: [...setAt(['piece', 'shape'], shape), ...zones, ...features] };
}
