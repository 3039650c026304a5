import { COATS, HANDS_ON, WAITS } from '../facts';
import { formatDuration } from '../units';
import type { Mark, StepId } from '../job';
import { dryingTimes, type DryingTimes } from './drying';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import { paintNeeded, PULL_WORDS, pullWindow } from './stencil';
import type { Lag } from './workStep';

/** A stencil that lies on the piece: its place step, m² of the mark's box and mm² of its openings. */
export interface LaidStencil {
  readonly mark: Mark;
  readonly place: StepId;
  readonly size: number;
  readonly area: number;
}

/** Seals the edges, dabs the coats and pulls the film; when it was pulled, and how the paint dries. */
export function stencilSteps(
  { input, care, id, add }: RecipeDraft,
  { mark, place, size, area }: LaidStencil,
): { pull: StepId; times: DryingTimes } {
  const { job, climate, paints } = input;
  const { count } = job;
  const paint = paints.find((p) => p.id === mark.paint);
  const coat = paint?.coat ?? 'acrylic';
  const times = dryingTimes(coat, climate);
  const sealTimes = dryingTimes('sealer', climate);
  const dab = minutesFor(HANDS_ON.dab, count, area / 1e6);
  const millilitres = Math.ceil(paintNeeded(area, mark.coats, count));
  add({
    id: id(`edge:${mark.id}`),
    station: 'paint',
    title: `Seal the edges of ${mark.name} with clear sealer`,
    short: 'edges',
    text: 'A thin dab along every edge: what creeps under is clear, and stops the colour.',
    hands: dab,
    after: [{ step: place, least: 0, most: WAITS.edgeAfterStencil, why: 'stencil laid' }],
    cautions: ['paint'],
    mayPause: false,
  });
  let previous: Lag = {
    step: id(`edge:${mark.id}`),
    least: sealTimes.touchDry,
    most: WAITS.paintAfterEdge,
    why: 'edge sealer dries',
  };
  for (let n = 1; n <= mark.coats; n++) {
    const own2 = id(`paint:${mark.id}:${n}`);
    add({
      id: own2,
      station: 'paint',
      title: `Dab ${mark.name}, ${mark.coats === 1 ? 'one coat' : `coat ${n} of ${mark.coats}`}`,
      short: `coat ${n}`,
      text: `${paint?.name ?? 'Paint'}, ${n === 1 ? `about ${millilitres} ml in all, ` : ''}a sponge nearly dry, straight down. Brushing pushes paint under the edge.`,
      hands: dab,
      after: [previous],
      cautions: ['paint'],
      mayPause: false,
    });
    previous = {
      step: own2,
      least: times.recoat,
      most: WAITS.nextCoat + times.recoat,
      why: `${COATS[coat].name} dries to recoat`,
    };
  }
  const window = pullWindow(mark.pullAt, times);
  const pull = id(`pull:${mark.id}`);
  add({
    id: pull,
    station: 'paint',
    title: `Pull the stencil of ${mark.name}`,
    short: 'pull',
    text: `${PULL_WORDS[mark.pullAt][0]!.toUpperCase()}${PULL_WORDS[mark.pullAt].slice(1)}: from a corner, flat and slow, islands with tweezers.${window.most ? ` Between ${formatDuration(window.least)} and ${formatDuration(window.most)} after the last coat.` : ''}`,
    hands: minutesFor(HANDS_ON.pull, count, size),
    after: [{ step: previous.step, ...window, why: `paint ${PULL_WORDS[mark.pullAt]}` }],
    cautions: ['blade'],
    mayPause: false,
  });
  care.push({ after: pull, minutes: times.fullCure, what: `${COATS[coat].name} cures`, then: 'water', packed: true });
  return { pull, times };
}
