import DxfParserModule from 'dxf-parser';
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
import { degrees, endOf, wayOf, type Entity, type Vertex, type Way } from './dxfWays';
import { joinWays, meetWithin } from './joinWays';
import { loopsAsMeant } from './loopsAsMeant';
import type { ImportedDrawing } from './importSvg';
import { lighten } from './lighten';

// the package is CommonJS: under Node its class is the default of the default
const DxfParser = (DxfParserModule as unknown as { default?: typeof DxfParserModule }).default ?? DxfParserModule;

/** Larger files are refused, bytes. */
const DXF_MOST_BYTES = 20 * 1024 * 1024;
const MOST_PIECES = 100_000;
const MOST_DEPTH = 24;

/** mm of a unit as `$INSUNITS` numbers them: inch, foot, millimetre, centimetre, metre. */
const MM_OF_UNIT: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

interface Read {
  header?: Record<string, unknown>;
  entities?: Entity[];
  blocks?: Record<string, { entities?: Entity[]; position?: Vertex }>;
  tables?: { layer?: { layers?: Record<string, { color?: number; visible?: boolean; frozen?: boolean }> } };
}

const hex = (color: number): string => `#${(color & 0xffffff).toString(16).padStart(6, '0')}`;

/**
 * The first line at which a DXF is not what it has to be: pairs of a whole-number code and a value, and after each x its y. The reader that
 * we use goes round for ever on some
 * files that are not.
 *
 * @returns its number from 1, or 0
 */
function faultyLine(text: string): number {
  const lines = text.split(/\r\n|\r|\n/);
  while (lines.length > 0 && lines.at(-1)!.trim() === '') lines.pop();
  let x = false;
  for (let i = 0; i < lines.length; i += 2) {
    const code = lines[i]!.trim();
    if (!/^-?\d{1,5}$/.test(code) || i + 1 >= lines.length) return i + 1;
    if (x && code !== '20') return i + 1;
    x = code === '10';
  }
  return 0;
}

/**
 * Takes in a DXF drawing: lines, arcs, circles, ellipses, polylines with bulges, splines, solids, and blocks that repeat. Ways that meet
 * end to end become closed outlines;
 * what lies within another of the same colour is a hole, what overlaps is joined, and what was drawn twice counts once.
 *
 * @param text the file's text (ASCII DXF)
 * @param name its name, for problems
 * @param newId gives an id for each part
 * @returns one part a colour, in the drawing's own units, y up; what was left out is named. A problem when it is no DXF, is binary, or has
 *   nothing closed.
 */
export function importDxf(text: string, name: string, newId: () => string): Result<ImportedDrawing> {
  const refuse = (found: string, expected: string, wayOut: string) => refused(found, expected, name, wayOut);
  if (text.length > DXF_MOST_BYTES)
    return refuse(`"${name}" is larger than 20 MB.`, 'a drawing up to 20 MB', 'Save only what is to be cut, and take it in again.');
  if (text.startsWith('AutoCAD Binary') || text.includes('\0'))
    return refuse(`"${name}" is a binary DXF.`, 'a DXF saved as text', 'Save it again as text (ASCII) DXF, or as SVG.');
  const fault = faultyLine(text);
  if (fault > 0)
    return refused(
      `"${name}" is not a whole DXF drawing (it breaks off near line ${fault}).`,
      'a DXF file',
      `${name}, line ${fault}`,
      'Save it again as DXF or SVG, and take it in again.',
    );
  let read: Read | null = null;
  try {
    read = new DxfParser().parseSync(text) as unknown as Read | null;
  } catch {
    read = null;
  }
  if (!read?.entities)
    return refuse(`"${name}" is not a whole DXF drawing.`, 'a DXF file', 'Save it again as DXF or SVG, and take it in again.');
  const { blocks = {} } = read;
  const layers = read.tables?.layer?.layers ?? {};
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
      const mirrored = (e.extrusionDirection?.z ?? e.extrusionDirectionZ ?? 1) < 0;
      const own: Transform = mirrored ? then(scaling(-1, 1), map) : map;
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
      const way = wayOf(e);
      const sound = way && [way.from, ...way.segments.flatMap((s) => s.slice(1) as Point[])].every(([x, y]) => Number.isFinite(x + y));
      if (!way || !sound) {
        out.set(e.type, (out.get(e.type) ?? 0) + 1);
        continue;
      }
      ways.push({ ...way, from: applyToPoint(own, way.from), segments: [...mapPath(way.segments, own)], colour });
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
  const mm = MM_OF_UNIT[Number(read.header?.['$INSUNITS'] ?? 0)];
  const same = meetWithin(high - low, mm);
  const { closed, open } = joinWays(ways, same);
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
  const leftOut = [
    ...[...out].map(([type, n]) => `${n} × ${type.toLowerCase()}`),
    ...(twice > 0 ? [`${twice} ${twice === 1 ? 'outline that was' : 'outlines that were'} there twice`] : []),
    ...(open.length > 0 ? [`${open.length} open ${open.length === 1 ? 'line' : 'lines'}`] : []),
  ];
  const light = lighten(parts, name);
  const ink = boxOfPoints(parts.flatMap(({ path }) => flatten(path).flat()));
  return light.ok
    ? good({
        ...{ parts: light.value, leftOut },
        ...(mm ? { asDrawn: { width: boxWidth(ink) * mm, height: boxHeight(ink) * mm } } : {}),
      })
    : light;
}
