import { useEffect, useRef } from 'react';

/** A key and what it does, for the list behind `?`. */
export interface Shortcut {
  readonly keys: string;
  readonly does: string;
}

export const SHORTCUTS: readonly { readonly where: string; readonly keys: readonly Shortcut[] }[] = [
  {
    where: 'Anywhere',
    keys: [
      { keys: '/', does: 'find a job, a step, a film, a setting' },
      { keys: '?', does: 'this list' },
      { keys: 'B', does: 'bench' },
      { keys: 'J', does: 'jobs' },
      { keys: 'D', does: 'the days of the week' },
      { keys: 'Q', does: 'quick mark' },
      { keys: 'S', does: 'stock' },
      { keys: 'L', does: 'logbook' },
      { keys: 'P', does: 'practice' },
      { keys: 'W', does: 'workshop: hours, machines, room, money, files' },
      { keys: 'Ctrl Z', does: 'undo; with Shift, redo' },
    ],
  },
  {
    where: 'In a job',
    keys: [
      { keys: '1 … 9', does: 'its stations, in working order' },
      { keys: 'Tab', does: 'the next word that can be changed' },
      { keys: 'Enter', does: 'takes what was typed' },
      { keys: 'Esc', does: 'puts back what was there' },
    ],
  },
  {
    where: 'On a mark in the drawing',
    keys: [
      { keys: '← ↑ → ↓', does: 'nudge by 0.5 mm; with Shift, by 5 mm' },
      { keys: 'Home', does: 'centre it' },
    ],
  },
  {
    where: 'On a step, in Week',
    keys: [
      { keys: '← →', does: 'begin it five minutes sooner or later' },
      { keys: 'PgUp, PgDn', does: 'an hour sooner or later' },
    ],
  },
  {
    where: 'On a part of the film, at Cut',
    keys: [
      { keys: '← ↑ → ↓', does: 'move it by 1 mm; with Shift, by 10 mm' },
      { keys: 'R, T', does: 'turn it by a quarter, by 15°' },
      { keys: 'K', does: 'keep it there, or let it go' },
    ],
  },
];

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Listens for single keys while nobody types and no dialog is open. */
export function useSingleKeys(run: (key: string) => boolean): void {
  const latest = useRef(run);
  latest.current = run;
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || document.querySelector('dialog[open]')) return;
      if (latest.current(event.key)) event.preventDefault();
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, []);
}
