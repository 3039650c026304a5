import { HANDS_ON, WAITS } from '../facts';
import type { Id } from '../job';
import { inSentence } from '../units';
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
      kind: 'cut',
      title: `Cut ${name}, ${say(taken)} of film`,
      short: 'cut',
      text: `A small test cut first${i === 0 ? ': a square with a circle inside lifts clean, and the liner stays whole' : ''}. Colour side up, smooth, no curl.`,
      hands: Math.max(1, Math.round(minutes + HANDS_ON.testCut)),
      after: [],
      cautions: ['cutter', 'blade'],
      takes: { film, length: taken, area: Math.round(taken * own[0]!.filmWidth), from: own[0]!.from },
    });
  });
  const taped = new Map<Id, Lag[]>();
  for (const layer of layers) {
    const key = `${layer.mark.id}:${layer.film.id}`;
    const several = layers.filter((other) => other.mark === layer.mark).length > 1;
    const what = `${count === 1 ? '' : `${count} × `}${several ? `the ${inSentence(layer.film.name)} layer of ${layer.mark.name}` : layer.mark.name}`;
    add({
      id: id(`weed:${key}`),
      kind: 'weed',
      title: `Weed ${what}`,
      short: 'weed',
      text: layer.weedText,
      hands: Math.max(1, Math.round(layer.weedMinutes * count)),
      after: [{ step: id(`cut:${layer.film.id}`), least: 0, most: WAITS.weedWithin, why: 'weed within a day' }],
      cautions: ['blade', 'smallParts'],
    });
    add({
      id: id(`tape:${key}`),
      kind: 'tape',
      title: `Tape ${what}`,
      short: 'tape',
      text: layer.tapeText,
      hands: minutesFor(HANDS_ON.tape, count, (layer.width * layer.height) / 1e6),
      after: [{ step: id(`weed:${key}`), least: 0, why: 'weeded' }],
      cautions: [],
    });
    taped.set(layer.mark.id, [...(taped.get(layer.mark.id) ?? []), { step: id(`tape:${key}`), least: 0, why: 'taped' }]);
  }
  return taped;
}
