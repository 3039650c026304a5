import { TECHNIQUES, type TechniqueId } from '../facts';
import { applyPatch, type Job, type Mark, type Patch, type Shop } from '../job';
import { makeAs } from './makeAs';

/** The marks of a job that are made otherwise than by a technique. */
const othersThan = (job: Job, made: TechniqueId): Mark[] => job.marks.filter(({ technique }) => ![made].includes(technique));

/** What makes all marks of a job by a technique, as far as the shop has what that takes; those that are made so already are left as they are. */
export const asMade = (job: Job, technique: TechniqueId, shop: Shop): Patch =>
  othersThan(job, technique).flatMap((mark) => makeAs(technique, mark, shop, job.piece.colour) ?? []);

/** The same order with all its marks made by another technique, as far as the shop has what that takes. */
export function otherWays(order: Job, shop: Shop): { technique: TechniqueId; job: Job }[] {
  return (Object.keys(TECHNIQUES) as TechniqueId[])
    .filter((technique) => !TECHNIQUES[technique].penned && othersThan(order, technique).length > 0)
    .flatMap((technique) => {
      const patches = othersThan(order, technique).map((mark) => makeAs(technique, mark, shop, order.piece.colour));
      if (patches.some((patch) => !patch)) return [];
      const job = patches.reduce((made: Job, patch) => applyPatch(made, patch!).document, order);
      return [{ technique, job }];
    });
}
