import { SUPPLY_UNITS } from '@kolleta/core/facts';
import { removeAt, setAt } from '@kolleta/core/job';
import { newId } from '../../storage/newId';
import type { StationProps } from '../../frame/station';
import { AmountWord, Choice, Sentence } from '../../ui/tokens';

/** Trimmings and other things from stock that each piece needs. */
export function NeedsWords({ job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'>) {
  const supplies = shop.supplies ?? [];
  const needs = job.needs ?? [];
  const free = supplies.filter(({ id }) => needs.every(({ supply }) => supply !== id));
  if (supplies.length === 0) return null;
  return (
    <div className="sheet px-4 py-3">
      <Sentence className="text-[0.97rem]!">
        {needs.length === 0 ? 'No trimmings on it. ' : 'Each piece also gets '}
        {needs.map((need, i) => {
          const supply = supplies.find(({ id }) => id === need.supply);
          const unit = supply ? SUPPLY_UNITS[supply.unit].one : '';
          return (
            <span key={need.id}>
              {i > 0 ? ', ' : ''}
              <AmountWord
                label={`How much ${supply?.name ?? 'of it'}`}
                value={need.amount}
                unit={supply && supply.unit !== 'piece' ? unit : ''}
                onChange={(amount) => edit(setAt(['needs', need.id, 'amount'], amount), 'Change a trimming')}
              />{' '}
              {supply && supply.unit !== 'piece' ? 'of' : '×'} {supply?.name ?? 'something that is not in stock'}{' '}
              <button
                type="button"
                className="btn btn-xs btn-ghost"
                aria-label={`Take ${supply?.name ?? 'it'} away`}
                onClick={() => void edit(removeAt(['needs', need.id]), 'Take a trimming away')}
              >
                ×
              </button>
            </span>
          );
        })}
        {needs.length > 0 ? '. ' : ''}
        {free.length > 0 && (
          <Choice
            label="Add a trimming"
            value=""
            options={[{ value: '', label: 'Add one' }, ...free.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(supply) => {
              if (supply === '') return undefined;
              const id = newId();
              return edit(() => setAt(['needs', id], { id, supply, amount: 1 }), 'Add a trimming');
            }}
          />
        )}
      </Sentence>
    </div>
  );
}
