import { gapOf, takesRelief, type FilmLayout } from '@kolleta/core/cut';
import { LAYOUT, RELIEF } from '@kolleta/core/facts';
import { removeAt, setAt, type Shop } from '@kolleta/core/job';
import { counted, formatLength, good, refused, type Result } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { LengthWord, Sentence, Switch } from '../../ui/tokens';

/**
 * How far parts lie apart, whether the smallest bits are cut once more, whether relief cuts part the waste, and into how wide strips: choices for the
 * whole workshop.
 */
export function ReliefWords({
  layout,
  shop,
  mayLose,
}: {
  layout: FilmLayout;
  shop: Pick<Shop, 'relief' | 'spares' | 'lengths'>;
  /** There are marks of which small bits can be lost. */
  mayLose: boolean;
}) {
  const { relief: strip, lengths: system } = shop;
  /** What was typed, where it is no more than is of use. */
  const atMost = (mm: number, most: number, of: string): Result<number> =>
    mm <= most
      ? good(mm)
      : refused(
          `${formatLength(mm, system)} is more than is of use here.`,
          `up to ${most} mm`,
          of,
          `Type no more than ${formatLength(most, system)}.`,
        );
  const apart = gapOf(layout);
  const relief = takesRelief(layout);
  const least = 2 * RELIEF.clearance + 1;
  const spares = layout.spares?.length ?? 0;
  return (
    <div className="sheet px-4 py-2.5">
      <Sentence>
        Marks lie{' '}
        <LengthWord
          label="Gap between marks"
          value={apart}
          system={system}
          least={0}
          check={(mm) => atMost(mm, LAYOUT.mostGap, 'Gap between marks')}
          onChange={(mm) => editShop(setAt(['gap'], mm), 'Gap between marks')}
        />{' '}
        apart.{' '}
        {mayLose && (
          <>
            Dots and other tiny bits are cut{' '}
            <Switch
              label="Spares of tiny bits"
              on={shop.spares === true}
              yes="once more, on film that is free anyway"
              no="once"
              onChange={(on) => editShop(on ? setAt(['spares'], true) : removeAt(['spares']), on ? 'Spares of tiny bits' : 'No spares')}
            />
            {shop.spares === true && (spares > 0 ? `: ${counted(spares, 'spare')} here` : ': here is none, or no room')}.{' '}
          </>
        )}
        {relief && (
          <>
            For weeding{' '}
            <Switch
              label="Relief cuts"
              on={strip !== undefined}
              yes="relief cuts part the waste"
              no="the surround comes away in one pull"
              onChange={(on) =>
                editShop(on ? setAt(['relief'], RELIEF.strip) : removeAt(['relief']), on ? 'Relief cuts' : 'No relief cuts')
              }
            />
            {strip !== undefined && (
              <>
                {' '}
                into strips of at most{' '}
                <LengthWord
                  label="Width of a strip"
                  value={strip}
                  system={system}
                  least={RELIEF.least}
                  check={(mm) => atMost(mm, RELIEF.most, 'Width of a strip')}
                  onChange={(mm) => editShop(setAt(['relief'], mm), 'Width of a strip')}
                />
                , never nearer than {formatLength(RELIEF.clearance, system)} to a mark
              </>
            )}
            .
          </>
        )}
      </Sentence>
      {relief && strip !== undefined && apart < least && (
        <p className="quiet text-sm">
          Relief cuts find a way between marks from {formatLength(least, system)} on; nearer ones they go round.
        </p>
      )}
    </div>
  );
}
