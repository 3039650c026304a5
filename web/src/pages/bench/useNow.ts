import { useEffect, useState } from 'react';
import { now } from '../../storage/clock';

/** The workshop's clock, again every second. */
export function useNow(): number {
  const [at, setAt] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setAt(now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return at;
}
