import { isMarkPaint } from '@kolleta/core/fit';
import { setAt, type Mark } from '@kolleta/core/job';
import { Choice } from '../ui/tokens';
import type { StationProps } from './station';

/** The paint of a mark, from those in stock that marks are painted with. */
export function PaintChoice({ mark, label, shop, edit }: Pick<StationProps, 'shop' | 'edit'> & { mark: Mark; label: string }) {
  const here = shop.paints.some((paint) => paint.id === mark.paint);
  return (
    <Choice
      label={label}
      value={mark.paint ?? ''}
      options={[
        ...(mark.paint ? [] : [{ value: '', label: 'no paint yet' }]),
        ...(mark.paint && !here ? [{ value: mark.paint, label: 'a paint that is not here' }] : []),
        ...shop.paints.filter((paint) => isMarkPaint(paint) || paint.id === mark.paint).map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChange={(paint) => edit(setAt(['marks', mark.id, 'paint'], paint), 'Choose the paint')}
    />
  );
}
