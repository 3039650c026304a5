import { scaleLinear } from 'd3-scale';
import { MM_PER_INCH, type LengthSystem } from '@kolleta/core/units';
import { useScale } from './Scaled';

/** Rulers along the upper and the left edge, in the user's unit. */
export function Rulers({ system }: { system: LengthSystem }) {
  const { x, y, k, width, height } = useScale();
  const unit = system === 'mm' ? 1 : MM_PER_INCH;
  const inverse = (pixel: number, zero: number, sign: number) => (sign * (pixel - zero)) / k / unit;
  const across = scaleLinear()
    .domain([inverse(34, x(0), 1), inverse(width, x(0), 1)])
    .ticks(Math.max(3, Math.floor(width / 90)));
  const up = scaleLinear()
    .domain([inverse(height, y(0), -1), inverse(22, y(0), -1)])
    .ticks(Math.max(3, Math.floor(height / 70)));
  const label = (n: number) => `${n}`.replace('-', '−');
  return (
    <g aria-hidden="true" pointerEvents="none" fontSize={10.5} fill="var(--quiet)" stroke="var(--color-base-300)" className="measure">
      <path d={`M0 0H${width}V22H34V${height}H0Z`} fill="var(--color-base-100)" stroke="none" />
      <line x1={0} x2={width} y1={22} y2={22} />
      <line x1={34} x2={34} y1={0} y2={height} />
      {across.map((n) => (
        <g key={n}>
          <line x1={x(n * unit)} x2={x(n * unit)} y1={17} y2={22} />
          <text stroke="none" x={x(n * unit)} y={13} textAnchor="middle">
            {n === 0 ? `0 ${system === 'mm' ? 'mm' : 'in'}` : label(n)}
          </text>
        </g>
      ))}
      {up.map((n) => (
        <g key={n}>
          <line x1={29} x2={34} y1={y(n * unit)} y2={y(n * unit)} />
          <text stroke="none" x={26} y={y(n * unit) + 4} textAnchor="end">
            {label(n)}
          </text>
        </g>
      ))}
    </g>
  );
}
