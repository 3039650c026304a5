import { scaleLog } from 'd3-scale';
import { LEARNING } from '@kolleta/core/facts';
import { factorText, factorWords, type Factor, type Learnt } from '@kolleta/core/learning';
import type { Shop } from '@kolleta/core/job';
import { logForgotten, reverseEvents } from '../../storage/logEvent';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import { useSize } from '../../ui/useSize';

/** So many things are shown before the rest is asked for. */
const FIRST = 6;

/** How much a factor tells: how far from 1, and from how many runs. */
const weightOf = ({ value, runs }: Factor) => Math.abs(Math.log(value)) * Math.sqrt(runs);

/** One factor to scale: where it lies, and where it most likely lies. */
function FactorBar({ factor, width, most }: { factor: Factor; width: number; most: number }) {
  const x = scaleLog()
    .domain([1 / most, most])
    .range([6, width - 6])
    .clamp(true);
  return (
    <svg width={width} height={26} className="block" aria-hidden="true">
      <line x1={x(1)} x2={x(1)} y1={0} y2={26} stroke="var(--color-base-content)" strokeDasharray="2 3" />
      {/* where it most likely lies */}
      <rect
        x={x(factor.low)}
        y={9}
        width={Math.max(2, x(factor.high) - x(factor.low))}
        height={8}
        rx={4}
        fill="var(--color-primary)"
        opacity={0.28}
      />
      <rect x={x(factor.value) - 2} y={4} width={4} height={18} rx={2} fill="var(--color-primary)" />
    </svg>
  );
}

/** What the log has taught, with how sure it is; each can be forgotten. */
export function Taught({ learnt, shop }: { learnt: Learnt; shop: Shop }) {
  const tell = useTell();
  const [ref, size] = useSize<HTMLDivElement>();
  const nameOf = (who: string) => shop.people?.find(({ id }) => id === who)?.name ?? 'Somebody';
  const worth = [...learnt.values()]
    .filter(({ value }) => Math.abs(Math.log(value)) >= LEARNING.worthSaying)
    .toSorted((a, b) => weightOf(b) - weightOf(a));
  /** All to one scale, as far either way. */
  const most = Math.max(1.4, ...worth.map(({ low, high }) => Math.max(high, 1 / low)));
  const forget = async (key: string, words: string) => {
    try {
      const events = await logForgotten(key);
      tell(words, { action: { label: 'Undo', run: () => void reverseEvents(events) } });
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const width = Math.min(300, (size?.width ?? 320) - 32);
  const row = (factor: Factor) => {
    const words = factorWords(factor, nameOf);
    return (
      <li key={factor.key} className="border-base-300 flex flex-wrap items-center gap-x-4 border-t py-1.5 first:border-t-0">
        <div className="min-w-0 flex-1 basis-64">
          <p className="leading-snug">{words}.</p>
          <p className="quiet text-[0.82rem]">
            most likely between {factorText(factor.low)} and {factorText(factor.high)}
          </p>
        </div>
        <FactorBar factor={factor} width={width} most={most} />
        <button
          type="button"
          className="btn btn-xs btn-ghost border-base-300 min-h-8"
          aria-label={`Forget: ${words}`}
          onClick={() => void forget(factor.key, `Forgotten: ${words}. It is learnt anew from now on.`)}
        >
          Forget
        </button>
      </li>
    );
  };
  return (
    <section className="sheet px-4 py-3" aria-label="What your log has taught" ref={ref}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="text-[1.15rem] font-bold">What your log has taught</h2>
        {worth.length > 0 && (
          <button
            type="button"
            className="btn btn-xs btn-ghost border-base-300 min-h-8"
            onClick={() => void forget('all', 'All that was learnt is forgotten. Plans go by what is computed again.')}
          >
            Forget everything
          </button>
        )}
      </div>
      {worth.length === 0 ? (
        <p className="mt-1">
          Nothing yet. Start a step’s timer and press Done when it ends: from a few runs Kolleta learns how long your hands take, how your
          coats dry and how your tapes hold, and plans by that.
        </p>
      ) : (
        <>
          <p className="quiet text-[0.88rem]">
            Plans go by this. The dashed line is what is computed, longer lies right of it; the bar is where the truth most likely lies.
          </p>
          <ul className="mt-1">{worth.slice(0, FIRST).map(row)}</ul>
          {worth.length > FIRST && (
            <details>
              <summary className="cursor-pointer py-1">{worth.length - FIRST} more</summary>
              <ul>{worth.slice(FIRST).map(row)}</ul>
            </details>
          )}
        </>
      )}
    </section>
  );
}
