import { dashed, linesOf, strokeOutline, type Cap, type Join, type Path, type Region } from '../../geometry';
import { userLength, type Style } from './svgStyle';

const CAPS: Record<string, Cap> = { butt: 'butt', round: 'round', square: 'square' };
const JOINS: Record<string, Join> = { miter: 'miter', round: 'round', bevel: 'bevel', 'miter-clip': 'miter', arcs: 'miter' };

/**
 * What a stroke paints, as an outline.
 *
 * @param path in user units
 * @param scale working mm a user unit, so that curves and joins come out fine
 * @returns in working mm
 */
export function strokeRegion(path: Path, style: Style, scale: number): Region {
  const width = userLength(style['stroke-width']) ?? 1;
  if (!(width > 0)) return [];
  const pattern = (style['stroke-dasharray'] === 'none' ? [] : style['stroke-dasharray'].split(/[\s,]+/)).map(
    (n) => (userLength(n) ?? Number.NaN) * scale,
  );
  const lines = linesOf(path, [scale, 0, 0, scale, 0, 0]);
  const parted =
    pattern.length > 0 && pattern.every((n) => n >= 0)
      ? dashed(lines, pattern, (userLength(style['stroke-dashoffset']) ?? 0) * scale)
      : lines;
  return strokeOutline(parted, {
    width: width * scale,
    cap: CAPS[style['stroke-linecap']] ?? 'butt',
    join: JOINS[style['stroke-linejoin']] ?? 'miter',
    miterLimit: Math.max(1, Number(style['stroke-miterlimit']) || 4),
  });
}
