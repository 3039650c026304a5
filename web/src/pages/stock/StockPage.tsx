import { useMemo, useState, type ReactNode } from 'react';
import { COATS, SUPPLY_KINDS, SUPPLY_UNITS, TAPE_KINDS, USUAL_POT, USUAL_ROLL } from '@kolleta/core/facts';
import { asCounted, filmTaken, type Film, type Paint, type StockKindId, type Supply, type Tape } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { addStock, type StockThings } from '../../storage/editStock';
import { useWorkshop } from '../../storage/useWorkshop';
import { usePlan } from '../../workers/usePlan';
import { FilmWords } from './FilmWords';
import { PaintWords, SupplyWords, TapeWords } from './OtherWords';
import { Roll } from './Roll';
import { StockAmount } from './StockAmount';
import { StockItem } from './StockItem';
import { StockListButtons } from './StockListButtons';

/** A part of the stock, with its way to add to it; what goes here is said where there is nothing yet. */
function Part({
  title,
  hint,
  add,
  empty,
  children,
}: {
  title: string;
  hint?: string;
  add: ReactNode;
  empty?: string;
  children: ReactNode;
}) {
  return (
    <section aria-label={title} className="sheet px-4 py-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-lg font-bold">{title}</h2>
        {hint && <p className="quiet text-sm">{hint}</p>}
        <span className="ml-auto">{add}</span>
      </div>
      {empty ? <p className="quiet py-2">{empty}</p> : <ul>{children}</ul>}
    </section>
  );
}

/** What there is: rolls to scale, tapes, paints, supplies; each added, changed, counted and taken out where it stands. */
export function StockPage() {
  const { shop: stored, events } = useWorkshop();
  const plan = usePlan();
  const shop = useMemo(() => asCounted(stored, events), [stored, events]);
  const system = shop.lengths;
  const taken = useMemo(() => filmTaken(events), [events]);
  const [open, setOpen] = useState<string>();
  const left = (film: Film) => Math.max(0, film.length - (taken.get(film.id) ?? 0));
  const next = (film: Film) => plan?.layouts.find((l) => l.film.id === film.id)?.taken ?? 0;
  const itemOf = <K extends StockKindId>(stock: K, thing: StockThings[K], list: readonly { id: string; name: string }[]) => ({
    ...{ stock, thing, others: list.filter(({ id }) => id !== thing.id), open: open === thing.id },
    onOpen: (on: boolean) => setOpen(on ? thing.id : undefined),
  });
  const add = <K extends StockKindId>(stock: K, label: string, thing: Parameters<typeof addStock<K>>[1]) => (
    <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={() => void addStock(stock, thing).then(setOpen)}>
      {label}
    </button>
  );
  const roll = USUAL_ROLL[system];
  const newFilm: Omit<Film, 'id'> = {
    ...{ name: 'New film', kind: 'permanent', finish: 'gloss', colour: '#fbfbf8', price: 0 },
    ...roll,
  };
  const newTape: Omit<Tape, 'id'> = { name: 'New tape', kind: 'clearMedium', ...roll, price: 0 };
  const newPaint: Omit<Paint, 'id'> = { name: 'New paint', coat: 'acrylic', colour: '#f4ecd4', volume: USUAL_POT };
  const newSupply: Omit<Supply, 'id'> = { name: 'New supply', kind: 'other', amount: 10, unit: 'piece', price: 0 };
  const supplies = shop.supplies ?? [];
  const tapeLine = ({ id, name, kind, width, length }: Tape) => (
    <>
      <strong>{name}</strong>{' '}
      <span className="quiet">
        {TAPE_KINDS[kind].name}, {formatLength(width, system, { digits: 0 })} wide
      </span>{' '}
      · <StockAmount stock="tape" item={id} name={name} amount={length} system={system} />
    </>
  );
  const paintLine = ({ id, name, coat, colour, volume }: Paint) => (
    <>
      <span className="border-base-300 mr-1 inline-block size-4 rounded border align-middle" style={{ background: colour }} />
      <strong>{name}</strong> <span className="quiet">{COATS[coat].name}</span> ·{' '}
      <StockAmount stock="paint" item={id} name={name} amount={volume} unit="ml" system={system} />
    </>
  );
  const supplyLine = ({ id, name, kind, unit, amount, low }: Supply) => (
    <>
      <strong>{name}</strong> <span className="quiet">{SUPPLY_KINDS[kind].name}</span> ·{' '}
      <StockAmount {...{ stock: 'supply', item: id, name, amount, system }} unit={SUPPLY_UNITS[unit].name} one={SUPPLY_UNITS[unit].one} />
      {low !== undefined && amount < low && <strong className="text-error"> · buy more</strong>}
    </>
  );
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="mr-auto text-[1.65rem] font-extrabold">Stock</h1>
        <StockListButtons shop={shop} left={left} />
      </div>
      <Part
        title="Film"
        hint="Drawn to one scale along and one across; dashed is where the open jobs will cut."
        add={add('film', 'Add a film', newFilm)}
        empty={
          shop.films.length === 0
            ? 'No film yet. Add what you have: Kolleta then knows what stands out, what it costs and when it runs short.'
            : ''
        }
      >
        {shop.films.map((film) => (
          <StockItem
            key={film.id}
            {...itemOf('film', { ...film, length: left(film) }, shop.films)}
            line={<Roll film={film} left={left(film)} next={next(film)} system={system} />}
          >
            <FilmWords film={film} shop={shop} />
          </StockItem>
        ))}
      </Part>
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        <Part
          title="Tapes"
          add={add('tape', 'Add a tape', newTape)}
          empty={shop.tapes.length === 0 ? 'No transfer tape yet. Add yours, and each mark says which of them lifts it.' : ''}
        >
          {shop.tapes.map((tape) => (
            <StockItem key={tape.id} {...itemOf('tape', tape, shop.tapes)} line={tapeLine(tape)}>
              <TapeWords tape={tape} shop={shop} />
            </StockItem>
          ))}
        </Part>
        <Part
          title="Paints, stains, sealers"
          add={add('paint', 'Add a paint', newPaint)}
          empty={shop.paints.length === 0 ? 'None yet. Add what you paint stencils or seal boards with.' : ''}
        >
          {shop.paints.map((paint) => (
            <StockItem key={paint.id} {...itemOf('paint', paint, shop.paints)} line={paintLine(paint)}>
              <PaintWords paint={paint} shop={shop} />
            </StockItem>
          ))}
        </Part>
        <Part
          title="Supplies and trimmings"
          add={add('supply', 'Add a supply', newSupply)}
          empty={supplies.length === 0 ? 'None yet. Cloths, blades, masking tape, ribbon: what you would not like to run out of.' : ''}
        >
          {supplies.map((supply) => (
            <StockItem key={supply.id} {...itemOf('supply', supply, supplies)} line={supplyLine(supply)}>
              <SupplyWords supply={supply} shop={shop} />
            </StockItem>
          ))}
        </Part>
      </div>
    </div>
  );
}
