import { type LeavableKey } from '@kolleta/core/facts';
import { leavableOf } from '@kolleta/core/finish';
import { setAt } from '@kolleta/core/job';
import type { StationProps } from '../../frame/station';
import { Sentence, Switch } from '../../ui/tokens';

const WORDS: Record<LeavableKey, { yes: string; no: string }> = {
  sand: { yes: 'sanded before it is painted', no: 'not sanded' },
  degrease: { yes: 'degreased before it is painted', no: 'not degreased' },
  brush: { yes: 'brushed down before it is painted', no: 'not brushed down' },
};

/** Usual steps that this piece's maker may leave out. */
export function UsualSteps({ job, edit }: Pick<StationProps, 'job' | 'edit'>) {
  const { piece } = job;
  const keys = leavableOf(piece);
  if (keys.length === 0) return null;
  return (
    <div className="sheet px-4 py-3">
      <Sentence className="text-[0.97rem]!">
        It is{' '}
        {keys.map((key, i) => (
          <span key={key}>
            {i > 0 && ' and '}
            <Switch
              label={WORDS[key].yes}
              on={!piece.leftOut?.includes(key)}
              {...WORDS[key]}
              onChange={(on) =>
                edit((saved) => {
                  const others = (saved.piece.leftOut ?? []).filter((one) => one !== key);
                  return setAt(['piece', 'leftOut'], on ? others : [...others, key]);
                }, 'Change the usual steps')
              }
            />
          </span>
        ))}
        .
      </Sentence>
    </div>
  );
}
