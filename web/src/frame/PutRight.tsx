import { useState } from 'react';
import type { LogRecord } from '@kolleta/core/logbook';
import { parseNumber, problemText } from '@kolleta/core/units';
import { amendEvent, reverseEvents } from '../storage/logEvent';
import { NotKept, wasTaken } from '../storage/keeping';
import { plainly } from '../storage/plainly';
import { smallPhoto } from '../storage/smallPhoto';
import { FileButton } from '../ui/FileButton';
import { useTell } from '../ui/toasts';

/** Puts an entry of the log right: its minutes, a note for the next time, a picture. What is put right is added to the log, and can be undone. */
export function PutRight({ record, onClose }: { record: LogRecord; onClose: () => void }) {
  const tell = useTell();
  const [minutes, setMinutes] = useState(record.timed ? `${record.actual}` : '');
  const [note, setNote] = useState(record.note ?? '');
  const [photo, setPhoto] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    const read = minutes.trim() === '' ? undefined : parseNumber(minutes, 'Minutes', { least: 0.01, most: 100_000, units: ['min'] });
    if (read && !read.ok) {
      setProblem(`${problemText(read.problem)} It can stay empty.`);
      return;
    }
    const typed = read?.value;
    const put = {
      ...(typed !== undefined && (typed !== record.actual || !record.timed) ? { minutes: typed } : {}),
      ...(note === (record.note ?? '') ? {} : { note }),
      ...(photo ? { photo } : {}),
    };
    if (Object.keys(put).length === 0) return onClose();
    const amended = amendEvent(record.event, put);
    try {
      // what is typed stays until it is taken
      if (!(await wasTaken(amended))) return;
      onClose();
      const events = await amended;
      tell('The entry is put right.', { action: { label: 'Undo', run: () => void reverseEvents(events) } });
    } catch (error) {
      if (!(error instanceof NotKept)) tell(plainly(error), { tone: 'error' });
    }
  };
  const take = async (file: File) => {
    try {
      setPhoto(await smallPhoto(file));
      setProblem(undefined);
    } catch (error) {
      setProblem(plainly(error));
    }
  };
  return (
    <form
      className="mt-2 flex flex-col gap-2"
      aria-label={`Put right: ${record.title}`}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <label className="flex flex-wrap items-center gap-2">
        It took
        <input
          className="input input-sm w-24"
          inputMode="decimal"
          value={minutes}
          maxLength={12}
          aria-label="Minutes that it took"
          onChange={(event) => setMinutes(event.target.value)}
        />
        minutes
      </label>
      <label className="flex flex-col gap-1">
        A note for the next time
        <textarea
          className="textarea w-full"
          rows={2}
          maxLength={2000}
          value={note}
          aria-label="Note for the next time"
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      {photo && <img src={photo} alt="The picture that is added" className="max-h-40 self-start rounded" />}
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="btn btn-sm btn-primary">
          Save
        </button>
        <FileButton label="A picture for this entry" accept="image/*" onFile={(file) => void take(file)}>
          {photo ? 'Another picture' : 'Add a picture'}
        </FileButton>
        <button type="button" className="btn btn-sm btn-ghost" onClick={onClose}>
          Leave it
        </button>
      </div>
    </form>
  );
}
