import { COATS, GROUNDS, HANDS_ON, WAITS } from '../facts';
import {
  CLEANING,
  draftFor,
  dryingFactor,
  DUST,
  filmSteps,
  groundSteps,
  minutesFor,
  WIPE,
  type Lag,
  type Recipe,
  type RecipeInput,
} from '../finish';
import { markSteps } from './markSteps';

/**
 * The steps of a job: paint first, cut while it dries, weed the same day, then clean, place, paint stencils, pack.
 *
 * @returns steps in working order with their waits, corrected for the room, and the dates that matter afterwards
 */
export function recipeFor(input: RecipeInput): Recipe {
  const draft = draftFor(input);
  const { steps, care, whole, face, id, add } = draft;
  const { job, climate } = input;
  const { piece, count } = job;
  const ground = groundSteps(draft);
  const taped = filmSteps(draft);

  // the piece made ready for film
  const written = CLEANING[piece.ground];
  const cleaning = written ?? (GROUNDS[piece.ground].porous || GROUNDS[piece.ground].material === 'wood' ? DUST : WIPE);
  add({
    id: id('clean'),
    kind: 'clean',
    title: cleaning.title(whole),
    short: cleaning.short,
    text: `${piece.build === 'joined' ? 'Joined boards: clamped as the sheet of the glue says, at full strength the next day. ' : piece.build === 'apart' ? 'Take it apart first, and keep its screws together. ' : ''}${cleaning.text}`,
    hands: minutesFor(cleaning.rate, count, face / 3),
    after: ground ? [ground] : [],
    cautions: cleaning.cautions,
  });
  const alcohol = COATS.alcohol.touchDry * dryingFactor('solvent', climate).factor;
  const clean: Lag = cleaning.dry
    ? { step: id('clean'), least: alcohol, most: WAITS.placeAfterWipe, why: 'alcohol dries' }
    : { step: id('clean'), least: 0, why: 'dusted off' };

  const last = markSteps(draft, taped, clean, cleaning.dry);
  add({
    id: id('pack'),
    kind: 'pack',
    title: `Check, wrap and label ${whole}`,
    short: 'pack',
    text: `${piece.build === 'apart' ? 'Put it together again. ' : ''}Look along the edges once more. The care card goes in with it.`,
    hands: minutesFor(HANDS_ON.pack, count, 0),
    after: last.length > 0 ? last : [clean],
    cautions: ['smallParts'],
  });
  return { steps, care, unknownGround: written === undefined };
}
