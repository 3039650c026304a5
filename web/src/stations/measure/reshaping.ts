import { reshape } from '@kolleta/core/blanks';
import type { Job, Patch, Shape } from '@kolleta/core/job';
import { Refusal } from '../../storage/told';

/** How another shape follows from the saved one. */
export type Reshape = (saved: Shape) => Shape;

/**
 * The change of a job by another shape of its piece.
 *
 * @throws Refusal when there can be no such piece
 */
export const reshaping =
  (next: Reshape) =>
  (saved: Job): Patch => {
    const changed = reshape(saved, next(saved.piece.shape));
    if (!changed.ok) throw new Refusal(changed.problem);
    return changed.value;
  };

/** A shape of one kind with some of its measures changed; a piece that has become another kind meanwhile stays as it is. */
export const measured =
  <K extends Shape['kind']>(kind: K, change: (shape: Extract<Shape, { kind: K }>) => Partial<Extract<Shape, { kind: K }>>): Reshape =>
  (saved) =>
    saved.kind === kind ? { ...saved, ...change(saved as Extract<Shape, { kind: K }>) } : saved;
