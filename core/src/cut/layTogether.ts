import type { KeptLayout, Machine } from '../job';
import { gapOf, layoutFilm, type CutPart, type FilmLayout } from './layout';
import { asKept, keptFor, partsKey } from './nest/keptLayout';
import { skyline } from './nest/skyline';

/** The parts that a layout was made of, with those that found no room on it. */
export const partsOf = ({ outlines, pens, parts, noRoom = [] }: FilmLayout): CutPart[] =>
  outlines.flatMap((region, i): CutPart[] => {
    const own = parts.filter(({ outline }) => outline === i);
    const [first] = own;
    if (!first) return noRoom.filter(({ outline }) => outline === i).map(({ outline: _own, ...part }) => part);
    return [{ job: first.job, mark: first.mark, name: first.mark, copies: own.length, region, ...(pens?.[i] ? { pen: pens[i] } : {}) }];
  });

/** How many copies a layout was asked for, with those that found no room. */
export const copiesAsked = ({ parts, noRoom = [] }: Pick<FilmLayout, 'parts' | 'noRoom'>): number =>
  noRoom.reduce((sum, { copies }) => sum + copies, parts.length);

/**
 * Several jobs' layouts of one film, laid out anew as one.
 *
 * @param layouts of one film, at least one
 * @param kept layouts that were looked for before: one for just these parts is taken
 */
export function layTogether(layouts: readonly FilmLayout[], machines: readonly Machine[], kept: readonly KeptLayout[] = []): FilmLayout {
  const [first] = layouts;
  if (!first || layouts.length === 1) return first!;
  const parts = layouts.flatMap(partsOf);
  const gap = gapOf(first);
  const found = kept.some(({ film }) => film === first.film.id) ? keptFor(kept, first.film.id, partsKey(parts), gap) : undefined;
  return layoutFilm(first.film, parts, machines, found ? asKept(found, skyline) : skyline, gap);
}

/** What laying several together saves of film against each by itself, mm. */
export const savedTogether = (layouts: readonly FilmLayout[], together: FilmLayout): number =>
  layouts.reduce((sum, { taken }) => sum + taken, 0) - together.taken;
