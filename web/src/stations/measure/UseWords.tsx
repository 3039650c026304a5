import { LIMITS } from '@kolleta/core/facts';
import { setAt } from '@kolleta/core/job';
import { Sentence, Switch } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** What the piece is for, as a sentence. */
export function UseWords({ job, edit }: Pick<StationProps, 'job' | 'edit'>) {
  const { piece } = job;
  return (
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
      .
    </Sentence>
  );
}
