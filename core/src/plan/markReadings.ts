import { droppedParts, fitReadings, thinnest, thinRemedies, type FitContext, type ThinRemedies, type Tried } from '../fit';
import type { Film, Job, Reading } from '../job';
import type { Memo } from './memo';
import type { FittingWork, RowWork } from './planMark';
import { asIs } from './asIs';

/** What the readings of marks see of the workshop. */
export interface MarkSurroundings extends Pick<FitContext, 'shop' | 'filmLeft'> {
  readonly quick: boolean;
}

/** The result of a computation, or that it failed: the reading that needs it is shown as not worked out then, and the others stand. */
function tried<T>(compute: () => T): Tried<T> {
  try {
    return { ok: true, value: compute() };
  } catch (error) {
    return { ok: false, error: String(error) };
  }
}

/** Of a mark or one of its rows: how thin it gets, and what is dropped as small. */
function measured(context: FitContext, work: Pick<RowWork, 'drawn' | 'shaped' | 'sizing' | 'inspections'>, memo: Memo, quick: boolean) {
  const { drawn, shaped, inspections } = work;
  const { edits, technique } = context.mark;
  const { scale } = work.sizing;
  const films: readonly Film[] = context.shop.films;
  return {
    ...(!quick && inspections.length > 0
      ? {
          thinness: tried(() => memo.stage('thinness', { drawn, scale, mark: { edits, technique }, films, shaped, inspections }, thinnest)),
        }
      : {}),
    ...(edits.some((edit) => edit.kind === 'dropSmall')
      ? { dropped: tried(() => memo.stage('dropped', { drawn, scale, edits, shaped }, droppedParts)) }
      : {}),
  };
}

/** What would make a mark, or one of its rows, stout enough; undefined where it is. */
function remediesFor(one: FitContext, all: FitContext, memo: Memo): Tried<ThinRemedies> | undefined {
  if (one.inspections.length === 0 || !one.thinness?.ok) return undefined;
  const { limit, strokes } = one.thinness.value;
  if (strokes.least >= limit) return undefined;
  const { drawn, outline, mark, usable, hold, fitted } = one;
  const { edits, size, optical, technique } = mark;
  const { scale, width, largestWidth } = fitted;
  // a typed size does not depend on where the mark lies: a nudge finds what was looked for before
  const placed = size.mode === 'largest' ? { offset: mark.offset, hold } : { offset: { x: 0, y: 0 }, hold: undefined };
  const input = {
    ...{ drawn, outline, usable, scale, width, largestWidth, limit },
    films: all.shop.films,
    mark: { edits, size, optical, technique, ...placed },
    least: strokes.least,
    mayGrow: all.rows.length === 0,
  };
  return tried(() => memo.stage('thin remedies', input, thinRemedies));
}

/** What would make a mark stout enough, with every row of its list: the most that any of them needs. */
function remediesOf(all: FitContext, memo: Memo): Pick<FitContext, 'thinRemedies'> {
  const each = [all, ...all.rows].flatMap((one) => remediesFor(one, all, memo) ?? []);
  const [first] = each;
  if (!first) return {};
  const failed = each.find((one) => !one.ok);
  if (failed) return { thinRemedies: failed };
  const found = each.flatMap((one) => (one.ok ? [one.value] : []));
  const thicken = found.reduce<number | undefined>(
    (most, { thicken: by }) => (most === undefined || by === undefined ? undefined : Math.abs(by) > Math.abs(most) ? by : most),
    found[0]!.thicken,
  );
  return { thinRemedies: { ok: true, value: { width: found.length === 1 ? found[0]!.width : undefined, thicken } } };
}

/** Readings of one fitted mark; a mark with nothing to cut has none. */
export function markReadings(work: FittingWork, job: Job, around: MarkSurroundings, memo: Memo): Reading[] {
  const { plan, drawn, outline, shaped } = work;
  if (drawn.layers.length === 0) return [];
  const { shop, filmLeft, quick } = around;
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
    filmLeft,
    rows: [],
  };
  const rows = work.rows
    .filter((row) => row.drawn.layers.length > 0)
    .map((row): FitContext => {
      const { words, mark, usable, hold, drawn: ofRow, outline: edge, shaped: layers, fitted, inspections } = row;
      const context: FitContext = { ...base, words, mark, usable, hold, drawn: ofRow, outline: edge, shaped: layers, fitted, inspections };
      return { ...context, ...measured(context, row, memo, quick) };
    });
  const own = { drawn, shaped, sizing: work.sizing, inspections: plan.inspections };
  const all: FitContext = { ...base, ...measured(base, own, memo, quick), rows, ...(work.row ? { words: work.row.words } : {}) };
  return memo.stage('fit readings', { ...all, ...remediesOf(all, memo) }, fitReadings);
}
