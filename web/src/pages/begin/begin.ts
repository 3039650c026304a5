import { USUAL_CUTTERS, USUAL_FILMS, USUAL_ROLL, USUAL_TAPES, USUAL_WEEKS } from '@kolleta/core/facts';
import { setAt, type Film, type Patch, type Shop, type Tape } from '@kolleta/core/job';
import { machineLike } from '../workshop/machineLike';

/** What was answered at the beginning; a question that was skipped is not there. */
export interface Answers {
  readonly lengths?: Shop['lengths'];
  readonly week?: keyof typeof USUAL_WEEKS;
  /** Which of the usual cutters. */
  readonly cutter?: number;
  /** Which of the usual films, and tapes. */
  readonly films: readonly number[];
  readonly tapes: readonly number[];
}

/**
 * The change that makes an empty workshop one's own.
 *
 * @param id gives a new id each time
 */
export function begin(shop: Pick<Shop, 'lengths'>, answers: Answers, id: () => string): Patch {
  const lengths = answers.lengths ?? shop.lengths;
  const roll = USUAL_ROLL[lengths];
  const films = answers.films.map((i): Film => ({ id: id(), ...USUAL_FILMS[i]!, ...roll, price: 0 }));
  const tapes = answers.tapes.map((i): Tape => ({ id: id(), ...USUAL_TAPES[i]!, ...roll, price: 0 }));
  const cutter = answers.cutter === undefined ? undefined : machineLike(USUAL_CUTTERS[answers.cutter]!, lengths, id);
  return [
    ...setAt(['lengths'], lengths),
    ...(answers.lengths ? setAt(['temperatures'], lengths === 'inch' ? 'F' : 'C') : []),
    ...(answers.week ? setAt(['hours', 'week'], USUAL_WEEKS[answers.week].week) : []),
    ...(cutter ? setAt(['machines', cutter.id], cutter) : []),
    ...films.flatMap((film) => setAt(['films', film.id], film)),
    ...tapes.flatMap((tape) => setAt(['tapes', tape.id], tape)),
  ];
}
