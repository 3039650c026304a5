import { bendRegion } from '@kolleta/core/blanks';
import { boxRegion } from '@kolleta/core/geometry';
import type { Shape } from '@kolleta/core/job';
import { regionPath } from './regionPath';
import { InMm } from './Scaled';
import { MmRect, type RectProps } from './MmRect';

/** A box on a wall laid flat: a rectangle, or on a taper the part of a ring that it unrolls to. */
export function WallBox({
  shape,
  at,
  box,
  fill = 'none',
  fillOpacity,
  stroke = 'none',
  dash,
  className,
}: RectProps & { shape: Shape; at?: number }) {
  if (shape.kind !== 'taper') return <MmRect {...{ box, fill, fillOpacity, stroke, dash, className }} />;
  return (
    <InMm>
      <path
        className={className}
        d={regionPath(bendRegion(boxRegion(box), shape, at ?? shape.height / 2))}
        fill={fill}
        fillOpacity={fillOpacity}
        stroke={stroke}
        strokeDasharray={dash}
        vectorEffect="non-scaling-stroke"
      />
    </InMm>
  );
}
