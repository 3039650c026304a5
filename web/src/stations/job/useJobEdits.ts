import { useCallback } from 'react';
import { stillHolds, type Cure, type Reading } from '@kolleta/core/job';
import { editJob, type JobChange } from '../../storage/editJob';
import { keepingBecomes, NotKept, NotTheWriter } from '../../storage/keeping';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import { useSettling } from '../../workers/settled';
import type { StationProps } from './station';

/** The cure was worked out before the last change. */
class Overtaken extends Error {}

/** So often a cure is worked out anew before its reading is left to be looked at again. */
const MOST_TRIES = 4;

/** A cure is the same one when only its figures have changed. */
const wording = (label: string) => label.replace(/[\d.,/⁄½¼¾⅛⅜⅝⅞]+/g, '#');

/** The same cure in a newer plan. */
export const sameCure = (reading: Reading | undefined, { label }: Cure): Cure | undefined =>
  reading?.cures.find((c) => c.label === label) ?? reading?.cures.find((c) => wording(c.label) === wording(label));

/** Edits of a job, told when they cannot be made; and cures, which go by the plan of the job as it is saved. */
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
    async (reading: Reading, pressed: Cure) => {
      try {
        for (let tries = 0; tries < MOST_TRIES; tries++) {
          const { plan } = await settled();
          const cure = sameCure(
            plan.jobs.get(id)?.readings.find((r) => r.id === reading.id),
            pressed,
          );
          if (!cure) break;
          try {
            await editJob(
              id,
              (saved) => {
                if (!stillHolds(cure, saved)) throw new Overtaken();
                return cure.patch;
              },
              cure.label,
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
  return { edit, fix: (reading, cure) => void fix(reading, cure) };
}
