import { useState, type ReactNode } from 'react';
import { usesOf, type StockKindId } from '@kolleta/core/job';
import { counted, listed } from '@kolleta/core/units';
import { copyStock, removeStock, type StockThings } from '../../storage/editStock';
import { useWorkshop } from '../../storage/useWorkshop';
import { Choice } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';

interface Props<K extends StockKindId> {
  stock: K;
  /** With its amount as it is counted now. */
  thing: StockThings[K];
  /** What may be taken instead. */
  others: readonly { readonly id: string; readonly name: string }[];
  /** What is always seen of it. */
  line: ReactNode;
  /** The words by which it is changed. */
  children: ReactNode;
  open: boolean;
  onOpen: (open: boolean) => void;
}

/** Takes a thing out of stock: first it is said who has chosen it, and what they take instead. */
function RemoveStock<K extends StockKindId>({ stock, thing, others }: Pick<Props<K>, 'stock' | 'thing' | 'others'>) {
  const { jobs } = useWorkshop();
  const tell = useTell();
  const [asking, setAsking] = useState(false);
  const uses = usesOf(jobs, stock, thing.id);
  const [chosen, setChosen] = useState<string>();
  const instead = chosen ?? others[0]?.id;
  const remove = async (to?: string) => {
    setAsking(false);
    const back = await removeStock(stock, thing.id, thing.name, to);
    tell(`${thing.name} is out of the stock.`, { action: { label: 'Undo', run: () => void back() } });
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-ghost border-base-300"
        onClick={() => (uses.length > 0 ? setAsking(true) : void remove())}
      >
        Remove
      </button>
      {asking && (
        <div role="alertdialog" aria-label={`Remove ${thing.name}`} className="border-accent basis-full rounded-lg border-2 p-3">
          <p>
            <strong>{thing.name}</strong> is chosen in {counted(uses.length, 'open job')}:{' '}
            {listed(uses.map(({ name, marks }) => (marks.length > 0 ? `${name} (${marks.slice(0, 3).join(', ')})` : name)))}.
          </p>
          <div className="mt-2 flex flex-wrap items-center gap-2">
            {instead !== undefined && (
              <>
                <span>
                  Take{' '}
                  <Choice
                    label="Instead"
                    value={instead}
                    options={others.map(({ id, name }) => ({ value: id, label: name }))}
                    onChange={setChosen}
                  />{' '}
                  there instead:
                </span>
                <button type="button" className="btn btn-sm btn-primary" onClick={() => void remove(instead)}>
                  Replace and remove
                </button>
              </>
            )}
            <button type="button" className="btn btn-sm btn-outline" onClick={() => void remove()}>
              Remove, choose there later
            </button>
            <button type="button" className="btn btn-sm btn-ghost" onClick={() => setAsking(false)}>
              Keep it
            </button>
          </div>
        </div>
      )}
    </>
  );
}

/** A thing in stock: a line, which opens to the words by which it is changed. */
export function StockItem<K extends StockKindId>({ stock, thing, others, line, children, open, onOpen }: Props<K>) {
  return (
    <li id={`stock-${thing.id}`} className="border-base-300/60 border-b py-1.5 last:border-0">
      <div className="flex flex-wrap items-center gap-x-3">
        <div className="min-w-0 flex-1">{line}</div>
        <button
          type="button"
          className="btn btn-sm btn-ghost"
          aria-expanded={open}
          aria-label={open ? `Done with ${thing.name}` : `Change ${thing.name}`}
          onClick={() => onOpen(!open)}
        >
          {open ? 'Done' : 'Change'}
        </button>
      </div>
      {open && (
        <div className="bg-base-200/60 my-1 rounded-lg px-3 py-2">
          {children}
          <div className="mt-1 flex flex-wrap gap-2">
            <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void copyStock(stock, thing)}>
              Copy
            </button>
            <RemoveStock stock={stock} thing={thing} others={others} />
          </div>
        </div>
      )}
    </li>
  );
}
