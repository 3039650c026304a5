import svgpath from 'svgpath';
import type { Path, Point, Segment } from '../../geometry';
import { arcAbout, arcBetween } from './arc';
import { userLength } from './svgStyle';

/** Path data as segments; nothing when it cannot be read. Arcs become cubics, shorthands are written out. */
export const pathFromData = (data: string): Path | undefined => readPathData(data)?.path;

/** The same, with the places in the list of segments that end within an arc: there is no corner of the drawing's. */
export function readPathData(data: string): { readonly path: Path; readonly within: ReadonlySet<number> } | undefined {
  const within = new Set<number>();
  if (data.trim() === '') return { path: [], within };
  const segments: Segment[] = [];
  let bad = false;
  let at: Point = [0, 0];
  let start: Point = [0, 0];
  const parsed = svgpath(data).abs().unshort();
  if ((parsed as unknown as { err: string }).err) return undefined;
  parsed.iterate(([command, ...n]) => {
    const number = n as number[];
    if (!number.every(Number.isFinite)) bad = true;
    const point = (i: number): Point => [number[i]!, number[i + 1]!];
    if (command === 'Z' || command === 'z') {
      segments.push(['Z']);
      at = start;
      return;
    }
    if (command === 'M') {
      at = start = point(0);
      segments.push(['M', at]);
    } else if (command === 'L') segments.push(['L', (at = point(0))]);
    else if (command === 'H') segments.push(['L', (at = [number[0]!, at[1]])]);
    else if (command === 'V') segments.push(['L', (at = [at[0], number[0]!])]);
    else if (command === 'Q') segments.push(['Q', point(0), (at = point(2))]);
    else if (command === 'C') segments.push(['C', point(0), point(2), (at = point(4))]);
    else if (command === 'A') {
      const [rx, ry, turn, large, sweep] = number as [number, number, number, number, number];
      const arc = arcBetween(at, point(5), [rx, ry], turn, large !== 0, sweep !== 0);
      arc.slice(1).forEach((_, i) => within.add(segments.length + i));
      segments.push(...arc);
      at = point(5);
    }
  });
  const finite = segments.every((segment) => segment.slice(1).every((p) => (p as Point).every(Number.isFinite)));
  return bad || !finite ? undefined : { path: segments, within };
}

const ellipse = (cx: number, cy: number, rx: number, ry: number): Path => [
  ['M', [cx + rx, cy]],
  ...arcAbout([cx, cy], [rx, ry], 0, 0, 2 * Math.PI),
  ['Z'],
];

/** Measures that run across, and those that run up; what is neither is of the mean of both. */
const ACROSS = /^(x|x1|x2|cx|rx|width)$/;
const UP = /^(y|y1|y2|cy|ry|height)$/;

/**
 * A basic shape as a path; nothing when its measures cannot be read, empty when it has no size.
 *
 * @param room width and height of what it is drawn in, user units: what shares are shares of
 */
export function pathOfShape(
  name: string,
  get: (attribute: string) => string,
  room: { readonly width: number; readonly height: number },
): Path | undefined {
  const whole = (key: string) =>
    ACROSS.test(key) ? room.width : UP.test(key) ? room.height : Math.hypot(room.width, room.height) / Math.SQRT2;
  const number = (key: string) => (get(key) === '' || get(key) === 'auto' ? 0 : (userLength(get(key), whole(key)) ?? Number.NaN));
  if (name === 'polygon' || name === 'polyline') {
    const n = (get('points').match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
    const points = Array.from({ length: Math.floor(n.length / 2) }, (_, i): Point => [n[2 * i]!, n[2 * i + 1]!]);
    if (points.length < 2) return [];
    const way = points.map((p, i): Segment => [i === 0 ? 'M' : 'L', p]);
    return name === 'polygon' ? [...way, ['Z']] : way;
  }
  if (name === 'circle' || name === 'ellipse') {
    const [rx, ry] = name === 'circle' ? [number('r'), number('r')] : [number('rx'), number('ry')];
    if (![rx, ry, number('cx'), number('cy')].every(Number.isFinite)) return undefined;
    return rx > 0 && ry > 0 ? ellipse(number('cx'), number('cy'), rx, ry) : [];
  }
  if (name === 'line') {
    const ends = ['x1', 'y1', 'x2', 'y2'].map(number);
    if (!ends.every(Number.isFinite)) return undefined;
    return [
      ['M', [ends[0]!, ends[1]!]],
      ['L', [ends[2]!, ends[3]!]],
    ];
  }
  const [x, y, w, h] = [number('x'), number('y'), number('width'), number('height')];
  if (![x, y, w, h].every(Number.isFinite)) return undefined;
  if (w <= 0 || h <= 0) return [];
  const said = (key: string) => get(key) !== '' && get(key) !== 'auto';
  const rx = Math.min(w / 2, !said('rx') ? number('ry') : number('rx'));
  const ry = Math.min(h / 2, !said('ry') ? rx : number('ry'));
  if (!(rx > 0) || !(ry > 0)) return [['M', [x, y]], ['L', [x + w, y]], ['L', [x + w, y + h]], ['L', [x, y + h]], ['Z']];
  const corner = (cx: number, cy: number, from: number) => arcAbout([cx, cy], [rx, ry], 0, from, Math.PI / 2);
  return [
    ['M', [x + rx, y]],
    ['L', [x + w - rx, y]],
    ...corner(x + w - rx, y + ry, -Math.PI / 2),
    ['L', [x + w, y + h - ry]],
    ...corner(x + w - rx, y + h - ry, 0),
    ['L', [x + rx, y + h]],
    ...corner(x + rx, y + h - ry, Math.PI / 2),
    ['L', [x, y + ry]],
    ...corner(x + rx, y + ry, Math.PI),
    ['Z'],
  ];
}
