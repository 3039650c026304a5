import { HANDS_ON, TECHNIQUES } from '../facts';
import { minutesFor, type Lag, type RecipeDraft } from '../finish';
import { makingOf, type Id } from '../job';
import { wayOf } from './ways';

/**
 * Places every mark, those first whose paint must not run onto others.
 *
 * @param taped what each mark waits for from its film
 * @param clean what film waits for from the piece, and whether that is a wipe that dries
 * @returns what packing has to wait for
 */
export function markSteps(draft: RecipeDraft, taped: ReadonlyMap<Id, readonly Lag[]>, clean: Lag, wiped: boolean): Lag[] {
  const { input, care, pieces, id, add } = draft;
  const { job, layers } = input;
  const { piece, count } = job;
  const { shape } = piece;
  const inOrder = [...new Set(layers.map((layer) => layer.mark))].toSorted(
    (a, b) => TECHNIQUES[a.technique].order - TECHNIQUES[b.technique].order,
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
    const { perPiece } = first;
    const films = own.map(({ film }) => film.name);
    const hands = minutesFor(flat ? HANDS_ON.hinge : HANDS_ON.centreOut, count * perPiece, size) * own.length;
    const parts = own.reduce((sum, layer) => sum + layer.parts, 0);
    const byEye = parts > own.length ? count * perPiece * parts * HANDS_ON.byEye : 0;
    const making = makingOf(mark);
    const way = wayOf(making);
    const laid = { mark, making, place, size, area };
    const placing = way.placing(draft, laid, piece);
    add({
      id: place,
      about: {
        ...{ kind: 'place', pieces, mark: mark.name, technique: mark.technique, method: flat ? 'hinge' : 'centreOut' },
        ...{ perPiece, slats: piece.slats !== undefined, films: mark.seenThrough ? films.toReversed() : films },
        ...(byEye > 0 ? { parts } : {}),
        ...(!flat && count > 1 ? { stop: first.foot } : {}),
        ...(placing.mask === undefined ? {} : { mask: placing.mask }),
        ...(first.snips ? { snips: first.snips } : {}),
      },
      hands: hands + Math.round(byEye) + HANDS_ON.dryFit + placing.hands,
      after: [...(taped.get(mark.id) ?? []), ...before],
      cautions: placing.cautions,
      mayPause: !wiped,
    });
    const { ready, firm, care: waits } = way.after(draft, laid, wiped);
    before = [ready];
    last.push(firm);
    care.push(...waits);
  }
  return last;
}
