import type { BeforeCut } from '../cut';
import { HANDS_ON, STEP_KINDS, WAITS } from '../facts';
import { cutStepId, stepIdOf, type CutFrom, type Id, type Job, type StepId } from '../job';
import { minutesFor } from './recipeDraft';
import type { Lag, LayerAbout, Recipe, TapeAbout, WeedingAbout, WorkStep } from './workStep';

/** What was lost of one mark in one go. */
export interface LostLayer {
  readonly mark: Id;
  readonly name: string;
  /** Whether the mark has other layers. */
  readonly layered: boolean;
  /** Parts, of all copies. */
  readonly count: number;
  readonly weeding: WeedingAbout;
  /** Minutes for all of them. */
  readonly weedMinutes: number;
  /** None where it is peeled by hand. */
  readonly tape?: TapeAbout;
}

/** What is cut again of one film. */
export interface AgainWork {
  readonly step: StepId;
  readonly film: { readonly id: Id; readonly name: string };
  /** Of the machine. */
  readonly minutes: number;
  /** mm along the film, mm², and what it is cut from. */
  readonly taken: number;
  readonly area: number;
  readonly from: CutFrom;
  readonly before?: BeforeCut;
  readonly hot: boolean;
  readonly penned: boolean;
  readonly layers: readonly LostLayer[];
}

/** A step after one in which something is cut again: it is weeded, taped, put back. */
export const againStepId = (cut: StepId, what: 'weed' | 'tape' | 'back', mark: Id): StepId => `${cut}:${what}:${mark}`;

type NewStep = Pick<WorkStep, 'id' | 'about' | 'hands' | 'after' | 'cautions'> & Partial<Pick<WorkStep, 'takes'>>;

/**
 * Adds what was lost to a recipe: it is cut, weeded and taped again, and joins its mark where that has got to. What comes next waits for it,
 * and what is on the
 * piece already has it put back.
 *
 * @param begun whether a step runs or is done
 * @returns steps each after those that they wait for
 */
export function withAgain(job: Job, recipe: Recipe, works: readonly AgainWork[], begun: (step: StepId) => boolean): Recipe {
  return works.reduce((so, work) => withOne(job, so, work, begun), recipe);
}

function withOne(job: Job, recipe: Recipe, work: AgainWork, begun: (step: StepId) => boolean): Recipe {
  const { steps } = recipe;
  const fresh: WorkStep[] = [];
  const waits = new Map<StepId, Lag[]>();
  const add = (step: NewStep): void => void fresh.push({ ...STEP_KINDS[step.about.kind], ...step, kind: step.about.kind, job: job.id });
  const wait = (step: StepId, lag: Lag) => void waits.set(step, [...(waits.get(step) ?? []), lag]);
  const next = (of: StepId) => steps.filter(({ after }) => after.some(({ step }) => step === of));
  /** Lets whatever is not begun after a step wait. */
  const hold = (of: StepId, lag: Lag, seen = new Set<StepId>()): void => {
    for (const { id } of next(of)) {
      if (seen.has(id)) continue;
      seen.add(id);
      if (begun(id)) hold(id, lag, seen);
      else wait(id, lag);
    }
  };
  const { film, layers } = work;
  add({
    id: work.step,
    about: {
      ...{ kind: 'cut', film: film.name, taken: work.taken, first: false, again: layers.map(({ name }) => name) },
      ...(work.before ? { before: work.before } : {}),
      ...(work.hot ? { hot: true as const } : {}),
      ...(work.penned ? { written: true as const } : {}),
    },
    hands: Math.max(1, Math.round(work.minutes)),
    after: [],
    cautions: ['cutter', 'blade'],
    takes: { film: film.id, length: work.taken, area: work.area, from: work.from },
  });
  for (const layer of layers) {
    const key = `${layer.mark}:${film.id}`;
    const about: LayerAbout = { mark: layer.name, film: film.name, layered: layer.layered, count: layer.count, again: true };
    const [weed, tape] = [stepIdOf(job.id, `weed:${key}`), stepIdOf(job.id, `tape:${key}`)];
    let last: Lag = { step: work.step, least: 0, why: 'lifted' };
    let at = cutStepId(job.id, film.id);
    if (!work.penned) {
      const id = againStepId(work.step, 'weed', layer.mark);
      add({
        id,
        about: { kind: 'weed', layer: about, weeding: layer.weeding },
        hands: Math.max(1, Math.round(layer.weedMinutes)),
        after: [{ step: work.step, least: 0, most: WAITS.weedWithin, why: 'weedSoon' }],
        cautions: ['blade', 'smallParts'],
      });
      last = { step: id, least: 0, why: 'weeded' };
      at = weed;
    }
    const taped = steps.some(({ id }) => id === tape);
    if (taped && !begun(tape)) {
      wait(tape, last);
      continue;
    }
    if (taped) {
      const id = againStepId(work.step, 'tape', layer.mark);
      add({
        id,
        about: { kind: 'tape', layer: about, ...(layer.tape ? { tape: layer.tape } : {}) },
        hands: minutesFor(HANDS_ON.tape, layer.count, 0),
        after: [last],
        cautions: [],
      });
      last = { step: id, least: 0, why: 'taped' };
      at = tape;
    }
    const placed = next(at).filter(({ id, station }) => begun(id) && (station === 'place' || station === 'paint'));
    if (placed.length > 0) {
      const id = againStepId(work.step, 'back', layer.mark);
      add({
        id,
        about: { kind: 'putBack', mark: layer.name, count: layer.count, taped, hot: work.hot },
        hands: Math.max(1, Math.round(layer.count * HANDS_ON.putBack)),
        after: [last],
        cautions: work.hot ? ['heat'] : ['smallParts'],
      });
      last = { step: id, least: 0, why: 'placed' };
    }
    hold(at, last);
  }
  // it stands before whatever waits for it
  const first = steps.findIndex(({ id }) => waits.has(id));
  const held = steps.map((step) => (waits.has(step.id) ? { ...step, after: [...step.after, ...waits.get(step.id)!] } : step));
  const at = first < 0 ? held.length : first;
  return { ...recipe, steps: [...held.slice(0, at), ...fresh, ...held.slice(at)] };
}
