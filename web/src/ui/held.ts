import { createContext, useCallback, useContext, useEffect, useRef, useState } from 'react';

/** How many saves the screen has seen: what it shows holds all of them up to that number. */
export const SavedSoFar = createContext(Infinity);

/** Whose the fields are that lie within: a mark, a piece of a list. What is typed for one is never taken for another. */
export const Owner = createContext('');

/** What a save says: nothing, or by a promise the number of the save once it is made. */
export type Saving = unknown;

interface Held<T> {
  readonly value: T;
  readonly run: number;
  /** The save that holds it; undefined while it is on its way. */
  readonly save?: number;
}

/**
 * A field's own content while hands are on it. What is typed or chosen shows at once and stands, however late it is saved; it is saved
 * behind that, in order,
 * and what was overtaken is left out. What is saved shows again as soon as the screen has seen that save.
 *
 * @param value what is saved
 * @param save saves a content
 */
export function useHeld<T>(value: T, save: (next: T) => Saving): { shown: T; put: (next: T) => void } {
  const seen = useContext(SavedSoFar);
  const [held, setHeld] = useState<Held<T>>();
  const work = useRef({ run: 0, busy: false, next: undefined as { value: T; run: number } | undefined });
  const latest = useRef(save);
  latest.current = save;
  const arrived = held?.save !== undefined && seen >= held.save;
  useEffect(() => {
    if (arrived) setHeld((now) => (now?.save !== undefined && seen >= now.save ? undefined : now));
  }, [arrived, seen]);
  const flush = useCallback(async () => {
    const own = work.current;
    if (own.busy) return;
    own.busy = true;
    while (own.next) {
      const { value: content, run } = own.next;
      own.next = undefined;
      const number = await Promise.resolve(latest.current(content)).catch(() => 0);
      setHeld((now) => (now?.run === run ? { ...now, save: typeof number === 'number' ? number : 0 } : now));
    }
    own.busy = false;
  }, []);
  const put = useCallback(
    (next: T) => {
      const run = ++work.current.run;
      work.current.next = { value: next, run };
      setHeld({ value: next, run });
      void flush();
    },
    [flush],
  );
  return { shown: held && !arrived ? held.value : value, put };
}
