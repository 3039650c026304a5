import { useContext, useEffect, useId, useLayoutEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Owner, useHeld, type Saving } from './held';
import { useTell } from './toasts';
import { useUnsaved } from './unsaved';
import {
  currencySign,
  formatLength,
  formatMoney,
  parseLength,
  parseMoney,
  parseNumber,
  problemText,
  type LengthSystem,
  type Problem,
  type Result,
} from '@kolleta/core/units';

/** A sentence with words in it that can be changed. */
export function Sentence({ children, className = '' }: { children: ReactNode; className?: string }) {
  return <div className={`text-[1.04rem] leading-8 ${className}`}>{children}</div>;
}

interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string; group?: string }[];
  onChange: (value: T) => Saving;
}

/** A word that is one of several. */
export const Choice = <T extends string>(props: ChoiceProps<T>) => <OwnedChoice key={useContext(Owner)} {...props} />;

function OwnedChoice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  // keys choose faster than it is saved
  const { shown, put } = useHeld(value, onChange);
  const groups = [...new Set(options.map((o) => o.group ?? ''))];
  return (
    <select className="token" aria-label={label} value={shown} onChange={(event) => put(event.target.value as T)}>
      {groups.map((group) => {
        const own = options
          .filter((o) => (o.group ?? '') === group)
          .map((o) => (
            <option key={o.value} value={o.value}>
              {o.label}
            </option>
          ));
        return group ? (
          <optgroup key={group} label={group}>
            {own}
          </optgroup>
        ) : (
          own
        );
      })}
    </select>
  );
}

interface TypedProps<T> {
  label: string;
  shown: string;
  read: (text: string) => Result<T>;
  onChange: (value: T) => Saving;
  /** Words rather than a measure. */
  plain?: boolean;
}

/**
 * A word that is typed: read when it is left in any way or on Enter, put back on Escape; what cannot be read is said, and kept to be mended. It belongs
 * to its owner from the first key on.
 */
export const Typed = <T,>(props: TypedProps<T>) => <OwnedWord key={useContext(Owner)} {...props} />;

function OwnedWord<T>({ label, shown: saved, read, onChange, plain }: TypedProps<T>) {
  const tell = useTell();
  const [draft, setDraft] = useState<string>();
  const value = useRef<T>(undefined);
  // what was taken stands until the sentence has it
  const { shown, put } = useHeld(saved, () => onChange(value.current!));
  const [problem, setProblem] = useState<Problem>();
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  // what changes under the hand is selected anew, so that typing replaces it and never adds to it
  useLayoutEffect(() => {
    if (draft === undefined && document.activeElement === field.current) field.current?.select();
  }, [shown, draft]);
  const commit = (typed = draft, gone = false) => {
    if (typed === undefined) return;
    if (typed.trim() === shown.trim()) {
      setDraft(undefined);
      setProblem(undefined);
      return;
    }
    const result = read(typed);
    if (result.ok) {
      setDraft(undefined);
      setProblem(undefined);
      value.current = result.value;
      put(typed);
    } else if (gone) tell(`${label} stays ${shown}. ${problemText(result.problem)}`, { tone: 'error' });
    else setProblem(result.problem);
  };
  const last = useRef(commit);
  last.current = commit;
  useEffect(() => () => last.current(undefined, true), []);
  useUnsaved(label, draft ?? shown, saved, (text) => {
    setDraft(text);
    commit(text);
  });
  const keys = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') {
      setDraft(undefined);
      setProblem(undefined);
    }
  };
  return (
    <span className="relative">
      <input
        ref={field}
        className={plain ? 'token' : 'token measure text-[0.94em]'}
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? id : undefined}
        value={draft ?? shown}
        onChange={(event) => setDraft(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => commit()}
        onKeyDown={keys}
        spellCheck={false}
        autoComplete="off"
      />
      {problem && (
        <span id={id} role="alert" className="bg-error text-error-content block rounded px-2 py-1 text-sm leading-snug">
          {problem.found} {problem.wayOut}
        </span>
      )}
    </span>
  );
}

interface LengthProps {
  label: string;
  value: number;
  system: LengthSystem;
  least?: number;
  check?: (mm: number) => Result<number>;
  onChange: (mm: number) => Saving;
}

/** A length in a sentence: typed in either unit, shown in the user's. */
export function LengthWord({ label, value, system, least = 0, check, onChange }: LengthProps) {
  const read = (text: string): Result<number> => {
    const length = parseLength(text, system, label, least);
    return length.ok && check ? check(length.value) : length;
  };
  return <Typed label={label} shown={formatLength(value, system)} read={read} onChange={onChange} />;
}

/** A whole number in a sentence. */
export function CountWord({
  label,
  value,
  least = 1,
  most = 500,
  onChange,
}: {
  label: string;
  value: number;
  least?: number;
  most?: number;
  onChange: (n: number) => Saving;
}) {
  const read = (text: string) => parseNumber(text, label, { least, most, whole: true });
  return <Typed label={label} shown={`${value}`} read={read} onChange={onChange} />;
}

/** Words in a sentence; empty is allowed where `empty` says what it means. */
export function TextWord({
  label,
  value,
  onChange,
  empty,
}: {
  label: string;
  value: string;
  onChange: (text: string) => Saving;
  empty?: string;
}) {
  const read = (text: string): Result<string> => {
    const words = text.trim().slice(0, 200);
    if (words || empty !== undefined) return { ok: true, value: words };
    return {
      ok: false,
      problem: { found: 'A name is wanted.', expected: 'some words', where: label, wayOut: 'Type a few words.' },
    };
  };
  return <Typed label={label} shown={value || (empty ?? '')} read={(text) => read(text === empty ? '' : text)} onChange={onChange} plain />;
}

/** A word that is one of two. */
export function Switch({
  label,
  on,
  yes,
  no,
  onChange,
}: {
  label: string;
  on: boolean;
  yes: string;
  no: string;
  onChange: (on: boolean) => Saving;
}) {
  return (
    <Choice
      label={label}
      value={on ? 'yes' : 'no'}
      options={[
        { value: 'yes', label: yes },
        { value: 'no', label: no },
      ]}
      onChange={(v) => onChange(v === 'yes')}
    />
  );
}

/** A number with its unit in a sentence, whole or broken. */
export function AmountWord({
  label,
  value,
  unit,
  least = 0,
  most = 1_000_000,
  onChange,
}: {
  label: string;
  value: number;
  unit: string;
  least?: number;
  most?: number;
  onChange: (n: number) => Saving;
}) {
  const read = (text: string) => parseNumber(text, label, { least, most, units: [unit] });
  return <Typed label={label} shown={`${Math.round(value * 1000) / 1000} ${unit}`.trim()} read={read} onChange={onChange} />;
}

/** A price in a sentence, in the workshop's currency. */
export function MoneyWord({
  label,
  value,
  currency,
  onChange,
}: {
  label: string;
  value: number;
  currency: string;
  onChange: (minor: number) => Saving;
}) {
  const shown = formatMoney(value, currency);
  return (
    <Typed
      label={`${label}, ${currencySign(currency)}`}
      shown={shown}
      read={(text) => parseMoney(text, currency, label)}
      onChange={onChange}
    />
  );
}
