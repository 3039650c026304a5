import type { Id, Shop } from '@kolleta/core/job';

/** Whose Bench this device shows: everybody's, or that of one of those who work here. */
export function WhoseBench({ shop, who, onChange }: { shop: Shop; who: Id | undefined; onChange: (who: Id | undefined) => void }) {
  const people = shop.people ?? [];
  if (people.length < 2) return null;
  const all: { id: Id | undefined; name: string }[] = [{ id: undefined, name: 'Everybody' }, ...people];
  return (
    <div role="group" aria-label="Whose bench" className="flex flex-wrap gap-2">
      {all.map(({ id, name }) => (
        <button
          key={id ?? ''}
          type="button"
          aria-pressed={who === id}
          className={`btn min-h-11 max-w-52 ${who === id ? 'btn-primary' : 'btn-ghost border-base-300'}`}
          onClick={() => onChange(id)}
        >
          <span className="truncate">{name}</span>
        </button>
      ))}
    </div>
  );
}
