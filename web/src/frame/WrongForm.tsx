import { useId, useState } from 'react';
import { WRONGS } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';
import type { Wrong } from '../storage/logEvent';
import { firstLost, LostPicker, type Lost } from './LostPicker';

interface Props {
  title: string;
  /** What is cut for the job; of a step that comes before the cut, nothing. */
  parts: JobPlan['parts'];
  /** So many pieces it can have cost; 0 where no piece is in hand yet. */
  pieces: number;
  /** Which step it is about. */
  step?: string;
  onCancel: () => void;
  onWrite: (wrong: Wrong) => void;
  /** Film was lost, and the step goes on. */
  onLost: (lost: Lost, what: string, note: string | undefined) => void;
}

/** What went wrong at a step, what film was lost with it, and what to do otherwise. */
export function WrongForm({ title, parts, pieces, step, onCancel, onWrite, onLost }: Props) {
  const [what, setWhat] = useState(WRONGS[0]!);
  const [gone, setGone] = useState<boolean>();
  const [lost, setLost] = useState(() => firstLost(parts, step));
  // what is lost is film, unless the maker says otherwise
  const film = lost !== undefined && (gone ?? what === WRONGS[0]);
  const [again, setAgain] = useState(true);
  const [note, setNote] = useState('');
  const [spoiled, setSpoiled] = useState(0);
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
      {lost && (
        <>
          <label className="mt-2 flex min-h-9 items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-sm" checked={film} onChange={(event) => setGone(event.target.checked)} />{' '}
            Film is lost with it, and has to be cut again
          </label>
          {film && <LostPicker parts={parts} lost={lost} onChange={setLost} />}
        </>
      )}
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
      {!film && pieces > 0 && (
        <label className="mt-2 flex min-h-9 items-center gap-2">
          It cost{' '}
          <input
            type="number"
            className="input input-sm w-20"
            aria-label="Pieces that were spoiled"
            min={0}
            max={pieces}
            value={spoiled}
            onChange={(event) => setSpoiled(Math.min(pieces, Math.max(0, Math.round(Number(event.target.value) || 0))))}
          />{' '}
          of {pieces === 1 ? 'the one piece' : `the ${pieces} pieces`}
        </label>
      )}
      {film ? (
        <p className="quiet mt-2 text-sm">It joins the plan with its film, its minutes and its dates. This step goes on meanwhile.</p>
      ) : (
        <label className="mt-2 flex min-h-9 items-center gap-2">
          <input type="checkbox" className="checkbox checkbox-sm" checked={again} onChange={(event) => setAgain(event.target.checked)} /> It
          has to be done again
        </label>
      )}
      <div className="mt-3 flex justify-end gap-2">
        <button type="button" className="btn btn-ghost" onClick={onCancel}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-primary"
          onClick={() =>
            film
              ? onLost(lost, what, note.trim() || undefined)
              : onWrite({ what, again, ...(spoiled > 0 ? { spoiled } : {}), ...(note.trim() ? { note: note.trim() } : {}) })
          }
        >
          {film ? 'Cut it again' : 'Write it into the log'}
        </button>
      </div>
    </div>
  );
}
