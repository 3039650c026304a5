import { useCallback, useEffect, useRef } from 'react';
import { Told } from '../storage/told';

/** Nobody waits longer than this for the screen to follow, ms. */
const LONGEST_MS = 60_000;

/** Waits until what a component sees is as wanted, and gives that. */
export function useWhen<T>(value: T): (is: (value: T) => boolean) => Promise<T> {
  const latest = useRef(value);
  latest.current = value;
  const waiting = useRef(new Set<() => void>());
  useEffect(() => {
    for (const look of [...waiting.current]) look();
  });
  return useCallback(
    (is) =>
      new Promise<T>((resolve, reject) => {
        const timer = setTimeout(() => {
          waiting.current.delete(look);
          reject(new Told('Your last change takes long to work out. Nothing was saved or sent; wait until it is done, then press again.'));
        }, LONGEST_MS);
        const look = () => {
          if (!is(latest.current)) return;
          waiting.current.delete(look);
          clearTimeout(timer);
          resolve(latest.current);
        };
        waiting.current.add(look);
        look();
      }),
    [],
  );
}
