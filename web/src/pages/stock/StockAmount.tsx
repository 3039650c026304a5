import { useState } from 'react';
import type { StockKindId } from '@kolleta/core/job';
import { formatLength, parseLength, parseNumber, type LengthSystem } from '@kolleta/core/units';
import { countStock } from '../../storage/editShop';
import { wasTaken } from '../../storage/keeping';
import { Typed } from '../../ui/tokens';
import { useUnsaved } from '../../ui/unsaved';

/** Why an amount is not what it was thought to be. */
const REASONS = ['counted anew', 'bought more', 'used without Kolleta', 'spoiled', 'given away'] as const;

interface Props {
  stock: StockKindId;
  item: string;
  name: string;
  amount: number;
  /** Nothing for lengths, which are read in either unit. */
  unit?: string;
  /** The unit of one. */
  one?: string;
  system: LengthSystem;
}

/** How much there is of a thing: typed anew, with the reason, which goes into the log. */
export function StockAmount({ stock, item, name, amount, unit, one = unit, system }: Props) {
  const [asked, setAsked] = useState<number>();
  const say = (value: number) =>
    unit ? `${Math.floor(value * 10) / 10} ${value === 1 ? one : unit}` : formatLength(value, system, { digits: 0 });
  const read = (text: string) =>
    unit ? parseNumber(text, name, { least: 0, most: 1_000_000, units: [unit, one!] }) : parseLength(text, system, name);
  const because = (reason: string) =>
    void wasTaken(countStock({ stock, item, is: asked!, reason })).then((taken) => taken && setAsked(undefined));
  useUnsaved(`Why ${item}`, asked?.toString(), `${amount}`, (count) => setAsked(Number(count)), true);
  return (
    <>
      <Typed label={`${name} left`} shown={say(asked ?? amount)} read={read} onChange={setAsked} /> left
      {asked !== undefined && (
        <span role="group" aria-label={`Why ${say(asked)} of ${name}`} className="my-1 flex flex-wrap items-center gap-1.5">
          <span>Why?</span>
          {REASONS.map((reason) => (
            <button key={reason} type="button" className="btn btn-sm btn-outline" onClick={() => because(reason)}>
              {reason}
            </button>
          ))}
          <button type="button" className="btn btn-sm btn-ghost" onClick={() => setAsked(undefined)}>
            Leave it at {say(amount)}
          </button>
        </span>
      )}
    </>
  );
}
