import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useMatch, useNavigate } from 'react-router';
import type { Plan } from '@kolleta/core/plan';
import type { WorkshopState } from '../storage/useWorkshop';
import type { Findable } from './findable';
import { find, findables, lookedThrough } from './findables';
import { leadTo } from './leadTo';

/** Finds a job, a step, a film, a setting by a few letters. */
export function Finder({ state, plan, onClose }: { state: WorkshopState; plan: Plan | undefined; onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  useEffect(() => dialog.current?.showModal(), []);
  const onScreen = useMatch('/job/:id/*')?.params.id;
  const all = useMemo(() => findables(state, plan, onScreen), [state, plan, onScreen]);
  const found = useMemo(() => find(all, typed), [all, typed]);
  const go = (item: Findable | undefined) => {
    if (!item) return;
    // gone at once: the dialog's own word of its closing comes later, and would close the next one
    onClose();
    void navigate(item.to);
    if (item.focus) void leadTo(item.focus);
  };
  const keys = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step) {
      event.preventDefault();
      setAt((i) => Math.max(0, Math.min(found.length - 1, i + step)));
    }
    if (event.key === 'Enter') {
      event.preventDefault();
      go(found[at]);
    }
  };
  return (
    <dialog ref={dialog} className="modal items-start pt-16" aria-label="Find" onClose={onClose}>
      <div className="modal-box text-base-content max-w-2xl">
        <label className="sr-only" htmlFor="find">
          Find
        </label>
        <input
          id="find"
          className="input input-lg w-full"
          placeholder="A job, a film, or what you want to do: mirror, snips, price, hours"
          role="combobox"
          aria-expanded="true"
          aria-controls="found"
          aria-activedescendant={found[at] ? `found-${at}` : undefined}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            setAt(0);
          }}
          onKeyDown={keys}
          autoComplete="off"
          autoFocus
        />
        <ul id="found" role="listbox" aria-label="Found" className="mt-2">
          {found.map((item, i) => (
            <li
              key={`${item.to} ${item.kind} ${item.name} ${i}`}
              id={`found-${i}`}
              role="option"
              aria-selected={i === at}
              className={`flex min-h-11 cursor-pointer items-baseline gap-3 rounded px-3 py-2 ${i === at ? 'bg-primary text-primary-content' : 'hover:bg-base-200'}`}
              onClick={() => go(item)}
            >
              <span className="min-w-0 flex-1 break-words">
                <strong>{item.name}</strong>
                {item.kind.startsWith('step') && item.also ? ` · ${item.also}` : ''}
              </span>
              <span className={`shrink-0 text-sm ${i === at ? '' : 'quiet'}`}>{item.kind}</span>
            </li>
          ))}
        </ul>
        {found.length === 0 && <p className="quiet p-3">Nothing is called that. {lookedThrough(all)} Try fewer letters.</p>}
      </div>
      <form method="dialog" className="modal-backdrop">
        <button tabIndex={-1}>Close</button>
      </form>
    </dialog>
  );
}
