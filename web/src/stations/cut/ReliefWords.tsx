import { LAYOUT, RELIEF } from '@kolleta/core/facts';
import { removeAt, setAt } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { LengthWord, Sentence, Switch } from '../../ui/tokens';

/** How far parts lie apart, whether relief cuts part the waste, and into how wide strips: choices for the whole workshop. */
export function ReliefWords({
  gap,
  strip,
  relief,
  system,
}: {
  gap: number | undefined;
  strip: number | undefined;
  /** Relief cuts can be made in this layout. */
  relief: boolean;
  system: LengthSystem;
}) {
  const apart = gap ?? LAYOUT.gap;
  const narrow = relief && strip !== undefined && apart < 2 * RELIEF.clearance + 1;
  return (
    <div className="sheet px-4 py-2.5">
      <Sentence>
        Marks lie{' '}
        <LengthWord
          label="Gap between marks"
          value={apart}
          system={system}
          least={0}
          onChange={(mm) => editShop(setAt(['gap'], Math.min(LAYOUT.mostGap, mm)), 'Gap between marks')}
        />{' '}
        apart.{' '}
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
                  onChange={(mm) => editShop(setAt(['relief'], Math.min(RELIEF.most, mm)), 'Width of a strip')}
                />
                , never nearer than {formatLength(RELIEF.clearance, system)} to a mark
              </>
            )}
            .
          </>
        )}
      </Sentence>
      {narrow && (
        <p className="quiet text-sm">
          Relief cuts find a way between marks from {formatLength(2 * RELIEF.clearance + 1, system)} on; nearer ones they go round.
        </p>
      )}
    </div>
  );
}
