import type { Box, Path } from '../../geometry';
import { pathFromData, pathOfShape } from './shapes';
import { userLength } from './svgStyle';

/** A clip that is written as a shape, and the rule that it is filled by. */
export interface CssClip {
  readonly path: Path;
  readonly rule: 'nonzero' | 'evenodd';
}

/** What stands in a shape's brackets, and the box that follows it. */
const SHAPE =
  /^(circle|ellipse|inset|polygon|path|rect|xywh)\(\s*(.*)\)\s*(fill-box|stroke-box|view-box|border-box|padding-box|content-box|margin-box)?\s*$/is;

/** Where a position lies: a length, a share, or a word. */
function place(text: string, from: number, size: number): number | undefined {
  const words: Record<string, number> = { left: 0, top: 0, center: 0.5, right: 1, bottom: 1 };
  const share = words[text.toLowerCase()];
  if (share !== undefined) return from + share * size;
  const length = userLength(text, size);
  return length === undefined ? undefined : from + length;
}

/**
 * A clip that is written as a shape, in a shape's own units (CSS Shapes 1, Masking 1).
 *
 * @param text of the property
 * @param box that lengths in shares are shares of: the one that is named after the shape, else the box of the stroke
 * @returns nothing where it is no shape, or cannot be read
 */
export function cssClip(text: string, box: (name: string) => Box | undefined): CssClip | undefined {
  const [, kind, inside, named] = SHAPE.exec(text.trim()) ?? [];
  if (kind === undefined || inside === undefined) return undefined;
  const about = box((named ?? 'border-box').toLowerCase());
  if (!about) return undefined;
  const { minX, minY } = about;
  const [width, height] = [about.maxX - minX, about.maxY - minY];
  const shape = (name: string, values: Record<string, number>): CssClip | undefined => {
    const path = pathOfShape(name, (key) => String(values[key] ?? ''), { width, height });
    return path ? { path, rule: 'nonzero' } : undefined;
  };
  const lower = kind.toLowerCase();
  if (lower === 'path') {
    const [, rule, data] = /^(?:(nonzero|evenodd)\s*,\s*)?["'](.*)["']$/s.exec(inside.trim()) ?? [];
    const path = data === undefined ? undefined : pathFromData(data);
    // a path is measured from the corner of its box
    const moved = path?.map(
      (segment) => segment.map((part) => (Array.isArray(part) ? [part[0]! + minX, part[1]! + minY] : part)) as unknown as Path[number],
    );
    return moved ? { path: moved, rule: rule === 'evenodd' ? 'evenodd' : 'nonzero' } : undefined;
  }
  if (lower === 'polygon') {
    const [, rule, list] = /^(?:(nonzero|evenodd)\s*,\s*)?(.*)$/s.exec(inside.trim())!;
    const points = list!.split(',').map((pair) => {
      const [x, y] = pair.trim().split(/\s+/);
      return [place(x ?? '', minX, width), place(y ?? '', minY, height)] as const;
    });
    if (points.length < 3 || points.some(([x, y]) => x === undefined || y === undefined)) return undefined;
    const path: Path = [...points.map(([x, y], i) => [i === 0 ? 'M' : 'L', [x!, y!]] as const), ['Z']];
    return { path, rule: rule === 'evenodd' ? 'evenodd' : 'nonzero' };
  }
  if (lower === 'circle' || lower === 'ellipse') {
    const [measures = '', at = ''] = inside.split(/\bat\b/i);
    const [px = 'center', py = 'center'] = at.trim() === '' ? [] : at.trim().split(/\s+/);
    const [cx, cy] = [place(px, minX, width), place(py, minY, height)];
    if (cx === undefined || cy === undefined) return undefined;
    const sides = { x: [cx - minX, about.maxX - cx], y: [cy - minY, about.maxY - cy] };
    const radius = (word: string | undefined, own: readonly number[], whole: number): number | undefined => {
      if (word === undefined || word === '' || word === 'closest-side') return Math.min(...own.map(Math.abs));
      return word === 'farthest-side' ? Math.max(...own.map(Math.abs)) : userLength(word, whole);
    };
    const words = measures.trim().toLowerCase().split(/\s+/);
    if (lower === 'circle') {
      const r = radius(words[0], [...sides.x, ...sides.y], Math.hypot(width, height) / Math.SQRT2);
      return r === undefined ? undefined : shape('circle', { cx, cy, r });
    }
    const [rx, ry] = [radius(words[0], sides.x, width), radius(words[1] ?? words[0], sides.y, height)];
    return rx === undefined || ry === undefined ? undefined : shape('ellipse', { cx, cy, rx, ry });
  }
  const [measures = '', round = ''] = inside.split(/\bround\b/i);
  const words = measures.trim().split(/\s+/);
  const values = words.map((word, i) =>
    userLength(word, i % 2 === 0 ? (lower === 'xywh' ? width : height) : lower === 'xywh' ? height : width),
  );
  if (values.some((value) => value === undefined)) return undefined;
  const sides = values as number[];
  let edges: [number, number, number, number];
  if (lower === 'xywh') {
    const [x = 0, y = 0, w = 0, h = 0] = sides;
    edges = [minX + x, minY + y, minX + x + w, minY + y + h];
  } else {
    const [top = 0, right = top, bottom = top, left = right] = sides;
    edges =
      lower === 'inset'
        ? [minX + left, minY + top, about.maxX - right, about.maxY - bottom]
        : [minX + left, minY + top, minX + right, minY + bottom];
  }
  const corner = userLength(round.trim().split(/[\s/]+/)[0] ?? '', width) ?? 0;
  const [x0, y0, x1, y1] = edges;
  return x1 > x0 && y1 > y0
    ? shape('rect', { x: x0, y: y0, width: x1 - x0, height: y1 - y0, rx: corner, ry: corner })
    : { path: [], rule: 'nonzero' };
}
