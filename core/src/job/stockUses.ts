import { filmInstead } from './filmInstead';
import type { Id, JobId } from './ids';
import type { Job, Mark } from './job';
import { removeAt, setAt, type Patch } from './patch';
import type { StockKindId } from './stockCounts';

/** A job that something in stock is chosen for. */
export interface StockUse {
  readonly job: JobId;
  readonly name: string;
  /** The marks that it is chosen for, by name; none where it is the piece's own coat. */
  readonly marks: readonly string[];
}

const usesFilm = (mark: Mark, film: Id): boolean =>
  mark.film === film || Object.values(mark.colourFilms).includes(film) || mark.edits.some((edit) => 'film' in edit && edit.film === film);

const USED_BY: Record<StockKindId, (mark: Mark, item: Id) => boolean> = {
  film: usesFilm,
  tape: (mark, item) => mark.tape === item,
  paint: (mark, item) => mark.paint === item,
  supply: () => false,
};

/** The open jobs that something in stock is chosen for. */
export const usesOf = (jobs: readonly Job[], stock: StockKindId, item: Id): StockUse[] =>
  jobs
    .filter(({ closed }) => !closed)
    .flatMap((job): StockUse[] => {
      const marks = job.marks.filter((mark) => USED_BY[stock](mark, item)).map(({ name }) => name);
      const coated = stock === 'paint' && job.piece.coatPaint === item;
      return marks.length > 0 || coated ? [{ job: job.id, name: job.name, marks }] : [];
    });

/** One choice of a field, or none any more. */
const instead = (path: readonly string[], to: Id | undefined): Patch => (to === undefined ? removeAt(path) : setAt(path, to));

/**
 * The change that takes something else from stock wherever a job has chosen it.
 *
 * @param to what is taken instead; without it, tapes and paints are chosen by nobody any more and films are left as they are
 */
export function takeInstead(job: Job, stock: StockKindId, from: Id, to: Id | undefined): Patch {
  const { marks, piece } = job;
  switch (stock) {
    case 'film':
      return to === undefined ? [] : marks.flatMap((mark) => filmInstead(mark, from, to));
    case 'tape':
      return marks.filter(({ tape }) => tape === from).flatMap(({ id }) => instead(['marks', id, 'tape'], to));
    case 'paint':
      return [
        ...marks.filter(({ paint }) => paint === from).flatMap(({ id }) => instead(['marks', id, 'paint'], to)),
        ...(piece.coatPaint === from ? instead(['piece', 'coatPaint'], to) : []),
      ];
    case 'supply':
      return [];
  }
}
