import { scaleLog } from 'd3-scale';
import type { Shop } from '@kolleta/core/job';
import type { LayerPlan } from '@kolleta/core/plan';
import { useSize } from '../../ui/useSize';

const ROW = 44;

/** The grip window: the band of grips that work, and where each tape's uses fall. */
export function GripChart({ layer, shop }: { layer: LayerPlan; shop: Shop }) {
  const [ref, size] = useSize<HTMLDivElement>();
  const { window } = layer;
  const width = size?.width ?? 0;
  const left = Math.min(150, width * 0.28);
  const x = scaleLog()
    .domain([0.1, Math.max(8, window.high * 1.2)])
    .range([left, width - 18])
    .clamp(true);
  const height = layer.tapes.length * ROW + 96;
  const [low, high] = [x(window.low), x(Math.max(window.low, window.high))];
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`Grip window ${window.low.toFixed(1)} to ${window.high.toFixed(1)} newton on 25 mm${window.open ? '' : ', closed'}`}
        >
          <rect x={left} y={40} width={Math.max(0, low - left)} height={height - 76} fill="var(--color-error)" opacity={0.1} />
          {window.open && (
            <rect x={low} y={40} width={Math.max(0, high - low)} height={height - 76} fill="var(--color-success)" opacity={0.2} />
          )}
          {window.open && (
            <rect
              x={low}
              y={40}
              width={Math.max(0, Math.min(high, x(window.careful)) - low)}
              height={height - 76}
              fill="var(--color-success)"
              opacity={0.18}
            />
          )}
          <rect
            x={window.open ? high : low}
            y={40}
            width={Math.max(0, width - 18 - (window.open ? high : low))}
            height={height - 76}
            fill="var(--color-error)"
            opacity={0.1}
          />
          <g fontSize={12} fill="var(--color-base-content)">
            <text x={Math.max(left, low) - 4} y={18} textAnchor="end">
              letters stay on the liner
            </text>
            <text x={Math.min(width - 18, window.open ? high : low) - 2} y={34} textAnchor={width - high < 130 ? 'end' : 'start'}>
              {window.limitedBy === 'coating' ? 'the coating lifts' : 'letters come back with the tape'} →
            </text>
          </g>
          <g stroke="var(--color-success)" strokeWidth={2}>
            <line x1={low} x2={low} y1={40} y2={height - 36} />
            {window.open && <line x1={high} x2={high} y1={40} y2={height - 36} />}
          </g>
          {layer.tapes.map(({ tape: id, uses }, i) => {
            const tape = shop.tapes.find((t) => t.id === id);
            const y = 40 + i * ROW + ROW / 2;
            const chosen = layer.choice?.tape.id === id;
            const seen = uses.grips.slice(0, Math.min(14, Math.max(6, (uses.to ?? 0) + 1)));
            return (
              <g key={id}>
                {chosen && (
                  <rect
                    x={0}
                    y={y - ROW / 2 + 4}
                    width={width}
                    height={ROW - 8}
                    rx={6}
                    fill="none"
                    stroke="var(--color-primary)"
                    strokeWidth={2}
                  />
                )}
                <text x={10} y={y - 1} fontSize={13.5} fontWeight={chosen ? 700 : 400} fill="var(--color-base-content)">
                  {tape?.name}
                </text>
                <text x={10} y={y + 15} fontSize={11.5} fill="var(--quiet)">
                  {uses.from === undefined
                    ? 'does not work'
                    : uses.from === uses.to
                      ? `use ${uses.from} only`
                      : `uses ${uses.from} to ${uses.to}`}
                </text>
                {seen.map((grip, n) => {
                  const works = uses.from !== undefined && n + 1 >= uses.from && n + 1 <= uses.to!;
                  return (
                    <g key={n}>
                      <circle
                        cx={x(grip)}
                        cy={y}
                        r={n === 0 ? 9.5 : 7}
                        fill={works ? 'var(--color-success)' : 'var(--color-base-100)'}
                        stroke={works ? 'var(--color-success)' : 'var(--quiet)'}
                        strokeWidth={1.5}
                      />
                      {(n === 0 || (seen.length < 12 && x(seen[n - 1]!) - x(grip) > 13)) && (
                        <text
                          x={x(grip)}
                          y={y + 4}
                          fontSize={10.5}
                          textAnchor="middle"
                          fill={works ? 'var(--color-success-content)' : 'var(--color-base-content)'}
                        >
                          {n + 1}
                        </text>
                      )}
                    </g>
                  );
                })}
              </g>
            );
          })}
          <g className="measure" fontSize={11} fill="var(--quiet)">
            {[0.1, 0.2, 0.5, 1, 2, 5, 10]
              .filter((n) => n <= Math.max(8, window.high * 1.2))
              .map((n) => (
                <g key={n}>
                  <line x1={x(n)} x2={x(n)} y1={height - 36} y2={height - 31} stroke="var(--quiet)" />
                  <text x={x(n)} y={height - 19} textAnchor="middle">
                    {n}
                  </text>
                </g>
              ))}
            <text x={width - 18} y={height - 4} textAnchor="end">
              grip, N on 25 mm
            </text>
          </g>
        </svg>
      )}
    </div>
  );
}
