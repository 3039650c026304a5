import { useState } from 'react';
import type { Film, Shop } from '@kolleta/core/job';
import type { StockList } from '@kolleta/core/stockList';
import { counted, inSentence, numberBy, type DecimalSign } from '@kolleta/core/units';
import { download, fileName } from '../../storage/download';
import { takeStockList } from '../../storage/editStock';
import { textOf } from '../../workers/readFile';
import { FileButton } from '../../ui/FileButton';
import { useTell } from '../../ui/toasts';

const MOST_BYTES = 2_000_000;
const SIGNS: readonly DecimalSign[] = ['.', ','];

/** The stock out to a list for a spreadsheet, and back. */
export function StockListButtons({ shop, left }: { shop: Shop; left: (film: Film) => number }) {
  const tell = useTell();
  const [problem, setProblem] = useState<string>();
  const [found, setFound] = useState<{ name: string; text: string; list: StockList }>();
  const save = async () => {
    const { writeStockList } = await import('@kolleta/core/stockList');
    const of = new Map(shop.films.map((film) => [film.id, left(film)]));
    download(
      `${fileName(shop.name)}-stock.csv`,
      writeStockList(shop, (id) => of.get(id) ?? 0),
      'text/csv',
    );
  };
  const open = async (file: File) => {
    setProblem(undefined);
    setFound(undefined);
    if (file.size > MOST_BYTES) {
      setProblem(`${file.name} is too large for a stock list. Split it.`);
      return;
    }
    await show(file.name, await textOf(file));
  };
  const show = async (name: string, text: string, sign?: DecimalSign) => {
    const { readStockList } = await import('@kolleta/core/stockList');
    const read = readStockList(text, name, sign);
    if (read.ok) setFound({ name, text, list: read.value });
    else setProblem(`${read.problem.found} ${read.problem.wayOut}`);
  };
  const take = async (list: StockList) => {
    setFound(undefined);
    await takeStockList(list);
    tell(`${counted(list.things.length, 'row')} of the list ${list.things.length === 1 ? 'is' : 'are'} in the stock.`);
  };
  return (
    <>
      <button type="button" className="btn btn-sm btn-outline" onClick={() => void save()}>
        Save as a list (CSV)
      </button>
      <FileButton label="Stock list" accept=".csv,text/csv" onFile={(file) => void open(file)} className="btn btn-sm btn-outline">
        Open a list (CSV)
      </FileButton>
      {problem && (
        <p role="alert" className="bg-error text-error-content basis-full rounded px-3 py-2">
          {problem}
        </p>
      )}
      {found && (
        <div role="alertdialog" aria-label={`Take ${found.name} in`} className="sheet border-accent basis-full border-2 p-3">
          <p>
            <strong>{found.name}</strong> holds {counted(found.list.things.length, 'thing')} for the stock. What has the same name here
            becomes as the list says; the rest is added, and nothing is taken away.
          </p>
          {found.list.decimals.either && (
            <fieldset className="my-1">
              <legend>What is “{found.list.decimals.either}” in this list?</legend>
              {SIGNS.map((sign) => (
                <label key={sign} className="mr-4 inline-flex items-center gap-2">
                  <input
                    type="radio"
                    className="radio radio-sm"
                    name="decimals"
                    checked={found.list.decimals.sign === sign}
                    onChange={() => void show(found.name, found.text, sign)}
                  />
                  {numberBy(found.list.decimals.either!, sign)}
                </label>
              ))}
            </fieldset>
          )}
          {found.list.leftOut.length > 0 && (
            <ul role="alert" className="text-error my-1 list-disc pl-5">
              {found.list.leftOut.slice(0, 12).map(({ line, why }) => (
                <li key={line}>
                  Line {line} is left out: {inSentence(why)}.
                </li>
              ))}
              {found.list.leftOut.length > 12 && <li>{found.list.leftOut.length - 12} more lines are left out.</li>}
            </ul>
          )}
          <div className="mt-2 flex gap-2">
            <button
              type="button"
              className="btn btn-sm btn-primary"
              disabled={found.list.things.length === 0 || !found.list.decimals.sign}
              onClick={() => void take(found.list)}
            >
              Take it in
            </button>
            <button type="button" className="btn btn-sm btn-ghost" onClick={() => setFound(undefined)}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </>
  );
}
