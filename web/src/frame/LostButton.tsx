import { useEffect, useRef, useState } from 'react';
import { WRONGS } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';
import { NotKept, NotTheWriter } from '../storage/keeping';
import { logLost, reverseEvents } from '../storage/logEvent';
import { plainly } from '../storage/plainly';
import { useTell } from '../ui/toasts';
import { firstLost, lostEvent, LostPicker } from './LostPicker';

/** Says at any time that film was lost after it was cut: it is cut again. There only where something was cut. */
export function LostButton({ plan, mark }: { plan: JobPlan; mark?: string }) {
  const tell = useTell();
  const dialog = useRef<HTMLDialogElement>(null);
  const [lost, setLost] = useState<ReturnType<typeof firstLost>>();
  const cut = new Set(plan.schedule.steps.flatMap(({ step, state }) => (step.takes && state === 'done' ? [step.takes.film] : [])));
  const parts = plan.parts.filter(({ film }) => cut.has(film.id));
  const open = lost !== undefined;
  useEffect(() => {
    if (open) dialog.current?.showModal();
  }, [open]);
  if (parts.length === 0) return null;
  const write = async () => {
    if (!lost) return;
    setLost(undefined);
    try {
      const events = await logLost(plan.job, lostEvent(parts, lost), WRONGS[0]!);
      tell(`Logged: ${lost.name}. What was lost is in the plan again: Cut lays it out.`, {
        action: { label: 'Undo', run: () => void reverseEvents(events) },
      });
    } catch (error) {
      if (!(error instanceof NotKept || error instanceof NotTheWriter)) tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-ghost border-base-300 min-h-9 self-start"
        onClick={() => setLost(firstLost(parts, mark && `:${mark}`))}
      >
        A part was lost…
      </button>
      {lost && (
        <dialog ref={dialog} className="modal" aria-label="What was lost" onClose={() => setLost(undefined)}>
          <div className="modal-box text-left">
            <h2 className="mb-2 text-lg font-bold">What was lost?</h2>
            <LostPicker parts={parts} lost={lost} onChange={setLost} />
            <div className="mt-3 flex justify-end gap-2">
              <button type="button" className="btn btn-ghost" onClick={() => setLost(undefined)}>
                Cancel
              </button>
              <button type="button" className="btn btn-primary" onClick={() => void write()}>
                Cut it again
              </button>
            </div>
          </div>
        </dialog>
      )}
    </>
  );
}
