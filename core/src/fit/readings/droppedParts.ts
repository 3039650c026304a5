import type { DrawnMark, Layer } from '../../artwork';
import type { Mark } from '../../job';
import { shapeMark } from '../shapeMark';

/** How many parts "drop small parts" takes away, of how many there would be. */
export interface DroppedParts {
  readonly dropped: number;
  readonly parts: number;
}

/** What the parts of a mark are counted from. */
export interface DroppedInput {
  readonly drawn: DrawnMark;
  /** mm a unit of the drawn mark. */
  readonly scale: number;
  readonly edits: Mark['edits'];
  /** The layers with every change. */
  readonly shaped: readonly Layer[];
}

/** Counts the parts that a mark loses because they are small. */
export function droppedParts({ drawn, scale, edits, shaped }: DroppedInput): DroppedParts {
  const count = (layers: readonly Layer[]) => layers.reduce((sum, { region }) => sum + region.length, 0);
  const parts = count(shapeMark(drawn, scale, { edits: edits.filter((edit) => edit.kind !== 'dropSmall') }));
  return { dropped: Math.max(0, parts - count(shaped)), parts };
}
