import { useContext, useEffect, useRef } from 'react';
import { Owner } from './held';

const KEY = 'kolleta-unsaved';

/** What stood in a field when its page went away. */
interface Unsaved {
  readonly text: string;
  /** What was saved there then. */
  readonly before: string;
}

function notes(): Record<string, Unsaved> {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Record<string, Unsaved>;
  } catch {
    return {};
  }
}

function write(all: Record<string, Unsaved>): void {
  try {
    if (Object.keys(all).length === 0) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, JSON.stringify(all));
  } catch {
    // a browser that keeps nothing says so elsewhere
  }
}

/**
 * Keeps what stands unsaved in a field when its page is reloaded or closed: written down at once, for no save is sure to end by then. It is
 * taken up by the same field of the same page, if what is saved there is still what it was.
 *
 * @param text what stands there and is not saved; undefined where nothing does
 * @param saved what is saved there
 * @param take takes up what was written down
 * @param whenLeft keeps it too when its part of the page is left
 */
export function useUnsaved(label: string, text: string | undefined, saved: string, take: (text: string) => void, whenLeft = false): void {
  const owner = useContext(Owner);
  const now = useRef({ text, saved, take });
  now.current = { text, saved, take };
  useEffect(() => {
    const key = `${location.hash} ${owner} ${label}`;
    const { [key]: found, ...rest } = notes();
    if (found) {
      write(rest);
      if (found.before === now.current.saved) now.current.take(found.text);
    }
    const leave = () => {
      const { text: standing, saved: before } = now.current;
      if (standing !== undefined && standing !== before) write({ ...notes(), [key]: { text: standing, before } });
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      if (whenLeft) leave();
    };
  }, [owner, label, whenLeft]);
}
