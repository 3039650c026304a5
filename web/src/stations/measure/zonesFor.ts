import { usualBreathing, wallOf } from '@kolleta/core/blanks';
import { setAt, type Job, type Patch, type Shape, type Zone } from '@kolleta/core/job';

/** A new shape takes its zones with it. */
export function zonesFor(job: Job, shape: Shape): Patch {
  const [before, after] = [wallOf(job.piece.shape), wallOf(shape)];
  const [sx, sy] = [after.width / before.width, after.height / before.height];
  const zones = job.zones.map((z): Zone => {
    const [width, height] = [z.width * sx, z.height * sy];
    return {
      ...z,
      x: z.x * sx,
      y: z.y * sy,
      width,
      height,
      breathing: Math.min(z.breathing, usualBreathing(width, height, false)),
    };
  });
  const features = job.piece.features?.map((f) => ({ ...f, x: f.x * sx, y: f.y * sy }));
  return [...setAt(['piece', 'shape'], shape), ...setAt(['zones'], zones), ...(features ? setAt(['piece', 'features'], features) : [])];
}
