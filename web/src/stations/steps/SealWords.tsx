import { GROUNDS, SEALERS, TECHNIQUES, type SealerId } from '@kolleta/core/facts';
import { removeAt, setAt } from '@kolleta/core/job';
import type { StationProps } from '../../frame/station';
import { Choice, Sentence } from '../../ui/tokens';

const NONE = 'none';

/** Whether the finished marks are sealed over: a school of its own. */
export function SealWords({ job, edit }: Pick<StationProps, 'job' | 'edit'>) {
  const sealer = job.piece.sealedAfter;
  // nothing is said by this of paint, of what is pressed, and of film on cloth or wood
  const holdsAlone =
    GROUNDS[job.piece.ground].wear === 'hard' &&
    job.marks.every(({ technique }) => TECHNIQUES[technique].filmStays && TECHNIQUES[technique].taped);
  return (
    <div className="sheet px-4 py-3">
      <Sentence className="text-[0.97rem]!">
        Over the finished marks:{' '}
        <Choice
          label="Sealer over the marks"
          value={sealer ?? NONE}
          options={[
            { value: NONE, label: 'no sealer' },
            ...(Object.keys(SEALERS) as SealerId[]).map((value) => ({ value, label: SEALERS[value].name })),
          ]}
          onChange={(to) =>
            edit(to === NONE ? removeAt(['piece', 'sealedAfter']) : setAt(['piece', 'sealedAfter'], to), 'Choose the sealer over the marks')
          }
        />
        .
      </Sentence>
      <p className="quiet text-sm">
        {sealer === undefined
          ? `${holdsAlone ? 'Permanent film holds here on its own. ' : ''}Seal what is handled hard or rubbed, if you like.`
          : 'A thin coat that reaches a little beyond each edge. It needs weeks to cure.'}
      </p>
    </div>
  );
}
