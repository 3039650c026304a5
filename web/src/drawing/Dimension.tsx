import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { useScale } from './Scaled';

interface Props {
  /** From and to, mm; drawn straight across or straight up. */
  from: readonly [number, number];
  to: readonly [number, number];
  /** Pixels beside the line between them: below or to the right when positive. */
  beside: number;
  system: LengthSystem;
  colour?: string;
}

/** A measure with its arrows and its figure. */
export function Dimension({ from, to, beside, system, colour = 'var(--color-primary)' }: Props) {
  const { x, y } = useScale();
  const across = Math.abs(to[1] - from[1]) < 1e-6;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [ax, ay] = [x(from[0]) + (across ? 0 : beside), y(from[1]) + (across ? beside : 0)];
  const [bx, by] = [x(to[0]) + (across ? 0 : beside), y(to[1]) + (across ? beside : 0)];
  const tick = 5;
  return (
    <g stroke={colour} strokeWidth={1.2} aria-hidden="true">
      <line x1={ax} y1={ay} x2={bx} y2={by} stroke="var(--color-base-100)" strokeWidth={4} strokeOpacity={0.75} />
      <line x1={ax} y1={ay} x2={bx} y2={by} />
      {[[ax, ay] as const, [bx, by] as const].map(([px, py], i) => (
        <line key={i} x1={across ? px : px - tick} x2={across ? px : px + tick} y1={across ? py - tick : py} y2={across ? py + tick : py} />
      ))}
      <text
        className="measure"
        stroke="var(--color-base-100)"
        strokeWidth={3.5}
        paintOrder="stroke"
        fill={colour}
        fontSize={12}
        x={across ? (ax + bx) / 2 : ax + 8}
        y={across ? ay + (beside < 0 ? -7 : 16) : (ay + by) / 2 + 4}
        textAnchor={across ? 'middle' : 'start'}
      >
        {formatLength(length, system)}
      </text>
    </g>
  );
}
