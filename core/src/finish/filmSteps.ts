import { HANDS_ON, WAITS } from '../facts';
import type { Id } from '../job';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { Lag } from './workStep';

/** Cut, weed, tape; what the placing of each mark has to wait for. */
export function filmSteps({ input, id, add, say }: RecipeDraft): ReadonlyMap<Id, readonly Lag[]> {
  const { layers, job } = input;
  const { count } = job;
  const films = [...new Set(layers.map((layer) => layer.film.id))];
  films.forEach((film, i) => {
    const own = layers.filter((layer) => layer.film.id === film);
    const name = own[0]!.film.name;
    const minutes = own.reduce((sum, layer) => sum + layer.cutMinutes, 0);
    const taken = own.reduce((sum, layer) => sum + layer.taken, 0);
    add({
      id: id(`cut:${film}`),
      station: 'cut',
      title: `Cut ${name}, ${say(taken)} of film`,
      short: 'cut',
      text: `A small test cut first${i === 0 ? ': a square with a circle inside lifts clean, and the liner stays whole' : ''}. Colour side up, smooth, no curl.`,
      hands: Math.max(1, Math.round(minutes + HANDS_ON.testCut)),
      after: [],
      cautions: ['cutter', 'blade'],
      mayPause: true,
      takes: { film, length: taken },
    });
  });
  const taped = new Map<Id, Lag[]>();
  for (const layer of layers) {
    const key = `${layer.mark.id}:${layer.film.id}`;
    add({
      id: id(`weed:${key}`),
      station: 'weed',
      title: `Weed ${count === 1 ? '' : `${count} × `}${layer.mark.name}`,
      short: 'weed',
      text: layer.weedText,
      hands: Math.max(1, Math.round(layer.weedMinutes * count)),
      after: [{ step: id(`cut:${layer.film.id}`), least: 0, most: WAITS.weedWithin, why: 'weed within a day' }],
      cautions: ['blade', 'smallParts'],
      mayPause: true,
    });
    add({
      id: id(`tape:${key}`),
      station: 'tape',
      title: `Tape ${count === 1 ? '' : `${count} × `}${layer.mark.name}`,
      short: 'tape',
      text: layer.tapeText,
      hands: minutesFor(HANDS_ON.tape, count, (layer.width * layer.height) / 1e6),
      after: [{ step: id(`weed:${key}`), least: 0, why: 'weeded' }],
      cautions: [],
      mayPause: true,
    });
    taped.set(layer.mark.id, [...(taped.get(layer.mark.id) ?? []), { step: id(`tape:${key}`), least: 0, why: 'taped' }]);
  }
  return taped;
}
