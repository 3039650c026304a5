import { LIMITS } from '@kolleta/core/facts';
import { removeAt, setAt } from '@kolleta/core/job';
import { Choice, Sentence, Switch } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** What the piece is for, as a sentence. */
export function UseWords({ job, edit }: Pick<StationProps, 'job' | 'edit'>) {
  const { piece } = job;
  return (
    <div className="sheet px-4 py-3">
      <Sentence>
        People{' '}
        <Switch
          label="Drinking"
          on={piece.use.drink}
          yes="drink at its rim"
          no="do not drink at its rim"
          onChange={(drink) =>
            edit(
              (saved) => [
                ...setAt(['piece', 'use', 'drink'], drink),
                ...saved.zones.flatMap((z) => setAt(['zones', z.id, 'lipBand'], drink ? Math.max(z.lipBand, LIMITS.lipBand) : 0)),
              ],
              'Change the use',
            )
          }
        />
        ; food{' '}
        <Switch
          label="Food"
          on={piece.use.food}
          yes="lies on it"
          no="stays off it"
          onChange={(food) => edit(setAt(['piece', 'use', 'food'], food), 'Change the use')}
        />
        ; it is{' '}
        <Switch
          label="Dry and short"
          on={piece.use.dryShort}
          yes="kept dry and only for a while"
          no="for good"
          onChange={(on) => edit(setAt(['piece', 'use', 'dryShort'], on), 'Change the use')}
        />
        , and{' '}
        <Switch
          label="Wax"
          on={piece.waxed}
          yes="waxed or oiled"
          no="free of wax"
          onChange={(on) => edit(setAt(['piece', 'waxed'], on), 'Change the wax')}
        />
        , with{' '}
        <Choice
          label="Label"
          value={piece.labelled ?? 'none'}
          options={[
            { value: 'none', label: 'no label on it' },
            { value: 'paper', label: 'a paper label to take off' },
            { value: 'plastic', label: 'a plastic label to take off' },
          ]}
          onChange={(of) => edit(of === 'none' ? removeAt(['piece', 'labelled']) : setAt(['piece', 'labelled'], of), 'Change the label')}
        />
        .
      </Sentence>
    </div>
  );
}
