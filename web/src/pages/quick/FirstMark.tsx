import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { useWorkshop } from '../../storage/useWorkshop';
import { leaveDemo } from '../../storage/workshop';

const KEY = 'firstMark';
/** Whether the first mark was made or put off, in this browser. */
const firstMarkDone = (): boolean => localStorage.getItem(KEY) !== null;
export const noteFirstMark = (): void => localStorage.setItem(KEY, 'done');

/** For somebody who is here for the first time: one word, and there is a real cut file. */
export function FirstMark() {
  const [gone, setGone] = useState(firstMarkDone);
  const [word, setWord] = useState('');
  const navigate = useNavigate();
  const { isDemo } = useWorkshop();
  if (gone) return null;
  const begin = (event: FormEvent) => {
    event.preventDefault();
    if (word.trim()) void navigate('/quick', { state: { word: word.trim() } });
  };
  return (
    <form
      aria-label="Your first mark"
      onSubmit={begin}
      className="sheet flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2 lg:col-span-2"
    >
      <label htmlFor="first-word" className="min-w-0 flex-1 basis-72 leading-snug">
        <strong>New here?</strong>{' '}
        {isDemo
          ? 'What you see is a demo workshop at work. Make a mark first: one word, on a jar or a mug, to a real cut file. Or begin a workshop of your own.'
          : 'Make your first mark: one word, on a jar or a mug, to a real cut file.'}
      </label>
      <input
        id="first-word"
        className="input w-44"
        placeholder="Your word"
        maxLength={80}
        value={word}
        onChange={(event) => setWord(event.target.value)}
        autoComplete="off"
      />
      <button type="submit" className="btn btn-primary min-h-11" disabled={!word.trim()}>
        Make it
      </button>
      {isDemo && (
        <button type="button" className="btn btn-outline btn-primary min-h-11" onClick={() => void leaveDemo()}>
          My own workshop
        </button>
      )}
      <button
        type="button"
        className="btn btn-ghost min-h-11"
        onClick={() => {
          noteFirstMark();
          setGone(true);
        }}
      >
        Not now
      </button>
    </form>
  );
}
