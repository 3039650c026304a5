import { LABEL } from '../../facts';
import { xmlText } from '../../units';
import type { Ring } from '../../geometry';
import type { FilmLayout } from '../layout';
import { spareLines } from '../spares';
import { moveLines, type PenLine } from './penLines';
import { strokesOf } from './strokes';

const at = (value: number) => value.toFixed(3).replace(/\.?0+$/, '');
const ringData = (ring: Ring, height: number) => `M${ring.map(([x, y]) => `${at(x)} ${at(height - y)}`).join('L')}Z`;

const linePathData = (lines: readonly PenLine[], height: number): string =>
  lines.map(({ points, closed }) => `M${points.map(([x, y]) => `${at(x)} ${at(height - y)}`).join('L')}${closed ? 'Z' : ''}`).join('');

/**
 * A layout as an SVG cut file: one user unit is one mm, the page is the film that is taken, every outline a closed path of its own in the order
 * of the cut, those of a part in one group. Where something is written, what the pen writes stands in a group before the group of the knife.
 *
 * @param layout what lies on the film
 * @param title shown by programs that show titles
 */
export function svgCutFile(layout: FilmLayout, title: string): string {
  const [width, height] = [at(layout.width), at(layout.taken)];
  const strokes = strokesOf(layout);
  const paths = layout.parts.flatMap((_, i) => [
    '  <g>',
    ...strokes.flatMap(({ ring, part }) =>
      part === i ? [`   <path d="${ringData(ring, layout.taken)}" fill="none" stroke="#000" stroke-width="0.1"/>`] : [],
    ),
    '  </g>',
  ]);
  const group = (name: string, lines: readonly PenLine[]) =>
    lines.length > 0
      ? [
          `  <g id="${name}">`,
          ...lines.map((line) => `   <path d="${linePathData([line], layout.taken)}" fill="none" stroke="#000" stroke-width="0.1"/>`),
          '  </g>',
        ]
      : [];
  const written = layout.parts.flatMap((part) => {
    const pen = layout.pens?.[part.outline];
    return pen
      ? [
          `  <path d="${linePathData(moveLines(pen, part.place), layout.taken)}" fill="none" stroke="${LABEL.ink}" ` +
            `stroke-width="${LABEL.pen}"/>`,
        ]
      : [];
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${xmlText(title)}</title>`,
    ...(written.length > 0 ? ['  <g id="pen">', ...written, '  </g>', '  <g id="knife">', ...paths, '  </g>'] : paths),
    ...group('spares', spareLines(layout)),
    ...group('register', layout.register ?? []),
    ...group('relief', layout.relief ?? []),
    '</svg>',
    '',
  ].join('\n');
}
