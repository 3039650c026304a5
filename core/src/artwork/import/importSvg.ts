import { DOMParser, type Element } from '@xmldom/xmldom';
import { good, refused, type Result } from '../../units';
import { boxHeight, boxOfPoints, boxWidth, boxOfPaths, flatten, mapPath, type Path, type Segment } from '../../geometry';
import type { DrawnPart } from '../../job';
import { cutLines, isThin } from './hairlines';
import { withoutEntities } from './svgEntities';
import { mmOfUnit, pageOf, type ViewBox } from './svgFrame';
import type { SetText } from './svgText';
import { partsShown } from '../partsShown';
import { gapsSaid } from './joinWays';
import { lighten } from './lighten';
import { gatherSvg, MOST_DEPTH, MOST_GATHERED, type Paint } from './svgTree';

/** A drawing taken in: its colours as outlines, and what had to be left out. */
export interface ImportedDrawing {
  parts: DrawnPart[];
  /** One sentence a kind of thing that was left out. */
  leftOut: string[];
  /** Parts that lie off the page: there, and not cut, until they are taken back. */
  dropped?: string[];
  /** How large the file says that it is, mm; nothing where it does not say. */
  asDrawn?: { width: number; height: number };
  /** The other way to take it: by its layers, where these are more than its colours; or with its thin lines as the other of what `thin` says. */
  otherwise?: DrawnPart[];
  /** Whether its thin lines were taken for outlines that the knife follows, or for strips of film. */
  thin?: 'outlines' | 'strips';
}

type Painted = Paint & { readonly path: Path; readonly rule: 'nonzero' | 'evenodd' };

const upright = (one: Painted): Painted => ({ ...one, path: mapPath(one.path, [1, 0, 0, -1, 0, 0]) });

const samePaint = (a: Paint, b: Paint): boolean => a.colour === b.colour && a.opacity === b.opacity && a.middle === b.middle;

/** Painted areas as parts: of very many, neighbours of one colour are one, unless a rule would cut one out of the other. */
function asParts(drawn: readonly Painted[], newId: () => string): DrawnPart[] {
  const parts: (DrawnPart & { path: Segment[] })[] = [];
  for (const shape of drawn) {
    const last = parts.at(-1);
    if (last && samePaint(last, shape) && last.fill === 'nonzero' && shape.rule === 'nonzero' && parts.length > MOST_APART)
      for (const segment of shape.path) last.path.push(segment);
    else {
      const { colour, opacity, middle, path, rule } = shape;
      parts.push({
        id: newId(),
        colour,
        path: [...path],
        fill: rule,
        ...(opacity === undefined ? {} : { opacity }),
        ...(middle ? { middle } : {}),
      });
    }
  }
  return parts;
}

/** The parts that lie wholly off the page of their drawing; none where all do, for then the page is not meant. */
function offPage(parts: readonly DrawnPart[], page: ViewBox | undefined): string[] {
  if (!page) return [];
  const [x, y, width, height] = page;
  const off = parts.filter(({ path }) => {
    const box = boxOfPaths([path]);
    // parts run up, the page runs down; what has no area is nowhere
    if (!(boxWidth(box) > 0 && boxHeight(box) > 0)) return false;
    return box.minX >= x + width || box.maxX <= x || box.minY >= -y || box.maxY <= -(y + height);
  });
  return off.length < parts.length ? off.map(({ id }) => id) : [];
}

/** So many shapes stay parts of their own. */
const MOST_APART = 400;

/** Larger files are refused, bytes. */
const SVG_MOST_BYTES = 20 * 1024 * 1024;
/**
 * Takes in an SVG drawing: paths, basic shapes, lines, groups, transforms, plain fills, strokes as outlines with caps, joins and dashes,
 * symbols that repeat, frames, gradients in one flat colour, how opaque things are,
 * clips and masks of plain shapes, style sheets inside. Nothing in the file is run or fetched.
 *
 * @param text the file's text
 * @param name its name, for problems
 * @param newId gives an id for each part
 * @param setText sets live text in a face that is here; without it text is left out
 * @returns outlines in the drawing's own units, y up, in painting order, neighbours of one colour and rule joined; what was left
 *   out is named. A problem when the file is broken, over 20 MB, too intricate, or has nothing to cut.
 */
export function importSvg(text: string, name: string, newId: () => string, setText?: SetText): Result<ImportedDrawing> {
  if (text.length > SVG_MOST_BYTES) {
    return refused(
      `"${name}" is larger than 20 MB.`,
      'a drawing up to 20 MB',
      name,
      'Save it without pictures, or simplify it, and drop it in again.',
    );
  }
  const plain = withoutEntities(text, SVG_MOST_BYTES);
  if (plain === undefined)
    return refused(`"${name}" fetches entities from elsewhere, or nests them.`, 'a plain SVG', name, 'Save it again as plain SVG.');
  const faults: string[] = [];
  let root: Element | null = null;
  try {
    root = new DOMParser({
      onError: (level, message) => void (level !== 'warning' && faults.push(message)),
    }).parseFromString(plain, 'image/svg+xml').documentElement;
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
  const { painted: all, lines, leftOut, gradients, tooDeep, tooMany } = gatherSvg(root, setText);
  // a drawing of nothing but thin lines is a cut file: they are where the knife goes; beside shapes they may be that too
  const extent = boxOfPaths(all.map(({ path }) => path));
  const size = all.length > 0 ? Math.max(boxWidth(extent), boxHeight(extent)) : 0;
  const thin = lines.filter(({ width }) => isThin(width, size));
  const found = thin.length > 0 ? cutLines(thin, mmOfUnit(root)) : undefined;
  const cut = found && thin.length === all.length ? found : undefined;
  const lineAt = new Set(thin.map(({ at }) => at));
  const outlined: readonly Painted[] = found
    ? [...all.filter((_, i) => !lineAt.has(i)), ...found.outlines.map(({ colour, path, fill }) => ({ colour, path, rule: fill }))]
    : [];
  const painted: readonly Painted[] = cut ? outlined : all;
  // SVG runs down, a workshop's drawing runs up
  const drawn = painted.map(upright);
  if (tooDeep)
    return refused(`"${name}" nests groups more than ${MOST_DEPTH} deep.`, 'fewer groups', name, 'Ungroup it and drop it in again.');
  if (tooMany)
    return refused(
      `"${name}" has more than ${MOST_GATHERED.toLocaleString('en')} edges.`,
      'a drawing that a knife can follow',
      name,
      'Simplify its paths and drop it in again.',
    );
  const gone = [
    ...[...leftOut].map(([what, times]) => (times > 1 ? `${what} (${times} times)` : what)),
    ...(gradients > 0
      ? [`what runs from colour to colour (${gradients === 1 ? 'one gradient is' : `${gradients} gradients are`} flat now)`]
      : []),
    ...(cut && cut.twice > 0 ? [`${cut.twice} ${cut.twice === 1 ? 'outline that was' : 'outlines that were'} there twice`] : []),
    ...(cut && cut.healed > 0 ? [gapsSaid(cut.healed)] : []),
    ...(cut && cut.open > 0 ? [`${cut.open} open ${cut.open === 1 ? 'line' : 'lines'}`] : []),
  ];
  const box = boxOfPaths(drawn.map(({ path }) => path));
  if (drawn.length === 0 || !(boxWidth(box) > 0) || !(boxHeight(box) > 0) || !Number.isFinite(boxWidth(box) + boxHeight(box))) {
    const because = gone.length > 0 ? ` Left out: ${gone.join(', ')}.` : '';
    return refused(
      `"${name}" has nothing to cut.${because}`,
      'at least one shape that is filled or stroked',
      name,
      'Give its shapes a plain colour, and turn text into outlines.',
    );
  }
  const parts = asParts(drawn, newId);
  const off = offPage(parts, pageOf(root));
  if (off.length > 0) gone.push(`${off.length} ${off.length === 1 ? 'shape' : 'shapes'} off the page (“Take it apart” takes them back)`);
  const light = lighten(parts, name);
  const mm = mmOfUnit(root);
  // its size is that of what is cut: without shades, and without what lies off the page
  const shown = partsShown({ parts, dropped: off });
  const ink = boxOfPoints((shown.length > 0 ? shown : parts).flatMap(({ path }) => flatten(path).flat()));
  const other = found ? lighten(asParts((cut ? all : outlined).map(upright), newId), name) : undefined;
  return light.ok
    ? good({
        ...{ parts: light.value, leftOut: gone },
        ...(other?.ok ? { thin: cut ? ('outlines' as const) : ('strips' as const), otherwise: other.value } : {}),
        ...(off.length > 0 ? { dropped: off } : {}),
        ...(mm ? { asDrawn: { width: boxWidth(ink) * mm, height: boxHeight(ink) * mm } } : {}),
      })
    : light;
}
