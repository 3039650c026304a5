import { HANDS_ON, PAINT, PAINT_TOOLS } from '../facts';
import { minutesFor } from '../finish';
import type { Making } from '../job';
import { paintOn, paintReading, toolFor } from './paintWork';
import { placeFilm } from './placeFilm';
import type { TechniqueFile } from './technique';

/** Film as a mask, paint through it, and the film comes off again. */
export const stencil: TechniqueFile<Extract<Making, { technique: 'stencil' }>> = {
  make: (draft, laid, after) => {
    const { id, add, input } = draft;
    const { mark, making, size, area } = laid;
    const { count } = input.job;
    const { mask, paper } = PAINT_TOOLS[toolFor(making, area / 1e6)];
    const place = placeFilm(draft, laid, after, { mask, paper, hands: minutesFor(HANDS_ON.mask, count, size) * (paper ? 2 : 1) });
    const { last, times, window, coat, dries } = paintOn(draft, laid, place, false);
    const pull = id(`pull:${mark.id}`);
    add({
      id: pull,
      about: { kind: 'pull', mark: mark.name, pullAt: making.pullAt, window },
      hands: minutesFor(HANDS_ON.pull, count, size),
      after: [{ step: last, ...window, why: making.pullAt, dries, closesDry: true }],
      cautions: ['blade'],
    });
    const touch = id(`touch:${mark.id}`);
    add({
      id: touch,
      about: { kind: 'touchUp', mark: mark.name, left: 'ground' },
      hands: minutesFor(HANDS_ON.touchUp, count, 0),
      after: [{ step: pull, least: times.touchDry, why: 'touchDry', dries }],
      cautions: [],
    });
    return {
      ready: { step: touch, least: 0, why: 'touchDry' },
      firm: { step: touch, least: Math.max(0, times.beforeFilm - times.touchDry), why: 'firm', dries },
      care: [{ after: touch, minutes: times.fullCure, coat, then: 'water', packed: true }],
    };
  },
  readings: (work, shop) => [
    paintReading(
      work,
      work.layers.reduce((sum, layer) => sum + layer.area, 0),
      PAINT.spreadDabbed,
      shop,
    ),
  ],
};
