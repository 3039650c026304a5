import { useId, useState } from 'react';
import { WRONGS } from '@kolleta/core/job';
import type { Wrong } from '../storage/logEvent';

/** What went wrong at a step, and what to do otherwise. */
export function WrongForm({ title, onCancel, onWrite }: { title: string; onCancel: () => void; onWrite: (wrong: Wrong) => void }) {
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
