import { TECHNIQUES, type TechniqueId } from '../facts';
import { applyPatch, type Job, type Shop } from '../job';
import { makeAs } from './makeAs';

/** The same order with all its marks made by another technique, as far as the shop has what that takes. */
export function otherWays(order: Job, shop: Shop): { technique: TechniqueId; job: Job }[] {
  const othersThan = (made: TechniqueId) => order.marks.filter(({ technique }) => ![made].includes(technique));
  return (Object.keys(TECHNIQUES) as TechniqueId[])
    .filter((technique) => !TECHNIQUES[technique].penned && othersThan(technique).length > 0)
    .flatMap((technique) => {
      const patches = othersThan(technique).map((mark) => makeAs(technique, mark, shop, order.piece.colour));
      if (patches.some((patch) => !patch)) return [];
      const job = patches.reduce((made: Job, patch) => applyPatch(made, patch!).document, order);
      return [{ technique, job }];
    });
}
