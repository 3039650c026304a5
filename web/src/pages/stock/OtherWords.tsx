import {
  COATS,
  SUPPLY_KINDS,
  SUPPLY_UNITS,
  TAPE_KINDS,
  type CoatId,
  type SupplyKindId,
  type SupplyUnit,
  type TapeKindId,
} from '@kolleta/core/facts';
import { removeAt, setAt, type Paint, type Scalar, type Shop, type Supply, type Tape } from '@kolleta/core/job';
import { editShop } from '../../storage/editShop';
import { ColourWord } from '../../frame/ColourWord';
import { AmountWord, Choice, LengthWord, MoneyWord, Sentence, TextWord } from '../../ui/tokens';

const optionsOf = <K extends string>(table: Readonly<Record<K, { readonly name: string }>>) =>
  (Object.keys(table) as K[]).map((value) => ({ value, label: table[value].name }));
const TAPES = optionsOf<TapeKindId>(TAPE_KINDS);
const COAT_OPTIONS = optionsOf<CoatId>(COATS);
const SUPPLIES = optionsOf<SupplyKindId>(SUPPLY_KINDS);
const UNITS = optionsOf<SupplyUnit>(SUPPLY_UNITS);

const setter = (field: 'tapes' | 'paints' | 'supplies', id: string, label: string) => (what: string, value: Scalar) =>
  editShop(setAt([field, id, what], value), label);

function Note({ value, onChange }: { value: string | undefined; onChange: (note: string) => Promise<number> }) {
  return (
    <>
      Note: <TextWord label="Note" value={value ?? ''} empty="none" onChange={onChange} />
    </>
  );
}

/** The words of a tape in stock. */
export function TapeWords({ tape, shop }: { tape: Tape; shop: Shop }) {
  const set = setter('tapes', tape.id, 'Change a tape');
  return (
    <Sentence>
      <TextWord label="Name of the tape" value={tape.name} onChange={(name) => set('name', name)} /> is{' '}
      <Choice label="Kind of tape" value={tape.kind} options={TAPES} onChange={(kind) => set('kind', kind)} />,{' '}
      <LengthWord label="Width of the tape" value={tape.width} system={shop.lengths} least={1} onChange={(mm) => set('width', mm)} /> wide.
      A square metre costs{' '}
      <MoneyWord label="Price a square metre" value={tape.price} currency={shop.currency} onChange={(price) => set('price', price)} />.{' '}
      <Note value={tape.note} onChange={(note) => set('note', note)} />
    </Sentence>
  );
}

/** The words of a paint, stain or sealer in stock. */
export function PaintWords({ paint, shop }: { paint: Paint; shop: Shop }) {
  const set = setter('paints', paint.id, 'Change a paint');
  return (
    <Sentence>
      <TextWord label="Name of the paint" value={paint.name} onChange={(name) => set('name', name)} /> is{' '}
      <Choice label="Kind of paint" value={paint.coat} options={COAT_OPTIONS} onChange={(coat) => set('coat', coat)} /> in{' '}
      <ColourWord label="Colour" value={paint.colour} onChange={(colour) => set('colour', colour)} />. A litre costs{' '}
      <MoneyWord label="Price a litre" value={paint.price ?? 0} currency={shop.currency} onChange={(price) => set('price', price)} />.{' '}
      <Note value={paint.note} onChange={(note) => set('note', note)} />
    </Sentence>
  );
}

/** The words of anything else that is used up. */
export function SupplyWords({ supply, shop }: { supply: Supply; shop: Shop }) {
  const set = setter('supplies', supply.id, 'Change a supply');
  return (
    <Sentence>
      <TextWord label="Name of the supply" value={supply.name} onChange={(name) => set('name', name)} />, of{' '}
      <Choice label="Kind of supply" value={supply.kind} options={SUPPLIES} onChange={(kind) => set('kind', kind)} />, counted in{' '}
      <Choice label="Counted in" value={supply.unit} options={UNITS} onChange={(unit) => set('unit', unit)} />. Each costs{' '}
      <MoneyWord label="Price of one" value={supply.price} currency={shop.currency} onChange={(price) => set('price', price)} />. Buy more
      below{' '}
      <AmountWord
        label="Buy more below"
        value={supply.low ?? 0}
        unit=""
        onChange={(low) => (low === 0 ? editShop(removeAt(['supplies', supply.id, 'low']), 'Change a supply') : set('low', low))}
      />
      . <Note value={supply.note} onChange={(note) => set('note', note)} />
    </Sentence>
  );
}
