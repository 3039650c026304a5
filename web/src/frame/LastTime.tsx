import { factorFor, lastTimeOf, lastTimeWords, learntBecause } from '@kolleta/core/learning';
import type { WorkStep } from '@kolleta/core/finish';
import { formatDuration } from '@kolleta/core/units';
import { useWorkshop } from '../storage/useWorkshop';
import { usePlan } from '../workers/usePlan';

/** What the log remembers of work like a step: what went wrong, what one noted, and why its minutes are not as computed. */
export function LastTime({ step, large = false }: { step: WorkStep; large?: boolean }) {
  const { events, shop } = useWorkshop();
  const learnt = usePlan()?.learnt;
  const words = lastTimeWords(lastTimeOf(events, step), shop.hours.zone);
  const because =
    step.unlearned === undefined || !learnt ? [] : learntBecause(factorFor(learnt, step.kind, step.of ?? {}).from).map((why) => `${why}.`);
  if (words.length === 0 && because.length === 0) return null;
  const [first, ...rest] = words;
  return (
    <div className={`mt-1.5 border-l-4 pl-2 leading-snug ${large ? 'border-white/40 text-[0.98rem]' : 'border-primary text-[0.88rem]'}`}>
      {first && <p className="line-clamp-3">{first}</p>}
      {(rest.length > 0 || because.length > 0) && (
        <details className="print:hidden">
          <summary className="cursor-pointer py-1">
            {because.length > 0 ? `Computed ${formatDuration(step.unlearned!)}, corrected by your log` : 'More of the last times'}
          </summary>
          <ul className="flex list-disc flex-col gap-0.5 pl-5">
            {because.map((why) => (
              <li key={why}>{why}</li>
            ))}
            {rest.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
