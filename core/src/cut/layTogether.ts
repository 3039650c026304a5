import type { Machine } from '../job';
import { layoutFilm, type CutPart, type FilmLayout } from './layout';

/** The parts that a layout was made of. */
const partsOf = ({ outlines, pens, parts }: FilmLayout): CutPart[] =>
  outlines.flatMap((region, i) => {
    const own = parts.filter(({ outline }) => outline === i);
    const [first] = own;
    return first
      ? [{ job: first.job, mark: first.mark, name: first.mark, copies: own.length, region, ...(pens?.[i] ? { pen: pens[i] } : {}) }]
      : [];
  });

/**
 * Several jobs' layouts of one film, laid out anew as one.
 *
 * @param layouts of one film, at least one
 */
export const layTogether = (layouts: readonly FilmLayout[], machines: readonly Machine[]): FilmLayout =>
  layouts.length === 1 ? layouts[0]! : layoutFilm(layouts[0]!.film, layouts.flatMap(partsOf), machines);

/** What laying several together saves of film against each by itself, mm. */
export const savedTogether = (layouts: readonly FilmLayout[], together: FilmLayout): number =>
  layouts.reduce((sum, { taken }) => sum + taken, 0) - together.taken;
