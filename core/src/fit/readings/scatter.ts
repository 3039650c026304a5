import { scatterPlaces } from '../../artwork';
import { boxAround, boxHeight, boxOf, boxWidth } from '../../geometry';
import { setAt } from '../../job';
import { hullShapes } from '../shapeMark';
import { markLabel, type FitReading } from './context';

/** Whether every copy of a scatter found its place. */
export const scatterReading: FitReading = (context) => {
  const { mark, drawn, fitted } = context;
  const at = mark.edits.findIndex((edit) => edit.kind === 'scatter');
  const scatter = mark.edits[at];
  if (scatter?.kind !== 'scatter' || drawn.layers.length === 0) return undefined;
  const one = hullShapes(drawn, { ...mark, edits: mark.edits.slice(0, at) })(fitted.scale).filter((layer) => layer.region.length > 0);
  if (one.length === 0) return undefined;
  const box = boxAround(one.map((layer) => boxOf(layer.region)));
  const placed = scatterPlaces(scatter, Math.hypot(boxWidth(box), boxHeight(box))).length;
  const base = {
    id: `scatter:${mark.id}`,
    station: 'fit' as const,
    title: `Scatter${markLabel(context)}`,
    value: `${placed} of ${scatter.count}`,
    limit: 'every copy finds its place',
  };
  if (placed === scatter.count)
    return { ...base, verdict: 'fine', why: 'All of them lie in the field, none nearer to another than you asked.', cures: [] };
  const field = ['marks', mark.id, 'edits', scatter.id];
  return {
    ...base,
    verdict: 'watch',
    why: 'The others would come nearer to each other than you asked, or over the edge.',
    cures:
      placed > 0
        ? [
            {
              label: `Only ${placed}`,
              patch: [...setAt([...field, 'count'], placed), ...setAt(['marks', mark.id, 'size'], { mode: 'width', width: boxWidth(box) })],
            },
          ]
        : [],
    advice: 'Or give them a larger field, a smaller distance, or smaller frames and backings.',
  };
};
