import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';

interface Toast {
  id: number;
  text: string;
  tone: 'plain' | 'error';
  action?: { label: string; run: () => void };
}

type Tell = (text: string, options?: { tone?: Toast['tone']; action?: Toast['action'] }) => void;
/** Where whoever has something to tell finds how. */
export const TellContext = createContext<Tell>(() => undefined);
/** Tells the user something in passing, with one thing to do about it. */
export const useTell = (): Tell => useContext(TellContext);

const SHOWN_MS = 9000;
let lastId = 0;

/** Where passing messages are shown. */
export function Toasts({ children }: { children: ReactNode }) {
  const [toasts, setToasts] = useState<Toast[]>([]);
  const drop = useCallback((id: number) => setToasts((all) => all.filter((toast) => toast.id !== id)), []);
  const tell = useCallback<Tell>(
    (text, { tone = 'plain', action } = {}) => {
      lastId += 1;
      const id = lastId;
      // only the newest passing word is kept; errors stay until they are dismissed
      setToasts((all) => [...all.filter((toast) => toast.tone === 'error').slice(-2), { id, text, tone, action }]);
      if (tone === 'plain') setTimeout(() => drop(id), SHOWN_MS);
    },
    [drop],
  );
  const value = useMemo(() => tell, [tell]);
  return (
    <TellContext.Provider value={value}>
      {children}
      <div className="fixed inset-x-3 bottom-3 z-50 flex flex-col items-center gap-2" role="status" aria-live="polite">
        {toasts.map((toast) => (
          <div
            key={toast.id}
            role={toast.tone === 'error' ? 'alert' : undefined}
            className={`flex max-w-2xl items-center gap-3 rounded-lg px-4 py-2.5 shadow-lg ${toast.tone === 'error' ? 'bg-error text-error-content' : 'bg-neutral text-neutral-content'}`}
          >
            <span>{toast.text}</span>
            {toast.action && (
              <button
                type="button"
                className="btn btn-sm"
                onClick={() => {
                  toast.action!.run();
                  drop(toast.id);
                }}
              >
                {toast.action.label}
              </button>
            )}
            <button type="button" className="btn btn-sm btn-ghost text-inherit" aria-label="Dismiss" onClick={() => drop(toast.id)}>
              ✕
            </button>
          </div>
        ))}
      </div>
    </TellContext.Provider>
  );
}
