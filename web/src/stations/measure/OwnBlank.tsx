import { setAt } from '@kolleta/core/job';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { useTell } from '../../ui/toasts';
import type { StationProps } from '../../frame/station';

/** Keeps the piece as a blank of the user's own, to begin other jobs with. */
export function OwnBlank({ job, shop }: Pick<StationProps, 'job' | 'shop'>) {
  const tell = useTell();
  const { name, shape, ground, contact, colour, use } = job.piece;
  const kept = shop.blanks?.find((blank) => blank.name === name);
  const keep = async () => {
    const blank = { id: kept?.id ?? newId(), name, shape, ground, contact, colour, drink: use.drink };
    await editShop(() => setAt(['blanks', blank.id], blank), 'Save a blank');
    tell(`${name} is on the shelf of your own blanks now, under Jobs.`);
  };
  return (
    <p className="px-1">
      <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void keep()}>
        {kept ? 'Save these measures for this blank' : 'Save it as a blank of your own'}
      </button>
    </p>
  );
}
