import {
  COATS,
  GROUNDS,
  HANDS_ON,
  RECIPES,
  STATES,
  WAITS,
  type CautionId,
  type CoatId,
  type RecipeCondition,
  type RecipeRow,
  type RecipeStep,
  type StateId,
} from '../facts';
import type { Piece } from '../job';
import { dryingFactor, dryingTimes } from './drying';
import { ownSteps } from './ownSteps';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import { MINUTE_MS } from '../units';
import type { Lag, Opens, StepAbout } from './workStep';

/** Whether anything is put on the piece before film. */
const getsCoat = ({ coat, sealedFirst, primed }: Piece): boolean => coat !== undefined || sealedFirst || primed === true;

/** Whether a row is for a piece. */
function fits({ labelled, coat, coated, sealed, primed, painted, ground, material }: RecipeCondition, piece: Piece): boolean {
  return (
    (labelled === undefined || (piece.labelled !== undefined && labelled.includes(piece.labelled))) &&
    (coat === undefined || (piece.coat !== undefined && coat.includes(piece.coat))) &&
    (coated === undefined || coated === getsCoat(piece)) &&
    (sealed === undefined || sealed === piece.sealedFirst) &&
    (primed === undefined || primed === (piece.primed ?? false)) &&
    (painted === undefined || painted === (piece.painted !== undefined)) &&
    (ground === undefined || ground.includes(piece.ground)) &&
    (material === undefined || material.includes(GROUNDS[piece.ground].material))
  );
}

/** The row of a recipe for one part of the preparation: the first that fits. */
export const rowFor = (part: RecipeRow['part'], piece: Piece, rows: readonly RecipeRow[] = RECIPES): RecipeRow | undefined =>
  rows.find((row) => row.part === part && fits(row.when, piece));

/** The row that frees a piece of one of its states, where there is one. */
export const stateRow = (state: StateId, piece: Piece, rows: readonly RecipeRow[] = RECIPES): RecipeRow | undefined =>
  piece.state?.includes(state) && !(state === 'printed' && piece.printGoes)
    ? rows.find((row) => row.part === 'state' && row.when.state?.includes(state) && fits(row.when, piece))
    : undefined;

/** What has been put on a piece so far: the step, and the coat that dries. */
interface On {
  readonly step: string;
  readonly coat: CoatId;
}

/** What comes next on a piece waits for what is on it. */
function waitFor(on: On, next: 'recoat' | 'beforeSealer' | 'beforeFilm', { input }: RecipeDraft): Lag {
  const times = dryingTimes(on.coat, input.climate);
  return {
    step: on.step,
    least: next === 'beforeFilm' ? times.beforeFilm : times.recoat,
    why: next,
    coat: on.coat,
    dries: COATS[on.coat].base,
  };
}

function aboutOf(step: RecipeStep, coat: CoatId | undefined, { pieces, input }: RecipeDraft): StepAbout {
  switch (step.kind) {
    case 'label':
      return { kind: 'label', pieces, of: input.job.piece.labelled ?? 'paper' };
    case 'sand':
      return { kind: 'sand', pieces, ...(step.sands ? { of: step.sands } : {}) };
    case 'scrape':
      return { kind: 'scrape', pieces };
    case 'fill':
      return { kind: 'fill', pieces };
    case 'stain':
      return { kind: 'stain', pieces, coat: coat!, ...(step.nth ? { nth: step.nth } : {}) };
    case 'coat':
      return { kind: 'coat', pieces, coat: coat!, nth: step.nth ?? [1, 1] };
    case 'seal':
      return { kind: 'seal', pieces, ...(step.key === 'prime' ? { first: true } : {}) };
    case 'clean':
      return { kind: 'clean', pieces, cleaning: step.cleaning ?? 'dust' };
    default:
      throw new Error(`a recipe prepares a piece: got a step of the kind ${step.kind}`);
  }
}

const cautionsOf = (step: RecipeStep, coat: CoatId | undefined): readonly CautionId[] =>
  step.cautions ?? (coat ? [...(COATS[coat].base === 'solvent' ? (['vapour'] as const) : []), 'paint'] : []);

/** What may follow on a step, and when: what it put on has to dry. */
function afterStep(step: RecipeStep, id: string, coat: CoatId | undefined, next: RecipeStep | undefined, draft: RecipeDraft): Lag {
  const { climate } = draft.input;
  if (step.puts === 'alcohol')
    return { step: id, least: COATS.alcohol.touchDry * dryingFactor('solvent', climate).factor, why: 'alcohol', dries: 'solvent' };
  if (step.puts === 'wetLabel')
    return {
      step: id,
      least: dryingTimes('wetLabel', climate).beforeFilm,
      why: step.kind === 'label' ? 'labelDry' : 'washedDry',
      dries: COATS.wetLabel.base,
    };
  if (step.puts === 'glue') return { step: id, least: dryingTimes('glue', climate).beforeFilm, why: 'filled', dries: COATS.glue.base };
  if (!coat) return { step: id, least: 0, why: 'bare' };
  if (next?.soon) return { step: id, least: WAITS.soonest, most: WAITS.soon, why: 'recoatSoon', coat };
  return waitFor({ step: id, coat }, 'recoat', draft);
}

/** The coats of a row, as many as the maker wants: the last of them is repeated, or left away. */
function inCoats(steps: readonly RecipeStep[], coats: number | undefined): readonly RecipeStep[] {
  const [first, last] = [steps[0], steps.at(-1)];
  if (coats === undefined || !first || !last || first.puts !== 'coat') return steps;
  const from = Number(first.key.replace(/\D/g, ''));
  return Array.from({ length: coats }, (_, i) => ({
    ...(i === 0 ? first : last),
    key: `coat${from + i}`,
    ...(coats > 1 || first.kind === 'coat' ? { nth: [i + 1, coats] as const } : {}),
  }));
}

/** In how many coats the coat of this job comes. */
export const coatsOf = (piece: Piece): number =>
  piece.coats ?? rowFor('coat', piece)?.steps.filter(({ puts }) => puts === 'coat').length ?? 0;

/** The steps of a row that are done on a piece: without those that its maker leaves out. */
const stepsOf = (row: RecipeRow, { leftOut, coats }: Piece): readonly RecipeStep[] =>
  inCoats(row.steps, coats).filter(({ key }) => !leftOut?.some((out) => out === key));

/** When a coat that is on the piece already is dry enough for what comes next; nothing where it is long dry. */
function opensAt(next: 'recoat' | 'beforeFilm', { input: { job, climate } }: RecipeDraft): { readonly opens?: Opens } {
  const { painted } = job.piece;
  if (painted?.at === undefined) return {};
  return { opens: { at: painted.at + dryingTimes(painted.coat, climate)[next] * MINUTE_MS, why: next, coat: painted.coat } };
}

/** Adds the steps of a row, each after the one before; the last of them. */
function addRow(
  draft: RecipeDraft,
  row: RecipeRow,
  first: readonly Lag[],
  opens: { readonly opens?: Opens } = {},
): { readonly id: string; readonly step: RecipeStep } | undefined {
  const { input, face, id, add } = draft;
  const { piece, count } = input.job;
  const steps = stepsOf(row, piece);
  let after = first;
  steps.forEach((step, i) => {
    const coat = step.puts === 'coat' ? piece.coat : step.puts === 'alcohol' ? undefined : step.puts;
    const paint = step.puts === 'coat' ? (piece.coatPaint ?? coat ?? '') : (coat ?? '');
    add({
      id: id(step.key),
      about: aboutOf(step, coat, draft),
      hands: minutesFor(HANDS_ON[step.rate], count, face * (step.share ?? 1)),
      setup: { key: `${step.rate} ${step.cleaning ?? paint}`, minutes: HANDS_ON[step.rate].start },
      after,
      ...(i === 0 ? opens : {}),
      cautions: cautionsOf(step, coat),
    });
    after = [afterStep(step, id(step.key), coat, steps[i + 1], draft)];
  });
  const last = steps.at(-1);
  return last && { id: id(last.key), step: last };
}

/** Labels off, what is bare made ready, then coats and sealer; what the cleaning before film has to wait for, if anything. */
export function coatSteps(draft: RecipeDraft, rows?: readonly RecipeRow[], begun: readonly Lag[] = []): Lag | undefined {
  const { input, care } = draft;
  const { piece } = input.job;
  /** Adds the row of a part after what came before; what follows waits for it. */
  const make = (part: 'label' | 'bare', before: readonly Lag[]): readonly Lag[] => {
    const row = rowFor(part, piece, rows);
    const last = row && addRow(draft, row, before, part === 'bare' ? opensAt('recoat', draft) : {});
    return last ? [afterStep(last.step, last.id, undefined, undefined, draft)] : before;
  };
  const freed = (state: StateId, before: readonly Lag[]): readonly Lag[] => {
    const row = stateRow(state, piece, rows);
    const last = row && addRow(draft, row, before);
    return last ? [afterStep(last.step, last.id, undefined, undefined, draft)] : before;
  };
  const bare = make(
    'bare',
    STATES.reduce((before, state) => freed(state, before), make('label', begun)),
  );
  const first = ownSteps(draft, 'beforeCoat', bare);
  const put = (part: 'prime' | 'coat' | 'seal', on: On | undefined): On | undefined => {
    const row = rowFor(part, piece, rows);
    const why = part === 'coat' ? 'recoat' : 'beforeSealer';
    const last =
      row &&
      addRow(draft, row, on ? [waitFor(on, why, draft)] : first, draft.steps.some((step) => step.opens) ? {} : opensAt('recoat', draft));
    const coat = last?.step.puts === 'coat' ? piece.coat : last?.step.puts;
    return last && coat ? { step: last.id, coat } : on;
  };
  const on = put('seal', put('coat', put('prime', undefined)));
  if (!on) return first[0];
  care.push({ after: on.step, minutes: dryingTimes(on.coat, input.climate).fullCure, coat: on.coat, then: 'water', packed: true });
  return waitFor(on, 'beforeFilm', draft);
}

/** What film waits for after cleaning, and whether it has to follow soon. */
export interface Cleaned {
  readonly clean: Lag;
  readonly wiped: boolean;
}

/** The piece made clean for film, as what is on top of it stands. */
export function cleanSteps(draft: RecipeDraft, ground: readonly Lag[], rows?: readonly RecipeRow[]): Cleaned {
  const row = rowFor('clean', draft.input.job.piece, rows);
  const added = row && addRow(draft, row, ground, opensAt('beforeFilm', draft));
  if (!added) throw new Error(`no recipe cleans ${draft.input.job.piece.ground}`);
  const { id, step } = added;
  const most = step.within ? { most: WAITS[step.within] } : {};
  const lag = afterStep(step, id, undefined, undefined, draft);
  return {
    clean: { ...lag, ...most, why: step.puts === 'alcohol' ? 'alcohol' : step.cleaning === 'soap' ? 'washed' : 'dustedOff' },
    wiped: step.within !== undefined,
  };
}
