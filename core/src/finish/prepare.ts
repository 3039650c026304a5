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
import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { Lag, StepAbout } from './workStep';

/** Whether a row is for a piece. */
function fits({ labelled, coat, coated, sealed, ground, material }: RecipeCondition, piece: Piece): boolean {
  return (
    (labelled === undefined || (piece.labelled !== undefined && labelled.includes(piece.labelled))) &&
    (coat === undefined || (piece.coat !== undefined && coat.includes(piece.coat))) &&
    (coated === undefined || coated === (piece.coat !== undefined || piece.sealedFirst)) &&
    (sealed === undefined || sealed === piece.sealedFirst) &&
    (ground === undefined || ground.includes(piece.ground)) &&
    (material === undefined || material.includes(GROUNDS[piece.ground].material))
  );
}

/** The row of a recipe for one part of the preparation: the first that fits. */
export const rowFor = (part: RecipeRow['part'], piece: Piece, rows: readonly RecipeRow[] = RECIPES): RecipeRow | undefined =>
  rows.find((row) => row.part === part && fits(row.when, piece));

/** The row that frees a piece of one of its states, where there is one. */
const stateRow = (state: StateId, piece: Piece, rows: readonly RecipeRow[] = RECIPES): RecipeRow | undefined =>
  piece.state?.includes(state)
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
  return { step: on.step, least: next === 'beforeFilm' ? times.beforeFilm : times.recoat, why: next, coat: on.coat };
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
      return { kind: 'stain', pieces, coat: coat! };
    case 'coat':
      return { kind: 'coat', pieces, coat: coat!, nth: step.nth ?? [1, 1] };
    case 'seal':
      return { kind: 'seal', pieces };
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
  if (step.puts === 'alcohol') return { step: id, least: COATS.alcohol.touchDry * dryingFactor('solvent', climate).factor, why: 'alcohol' };
  if (step.puts === 'wetLabel')
    return { step: id, least: dryingTimes('wetLabel', climate).beforeFilm, why: step.kind === 'label' ? 'labelDry' : 'washedDry' };
  if (step.puts === 'glue') return { step: id, least: dryingTimes('glue', climate).beforeFilm, why: 'filled' };
  if (!coat) return { step: id, least: 0, why: 'bare' };
  if (next?.soon) return { step: id, least: WAITS.soonest, most: WAITS.soon, why: 'recoatSoon', coat };
  return waitFor({ step: id, coat }, 'recoat', draft);
}

/** Adds the steps of a row, each after the one before; the last of them. */
function addRow(draft: RecipeDraft, row: RecipeRow, first: readonly Lag[]): { readonly id: string; readonly step: RecipeStep } | undefined {
  const { input, face, id, add } = draft;
  const { piece, count } = input.job;
  let after = first;
  row.steps.forEach((step, i) => {
    const coat = step.puts === 'coat' ? piece.coat : step.puts === 'alcohol' ? undefined : step.puts;
    add({
      id: id(step.key),
      about: aboutOf(step, coat, draft),
      hands: minutesFor(HANDS_ON[step.rate], count, face * (step.share ?? 1)),
      after,
      cautions: cautionsOf(step, coat),
    });
    after = [afterStep(step, id(step.key), coat, row.steps[i + 1], draft)];
  });
  const last = row.steps.at(-1);
  return last && { id: id(last.key), step: last };
}

/** Labels off, what is bare made ready, then coats and sealer; what the cleaning before film has to wait for, if anything. */
export function coatSteps(draft: RecipeDraft, rows?: readonly RecipeRow[], begun: readonly Lag[] = []): Lag | undefined {
  const { input, care } = draft;
  const { piece } = input.job;
  /** Adds the row of a part after what came before; what follows waits for it. */
  const make = (part: 'label' | 'bare', before: readonly Lag[]): readonly Lag[] => {
    const row = rowFor(part, piece, rows);
    const last = row && addRow(draft, row, before);
    return last ? [afterStep(last.step, last.id, undefined, undefined, draft)] : before;
  };
  const freed = (state: StateId, before: readonly Lag[]): readonly Lag[] => {
    const row = stateRow(state, piece, rows);
    const last = row && addRow(draft, row, before);
    return last ? [afterStep(last.step, last.id, undefined, undefined, draft)] : before;
  };
  const first = make(
    'bare',
    STATES.reduce((before, state) => freed(state, before), make('label', begun)),
  );
  const put = (part: 'coat' | 'seal', on: On | undefined): On | undefined => {
    const row = rowFor(part, piece, rows);
    const last = row && addRow(draft, row, on ? [waitFor(on, 'beforeSealer', draft)] : first);
    const coat = last?.step.puts === 'coat' ? piece.coat : last?.step.puts;
    return last && coat ? { step: last.id, coat } : on;
  };
  const on = put('seal', put('coat', undefined));
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
  const added = row && addRow(draft, row, ground);
  if (!added) throw new Error(`no recipe cleans ${draft.input.job.piece.ground}`);
  const { id, step } = added;
  const most = step.within ? { most: WAITS[step.within] } : {};
  const lag = afterStep(step, id, undefined, undefined, draft);
  return {
    clean: { ...lag, ...most, why: step.puts === 'alcohol' ? 'alcohol' : step.cleaning === 'soap' ? 'washed' : 'dustedOff' },
    wiped: step.within !== undefined,
  };
}
