import { useEffect, useRef, useState } from 'react';
import { fromField, toField } from './dates';

interface Props {
  label: string;
  /** UTC ms; undefined: no date. */
  value: number | undefined;
  zone: string;
  onChange: (at: number | undefined) => void;
}

/** Typing has come to rest after so long, ms. */
const REST_MS = 1200;
/** A year that is still being typed is an early one. */
const FIRST_YEAR = 2000;

/** A day and a time. It is set when it is whole: when it is left, on Enter, or when typing has come to rest; half a date changes nothing. */
export function MomentWord({ label, value, zone, onChange }: Props) {
  const [draft, setDraft] = useState<string>();
  const field = useRef<HTMLInputElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const saved = value === undefined ? '' : toField(value, zone);
  useEffect(() => () => clearTimeout(timer.current), []);
  const whole = (text: string): number | undefined => {
    const read = fromField(text, zone);
    return read.ok && Number(text.slice(0, 4)) >= FIRST_YEAR ? read.value : undefined;
  };
  const commit = (leaving: boolean) => {
    clearTimeout(timer.current);
    const text = field.current?.value ?? '';
    const at = whole(text);
    if (at !== undefined && text !== saved) onChange(at);
    // what is only half typed goes back to what is set when the field is left
    if (leaving) {
      setDraft(undefined);
      if (at === undefined && field.current) field.current.value = saved;
    }
  };
  const typed = () => {
    const text = field.current?.value ?? '';
    setDraft(text);
    clearTimeout(timer.current);
    if (whole(text) !== undefined) timer.current = setTimeout(() => commit(false), REST_MS);
  };
  return (
    <>
      <input
        ref={field}
        type="datetime-local"
        className="token measure text-[0.86rem]"
        aria-label={label}
        value={draft ?? saved}
        onChange={typed}
        onBlur={() => commit(true)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit(true);
          if (event.key === 'Escape') {
            clearTimeout(timer.current);
            setDraft(undefined);
          }
        }}
      />
      {value !== undefined && (
        <button
          type="button"
          className="btn btn-xs btn-ghost px-1.5"
          aria-label="Take the date off"
          onClick={() => {
            clearTimeout(timer.current);
            setDraft(undefined);
            onChange(undefined);
          }}
        >
          ✕
        </button>
      )}
    </>
  );
}
