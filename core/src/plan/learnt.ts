import type { Recipe, WorkStep } from '../finish';
import { dryingLearnt, factorFor, type Learnt } from '../learning';
import type { Job, StepOf } from '../job';
import type { LayerPlan } from './steps';

/** The last part of a step's id, after that of its job: what it is about, parted by colons. */
const partsOf = (step: WorkStep): string[] =>
  step.id
    .slice(step.job.length + 1)
    .split(':')
    .slice(1);

/** Stations at which the piece itself is worked on. */
const ON_PIECE: ReadonlySet<string> = new Set(['prepare', 'place', 'paint', 'cure']);

/** What a step is about, as far as that may make a difference to how long it takes and how it comes out. */
function stepOfWork(step: WorkStep, job: Job, layers: readonly LayerPlan[]): StepOf {
  const parts = partsOf(step);
  const ofMark = layers.filter(({ mark }) => parts.includes(mark));
  const own = ofMark.length > 0 ? ofMark : layers;
  const layer = layers.find(({ film, mark }) => parts.includes(film.id) && (ofMark.length === 0 || parts.includes(mark))) ?? own[0];
  const technique = job.marks.find(({ id }) => id === layer?.mark)?.technique;
  const about: { -readonly [K in keyof StepOf]: StepOf[K] } = {};
  if (ON_PIECE.has(step.station)) about.ground = job.piece.ground;
  if (step.station !== 'prepare' && layer) {
    if (step.station !== 'paint' && step.station !== 'cure') about.film = layer.film.kind;
    if (step.station !== 'cut' && technique) about.technique = technique;
    if ((step.kind === 'tape' || step.kind === 'place') && layer.choice) {
      about.tape = layer.choice.tape.kind;
      about.finish = layer.film.finish;
      about.ground = job.piece.ground;
    }
  }
  return about;
}

/** Minutes as they are planned: whole ones, and halves of a few. */
const planned = (minutes: number): number => (minutes < 5 ? Math.max(0.5, Math.round(minutes * 2) / 2) : Math.round(minutes));

/** The steps of a job with what the log has taught: how long its work takes these hands, and its coats in this room. */
export function withLearnt(job: Job, recipe: Recipe, layers: readonly LayerPlan[], learnt: Learnt): Recipe {
  const steps = recipe.steps.map((step): WorkStep => {
    const of = stepOfWork(step, job, layers);
    const who = job.given?.find((one) => one.step === step.id)?.who;
    const { value } = factorFor(learnt, step.kind, who === undefined ? of : { ...of, who });
    const after = step.after.map((lag) => {
      const slower = lag.dries ? dryingLearnt(learnt, lag.coat, lag.dries) : 1;
      if (slower === 1) return lag;
      const most = lag.most !== undefined && lag.closesDry ? { most: lag.most * slower } : {};
      return { ...lag, least: Math.round(lag.least * slower), ...most, learnt: slower };
    });
    if (value === 1) return { ...step, of, after };
    const hands = planned(step.hands * value);
    const setup = step.setup ? { setup: { ...step.setup, minutes: Math.min(hands, step.setup.minutes * value) } } : {};
    return { ...step, of, after, hands, unlearned: step.hands, ...setup };
  });
  return { ...recipe, steps };
}
