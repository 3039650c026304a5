import type { DrawnMark, Layer } from '../../artwork';
import type { Surface, Usable } from '../../blanks';
import type { Point } from '../../geometry';
import type { Id, Mark, Piece, Reading, Shop, Zone } from '../../job';
import type { FittedMark } from '../fitMark';
import type { LayerInspection } from '../inspectMark';
import type { DroppedParts } from './droppedParts';
import type { Thinness } from './thinness';
import type { ThinRemedies } from './thinRemedies';

/** What a mark is seen against: of several colours the one that it stands out from least; #rrggbb. */
export interface Behind {
  readonly colour: string;
  readonly colours: readonly string[];
  readonly name: string;
}

/** All that the readings of one mark look at. */
export interface FitContext {
  readonly piece: Piece;
  /** What is on top where the mark goes. */
  readonly surface: Surface;
  /** Whether the job has other marks too. */
  readonly several: boolean;
  /** Every zone of the piece, by what tells them apart. */
  readonly places: readonly Pick<Zone, 'id' | 'name' | 'colours'>[];
  readonly mark: Mark;
  readonly zone: Zone;
  readonly usable: Usable;
  /** What the mark is held against, where its copies decide that too. */
  readonly hold: Mark['hold'];
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly fitted: FittedMark;
  /** The layers at their size around the mark's own middle. */
  readonly shaped: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  readonly shop: Pick<Shop, 'films' | 'paints' | 'climate' | 'lengths' | 'temperatures'>;
  /** What the mark is seen against, with its name. */
  readonly behind: Behind;
  /** How thin it gets; undefined at a first look, which leaves it out. */
  readonly thinness?: Tried<Thinness>;
  /** What would make it stout enough, where it or one of its rows is not. */
  readonly thinRemedies?: Tried<ThinRemedies>;
  /** What is dropped as small; undefined where nothing is. */
  readonly dropped?: Tried<DroppedParts>;
  /** mm left of each film. */
  readonly filmLeft: Readonly<Record<Id, number>>;
  /** Where the words differ from piece to piece: the same for every row. */
  readonly rows: readonly FitContext[];
  /** The words of the row, in a row's context. */
  readonly words?: string;
}

/** What was computed for a reading, or that it failed. */
export type Tried<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: string };

/** What was computed; throws, for the guard round the reading, where it failed. */
export function needed<T>(tried: Tried<T>): T {
  if (!tried.ok) throw new Error(tried.error);
  return tried.value;
}

/** One kind of reading about a fitted mark. */
export type FitReading = (context: FitContext) => Reading | undefined;

/**
 * Of a mark and, where there is a list, its rows, the one with the least margin; the mark itself where none has less. Rows that have lost
 * all their parts have none.
 */
export const worstRow = (context: FitContext, margin: (context: FitContext) => number): FitContext =>
  context.rows
    .filter((row) => row.inspections.length > 0)
    .reduce((worst, row) => (margin(row) < margin(worst) * (1 - 1e-6) ? row : worst), context);

/** Whose words a reading speaks of, where there is a list. */
export const ofRow = ({ words }: FitContext): string => (words ? `“${words}”: ` : '');
