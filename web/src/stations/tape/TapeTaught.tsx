import { LEARNING, type TapeKindId } from '@kolleta/core/facts';
import type { Film, Job } from '@kolleta/core/job';
import { factorKey, factorWords } from '@kolleta/core/learning';
import { usePlan } from '../../workers/usePlan';

/** What the log has taught of how firmly a tape holds a film on this piece; nothing where it taught nothing. */
export function TapeTaught({ film: { finish }, tape, job }: { film: Film; tape: TapeKindId; job: Job }) {
  const factor = usePlan()?.learnt.get(factorKey({ kind: 'grip', tape, finish, ground: job.piece.ground }));
  if (!factor || Math.abs(Math.log(factor.value)) < LEARNING.worthSaying) return null;
  return <p className="border-primary mt-1 border-l-4 pl-2 text-[0.9rem]">{factorWords(factor)}, and is chosen by that.</p>;
}
