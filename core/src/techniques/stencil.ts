import { COATS, HANDS_ON, LAYOUT, WAITS } from '../facts';
import { formatDuration } from '../units';
import { isMarkPaint } from '../fit';
import { setAt, type Making, type Reading, type Shop } from '../job';
import { dryingTimes, minutesFor, paintNeeded, PULL_WORDS, pullWindow, type Lag, type RecipeDraft } from '../finish';
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
    kind: 'edge',
    title: `Seal the edges of ${mark.name} with clear sealer`,
    short: 'edges',
    text: 'A thin dab along every edge: what creeps under is clear, and stops the colour.',
    hands: dab,
    after: [{ step: place, least: 0, most: WAITS.edgeAfterStencil, why: 'stencil laid' }],
    cautions: ['paint'],
  });
  let previous: Lag = {
    step: id(`edge:${mark.id}`),
    least: sealTimes.touchDry,
    most: WAITS.paintAfterEdge,
    why: 'edge sealer dries',
  };
  for (let n = 1; n <= making.coats; n++) {
    const own2 = id(`paint:${mark.id}:${n}`);
    add({
      id: own2,
      kind: 'dab',
      title: `Dab ${mark.name}, ${making.coats === 1 ? 'one coat' : `coat ${n} of ${making.coats}`}`,
      short: `coat ${n}`,
      text: `${paint?.name ?? 'Paint'}, ${n === 1 ? `about ${millilitres} ml in all, ` : ''}a sponge nearly dry, straight down. Brushing pushes paint under the edge.`,
      hands: dab,
      after: [previous],
      cautions: ['paint'],
    });
    previous = {
      step: own2,
      least: times.recoat,
      most: WAITS.nextCoat + times.recoat,
      why: `${COATS[coat].name} dries to recoat`,
    };
  }
  const window = pullWindow(making.pullAt, times);
  const pull = id(`pull:${mark.id}`);
  add({
    id: pull,
    kind: 'pull',
    title: `Pull the stencil of ${mark.name}`,
    short: 'pull',
    text: `${PULL_WORDS[making.pullAt][0]!.toUpperCase()}${PULL_WORDS[making.pullAt].slice(1)}: from a corner, flat and slow, islands with tweezers.${window.most ? ` Between ${formatDuration(window.least)} and ${formatDuration(window.most)} after the last coat.` : ''}`,
    hands: minutesFor(HANDS_ON.pull, count, size),
    after: [{ step: previous.step, ...window, why: `paint ${PULL_WORDS[making.pullAt]}` }],
    cautions: ['blade'],
  });
  return {
    ready: { step: pull, least: times.touchDry, why: 'paint touch dry' },
    firm: { step: pull, least: times.beforeFilm, why: 'paint firm enough to wrap' },
    care: [{ after: pull, minutes: times.fullCure, what: `${COATS[coat].name} cures`, then: 'water', packed: true }],
  };
}

/** Whether there is paint, and enough of it. */
function readings({ mark, making, layers, count }: JobMark<Stencil>, { paints }: Pick<Shop, 'paints'>): Reading[] {
  const paint = paints.find((p) => p.id === making.paint);
  const area = layers.reduce((sum, layer) => sum + layer.area, 0);
  const needs = paintNeeded(area, making.coats, count);
  const base = {
    id: `paint:${mark.id}`,
    station: 'paint' as const,
    title: `Paint for ${mark.name}`,
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
  placing: ({ input, say }, { mark, size }) => ({
    title: `Lay the stencil of ${mark.name} and mask around it`,
    text: `Mask ${say(LAYOUT.maskingBorder)} beyond the film, and press every edge down.`,
    hands: minutesFor(HANDS_ON.mask, input.job.count, size),
    cautions: [],
  }),
  after,
  readings,
};
