import { TECHNIQUES } from '../facts';
import type { Lag, RecipeDraft } from '../finish';
import { makingOf, type Id } from '../job';
import { wayOf } from './ways';

/**
 * Makes every mark, those first whose paint or cream must not run onto others.
 *
 * @param film what each mark waits for from its film
 * @param clean what film waits for from the piece, and whether that is a wipe that dries
 * @returns what packing has to wait for
 */
export function markSteps(draft: RecipeDraft, film: ReadonlyMap<Id, readonly Lag[]>, clean: Lag, wiped: boolean): Lag[] {
  const { input, care } = draft;
  const { layers } = input;
  const inOrder = [...new Set(layers.map((layer) => layer.mark))].toSorted(
    (a, b) => TECHNIQUES[a.technique].order - TECHNIQUES[b.technique].order,
  );
  let before: Lag[] = [clean];
  const last: Lag[] = [];
  for (const mark of inOrder) {
    const own = layers.filter((layer) => layer.mark === mark);
    const [first] = own;
    if (!first) continue;
    const area = own.reduce((sum, layer) => sum + layer.area, 0);
    const size = (first.width * first.height) / 1e6;
    const making = makingOf(mark);
    const laid = { mark, making, layers: own, size, area };
    const { ready, firm, care: waits } = wayOf(making).make(draft, laid, { film: film.get(mark.id) ?? [], piece: before, wiped });
    before = [ready];
    last.push(firm);
    care.push(...waits);
  }
  return last;
}
