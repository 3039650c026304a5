import { aboutMark, setAt } from '../../job';
import { scatteredCopies } from '../scattered';
import { type FitReading } from './context';

/** Whether every copy of a scatter found its place. */
export const scatterReading: FitReading = (context) => {
  const { mark, drawn, fitted } = context;
  const copies = scatteredCopies(drawn, mark, fitted.scale);
  if (!copies) return undefined;
  const { edit, width } = copies;
  const placed = copies.places.length;
  const base = {
    id: `scatter:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Scatter',
    ...aboutMark(context.mark, context.several),
    value: `${placed} of ${edit.count}`,
    limit: 'every copy finds its place',
  };
  if (placed === edit.count)
    return { ...base, verdict: 'fine', why: 'All of them lie in the field, none nearer to another than you asked.', remedies: [] };
  const only = [
    ...setAt(['marks', mark.id, 'edits', edit.id, 'count'], placed),
    ...(edit.copy === undefined ? setAt(['marks', mark.id, 'size'], { mode: 'width', width }) : []),
  ];
  return {
    ...base,
    verdict: 'watch',
    why: 'The others would come nearer to each other than you asked, or over the edge.',
    remedies: placed > 0 ? [{ label: `Only ${placed}`, patch: only }] : [],
    advice: 'Or give them a larger field, a smaller distance, or smaller frames and backings.',
  };
};
