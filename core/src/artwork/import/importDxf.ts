import { good, refused, type Result } from '../../units';
import {
  applyToPoint,
  boxHeight,
  boxOfPoints,
  boxWidth,
  flatten,
  mapPath,
  rotation,
  scaling,
  then,
  translation,
  type Point,
  type Transform,
} from '../../geometry';
import type { DrawnPart } from '../../job';
import { readDxf } from './dxfReader';
import { seenFromBehind, waysOf } from './dxfEntities';
import { degrees, endOf, type Entity, type Loose, type Way } from './dxfWays';
import { gapsSaid, joinWays, meetWithin } from './joinWays';
import { loopsAsMeant } from './loopsAsMeant';
import type { ImportedDrawing } from './importSvg';
import { lighten } from './lighten';

/** Larger files are refused, bytes. */
const DXF_MOST_BYTES = 20 * 1024 * 1024;
const MOST_PIECES = 100_000;
const MOST_DEPTH = 24;

/** mm of a unit as `$INSUNITS` numbers them: inch, foot, millimetre, centimetre, metre. */
const MM_OF_UNIT: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

/** Curves are followed this nearly: mm where the drawing says its units, else a share of its larger side. */
const CURVE_MM = 0.005;
const CURVE_SHARE = 2e-5;
/** What is worked out in areas is as large as this, mm, where the drawing does not say its units. */
const WORK_MM = 1000;
/** Kinds whose points are given in the drawing's own coordinates. */
const IN_WORLD = new Set(['LINE', 'SPLINE', 'ELLIPSE', 'POINT']);

const isSound = (way: Loose): boolean =>
  [way.from, ...way.segments.flatMap((s) => s.slice(1) as Point[])].every(([x, y]) => Number.isFinite(x + y));

/** About how large a drawing is, units of its own: as far apart as the points in it stand. */
function extentOf(entities: readonly Entity[]): number {
  let [low, high] = [Infinity, -Infinity];
  for (const { groups = [] } of entities)
    for (const { code, value } of groups) {
      if (code !== 10 && code !== 20 && code !== 11 && code !== 21) continue;
      const n = Number(value);
      if (!Number.isFinite(n)) continue;
      low = Math.min(low, n);
      high = Math.max(high, n);
    }
  return high > low ? high - low : 1;
}

const hex = (color: number): string => `#${(color & 0xffffff).toString(16).padStart(6, '0')}`;

/** Codes whose values are measures: places, lengths, angles, directions. */
const isMeasure = (code: number): boolean => (code >= 10 && code <= 59) || (code >= 110 && code <= 149) || (code >= 210 && code <= 239);

/**
 * Checks that a DXF is what it has to be: pairs of a whole-number code and a value, and after each x its y. The reader that we use goes round for
 * ever on some files that are not, and takes "40,5" for 40: a comma in a measure becomes a point.
 *
 * @returns the text with points, or the number of the first line at fault, from 1
 */
function soundText(text: string): string | number {
  const lines = text.split(/\r\n|\r|\n/);
  while (lines.length > 0 && lines.at(-1)!.trim() === '') lines.pop();
  let x = false;
  let commas = false;
  for (let i = 0; i < lines.length; i += 2) {
    const code = lines[i]!.trim();
    if (!/^-?\d{1,5}$/.test(code) || i + 1 >= lines.length) return i + 1;
    if (x && code !== '20') return i + 1;
    x = code === '10';
    if (isMeasure(Number(code)) && lines[i + 1]!.includes(',')) {
      if (!/^\s*[-+]?\d*,\d*(e[-+]?\d+)?\s*$/i.test(lines[i + 1]!)) return i + 2;
      lines[i + 1] = lines[i + 1]!.replace(',', '.');
      commas = true;
    }
  }
  return commas ? `${lines.join('\n')}\n` : text;
}

/** The same colour by so little changed that nobody sees it: layers of one colour are told apart by it. */
function besides(colour: string, taken: ReadonlySet<string>): string {
  let number = Number.parseInt(colour.slice(1), 16);
  while (taken.has(hex(number))) number = (number + 1) & 0xffffff;
  return hex(number);
}

/** A drawing by its layers: one part for each colour of each layer, in the order in which they come. */
function byLayer(closed: readonly Way[], same: number, newId: () => string): DrawnPart[] {
  const keys = [...new Set(closed.map(({ layer, colour }) => JSON.stringify([layer, colour])))];
  const taken = new Set<string>();
  return keys.map((key): DrawnPart => {
    const [layer, colour] = JSON.parse(key) as [string, string];
    const { path, fill } = loopsAsMeant(
      closed.filter((w) => w.layer === layer && w.colour === colour),
      same,
    );
    const own = besides(colour, taken);
    taken.add(own);
    return { id: newId(), colour: own, path, fill, ...(layer ? { layer: layer.slice(0, 100) } : {}) };
  });
}

/**
 * Takes in a DXF drawing: lines, arcs, circles, ellipses, polylines with bulges and widths, splines, solids, solid hatches, and blocks that
 * repeat. Ways that meet end to end become closed outlines;
 * what lies within another of the same colour is a hole, what overlaps is joined, and what was drawn twice counts once.
 *
 * @param text the file's text (ASCII DXF)
 * @param name its name, for problems
 * @param newId gives an id for each part
 * @returns one part a colour, and where layers share a colour one a layer beside that; in the drawing's own units, y up; what was left out is named. A problem when it is no DXF, is binary, or has
 *   nothing closed.
 */
export function importDxf(text: string, name: string, newId: () => string): Result<ImportedDrawing> {
  const refuse = (found: string, expected: string, wayOut: string) => refused(found, expected, name, wayOut);
  if (text.length > DXF_MOST_BYTES)
    return refuse(`"${name}" is larger than 20 MB.`, 'a drawing up to 20 MB', 'Save only what is to be cut, and take it in again.');
  if (text.startsWith('AutoCAD Binary') || text.includes('\0'))
    return refuse(`"${name}" is a binary DXF.`, 'a DXF saved as text', 'Save it again as text (ASCII) DXF, or as SVG.');
  const sound = soundText(text);
  if (typeof sound === 'number')
    return refused(
      `"${name}" is not a whole DXF drawing (it breaks off near line ${sound}).`,
      'a DXF file',
      `${name}, line ${sound}`,
      'Save it again as DXF or SVG, and take it in again.',
    );
  const read = readDxf(sound);
  if (!read?.entities)
    return refuse(`"${name}" is not a whole DXF drawing.`, 'a DXF file', 'Save it again as DXF or SVG, and take it in again.');
  const { blocks = {} } = read;
  const layers = read.tables?.layer?.layers ?? {};
  const mm = MM_OF_UNIT[Number(read.header?.['$INSUNITS'] ?? 0)];
  const size = extentOf(read.entities);
  const reading = { tolerance: mm ? CURVE_MM / mm : size * CURVE_SHARE, scale: mm ?? WORK_MM / Math.max(size, 1e-9) };
  const ways: Way[] = [];
  const out = new Map<string, number>();
  let count = 0;
  let tooMany = false;
  const gather = (entities: readonly Entity[], map: Transform, depth: number, inherited?: string) => {
    for (const e of entities) {
      const layer = layers[e.layer ?? ''];
      if (e.visible === false || e.inPaperSpace || layer?.visible === false || layer?.frozen) continue;
      if (++count > MOST_PIECES || depth > MOST_DEPTH) {
        tooMany = true;
        return;
      }
      // lines and splines are given in the drawing's own coordinates, whichever way their plane looks
      const own: Transform = !IN_WORLD.has(e.type) && seenFromBehind(e) ? then(scaling(-1, 1), map) : map;
      const colour = e.color !== undefined ? hex(e.color) : (inherited ?? (layer?.color !== undefined ? hex(layer.color) : '#000000'));
      if (e.type === 'INSERT') {
        const block = blocks[e.name ?? ''];
        if (!block?.entities?.length) continue;
        if ((e.rowCount ?? 1) * (e.columnCount ?? 1) > MOST_PIECES) {
          tooMany = true;
          return;
        }
        const base = translation(-(block.position?.x ?? 0), -(block.position?.y ?? 0));
        const scaled = then(base, scaling(e.xScale ?? 1, e.yScale ?? 1));
        for (let row = 0; row < Math.max(1, e.rowCount ?? 1) && !tooMany; row++) {
          for (let column = 0; column < Math.max(1, e.columnCount ?? 1) && !tooMany; column++) {
            const shifted = then(scaled, translation(column * (e.columnSpacing ?? 0), row * (e.rowSpacing ?? 0)));
            const placed = then(then(shifted, rotation(degrees(e.rotation ?? 0))), translation(e.position?.x ?? 0, e.position?.y ?? 0));
            gather(block.entities, then(placed, own), depth + 1, colour);
          }
        }
        continue;
      }
      const found = waysOf(e, reading).filter(isSound);
      if (found.length === 0) {
        out.set(e.type, (out.get(e.type) ?? 0) + 1);
        continue;
      }
      for (const way of found)
        ways.push({ ...way, from: applyToPoint(own, way.from), segments: [...mapPath(way.segments, own)], colour, layer: e.layer ?? '' });
    }
  };
  gather(read.entities, [1, 0, 0, 1, 0, 0], 0);
  if (tooMany)
    return refuse(
      `"${name}" has more than ${MOST_PIECES.toLocaleString('en')} pieces, or blocks within blocks without end.`,
      'a simpler drawing',
      'Save only what is to be cut, and take it in again.',
    );
  const points = ways.flatMap((w) => [w.from, endOf(w)]);
  let [low, high] = [Infinity, -Infinity];
  for (const [x, y] of points) {
    low = Math.min(low, x, y);
    high = Math.max(high, x, y);
  }
  const same = meetWithin(high - low, mm);
  const { closed, open, healed } = joinWays(ways, same);
  if (closed.length === 0)
    return refuse(
      `"${name}" has no closed outline${open.length > 0 ? `: its ${open.length} ${open.length === 1 ? 'line stays' : 'lines stay'} open` : ''}.`,
      'closed outlines',
      'Close the outlines so that their ends meet, and take it in again.',
    );
  const colours = [...new Set(closed.map((w) => w.colour))];
  let twice = 0;
  const parts = colours.map((colour): DrawnPart => {
    const meant = loopsAsMeant(
      closed.filter((w) => w.colour === colour),
      same,
    );
    twice += meant.twice;
    return { id: newId(), colour, path: meant.path, fill: meant.fill };
  });
  const layered = byLayer(closed, same, newId);
  const leftOut = [
    ...[...out].map(([type, n]) => `${n} × ${type.toLowerCase()}`),
    ...(twice > 0 ? [`${twice} ${twice === 1 ? 'outline that was' : 'outlines that were'} there twice`] : []),
    ...(healed > 0 ? [gapsSaid(healed)] : []),
    ...(open.length > 0 ? [`${open.length} open ${open.length === 1 ? 'line' : 'lines'}`] : []),
  ];
  const light = lighten(parts, name);
  const ink = boxOfPoints(parts.flatMap(({ path }) => flatten(path).flat()));
  return light.ok
    ? good({
        ...{ parts: light.value, leftOut },
        ...(layered.length > parts.length ? { otherwise: layered } : {}),
        ...(mm ? { asDrawn: { width: boxWidth(ink) * mm, height: boxHeight(ink) * mm } } : {}),
      })
    : light;
}
