import { useRef } from 'react';
import equal from 'fast-deep-equal';

/** A value as it was first, for as long as others that come in its place are equal to it: a plan that is made anew has the same layouts in new objects. */
export function useSteady<T>(value: T): T {
  const known = useRef(value);
  if (known.current !== value && !equal(known.current, value)) known.current = value;
  return known.current;
}
