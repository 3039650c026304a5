import { xmlText } from '../../units';
import { boxHeight, boxWidth, type Point } from '../../geometry';
import type { Jig, JigLine } from './jig';

const LOOK: Record<JigLine['kind'], string> = {
  cut: 'stroke="#000" stroke-width="0.35"',
  wall: 'stroke="#000" stroke-width="0.25" stroke-dasharray="1.5 1.5"',
  zone: 'stroke="#0e5a61" stroke-width="0.25" stroke-dasharray="3 1.5"',
  mark: 'stroke="#22302f" stroke-width="0.2"',
  centre: 'stroke="#d98e16" stroke-width="0.25" stroke-dasharray="6 1.5 1 1.5"',
  stop: 'stroke="#ad3f27" stroke-width="0.3"',
  hinge: 'stroke="#0e5a61" stroke-width="0.3" stroke-dasharray="1 1"',
  feature: 'stroke="#5c6663" stroke-width="0.3" stroke-dasharray="2 1"',
  check: 'stroke="#000" stroke-width="0.35"',
};

/** A jig as an SVG of its own size: one user unit is one mm. */
export function svgJig(jig: Jig, title: string): string {
  const { box } = jig;
  const at = ([x, y]: Point) => `${(x - box.minX).toFixed(3)} ${(box.maxY - y).toFixed(3)}`;
  const [width, height] = [boxWidth(box).toFixed(3), boxHeight(box).toFixed(3)];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${xmlText(title)}</title>`,
    ...jig.lines.map(
      ({ kind, points, closed }) => `  <path d="M${points.map(at).join('L')}${closed ? 'Z' : ''}" fill="none" ${LOOK[kind]}/>`,
    ),
    ...jig.words.map(
      ({ at: place, text }) =>
        `  <text x="${at(place).split(' ')[0]}" y="${at(place).split(' ')[1]}" font-size="3.6" font-family="sans-serif">${xmlText(text)}</text>`,
    ),
    '</svg>',
    '',
  ].join('\n');
}
