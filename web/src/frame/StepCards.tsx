import { CAUTIONS, type StepKind } from '@kolleta/core/facts';
import { MISHAPS, stepText, stepTitle, waitWords } from '@kolleta/core/words';
import type { Shop, StationId } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';
import { formatMoment, handsIn, stepIn, formatTime, type PlacedStep } from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';
import { LastTime } from './LastTime';
import { StepButtons } from './StepButtons';

/** When a step is, for a person. */
const stepTime = (placed: PlacedStep, shop: Shop): string =>
  placed.state === 'done'
    ? `done ${formatMoment(placed.end, shop.hours.zone)}`
    : placed.state === 'running'
      ? `since ${formatTime(placed.start, shop.hours.zone)}`
      : formatMoment(placed.start, shop.hours.zone);

/** What goes wrong at such a step, and its way back. */
function IfWrong({ kind }: { kind: StepKind }) {
  const mishaps = MISHAPS[kind];
  if (!mishaps) return null;
  return (
    <details className="mt-1.5 text-[0.9rem] print:hidden">
      <summary className="cursor-pointer py-1">If something goes wrong</summary>
      <dl>
        {mishaps.map(({ what, back }) => (
          <div key={what} className="mb-1.5 leading-snug">
            <dt className="font-semibold">{what}</dt>
            <dd>{back}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

/** The steps of some stations, in order, with what they wait for and their cautions. */
export function StepCards({ plan, shop, stations }: { plan: JobPlan; shop: Shop; stations: readonly StationId[] }) {
  const own = plan.schedule.steps.filter((s) => stations.includes(s.step.station));
  return (
    <ol className="flex flex-col gap-2.5" aria-label="Steps">
      {own.map((placed) => (
        <li key={placed.step.id} className={`sheet px-4 py-3`}>
          <div className="flex flex-wrap items-baseline justify-between gap-x-3">
            <h3 className={`font-head text-[1.02rem] font-bold ${placed.state === 'done' ? 'line-through decoration-1' : ''}`}>
              {stepTitle(placed.step)}
            </h3>
            <span className="measure text-[0.82rem]">{formatDuration(handsIn(placed))}</span>
          </div>
          <p className="quiet text-[0.82rem]">{stepTime(placed, shop)}</p>
          {placed.state !== 'done' && (
            <>
              <p className="text-[0.92rem] leading-snug">{stepText(stepIn(placed), shop.lengths, shop.temperatures)}</p>
              <LastTime step={placed.step} />
              {placed.step.opens && (
                <p className="mt-1 flex items-center gap-2 text-[0.86rem]">
                  <span className="hatched border-base-300 inline-block h-3 w-8 shrink-0 rounded-sm border" aria-hidden="true" />
                  not before {formatMoment(placed.step.opens.at, shop.hours.zone)}: {waitWords(placed.step.opens)}
                </p>
              )}
              {placed.step.after
                .filter((lag) => lag.least > 0 || lag.most !== undefined)
                .map((lag) => (
                  <p key={lag.step} className="mt-1 flex items-center gap-2 text-[0.86rem]">
                    <span className="hatched border-base-300 inline-block h-3 w-8 shrink-0 rounded-sm border" aria-hidden="true" />
                    {lag.least > 0 ? `${formatDuration(lag.least)} until ${waitWords(lag)}` : `after: ${waitWords(lag)}`}
                    {lag.most !== undefined ? `, ${formatDuration(lag.most)} at most` : ''}
                    {lag.learnt === undefined ? '' : ` (computed ${formatDuration(lag.least / lag.learnt)}, corrected by your log)`}
                  </p>
                ))}
              {placed.step.cautions.map((c) => (
                <p key={c} className="border-accent mt-1.5 border-l-4 pl-2 text-[0.86rem] leading-snug">
                  {CAUTIONS[c]}
                </p>
              ))}
              <IfWrong kind={placed.step.kind} />
              <div className="mt-2">
                <StepButtons placed={placed} />
              </div>
            </>
          )}
        </li>
      ))}
    </ol>
  );
}
