import { useEffect, useId, useRef, useState } from 'react';
import { CAUTIONS } from '@kolleta/core/facts';
import { WRONGS, type Shop, type StationId } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';
import { formatMoment, formatTime, type PlacedStep } from '@kolleta/core/schedule';
import { formatDuration } from '@kolleta/core/units';
import { finishStep, reverseEvents, startStep, type Wrong } from '../../storage/logEvent';
import { useTell } from '../../ui/toasts';

/** Done, Went wrong and Start for one step, with the log behind them. */
export function StepButtons({ placed, large = false }: { placed: PlacedStep; large?: boolean }) {
  const tell = useTell();
  const dialog = useRef<HTMLDialogElement>(null);
  const [asking, setAsking] = useState(false);
  useEffect(() => {
    if (asking) dialog.current?.showModal();
  }, [asking]);
  const { step, state } = placed;
  const size = large ? 'btn-lg min-h-11 text-lg' : 'btn-sm min-h-9';
  const finish = async (wrong?: Wrong) => {
    try {
      const events = await finishStep(step, wrong);
      const minutes = events[0] && 'actual' in events[0] ? events[0].actual : step.hands;
      tell(
        `${wrong ? 'Logged' : 'Done'}: ${step.title.toLowerCase()}, ${formatDuration(minutes)} (planned ${formatDuration(step.hands)}).`,
        { action: { label: 'Undo', run: () => void reverseEvents(events) } },
      );
    } catch (error) {
      tell(`It was not logged: ${error instanceof Error ? error.message : String(error)}`, { tone: 'error' });
    }
  };
  return (
    <div className="flex flex-wrap gap-2">
      {state === 'waiting' && (
        <button
          type="button"
          className={`btn ${size} ${large ? 'border-white/70 bg-transparent text-white hover:bg-white/15' : 'btn-ghost border-base-300'}`}
          onClick={() => void startStep(step)}
        >
          Start
        </button>
      )}
      <button
        type="button"
        className={`btn ${size} ${large ? 'border-0 bg-white text-[#0e3f44] hover:bg-[#e7f1f1]' : 'btn-primary'}`}
        onClick={() => void finish()}
      >
        Done
      </button>
      <button
        type="button"
        className={`btn ${size} ${large ? 'border-white/70 bg-transparent text-white hover:bg-white/15' : 'btn-ghost border-base-300'}`}
        onClick={() => setAsking(true)}
      >
        Went wrong…
      </button>
      {asking && (
        <dialog ref={dialog} className="modal" aria-label={`What went wrong: ${step.title}`} onClose={() => setAsking(false)}>
          <WrongForm
            title={step.title}
            onCancel={() => setAsking(false)}
            onWrite={(wrong) => {
              setAsking(false);
              void finish(wrong);
            }}
          />
        </dialog>
      )}
    </div>
  );
}

function WrongForm({ title, onCancel, onWrite }: { title: string; onCancel: () => void; onWrite: (wrong: Wrong) => void }) {
  const [what, setWhat] = useState(WRONGS[0]!);
  const [again, setAgain] = useState(true);
  const [note, setNote] = useState('');
  const id = useId();
  return (
    <div className="modal-box text-base-content text-left text-base">
      <h2 className="text-lg font-bold">What went wrong?</h2>
      <p className="quiet mb-2 text-sm">{title}</p>
      <fieldset className="grid gap-1 sm:grid-cols-2">
        <legend className="sr-only">What went wrong</legend>
        {WRONGS.map((wrong) => (
          <label key={wrong} className="flex min-h-9 items-center gap-2">
            <input type="radio" className="radio radio-sm" name={`${id}what`} checked={what === wrong} onChange={() => setWhat(wrong)} />{' '}
            {wrong}
          </label>
        ))}
      </fieldset>
      <label className="mt-2 block text-sm font-bold" htmlFor={`${id}note`}>
        What to do otherwise next time
      </label>
      <textarea
        id={`${id}note`}
        className="textarea w-full"
        rows={2}
        maxLength={2000}
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      <label className="mt-2 flex min-h-9 items-center gap-2">
        <input type="checkbox" className="checkbox checkbox-sm" checked={again} onChange={(event) => setAgain(event.target.checked)} /> It
        has to be done again
      </label>
      <div className="mt-3 flex justify-end gap-2">
        <button type="button" className="btn btn-ghost" onClick={onCancel}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-primary"
          onClick={() => onWrite({ what, again, ...(note.trim() ? { note: note.trim() } : {}) })}
        >
          Write it into the log
        </button>
      </div>
    </div>
  );
}

/** When a step is, for a person. */
export const stepTime = (placed: PlacedStep, shop: Shop): string =>
  placed.state === 'done'
    ? `done ${formatMoment(placed.end, shop.hours.zone)}`
    : placed.state === 'running'
      ? `since ${formatTime(placed.start, shop.hours.zone)}`
      : formatMoment(placed.start, shop.hours.zone);

/** The steps of some stations, in order, with what they wait for and their cautions. */
export function StepCards({ plan, shop, stations }: { plan: JobPlan; shop: Shop; stations: readonly StationId[] }) {
  const own = plan.schedule.steps.filter((s) => stations.includes(s.step.station));
  return (
    <ol className="flex flex-col gap-2.5" aria-label="Steps">
      {own.map((placed) => (
        <li key={placed.step.id} className={`sheet px-4 py-3`}>
          <div className="flex flex-wrap items-baseline justify-between gap-x-3">
            <h3 className={`font-head text-[1.02rem] font-bold ${placed.state === 'done' ? 'line-through decoration-1' : ''}`}>
              {placed.step.title}
            </h3>
            <span className="measure text-[0.82rem]">{formatDuration(placed.step.hands)}</span>
          </div>
          <p className="quiet text-[0.82rem]">{stepTime(placed, shop)}</p>
          {placed.state !== 'done' && (
            <>
              <p className="text-[0.92rem] leading-snug">{placed.step.text}</p>
              {placed.step.after
                .filter((lag) => lag.least > 0 || lag.most !== undefined)
                .map((lag) => (
                  <p key={lag.step} className="mt-1 flex items-center gap-2 text-[0.86rem]">
                    <span className="hatched border-base-300 inline-block h-3 w-8 shrink-0 rounded-sm border" aria-hidden="true" />
                    {lag.least > 0 ? `${formatDuration(lag.least)} until ${lag.why}` : `after: ${lag.why}`}
                    {lag.most !== undefined ? `, ${formatDuration(lag.most)} at most` : ''}
                  </p>
                ))}
              {placed.step.cautions.map((c) => (
                <p key={c} className="border-accent mt-1.5 border-l-4 pl-2 text-[0.86rem] leading-snug">
                  {CAUTIONS[c]}
                </p>
              ))}
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
