import type { DrawnMark, Layer } from '../../artwork';
import { TECHNIQUES } from '../../facts';
import type { Thickness } from '../../geometry';
import type { Film, Mark } from '../../job';
import { limitedLayers, strokesOf, type LayerInspection } from '../inspectMark';
import { shapeMark } from '../shapeMark';

/** The thinnest layer of a mark. */
export interface Thinness {
  readonly film: Film;
  /** Least stroke that this film keeps, mm. */
  readonly limit: number;
  readonly strokes: Thickness;
  /** How often each place is there: copies are measured once. */
  readonly copies: number;
}

/** What a mark is measured by. */
export interface ThinnessInput {
  readonly drawn: DrawnMark;
  /** mm a unit of the drawn mark. */
  readonly scale: number;
  readonly mark: Pick<Mark, 'edits' | 'technique'>;
  readonly films: readonly Film[];
  /** The layers with every change, and what they are like to cut, where they are known. */
  readonly shaped?: readonly Layer[];
  readonly inspections?: readonly LayerInspection[];
}

/** One copy of a mark of shapes that is repeated or scattered, for the others are as thin; undefined for a mark that is measured whole. */
function oneCopy({ drawn, scale, mark }: ThinnessInput): { layers: readonly Layer[]; copies: number } | undefined {
  const last = mark.edits.at(-1);
  if (TECHNIQUES[mark.technique].kept !== 'shapes' || !(last?.kind === 'repeat' || (last?.kind === 'scatter' && !last.over)))
    return undefined;
  const copies = last.kind === 'repeat' ? last.across * last.up : last.count;
  return { layers: shapeMark(drawn, scale, { edits: mark.edits.slice(0, -1) }), copies };
}

/** Every layer of a mark with its strokes. */
export function measureStrokes(input: ThinnessInput): Thinness[] {
  const { drawn, scale, mark, films } = input;
  const copy = oneCopy(input);
  const layers = copy?.layers ?? input.shaped ?? shapeMark(drawn, scale, mark);
  const inspections = (copy ? undefined : input.inspections) ?? limitedLayers(layers, films);
  const strokes = strokesOf(layers, mark, inspections);
  return inspections.map(({ film, limit }, i) => ({ film, limit, strokes: strokes[i]!, copies: copy?.copies ?? 1 }));
}

/** The layer of a mark that is nearest to what its film does not keep. */
export const thinnest = (input: ThinnessInput): Thinness =>
  measureStrokes(input).reduce((worst, one) => (one.strokes.least / one.limit < worst.strokes.least / worst.limit ? one : worst));
