import { RELIEF } from '@kolleta/core/facts';
import { removeAt, setAt } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { LengthWord, Sentence, Switch } from '../../ui/tokens';

/** Whether relief cuts part the waste, and into how wide strips: one choice for the whole workshop. */
export function ReliefWords({ strip, system }: { strip: number | undefined; system: LengthSystem }) {
  return (
    <div className="sheet px-4 py-2.5">
      <Sentence>
        For weeding{' '}
        <Switch
          label="Relief cuts"
          on={strip !== undefined}
          yes="relief cuts part the waste"
          no="the surround comes away in one pull"
          onChange={(on) => editShop(on ? setAt(['relief'], RELIEF.strip) : removeAt(['relief']), on ? 'Relief cuts' : 'No relief cuts')}
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
      </Sentence>
    </div>
  );
}
