import { useQuery } from '@tanstack/react-query';
import type { InspectionMap } from '@kolleta/core/fit';
import type { Shape, Shop } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { formatLength } from '@kolleta/core/units';
import { useScale } from '../../drawing/Scaled';
import { plannerWorker } from '../../workers/plannerClient';

/** Looks over a mark in the worker. */
export function useInspection(plan: MarkPlan | undefined, shape: Shape, shop: Shop, on: boolean): InspectionMap | undefined {
  const { data } = useQuery({
    queryKey: ['inspect', plan?.mark.id, plan?.flat, plan?.mark.technique],
    queryFn: () => {
      const { flat, fitted, turn, mark, artwork } = plan!;
      return plannerWorker.call(async (planner): Promise<InspectionMap> =>
        planner.inspect({ flat, fitted, turn, mark: { ...mark, artwork } }, shape, shop.films),
      );
    },
    enabled: on && plan !== undefined && plan.flat.length > 0,
    staleTime: Infinity,
    gcTime: 5000,
    structuralSharing: false,
  });
  return on ? data : undefined;
}

/** Colours by how much of the limit a stroke has: lost, thin, just enough. */
const WIDTHS = [
  { under: 0.5, colour: '#ad3f27', word: 'lost' },
  { under: 1, colour: '#d98e16', word: 'too thin' },
  { under: 1.25, colour: '#4c7231', word: 'just enough' },
] as const;
const colourOf = (share: number) => (WIDTHS.find((w) => share < w.under) ?? WIDTHS[2]).colour;

/** Thin strokes coloured by their width, lost dots and closed insides ringed. */
export function InspectOverlay({ map }: { map: InspectionMap }) {
  const { k, x, y } = useScale();
  const path = map.overlaps
    .flatMap((part) => [part.outer, ...part.holes])
    .map((ring) => `M${ring.map((p) => `${x(p[0])} ${y(p[1])}`).join('L')}Z`);
  return (
    <g pointerEvents="none">
      {path.length > 0 && (
        <>
          <defs>
            <pattern id="overlap" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width={6} height={6} fill="#ffffff" />
              <rect width={3} height={6} fill="#0e5a61" />
            </pattern>
          </defs>
          <path d={path.join('')} fill="url(#overlap)" fillRule="evenodd" stroke="#0e5a61" strokeWidth={1.2} />
        </>
      )}
      {map.strokes.map(({ at, width, limit }, i) => (
        <circle key={i} cx={x(at[0])} cy={y(at[1])} r={Math.max(1.6, (k * width) / 2)} fill={colourOf(width / limit)} fillOpacity={0.85} />
      ))}
      {[...map.lost, ...map.closed].map(({ at, radius }, i) => (
        <g key={i} fill="none">
          <circle cx={x(at[0])} cy={y(at[1])} r={k * radius + 5} stroke="#ffffff" strokeWidth={4} />
          <circle
            cx={x(at[0])}
            cy={y(at[1])}
            r={k * radius + 5}
            stroke="#ad3f27"
            strokeWidth={2}
            strokeDasharray={i < map.lost.length ? undefined : '4 3'}
          />
        </g>
      ))}
    </g>
  );
}

/** What the colours and rings mean, and what was counted. */
export function InspectLegend({ map, limit, shop }: { map: InspectionMap; limit: number; shop: Shop }) {
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 2 });
  const n = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-2 text-[0.82rem]" role="status">
      {WIDTHS.map(({ under, colour, word }) => (
        <span key={word} className="flex items-center gap-1.5">
          <span className="inline-block size-3 rounded-full" style={{ background: colour }} />
          under {say(limit * under)}: {word}
        </span>
      ))}
      <span className="flex items-center gap-1.5">
        <span className="inline-block size-3.5 rounded-full border-2 border-[#ad3f27]" /> lost {map.lost.length}
      </span>
      <span className="flex items-center gap-1.5">
        <span className="inline-block size-3.5 rounded-full border-2 border-dashed border-[#ad3f27]" /> closed insides {map.closed.length}
      </span>
      {map.overlaps.length > 0 && (
        <span className="flex items-center gap-1.5">
          <span className="inline-block size-3.5 border border-[#0e5a61] bg-[repeating-linear-gradient(45deg,#0e5a61_0_2px,#fff_2px_4px)]" />
          {n(map.overlaps.length, 'overlap')}, joined: the knife goes round, not across
        </span>
      )}
      <span className="quiet">
        {n(map.shapes, 'part')} · {n(map.counters, 'inside')} · {n(map.islands, 'island')} ·{' '}
        {n(map.waste, 'piece of waste', 'pieces of waste')}
      </span>
    </div>
  );
}
