import type { Point } from '../../geometry';
import type { FilmLayout } from '../layout';
import { spareLines } from '../spares';
import { penLinesOf, strokesOf } from './strokes';

/** The layers of a file: what the knife cuts, and what a pen writes first. */
const LAYERS = { knife: { name: 'KNIFE', colour: 1 }, pen: { name: 'PEN', colour: 5 }, relief: { name: 'RELIEF', colour: 3 } } as const;

/** Codes and values, each on a line of its own. */
const pairs = (...values: readonly (string | number)[]): string => values.join('\r\n');
const at = (value: number): string => value.toFixed(4);

function polyline(points: readonly Point[], closed: boolean, layer: string): string {
  const vertices = points.map(([x, y]) => pairs(0, 'VERTEX', 8, layer, 10, at(x), 20, at(y), 30, '0.0'));
  const head = pairs(0, 'POLYLINE', 8, layer, 66, 1, 10, '0.0', 20, '0.0', 30, '0.0', 70, closed ? 1 : 0);
  return [head, ...vertices, pairs(0, 'SEQEND', 8, layer)].join('\r\n');
}

/**
 * A layout as a DXF of release 12, which every drawing program reads: millimetres, each outline a closed polyline in the order of the cut, what a
 * pen writes before that on a layer of its own.
 */
export function dxfCutFile(layout: FilmLayout): string {
  const { width, taken } = layout;
  const layerRow = ({ name, colour }: (typeof LAYERS)[keyof typeof LAYERS]) =>
    pairs(0, 'LAYER', 2, name, 70, 0, 62, colour, 6, 'CONTINUOUS');
  return [
    pairs(0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, 4, 9, '$MEASUREMENT', 70, 1),
    pairs(9, '$EXTMIN', 10, '0.0', 20, '0.0', 30, '0.0', 9, '$EXTMAX', 10, at(width), 20, at(taken), 30, '0.0', 0, 'ENDSEC'),
    pairs(0, 'SECTION', 2, 'TABLES'),
    pairs(0, 'TABLE', 2, 'LTYPE', 70, 1, 0, 'LTYPE', 2, 'CONTINUOUS', 70, 64, 3, 'Solid', 72, 65, 73, 0, 40, '0.0', 0, 'ENDTAB'),
    pairs(0, 'TABLE', 2, 'LAYER', 70, 3),
    layerRow(LAYERS.knife),
    layerRow(LAYERS.pen),
    layerRow(LAYERS.relief),
    pairs(0, 'ENDTAB', 0, 'ENDSEC'),
    pairs(0, 'SECTION', 2, 'ENTITIES'),
    ...penLinesOf(layout).map(({ points, closed }) => polyline(points, closed, LAYERS.pen.name)),
    ...strokesOf(layout).map(({ ring }) => polyline(ring, true, LAYERS.knife.name)),
    ...spareLines(layout).map(({ points }) => polyline(points, true, LAYERS.knife.name)),
    ...(layout.register ?? []).map(({ points, closed }) => polyline(points, closed, LAYERS.knife.name)),
    ...(layout.relief ?? []).map(({ points, closed }) => polyline(points, closed, LAYERS.relief.name)),
    pairs(0, 'ENDSEC', 0, 'EOF', ''),
  ].join('\r\n');
}
