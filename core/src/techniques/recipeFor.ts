import { HANDS_ON, type RecipeRow } from '../facts';
import { cleanSteps, coatSteps, draftFor, filmSteps, minutesFor, ownSteps, sealOver, type Recipe, type RecipeInput } from '../finish';
import { markSteps } from './markSteps';

/**
 * The steps of a job: paint first, cut while it dries, weed the same day, then clean, place, paint stencils, pack.
 *
 * @param rows how pieces are prepared, where not by the usual recipes
 * @returns steps in working order with their waits, corrected for the room, and the dates that matter afterwards
 */
export function recipeFor(input: RecipeInput, rows?: readonly RecipeRow[]): Recipe {
  const draft = draftFor(input);
  const { steps, care, pieces, id, add } = draft;
  const ground = ownSteps(draft, 'beforeFilm', [coatSteps(draft, rows, ownSteps(draft, 'first', [])) ?? []].flat());
  const taped = filmSteps(draft);
  const { clean, wiped } = cleanSteps(draft, ground, rows);
  const last = markSteps(draft, taped, clean, wiped);
  const finished = ownSteps(draft, 'beforePacking', sealOver(draft, last.length > 0 ? last : [clean]));
  add({
    id: id('pack'),
    about: { kind: 'pack', pieces },
    hands: minutesFor(HANDS_ON.pack, pieces.count, 0),
    after: finished,
    cautions: ['smallParts'],
  });
  return { steps, care };
}
