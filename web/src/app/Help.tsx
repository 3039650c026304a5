import { useEffect, useRef } from 'react';
import { SHORTCUTS } from './shortcuts';

/** The keys, on a card. */
export function Help({ onClose }: { onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog ref={dialog} className="modal" aria-label="Keys" onClose={onClose}>
      <div className="modal-box text-base-content max-w-3xl">
        <h2 className="text-xl font-bold">Keys</h2>
        <div className="mt-2 grid gap-x-8 gap-y-4 sm:grid-cols-2">
          {SHORTCUTS.map(({ where, keys }) => (
            <section key={where}>
              <h3 className="font-bold">{where}</h3>
              <dl>
                {keys.map((key) => (
                  <div key={key.keys} className="flex items-baseline gap-3 py-0.5">
                    <dt className="measure border-base-300 bg-base-200 min-w-20 rounded border px-1.5 text-center text-[0.82rem]">
                      {key.keys}
                    </dt>
                    <dd>{key.does}</dd>
                  </div>
                ))}
              </dl>
            </section>
          ))}
        </div>
        <form method="dialog" className="mt-4 flex justify-end">
          <button className="btn btn-primary">Close</button>
        </form>
      </div>
    </dialog>
  );
}
