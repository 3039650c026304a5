import { bridged } from '../../artwork';
import { BRIDGES, FILM_KINDS, TECHNIQUES } from '../../facts';
import { aboutMark, type Patch, type Reading } from '../../job';
import { counted, formatArea, formatLength } from '../../units';
import { ofRow, worstRow, type FitContext, type FitReading } from './context';

/** Insides of the openings of a mark: islands of film, mm² each. */
const islandsOf = ({ shaped }: Pick<FitContext, 'shaped'>, inspections: FitContext['inspections']): number[] =>
  shaped.length === 0 ? [] : inspections.flatMap(({ pieces }) => pieces.counters.map(({ area }) => area));

/** How small the smallest island of a mark is, against what lies still by itself. */
const marginOf = (context: FitContext): number => Math.min(Infinity, ...islandsOf(context, context.inspections)) / BRIDGES.steady;

/** Islands of film in the openings of a stencil: they lie loose once its shapes are lifted out, unless bridges hold them. */
export const islandsReading: FitReading = (all): Reading | undefined => {
  const { mark } = all;
  if (TECHNIQUES[mark.technique].kept !== 'surround' || all.inspections.length === 0) return undefined;
  const context = worstRow(all, marginOf);
  const islands = islandsOf(context, context.inspections);
  if (islands.length === 0) return undefined;
  const loose = islands.filter((area) => area < BRIDGES.steady);
  const film = all.shop.films.find(({ id }) => id === mark.film);
  const width = Math.max(BRIDGES.width, Math.ceil((film ? FILM_KINDS[film.kind].leastStroke.typical : 0) * BRIDGES.overLeast * 10) / 10);
  const patch: Patch = [{ op: 'set', path: ['marks', mark.id, 'edits', 'bridges'], value: { id: 'bridges', kind: 'bridges', width } }];
  // a bridge that reaches none of them, or that leaves no letter, is no help
  const helps =
    loose.length > 0 &&
    !mark.edits.some(({ kind }) => kind === 'bridges') &&
    context.shaped.every(({ region }) => {
      const after = bridged(region, width);
      return after.every(({ holes }) => holes.length === 0) && (region.length === 0 || after.length > 0);
    });
  return {
    id: `islands:${mark.id}`,
    station: 'fit',
    title: 'Islands',
    ...aboutMark(mark, all.several),
    value: counted(islands.length, 'island'),
    limit: `none below ${formatArea(BRIDGES.steady, all.shop.lengths)}`,
    verdict: loose.length > 0 ? 'watch' : 'fine',
    why:
      loose.length > 0
        ? `${ofRow(context)}${counted(loose.length, 'inside')} of its openings ${loose.length === 1 ? 'is' : 'are'} so small that ` +
          `${loose.length === 1 ? 'it shifts' : 'they shift'}, or ${loose.length === 1 ? 'goes' : 'go'} with the waste.`
        : 'They lie loose, and keep their places on the tape. Weed around them, and count them before you lift the stencil.',
    remedies: loose.length > 0 && helps ? [{ label: `Bridge them, ${formatLength(width, all.shop.lengths)} wide`, patch }] : [],
    ...(loose.length > 0 && !helps
      ? { advice: 'Make it larger, choose a stouter face, or press each island down before you lift it.' }
      : {}),
  };
};
