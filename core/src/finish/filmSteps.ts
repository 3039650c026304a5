import { HANDS_ON, LABEL, TECHNIQUES, WAITS } from '../facts';
import { cutKey, isTaped, type Id } from '../job';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { LayerAbout, Lag } from './workStep';

/** Cut, weed, tape where it is lifted with tape; what each mark on its piece has to wait for. */
export function filmSteps({ input, id, add }: RecipeDraft): ReadonlyMap<Id, readonly Lag[]> {
  const { layers, job } = input;
  const { count } = job;
  const films = [...new Set(layers.map((layer) => layer.film.id))];
  films.forEach((film, i) => {
    const own = layers.filter((layer) => layer.film.id === film);
    const minutes = own.reduce((sum, layer) => sum + layer.cutMinutes, 0);
    const taken = own.reduce((sum, layer) => sum + layer.taken, 0);
    const penned = own.some((layer) => TECHNIQUES[layer.mark.technique].penned);
    const write = id(`write:${film}`);
    if (penned)
      add({
        id: write,
        about: { kind: 'write', film: own[0]!.film.name },
        hands: Math.max(1, Math.round(minutes / 2 + LABEL.change)),
        after: [],
        cautions: ['cutter'],
      });
    add({
      id: id(cutKey(film)),
      about: {
        kind: 'cut',
        film: own[0]!.film.name,
        taken,
        first: i === 0,
        ...(own[0]!.before ? { before: own[0]!.before } : {}),
        ...(own[0]!.piece ? { piece: own[0]!.piece } : {}),
        ...(own[0]!.press ? { hot: true as const } : {}),
        ...(penned ? { written: true as const } : {}),
      },
      hands: Math.max(1, Math.round(minutes + HANDS_ON.testCut)),
      // what a pen has written on is cut by itself; other film of the same kind has its test cut made
      ...(penned ? {} : { setup: { key: `cut ${film}`, minutes: HANDS_ON.testCut } }),
      after: penned ? [{ step: write, least: own[0]!.inkDries ?? 0, most: WAITS.weedWithin, why: 'inkDry' }] : [],
      cautions: ['cutter', 'blade'],
      takes: { film, length: taken, area: own[0]!.filmArea, from: own[0]!.from, ...(own[0]!.pieces ? { pieces: own[0]!.pieces } : {}) },
    });
  });
  const taped = new Map<Id, Lag[]>();
  for (const layer of layers) {
    const key = `${layer.mark.id}:${layer.film.id}`;
    if (TECHNIQUES[layer.mark.technique].penned) {
      taped.set(layer.mark.id, [...(taped.get(layer.mark.id) ?? []), { step: id(cutKey(layer.film.id)), least: 0, why: 'lifted' }]);
      continue;
    }
    const layered = layers.filter((other) => other.mark === layer.mark).length > 1;
    const about: LayerAbout = { mark: layer.mark.name, film: layer.film.name, layered, count };
    add({
      id: id(`weed:${key}`),
      about: { kind: 'weed', layer: about, weeding: layer.weeding },
      hands: Math.max(1, Math.round(layer.weedMinutes * count)),
      after: [{ step: id(cutKey(layer.film.id)), least: 0, most: WAITS.weedWithin, why: 'weedSoon' }],
      cautions: ['blade', 'smallParts'],
    });
    const weeded: Lag = { step: id(`weed:${key}`), least: 0, why: 'weeded' };
    if (!isTaped(layer.mark)) {
      taped.set(layer.mark.id, [...(taped.get(layer.mark.id) ?? []), weeded]);
      continue;
    }
    add({
      id: id(`tape:${key}`),
      about: { kind: 'tape', layer: about, ...(layer.tape ? { tape: layer.tape } : {}) },
      hands: minutesFor(HANDS_ON.tape, count, (layer.width * layer.height) / 1e6),
      after: [weeded],
      cautions: [],
    });
    taped.set(layer.mark.id, [...(taped.get(layer.mark.id) ?? []), { step: id(`tape:${key}`), least: 0, why: 'taped' }]);
  }
  return taped;
}
