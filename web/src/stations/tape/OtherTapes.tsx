import { removeAt, setAt, type Mark } from '@kolleta/core/job';
import type { TapeOffer } from '@kolleta/core/tape';
import { useHeld } from '../../ui/held';
import type { StationProps } from '../../frame/station';

interface Props extends Pick<StationProps, 'edit'> {
  mark: Mark;
  offers: readonly TapeOffer[];
  /** The tape that is taken now. */
  taken: string;
}

/** The tapes of the shop with what each means for this mark; those that work can be taken. */
export function OtherTapes({ mark, offers, taken, edit }: Props) {
  // the dot is where it was pressed, before it is saved and planned
  const { shown, put } = useHeld(taken, (id: string) => edit(setAt(['marks', mark.id, 'tape'], id), 'Choose the tape'));
  return (
    <fieldset className="mt-1.5" aria-label="Which tape">
      <legend className="text-sm font-bold">Take another of yours</legend>
      {offers.map((offer) => {
        const { id, name } = offer.works ? offer.choice.tape : offer.tape;
        return (
          <label key={id} className={`flex min-h-9 items-baseline gap-2 py-0.5 leading-snug ${offer.works ? 'cursor-pointer' : 'quiet'}`}>
            <input
              type="radio"
              className="radio radio-sm translate-y-0.5"
              name={`tape ${mark.id}`}
              checked={id === shown}
              disabled={!offer.works}
              onChange={() => put(id)}
            />
            <span>
              <strong>{name}</strong> <span className="text-sm">{offer.says}</span>
            </span>
          </label>
        );
      })}
      {mark.tape !== undefined && (
        <button
          type="button"
          className="btn btn-xs btn-ghost border-base-300"
          onClick={() => edit(removeAt(['marks', mark.id, 'tape']), 'Leave the tape open')}
        >
          Let Kolleta choose
        </button>
      )}
    </fieldset>
  );
}
