import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Job } from '@kolleta/core/job';
import { dayLifts, type DayLift } from '@kolleta/core/plan';
import type { TapePiece, TapePlan } from '@kolleta/core/tape';
import { counted, formatLength, times, type LengthSystem } from '@kolleta/core/units';
import { now } from '../../storage/clock';
import { useWorkshop } from '../../storage/useWorkshop';
import { plannerWorker } from '../../workers/plannerClient';
import { usePlan } from '../../workers/usePlan';
import { Choice, Sentence } from '../../ui/tokens';

const DAY_MS = 24 * 3_600_000;
/** Rounds that the planner looks for shorter tape. */
const ROUNDS = 400;
/** Width of the drawing, in its own units. */
const DRAWN = 400;

interface Use {
  readonly name: string;
  readonly times: number;
  readonly dull: number;
}

/** What a piece does, equal lifts in a row told once. */
function usesOf(piece: TapePiece, lifts: ReadonlyMap<string, DayLift>, jobs: readonly Job[]): Use[] {
  const uses: { id: string; name: string; times: number; dull: number }[] = [];
  for (const { lift: id, dull } of piece.uses) {
    const last = uses.at(-1);
    if (last?.id === id && dull === 0) last.times += 1;
    else {
      const lift = lifts.get(id);
      const job = jobs.find((one) => one.id === lift?.job);
      const snips = lift?.snips ? `, ${counted(lift.snips.count, 'snip')} in the tape each time` : '';
      uses.push({ id, name: `${lift?.name ?? ''}${job ? ` of ${job.name}` : ''}${snips}`, times: 1, dull });
    }
  }
  return uses;
}

/** The pieces to one scale, each with its number, in rows as they would lie on a table. */
function Pieces({ pieces }: { pieces: readonly TapePiece[] }) {
  const widest = Math.max(...pieces.map(({ width }) => width));
  const k = Math.min(1, DRAWN / widest);
  const placed: { x: number; y: number; w: number; h: number }[] = [];
  let [x, y, row] = [0, 0, 0];
  for (const { width, height } of pieces) {
    const [w, h] = [width * k, height * k];
    if (x > 0 && x + w > DRAWN) [x, y, row] = [0, y + row + 6, 0];
    placed.push({ x, y, w, h });
    x += w + 6;
    row = Math.max(row, h);
  }
  return (
    <svg
      viewBox={`-1 -1 ${DRAWN + 2} ${y + row + 2}`}
      className="w-full"
      role="img"
      aria-label={`${counted(pieces.length, 'piece')} of tape, to scale`}
    >
      {placed.map((box, i) => (
        <g key={i}>
          <rect
            x={box.x}
            y={box.y}
            width={box.w}
            height={box.h}
            rx={1.5}
            fill="var(--liner)"
            stroke="var(--color-primary)"
            strokeDasharray="5 3"
          />
          <text x={box.x + box.w / 2} y={box.y + box.h / 2 + 5} textAnchor="middle" fontSize={14} fontWeight={700} fill="#22302f">
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}

const sizeOf = ({ width, height }: TapePiece, system: LengthSystem): string =>
  `${formatLength(Math.ceil(width), system, { unit: false })} × ${formatLength(Math.ceil(height), system)}`;

/** What is taped within a day or in all open jobs, and the plan of tape for it, while it is worked out and afterwards. */
export function useDayTape(when: 'day' | 'all'): { lifts: readonly DayLift[]; data: TapePlan | undefined } {
  const { jobs, shop } = useWorkshop();
  const plan = usePlan();
  const lifts = useMemo(() => {
    const open = jobs.filter((job) => !job.closed);
    return plan ? dayLifts(plan, open, when === 'day' ? now() + DAY_MS : Infinity) : [];
  }, [plan, jobs, when]);
  const { data } = useQuery({
    queryKey: ['tape', lifts, shop.tapes],
    queryFn: () => plannerWorker.call(async (planner): Promise<TapePlan> => planner.tape(lifts, shop.tapes, { rounds: ROUNDS, seed: 1 })),
    enabled: lifts.length > 0,
    staleTime: Infinity,
    gcTime: 5000,
  });
  return { lifts, data };
}

/** Tape for all marks of the day, or of all open jobs: the fewest and shortest pieces, numbered, and what each lifts in which order. */
export function DayTape() {
  const { jobs, shop } = useWorkshop();
  const [when, setWhen] = useState<'day' | 'all'>('day');
  const open = useMemo(() => jobs.filter((job) => !job.closed), [jobs]);
  const { lifts, data } = useDayTape(when);
  if (lifts.length === 0 && when === 'all') return null;
  const byId = new Map(lifts.map((lift) => [lift.id, lift]));
  const system = shop.lengths;
  return (
    <details className="sheet px-4 py-3">
      <summary className="cursor-pointer text-[0.98rem] font-bold">
        Tape for all marks together
        {data ? `: ${counted(data.pieces.length, 'piece')}, ${formatLength(data.length, system, { digits: 0 })}` : ''}
      </summary>
      <Sentence className="text-[0.97rem]!">
        For what is taped{' '}
        <Choice
          label="Tape for when"
          value={when}
          options={[
            { value: 'day', label: 'within a day' },
            { value: 'all', label: 'in all open jobs' },
          ]}
          onChange={setWhen}
        />
        , each piece cut once and used from the firm marks to the delicate ones.
      </Sentence>
      {lifts.length === 0 && <p className="quiet">Nothing is taped within a day.</p>}
      {lifts.length > 0 && !data && <p role="status">Working it out…</p>}
      {data && data.pieces.length > 0 && (
        <>
          <Pieces pieces={data.pieces} />
          <ol className="mt-2">
            {data.pieces.map((piece, i) => (
              <li key={i} className="border-base-300/60 border-b py-1.5 leading-snug last:border-0">
                <strong>{i + 1}.</strong> {shop.tapes.find(({ id }) => id === piece.tape)?.name},{' '}
                <span className="measure text-[0.94em]">{sizeOf(piece, system)}</span>:{' '}
                {usesOf(piece, byId, open)
                  .map(
                    ({ name, times: n, dull }) =>
                      `${dull > 0 ? `pressed on clean cloth ${times(dull)}, then ` : ''}${name}${n > 1 ? `, ${times(n)}` : ''}`,
                  )
                  .join('; ')}
                .
              </li>
            ))}
          </ol>
        </>
      )}
      {data && data.without.length > 0 && (
        <p className="text-sm">
          No tape in stock works for {[...new Set(data.without.map((id) => byId.get(id)?.name))].join(', ')}: see there.
        </p>
      )}
    </details>
  );
}
