import { boxHeight, boxWidth, type Box } from '@kolleta/core/geometry';
import { useScale } from './Scaled';

export interface RectProps {
  box: Box;
  fill?: string;
  fillOpacity?: number;
  stroke?: string;
  dash?: string;
  className?: string;
}

/** A box in mm as a rectangle. */
export function MmRect({ box, fill = 'none', fillOpacity, stroke = 'none', dash, className }: RectProps) {
  const { x, y, k } = useScale();
  return (
    <rect
      className={className}
      x={x(box.minX)}
      y={y(box.maxY)}
      width={Math.max(0, k * boxWidth(box))}
      height={Math.max(0, k * boxHeight(box))}
      fill={fill}
      fillOpacity={fillOpacity}
      stroke={stroke}
      strokeDasharray={dash}
    />
  );
}
