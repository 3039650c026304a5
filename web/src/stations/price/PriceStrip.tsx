import { scaleLinear } from 'd3-scale';
import type { Cost, CostKind } from '@kolleta/core/cost';
import { formatMoney } from '@kolleta/core/units';
import { useSize } from '../../ui/useSize';

/** What parts of a price are called together, and how each is filled. */
const GROUPS: readonly { name: string; kinds: readonly CostKind[]; fill: string }[] = [
  { name: 'film and tape', kinds: ['film', 'tape'], fill: 'var(--liner-line)' },
  { name: 'paint, supplies, blanks', kinds: ['paint', 'supply', 'trimming', 'blank'], fill: '#8a7a5c' },
  { name: 'work', kinds: ['hands'], fill: 'var(--color-primary)' },
  { name: 'blades, and what goes wrong', kinds: ['cutter', 'spoilage'], fill: 'var(--color-error)' },
  { name: 'overhead', kinds: ['overhead'], fill: '#7d8a89' },
  { name: 'margin', kinds: ['margin'], fill: 'var(--color-success)' },
  { name: 'tax', kinds: ['tax'], fill: '#b9b2a3' },
];

const ROW = 66;

/** Where the price of a piece goes, of its job, of one alone and of another run, to one scale of money. */
export function PriceStrip({ cost, one, run, currency }: { cost: Cost; one: Cost; run: Cost | undefined; currency: string }) {
  const [ref, size] = useSize<HTMLDivElement>();
  const rows = [cost, ...(cost.count > 1 ? [one] : []), ...(run && run.count !== cost.count && run.count > 1 ? [run] : [])];
  const width = size?.width ?? 0;
  const x = scaleLinear()
    .domain([0, Math.max(...rows.map(({ total, count }) => total / count))])
    .range([0, Math.max(0, width - 4)]);
  const share = ({ lines, count }: Cost, kinds: readonly CostKind[]) =>
    lines.reduce((sum, { kind, amount }) => sum + (kinds.includes(kind) ? amount : 0), 0) / count;
  const groups = GROUPS.filter(({ kinds }) => rows.some((row) => share(row, kinds) > 0));
  return (
    <div className="px-4">
      <div ref={ref} />
      {width > 0 && (
        <svg width={width} height={rows.length * ROW} role="img" aria-label="Where the price of a piece goes">
          {rows.map((row, i) => {
            let at = 0;
            return (
              <g key={i} transform={`translate(0 ${i * ROW})`} fill="var(--color-base-content)" fontSize={14}>
                <text x={2} y={16}>
                  {row.count > 1 ? `each of ${row.count}` : rows.length > 1 ? 'one alone' : 'one piece'}:{' '}
                  {formatMoney(Math.ceil(row.total / row.count), currency)}
                </text>
                {groups.map(({ name, kinds, fill }) => {
                  const part = share(row, kinds);
                  const left = at;
                  at += part;
                  return (
                    <rect
                      key={name}
                      x={2 + x(left)}
                      y={24}
                      width={Math.max(0, x(part) - 1)}
                      height={28}
                      fill={fill}
                      stroke="var(--color-base-content)"
                      strokeOpacity={0.35}
                    >
                      <title>{`${name}: ${formatMoney(Math.round(part), currency)}`}</title>
                    </rect>
                  );
                })}
              </g>
            );
          })}
        </svg>
      )}
      <ul className="mb-3 flex flex-wrap gap-x-4 gap-y-0.5 text-[0.86rem]">
        {groups.map(({ name, fill }) => (
          <li key={name} className="flex items-center gap-1.5">
            <svg width={12} height={12} aria-hidden="true">
              <rect width={12} height={12} fill={fill} stroke="var(--color-base-content)" strokeOpacity={0.4} />
            </svg>
            {name}
          </li>
        ))}
      </ul>
    </div>
  );
}
