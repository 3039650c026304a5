import { removeAt, setAt, type Mark, type Spread } from '@kolleta/core/job';
import { CountWord, Choice, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

type Kind = 'once' | 'round' | 'row' | 'pairs' | 'corners' | 'mirroredCorners' | 'rising' | 'falling';

const kindOf = (spread: Spread | undefined): Kind =>
  !spread
    ? 'once'
    : spread.kind === 'round'
      ? 'round'
      : spread.kind === 'row'
        ? spread.mirrored
          ? 'pairs'
          : 'row'
        : spread.which === 'rising' || spread.which === 'falling'
          ? spread.which
          : spread.mirrored
            ? 'mirroredCorners'
            : 'corners';

function spreadOf(kind: Kind, count: number): Spread | undefined {
  if (kind === 'round') return { kind, count: Math.max(2, count) };
  if (kind === 'row') return { kind, count: Math.max(2, count), mirrored: false };
  if (kind === 'pairs') return { kind: 'row', count: 2, mirrored: true };
  if (kind === 'corners' || kind === 'mirroredCorners') return { kind: 'corners', mirrored: kind === 'mirroredCorners' };
  if (kind === 'rising' || kind === 'falling') return { kind: 'corners', mirrored: false, which: kind };
  return undefined;
}

/** How often a mark goes on each piece, and how its copies are set. */
export function SpreadWords({ job, mark, edit }: { job: StationProps['job']; mark: Mark; edit: StationProps['edit'] }) {
  const kind = kindOf(mark.spread);
  const countOf = (spread: Spread | undefined) => (spread && 'count' in spread ? spread.count : 3);
  const count = countOf(mark.spread);
  const put = (next: (saved: Spread | undefined) => Spread | undefined) =>
    edit((saved) => {
      const spread = next(saved.marks.find((m) => m.id === mark.id)?.spread);
      return spread ? setAt(['marks', mark.id, 'spread'], spread) : removeAt(['marks', mark.id, 'spread']);
    }, 'Set the copies');
  const round = job.piece.shape.kind !== 'flat';
  const options: { value: Kind; label: string }[] = [
    { value: 'once', label: 'once' },
    ...(round ? [{ value: 'round' as const, label: 'evenly round the wall' }] : []),
    { value: 'row', label: 'side by side' },
    { value: 'pairs', label: 'as a mirrored pair' },
    { value: 'corners', label: 'in each corner' },
    { value: 'mirroredCorners', label: 'in each corner, mirrored' },
    { value: 'rising', label: 'in two corners, lower left and upper right' },
    { value: 'falling', label: 'in two corners, upper left and lower right' },
  ];
  return (
    <Sentence>
      It goes on each piece{' '}
      <Choice label="Copies" value={kind} options={options} onChange={(next) => put((saved) => spreadOf(next, countOf(saved)))} />
      {(kind === 'round' || kind === 'row') && (
        <>
          ,{' '}
          <CountWord
            label="Number of copies"
            value={count}
            least={2}
            most={60}
            onChange={(n) => put((saved) => spreadOf(kindOf(saved), n) ?? saved)}
          />{' '}
          of them
          {kind === 'round' ? ', the seam in a gap' : ''}
        </>
      )}
      .
    </Sentence>
  );
}
