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
    await editShop(() => setAt(['blanks', blank.id], blank), 'Keep a blank');
    tell(`${name} is kept with your own blanks, on the Jobs page.`);
  };
  return (
    <p className="px-1">
      <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void keep()}>
        {kept ? 'Keep these measures for this blank' : 'Keep it with your own blanks'}
      </button>
    </p>
  );
}
