import {
  COATS,
  GROUNDS,
  HANDS_ON,
  RECIPES,
  WAITS,
  type CautionId,
  type CoatId,
  type RecipeCondition,
  type RecipeRow,
  type RecipeStep,
} from '../facts';
import type { Piece } from '../job';
import { dryingFactor, dryingTimes } from './drying';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { Lag, StepAbout } from './workStep';

/** Whether a row is for a piece. */
function fits({ coat, coated, sealed, ground, drinks }: RecipeCondition, piece: Piece): boolean {
  const { porous, material } = GROUNDS[piece.ground];
  return (
    (coat === undefined || (piece.coat !== undefined && coat.includes(piece.coat))) &&
    (coated === undefined || coated === (piece.coat !== undefined)) &&
    (sealed === undefined || sealed === piece.sealedFirst) &&
    (ground === undefined || ground.includes(piece.ground)) &&
    (drinks === undefined || drinks === (porous || material === 'wood'))
  );
}

/** The row of a recipe for one part of the preparation: the first that fits. */
export const rowFor = (part: RecipeRow['part'], piece: Piece, rows: readonly RecipeRow[] = RECIPES): RecipeRow | undefined =>
  rows.find((row) => row.part === part && fits(row.when, piece));

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

function aboutOf(step: RecipeStep, coat: CoatId | undefined, { pieces }: RecipeDraft): StepAbout {
  switch (step.kind) {
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

/** Adds the steps of a row, each after the one before; the last of them. */
function addRow(draft: RecipeDraft, row: RecipeRow, first: readonly Lag[]): { readonly id: string; readonly step: RecipeStep } | undefined {
  const { input, face, id, add } = draft;
  const { piece, count } = input.job;
  let after = first;
  for (const step of row.steps) {
    const coat = step.puts === 'coat' ? piece.coat : step.puts;
    add({
      id: id(step.key),
      about: aboutOf(step, coat, draft),
      hands: minutesFor(HANDS_ON[step.rate], count, face * (step.share ?? 1)),
      after,
      cautions: cautionsOf(step, coat),
    });
    after =
      coat && step.kind !== 'clean'
        ? [waitFor({ step: id(step.key), coat }, 'recoat', draft)]
        : [{ step: id(step.key), least: 0, why: 'dustedOff' }];
  }
  const last = row.steps.at(-1);
  return last && { id: id(last.key), step: last };
}

/** Coats and sealer; what the cleaning before film has to wait for, if anything. */
export function coatSteps(draft: RecipeDraft, rows?: readonly RecipeRow[]): Lag | undefined {
  const { input, care } = draft;
  const { piece } = input.job;
  const put = (part: 'coat' | 'seal', on: On | undefined): On | undefined => {
    const row = rowFor(part, piece, rows);
    const last = row && addRow(draft, row, on ? [waitFor(on, 'beforeSealer', draft)] : []);
    const coat = last?.step.puts === 'coat' ? piece.coat : last?.step.puts;
    return last && coat ? { step: last.id, coat } : on;
  };
  const on = put('seal', put('coat', undefined));
  if (!on) return undefined;
  care.push({ after: on.step, minutes: dryingTimes(on.coat, input.climate).fullCure, coat: on.coat, then: 'water', packed: true });
  return waitFor(on, 'beforeFilm', draft);
}

/** What film waits for after cleaning, whether it has to follow soon, and whether a recipe was written for this ground. */
export interface Cleaned {
  readonly clean: Lag;
  readonly wiped: boolean;
  readonly known: boolean;
}

/** The piece made clean for film. */
export function cleanSteps(draft: RecipeDraft, ground: Lag | undefined, rows?: readonly RecipeRow[]): Cleaned {
  const row = rowFor('clean', draft.input.job.piece, rows) ?? RECIPES.find(({ part, general }) => part === 'clean' && general)!;
  const { id, step } = addRow(draft, row, ground ? [ground] : [])!;
  const known = row.general !== true;
  if (step.puts !== 'alcohol') return { clean: { step: id, least: 0, why: 'dustedOff' }, wiped: false, known };
  const least = COATS.alcohol.touchDry * dryingFactor('solvent', draft.input.climate).factor;
  const most = step.within ? WAITS[step.within] : undefined;
  return { clean: { step: id, least, ...(most === undefined ? {} : { most }), why: 'alcohol' }, wiped: true, known };
}
