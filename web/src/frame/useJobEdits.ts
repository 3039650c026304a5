import { useCallback } from 'react';
import { stillHolds, type Remedy, type Reading } from '@kolleta/core/job';
import { editJob, type JobChange } from '../storage/editJob';
import { keepingBecomes, NotKept, NotTheWriter } from '../storage/keeping';
import { plainly } from '../storage/plainly';
import { useTell } from '../ui/toasts';
import { useSettling } from '../workers/settled';
import type { StationProps } from './station';

/** The remedy was worked out before the last change. */
class Overtaken extends Error {}

/** So often a remedy is worked out anew before its reading is left to be looked at again. */
const MOST_TRIES = 4;

/** A remedy is the same one when only its figures have changed. */
const wording = (label: string) => label.replace(/[\d.,/⁄½¼¾⅛⅜⅝⅞]+/g, '#');

/** The same remedy in a newer plan. */
export const sameRemedy = (reading: Reading | undefined, { label }: Remedy): Remedy | undefined =>
  reading?.remedies.find((c) => c.label === label) ?? reading?.remedies.find((c) => wording(c.label) === wording(label));

/** Edits of a job, told when they cannot be made; and remedies, which go by the plan of the job as it is saved. */
export function useJobEdits(id: string): Pick<StationProps, 'edit' | 'fix'> {
  const tell = useTell();
  const { settled } = useSettling();
  const edit = useCallback(
    async (change: JobChange, label: string): Promise<number> => {
      try {
        return await editJob(id, change, label);
      } catch (error) {
        // it is held in this tab, and so is what the field shows
        if (error instanceof NotKept) await keepingBecomes(({ trouble }) => trouble === undefined);
        // the band at the top has told it
        else if (!(error instanceof NotTheWriter)) tell(plainly(error), { tone: 'error' });
        return 0;
      }
    },
    [id, tell],
  );
  const fix = useCallback(
    async (reading: Reading, pressed: Remedy) => {
      try {
        for (let tries = 0; tries < MOST_TRIES; tries++) {
          const { plan } = await settled();
          const remedy = sameRemedy(
            plan.jobs.get(id)?.readings.find((r) => r.id === reading.id),
            pressed,
          );
          if (!remedy) break;
          try {
            await editJob(
              id,
              (saved) => {
                if (!stillHolds(remedy, saved)) throw new Overtaken();
                return remedy.patch;
              },
              remedy.label,
            );
            return;
          } catch (error) {
            if (!(error instanceof Overtaken)) throw error;
          }
        }
        tell('Your last change has changed this. Nothing was fixed; look at it again.');
      } catch (error) {
        if (!(error instanceof NotKept || error instanceof NotTheWriter)) tell(plainly(error), { tone: 'error' });
      }
    },
    [id, settled, tell],
  );
  return { edit, fix: (reading, remedy) => void fix(reading, remedy) };
}
