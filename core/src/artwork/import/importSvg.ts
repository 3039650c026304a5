import { DOMParser, type Element, type Node } from '@xmldom/xmldom';
import { good, refused, type Result } from '../../units';
import { boxOfPoints, boxHeight, boxWidth, controlPoints, mapPath, then, type Path, type Transform } from '../../geometry';
import type { DrawnPart } from '../../job';
import { readColour } from './colour';
import { pathFromData, pathOfShape } from './shapes';
import { readTransform } from './svgTransform';

/** A drawing taken in: its colours as outlines, and what had to be left out. */
export interface ImportedDrawing {
  parts: DrawnPart[];
  /** One sentence a kind of thing that was left out. */
  leftOut: string[];
}

/** Larger files are refused, bytes. */
export const SVG_MOST_BYTES = 20 * 1024 * 1024;
const MOST_DEPTH = 200;
const MOST_SEGMENTS = 400_000;

const GROUPS = new Set(['svg', 'g', 'a', 'switch']);
const SHAPES = new Set(['path', 'rect', 'circle', 'ellipse', 'polygon', 'polyline']);
/** Never drawn by themselves, so leaving them out loses nothing. */
const SILENT = new Set(['title', 'desc', 'metadata', 'defs', 'style', 'namedview', 'sodipodi:namedview']);
const NAMES: Record<string, string> = {
  text: 'live text (turn it into outlines first)',
  image: 'pictures',
  use: 'repeated symbols',
  line: 'single lines (a knife needs a shape with an inside)',
  script: 'a script, which was not run',
  foreignobject: 'embedded web pages',
  mask: 'masks',
  clippath: 'clipping',
  filter: 'filter effects',
};

interface Style {
  fill: string;
  rule: 'nonzero' | 'evenodd';
  stroke: string;
  shown: boolean;
}

interface Drawn {
  colour: string;
  path: Path;
  rule: 'nonzero' | 'evenodd';
}

const attribute = (element: Element, name: string): string | undefined => {
  const inline = new RegExp(`(?:^|;)\\s*${name}\\s*:\\s*([^;]+)`, 'i').exec(element.getAttribute('style') ?? '');
  return inline?.[1]?.trim() ?? (element.getAttribute(name)?.trim() || undefined);
};

function styleOf(element: Element, from: Style): Style {
  const hidden =
    attribute(element, 'display') === 'none' ||
    attribute(element, 'visibility') === 'hidden' ||
    attribute(element, 'opacity') === '0' ||
    attribute(element, 'fill-opacity') === '0';
  const colour = attribute(element, 'color');
  const fill = attribute(element, 'fill');
  return {
    fill: fill === 'currentColor' ? (colour ?? '#000000') : fill === undefined || fill === 'inherit' ? from.fill : fill,
    rule: (attribute(element, 'fill-rule') ?? from.rule) === 'evenodd' ? 'evenodd' : 'nonzero',
    stroke: attribute(element, 'stroke') ?? from.stroke,
    shown: from.shown && !hidden,
  };
}

/** Walks the tree and gathers painted shapes in painting order. */
function gather(root: Element): { drawn: Drawn[]; leftOut: Map<string, number>; tooDeep: boolean; tooMany: boolean } {
  const drawn: Drawn[] = [];
  const leftOut = new Map<string, number>();
  const leave = (what: string) => leftOut.set(what, (leftOut.get(what) ?? 0) + 1);
  let tooDeep = false;
  let segments = 0;
  const visit = (element: Element, map: Transform, style: Style, depth: number) => {
    if (depth > MOST_DEPTH || segments > MOST_SEGMENTS) {
      tooDeep ||= depth > MOST_DEPTH;
      return;
    }
    const name = element.nodeName.toLowerCase().replace(/^svg:/, '');
    if (SILENT.has(name)) return;
    if (!GROUPS.has(name) && !SHAPES.has(name)) {
      leave(NAMES[name] ?? `"${element.nodeName.slice(0, 30)}"`);
      return;
    }
    const own = styleOf(element, style);
    if (!own.shown) return;
    const turned = readTransform(element.getAttribute('transform'));
    if (!turned.ok) leave('a transform that cannot be read');
    const placed = turned.ok ? then(turned.value, map) : map;
    if (element.getAttribute('clip-path')) leave('clipping');
    if (element.getAttribute('mask')) leave('masks');
    if (GROUPS.has(name)) {
      for (let child = element.firstChild as Node | null; child; child = child.nextSibling) {
        if (child.nodeType === 1) visit(child as Element, placed, own, depth + 1);
      }
      return;
    }
    if (own.stroke !== 'none') leave('strokes (turn them into outlines first)');
    if (own.fill === 'none') return;
    const colour = readColour(own.fill);
    if (!colour) {
      leave(own.fill.startsWith('url') ? 'gradients and patterns' : `the colour "${own.fill.slice(0, 30)}"`);
      return;
    }
    if (colour === 'transparent') return;
    const path =
      name === 'path' ? pathFromData(element.getAttribute('d') ?? '') : pathOfShape(name, (key) => element.getAttribute(key) ?? '');
    if (!path) {
      leave('an outline that cannot be read');
      return;
    }
    segments += path.length;
    if (path.length > 0) drawn.push({ colour, path: mapPath(path, placed), rule: own.rule });
  };
  // SVG runs down, a workshop's drawing runs up
  visit(root, [1, 0, 0, -1, 0, 0], { fill: '#000000', rule: 'nonzero', stroke: 'none', shown: true }, 0);
  return { drawn, leftOut, tooDeep, tooMany: segments > MOST_SEGMENTS };
}

/**
 * Takes in an SVG drawing: paths, basic shapes, groups, transforms and plain fills. Nothing in the file is run or fetched.
 *
 * @param text the file's text
 * @param name its name, for problems
 * @param newId gives an id for each part
 * @returns outlines in the drawing's own units, y up, in painting order, neighbours of one colour and rule joined; what was left
 *   out is named. A problem when the file is broken, over 20 MB, too intricate, or has nothing to cut.
 */
export function importSvg(text: string, name: string, newId: () => string): Result<ImportedDrawing> {
  if (text.length > SVG_MOST_BYTES) {
    return refused(
      `"${name}" is larger than 20 MB.`,
      'a drawing up to 20 MB',
      name,
      'Save it without pictures, or simplify it, and drop it in again.',
    );
  }
  if (/<!ENTITY/i.test(text)) return refused(`"${name}" defines entities of its own.`, 'a plain SVG', name, 'Save it again as plain SVG.');
  const faults: string[] = [];
  let root: Element | null = null;
  try {
    root = new DOMParser({
      onError: (level, message) => void (level !== 'warning' && faults.push(message)),
    }).parseFromString(text, 'image/svg+xml').documentElement;
  } catch (error) {
    faults.push(String(error instanceof Error ? error.message : error));
  }
  if (faults.length > 0 || !root || root.nodeName.toLowerCase().replace(/^svg:/, '') !== 'svg') {
    const line = /line:?\s*(\d+)/i.exec(faults[0] ?? '')?.[1];
    return refused(
      `"${name}" is not a whole SVG drawing${line ? ` (it breaks off near line ${line})` : ''}.`,
      'an SVG file',
      line ? `${name}, line ${line}` : name,
      'Save it again as plain SVG and drop it in.',
    );
  }
  const { drawn, leftOut, tooDeep, tooMany } = gather(root);
  if (tooDeep)
    return refused(`"${name}" nests groups more than ${MOST_DEPTH} deep.`, 'fewer groups', name, 'Ungroup it and drop it in again.');
  if (tooMany)
    return refused(
      `"${name}" has more than ${MOST_SEGMENTS.toLocaleString('en')} edges.`,
      'a drawing that a knife can follow',
      name,
      'Simplify its paths and drop it in again.',
    );
  const gone = [...leftOut].map(([what, times]) => (times > 1 ? `${what} (${times} times)` : what));
  const box = boxOfPoints(drawn.flatMap((d) => controlPoints(d.path)));
  if (drawn.length === 0 || !(boxWidth(box) > 0) || !(boxHeight(box) > 0) || !Number.isFinite(boxWidth(box) + boxHeight(box))) {
    const because = gone.length > 0 ? ` Left out: ${gone.join(', ')}.` : '';
    return refused(
      `"${name}" has no filled shape to cut.${because}`,
      'at least one filled shape',
      name,
      'Fill its shapes with a plain colour, or turn strokes and text into outlines.',
    );
  }
  const parts: DrawnPart[] = [];
  for (const shape of drawn) {
    const last = parts.at(-1);
    // shapes drawn one after another in one colour join, unless a rule would cut one out of the other
    if (last && last.colour === shape.colour && last.fill === 'nonzero' && shape.rule === 'nonzero' && parts.length > 400)
      last.path = [...last.path, ...shape.path];
    else parts.push({ id: newId(), colour: shape.colour, path: shape.path, fill: shape.rule });
  }
  return good({ parts, leftOut: gone });
}
