import { COATS, HANDS_ON, LAYOUT, WAITS } from '../facts';
import { isMarkPaint } from '../fit';
import { setAt, type Making, type Reading, type Shop } from '../job';
import { dryingTimes, minutesFor, paintNeeded, pullWindow, type Lag, type RecipeDraft } from '../finish';
import type { JobMark, LaidMark, Standing, TechniqueFile } from './technique';

type Stencil = Extract<Making, { technique: 'stencil' }>;

/** Seals the edges, dabs the coats and pulls the film. */
function after({ input, id, add }: RecipeDraft, { mark, making, place, size, area }: LaidMark<Stencil>): Standing {
  const { job, climate, paints } = input;
  const { count } = job;
  const paint = paints.find((p) => p.id === making.paint);
  const coat = paint?.coat ?? 'acrylic';
  const times = dryingTimes(coat, climate);
  const sealTimes = dryingTimes('sealer', climate);
  const dab = minutesFor(HANDS_ON.dab, count, area / 1e6);
  const millilitres = Math.ceil(paintNeeded(area, making.coats, count));
  add({
    id: id(`edge:${mark.id}`),
    about: { kind: 'edge', mark: mark.name },
    hands: dab,
    after: [{ step: place, least: 0, most: WAITS.edgeAfterStencil, why: 'stencilLaid' }],
    cautions: ['paint'],
  });
  let previous: Lag = { step: id(`edge:${mark.id}`), least: sealTimes.touchDry, most: WAITS.paintAfterEdge, why: 'edgeSealer' };
  for (let n = 1; n <= making.coats; n++) {
    const own = id(`paint:${mark.id}:${n}`);
    add({
      id: own,
      about: { kind: 'dab', mark: mark.name, nth: [n, making.coats], millilitres, ...(paint ? { paint: paint.name } : {}) },
      hands: dab,
      after: [previous],
      cautions: ['paint'],
    });
    previous = { step: own, least: times.recoat, most: WAITS.nextCoat + times.recoat, why: 'recoat', coat };
  }
  const window = pullWindow(making.pullAt, times);
  const pull = id(`pull:${mark.id}`);
  add({
    id: pull,
    about: { kind: 'pull', mark: mark.name, pullAt: making.pullAt, window },
    hands: minutesFor(HANDS_ON.pull, count, size),
    after: [{ step: previous.step, ...window, why: making.pullAt }],
    cautions: ['blade'],
  });
  return {
    ready: { step: pull, least: times.touchDry, why: 'touchDry' },
    firm: { step: pull, least: times.beforeFilm, why: 'firm' },
    care: [{ after: pull, minutes: times.fullCure, coat, then: 'water', packed: true }],
  };
}

/** Whether there is paint, and enough of it. */
function readings({ mark, making, layers, count }: JobMark<Stencil>, { paints }: Pick<Shop, 'paints'>): Reading[] {
  const paint = paints.find((p) => p.id === making.paint);
  const area = layers.reduce((sum, layer) => sum + layer.area, 0);
  const needs = paintNeeded(area, making.coats, count);
  const base = {
    id: `paint:${mark.id}` as const,
    station: 'paint' as const,
    title: `Paint for ${mark.name}`,
    mark: mark.id,
    limit: `${Math.ceil(needs)} ml for ${making.coats === 1 ? 'one coat' : `${making.coats} coats`}`,
  };
  const remedies = paints
    .filter((p) => p.id !== making.paint && p.volume >= needs && isMarkPaint(p))
    .slice(0, 2)
    .map((p) => ({ label: `${p.name} — ${Math.floor(p.volume)} ml left`, patch: setAt(['marks', mark.id, 'paint'], p.id) }));
  if (!paint) return [{ ...base, verdict: 'stop', value: 'none chosen', why: 'A stencil needs a paint.', remedies }];
  const value = `${Math.floor(paint.volume)} ml left`;
  if (paint.volume < needs)
    return [{ ...base, verdict: 'watch', value, why: `${paint.name} runs short.`, remedies, advice: `Buy ${paint.name}.` }];
  return [{ ...base, verdict: 'fine', value, why: `${COATS[paint.coat].name}, dabbed.`, remedies: [] }];
}

/** Film as a mask, paint through it, and the film comes off again. */
export const stencil: TechniqueFile<Stencil> = {
  placing: ({ input }, { size }) => ({
    mask: LAYOUT.maskingBorder,
    hands: minutesFor(HANDS_ON.mask, input.job.count, size),
    cautions: [],
  }),
  after,
  readings,
};
