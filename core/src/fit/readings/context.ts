import type { DrawnMark, Layer } from '../../artwork';
import type { Usable } from '../../blanks';
import type { Point } from '../../geometry';
import type { Job, Mark, Reading, Shop, Zone } from '../../job';
import type { FittedMark } from '../fitMark';
import type { LayerInspection } from '../inspectMark';

/** All that the readings of one mark look at. */
export interface FitContext {
  readonly job: Job;
  readonly mark: Mark;
  readonly zone: Zone;
  readonly usable: Usable;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly fitted: FittedMark;
  /** The layers at their size around the mark's own middle. */
  readonly shaped: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  readonly shop: Pick<Shop, 'films' | 'paints' | 'climate' | 'lengths' | 'temperatures'>;
  /** What the mark is seen against, #rrggbb, with its name. */
  readonly behind: { colour: string; name: string };
  /** Leaves out the reading of thin parts, which takes longest. */
  readonly quick: boolean;
  /** Keeps what does not depend on where the mark lies. */
  readonly remember: <T>(name: string, compute: () => T) => T;
  /** mm left of each film. */
  readonly filmLeft: (film: string) => number;
  /** Where the words differ from piece to piece: the same for every row. */
  readonly rows: readonly FitContext[];
  /** The words of the row, in a row's context. */
  readonly words?: string;
}

/** One kind of reading about a fitted mark. */
export type FitReading = (context: FitContext) => Reading | undefined;

/** How a mark is called in a reading: by name where there are several. */
export const markLabel = ({ job, mark }: Pick<FitContext, 'job' | 'mark'>): string => (job.marks.length > 1 ? ` · ${mark.name}` : '');

/** Of a mark and, where there is a list, its rows, the one with the least margin; the mark itself where none has less. Rows that have lost all their parts have none. */
export const worstRow = (context: FitContext, margin: (context: FitContext) => number): FitContext =>
  context.rows
    .filter((row) => row.inspections.length > 0)
    .reduce((worst, row) => (margin(row) < margin(worst) * (1 - 1e-6) ? row : worst), context);

/** Whose words a reading speaks of, where there is a list. */
export const ofRow = ({ words }: FitContext): string => (words ? `“${words}”: ` : '');
