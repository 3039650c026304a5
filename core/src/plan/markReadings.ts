import { TECHNIQUES } from '../facts';
import {
  droppedParts,
  fitReadings,
  thinnest,
  rowKeepsStrokes,
  thinnestRow,
  thinRemedies,
  type FitContext,
  type ThinRow,
  type Tried,
} from '../fit';
import type { Film, Job, Mark, Reading } from '../job';
import { TooMuchWork } from '../units';
import type { Memo } from './memo';
import type { FittingWork, RowWork } from './planMark';
import { asIs } from './asIs';

/** What the readings of marks see of the workshop. */
export interface MarkSurroundings extends Pick<FitContext, 'shop' | 'filmLeft'> {
  readonly films: readonly Film[];
  readonly quick: boolean;
}

/** The result of a computation, or that it failed: the reading that needs it is shown as not worked out then, and the others stand. */
function tried<T>(compute: () => T): Tried<T> {
  try {
    return { ok: true, value: compute() };
  } catch (error) {
    if (error instanceof TooMuchWork) throw error;
    return { ok: false, error: String(error) };
  }
}

/** The films of a mark's layers: what is taken off another roll changes nothing. */
const filmsOf = ({ layers }: FitContext['drawn'], films: readonly Film[]): Film[] =>
  films.filter(({ id }) => layers.some((layer) => layer.film === id));

/** Of a mark or one of its rows: how thin it gets, and what is dropped as small. */
function measured(
  { edits, technique }: Mark,
  work: Pick<RowWork, 'drawn' | 'shaped' | 'sizing' | 'inspections'>,
  { quick, films: all }: MarkSurroundings,
  memo: Memo,
) {
  const { drawn, shaped, inspections } = work;
  const { scale } = work.sizing;
  const films = filmsOf(drawn, all);
  return {
    // what a pen writes is not cut: nothing of it is too thin
    ...(!quick && inspections.length > 0 && !TECHNIQUES[technique].penned
      ? {
          thinness: tried(() => memo.stage('thinness', { drawn, scale, mark: { edits, technique }, films, shaped, inspections }, thinnest)),
        }
      : {}),
    ...(edits.some((edit) => edit.kind === 'dropSmall')
      ? { dropped: tried(() => memo.stage('dropped', { drawn, scale, edits, shaped }, droppedParts)) }
      : {}),
  };
}

/** Rows of a list are thickened by so much more, mm a side: what the tightest of them loses in size the others lose too. */
const FOR_ALL_ROWS = 0.05;

/** What of a row its strokes depend on. */
const asThinRow = ({ drawn, outline, usable, fitted, mark }: FitContext, films: readonly Film[]): ThinRow => {
  const { edits, size, optical, technique, offset } = mark;
  return { drawn, outline, usable, films: filmsOf(drawn, films), scale: fitted.scale, mark: { edits, size, optical, technique, offset } };
};

/** What would make a mark stout enough, where it or one of its rows is not: what the thinnest of them needs. */
function remediesOf(all: FitContext, films: readonly Film[], memo: Memo): Pick<FitContext, 'thinRemedies'> {
  if (all.inspections.length === 0 || !all.thinness?.ok || all.rows.some(({ thinness }) => thinness && !thinness.ok)) return {};
  const one = thinnestRow(all);
  if (!one.thinness?.ok) return {};
  const { limit, strokes } = one.thinness.value;
  if (strokes.least >= limit) return {};
  const { drawn, outline, mark, usable, hold, fitted } = one;
  const { edits, size, optical, technique } = mark;
  const { scale, width, largestWidth } = fitted;
  // a typed size does not depend on where the mark lies: a nudge finds what was looked for before
  const placed = size.mode === 'largest' ? { offset: mark.offset, hold } : { offset: { x: 0, y: 0 }, hold: undefined };
  const input = {
    ...{ drawn, outline, usable, scale, width, largestWidth, limit },
    films: filmsOf(drawn, films),
    mark: { edits, size, optical, technique, ...placed },
    least: strokes.least,
    mayGrow: all.rows.length === 0,
  };
  const found = tried(() => memo.stage('thin remedies', input, thinRemedies));
  if (!found.ok || found.value.thicken === undefined || all.rows.length === 0) return { thinRemedies: found };
  const { thicken } = found.value;
  const sign = TECHNIQUES[technique].thickening === 'stouter' ? 1 : -1;
  const rowsKeep = (by: number) => all.rows.every((row) => memo.stage('thin row', { row: asThinRow(row, films), by }, rowKeepsStrokes));
  for (let tries = 0; tries < 3; tries++) {
    const by = Math.round((thicken + sign * FOR_ALL_ROWS * (1 + 2 * tries)) * 100) / 100;
    const keeps = tried(() => rowsKeep(by));
    if (!keeps.ok) return { thinRemedies: keeps };
    if (keeps.value) return { thinRemedies: { ok: true, value: { thicken: by } } };
  }
  return { thinRemedies: { ok: true, value: {} } };
}

/** Readings of one fitted mark; a mark with nothing to cut has none. */
export function markReadings(work: FittingWork, job: Job, around: MarkSurroundings, memo: Memo): Reading[] {
  const { plan, drawn, outline, shaped } = work;
  if (drawn.layers.length === 0) return [];
  const { shop, filmLeft, films } = around;
  const base: FitContext = {
    piece: memo.stage('piece', job.piece, asIs),
    several: job.marks.length > 1,
    places: job.zones.map(({ id, name, colours }) => ({ id, name, colours })),
    mark: plan.mark,
    zone: plan.zone,
    usable: plan.usable,
    hold: work.hold,
    drawn,
    outline,
    fitted: plan.fitted,
    shaped,
    inspections: plan.inspections,
    shop,
    behind: plan.behind,
    surface: plan.surface,
    filmLeft,
    rows: [],
  };
  const rows = work.rows
    .filter((row) => row.drawn.layers.length > 0)
    .map((row): FitContext => {
      const { words, mark, usable, hold, drawn: ofRow, outline: edge, shaped: layers, fitted, inspections } = row;
      const context: FitContext = { ...base, words, mark, usable, hold, drawn: ofRow, outline: edge, shaped: layers, fitted, inspections };
      return { ...context, ...measured(mark, row, around, memo) };
    });
  const own = { drawn, shaped, sizing: work.sizing, inspections: plan.inspections };
  const all: FitContext = { ...base, ...measured(plan.mark, own, around, memo), rows, ...(work.row ? { words: work.row.words } : {}) };
  return memo.stage('fit readings', { ...all, ...remediesOf(all, films, memo) }, fitReadings);
}
