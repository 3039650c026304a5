import { HANDS_ON, PLACINGS, TECHNIQUES, type CautionId } from '../facts';
import { minutesFor, type RecipeDraft } from '../finish';
import type { StepId } from '../job';
import { placingOf } from './placingOf';
import type { LaidAfter, LaidMark } from './technique';

/** What a technique adds to placing film. */
interface Placing {
  /** Masked beyond the film, mm; and whether with paper over all else. */
  readonly mask?: number;
  readonly paper?: boolean;
  /** Minutes more, for the whole set. */
  readonly hands?: number;
  readonly cautions?: readonly CautionId[];
}

/** Adds the step that places the film of a mark, and trims it where it runs over the edge; the id of the last of them. */
export function placeFilm(draft: RecipeDraft, { mark, layers, size }: LaidMark, after: LaidAfter, placing: Placing = {}): StepId {
  const { input, pieces, id, add } = draft;
  const { piece, count } = input.job;
  const flat = piece.shape.kind === 'flat';
  const place = id(`place:${mark.id}`);
  const [first] = layers;
  const perPiece = first?.perPiece ?? 1;
  const films = layers.map(({ film }) => film.name);
  const method = placingOf(mark, piece, first?.width ?? 0, first?.height ?? 0);
  const hands = minutesFor(PLACINGS[method].rate, count * perPiece, size) * layers.length;
  const parts = layers.reduce((sum, layer) => sum + layer.parts, 0);
  // without tape each connected part is peeled and put down by itself
  const connected = layers.reduce((sum, layer) => sum + layer.shapes.count, 0);
  const single = method === 'hand' && TECHNIQUES[mark.technique].taped ? connected : parts;
  const byEye = single > layers.length ? count * perPiece * single * HANDS_ON.byEye : 0;
  add({
    id: place,
    about: {
      ...{
        kind: 'place',
        pieces,
        mark: mark.name,
        technique: mark.technique,
        method,
      },
      ...{ perPiece, slats: piece.slats !== undefined, films: mark.seenThrough ? films.toReversed() : films },
      ...(piece.ground === 'texturedWall' || piece.contact === 'ribbed' ? { rough: true as const } : {}),
      ...(parts > layers.length ? { parts } : {}),
      ...(!flat && count > 1 && first ? { stop: first.foot } : {}),
      ...(placing.mask === undefined ? {} : { mask: placing.mask }),
      ...(placing.paper ? { paper: true } : {}),
      ...(first?.snips ? { snips: first.snips } : {}),
    },
    hands: hands + Math.round(byEye) + HANDS_ON.dryFit + (placing.hands ?? 0),
    after: [...after.film, ...after.piece],
    cautions: placing.cautions ?? [],
    mayPause: !after.wiped,
  });
  if (!mark.overEdge) return place;
  const trim = id(`trim:${mark.id}`);
  add({
    id: trim,
    about: { kind: 'trim', mark: mark.name, pieces },
    hands: minutesFor(HANDS_ON.trim, count * perPiece, 0),
    after: [{ step: place, least: 0, why: 'placed' }],
    cautions: ['blade'],
  });
  return trim;
}
