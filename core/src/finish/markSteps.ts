import { FIRST_WASH, HANDS_ON, LAYOUT, WAITS } from '../facts';
import type { Id } from '../job';
import { dryingFactor } from './drying';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import { stencilSteps } from './stencilSteps';
import type { Lag } from './workStep';

/**
 * Places every mark, stencils first, since their paint must not run onto decals.
 *
 * @param taped what each mark waits for from its film
 * @param clean what film waits for from the piece, and whether that is a wipe that dries
 * @returns what packing has to wait for
 */
export function markSteps(draft: RecipeDraft, taped: ReadonlyMap<Id, readonly Lag[]>, clean: Lag, wiped: boolean): Lag[] {
  const { input, care, whole, id, add, say } = draft;
  const { job, layers, climate } = input;
  const { piece, count } = job;
  const { shape } = piece;
  const inOrder = [...new Set(layers.map((layer) => layer.mark))].toSorted(
    (a, b) => Number(b.technique === 'stencil') - Number(a.technique === 'stencil'),
  );
  let before: Lag[] = [clean];
  const last: Lag[] = [];
  for (const mark of inOrder) {
    const own = layers.filter((layer) => layer.mark === mark);
    const [first] = own;
    if (!first) continue;
    const flat = shape.kind === 'flat';
    const area = own.reduce((sum, layer) => sum + layer.area, 0);
    const size = (first.width * first.height) / 1e6;
    const place = id(`place:${mark.id}`);
    const method = flat
      ? 'Masking tape across the middle as a hinge: press one half, cut its liner away, then the other.'
      : 'Hold the tape in a curve, touch down in the middle, smooth outward. Steady the piece so that it cannot roll.';
    const stop = !flat && count > 1 ? ` Foot stop ${say(first.foot)} under the mark, the same for every piece.` : '';
    const often = first.perPiece;
    const hands = minutesFor(flat ? HANDS_ON.hinge : HANDS_ON.centreOut, count * often, size) * own.length;
    const copies = often > 1 ? ` ${often} on each piece; mark their places from the jig.` : '';
    const slats = piece.slats ? ' Over the gaps between slats the film is parted with a sharp blade once it holds.' : '';
    const dryFit = HANDS_ON.dryFit;
    add({
      id: place,
      station: 'place',
      title: mark.technique === 'stencil' ? `Lay the stencil of ${mark.name} and mask around it` : `Place ${mark.name} on ${whole}`,
      short: 'place',
      text: `Dry fit first, liner still on. ${method}${stop}${copies}${slats}${own.length > 1 ? ' Lowest and largest film first.' : ''}${mark.technique === 'stencil' ? ` Mask ${say(LAYOUT.maskingBorder)} beyond the film, and press every edge down.` : ''}`,
      hands: hands + dryFit + (mark.technique === 'stencil' ? minutesFor(HANDS_ON.mask, count, size) : 0),
      after: [...(taped.get(mark.id) ?? []), ...before],
      cautions: mark.technique === 'decal' && piece.use.drink ? ['food'] : [],
      mayPause: !wiped,
    });
    if (mark.technique === 'stencil') {
      const { pull, times } = stencilSteps(draft, { mark, place, size, area });
      before = [{ step: pull, least: times.touchDry, why: 'paint touch dry' }];
      last.push({ step: pull, least: times.beforeFilm, why: 'paint firm enough to wrap' });
    } else {
      before = [{ step: place, least: 0, ...(wiped ? { most: WAITS.placeAfterWipe } : {}), why: 'placed' }];
      last.push({ step: place, least: 0, why: 'placed' });
      care.push({
        after: place,
        minutes: FIRST_WASH * dryingFactor('adhesive', climate, true).factor,
        what: 'adhesive dwells',
        then: 'first wash',
        packed: true,
      });
    }
  }
  return last;
}
