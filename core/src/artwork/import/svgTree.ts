// Longer than 300 lines: one walk over one tree, whose parts (use, frame, clip, mask, stroke) call each other and share what was met so far.
import type { Element, Node } from '@xmldom/xmldom';
import {
  applyToPoint,
  applyToRegion,
  boxAround,
  boxHeight,
  boxOf,
  boxOfPoints,
  boxRegion,
  boxWidth,
  difference,
  flatten,
  IDENTITY,
  intersection,
  mapPath,
  regionOf,
  ringsOf,
  then,
  union,
  type Box,
  type Path,
  type Point,
  type Region,
  type Segment,
  type Transform,
} from '../../geometry';
import { readPaint } from './colour';
import { pathFromData, pathOfShape, readPathData } from './shapes';
import { frameTransform, roomIn, sizeOfDrawing, stretchOf, viewBoxOf, type Room, type ViewBox } from './svgFrame';
import type { Hairline } from './hairlines';
import { childrenOf, hrefOf, isElement, nameOf } from './svgDom';
import { cssClip } from './svgCssClip';
import { flatGradient } from './svgGradient';
import { markerFrame, markerPlaces } from './svgMarkers';
import { maskEdge } from './svgMask';
import { strokeRegion } from './svgStrokes';
import { FIRST_STYLE, inherit, ownValues, readStyleSheet, userLength, type Style, type StyleSheet } from './svgStyle';
import { textRuns, type SetText } from './svgText';
import { readTransform } from './svgTransform';

/** What an area is painted with. */
export interface Paint {
  /** #rrggbb. */
  readonly colour: string;
  /** How opaque, where one sees through it: 0 to 1. */
  readonly opacity?: number;
  /** Of a gradient, whose colour here is the one that covers most of it, the colour halfway along. */
  readonly middle?: string;
}

/** A painted area, in the drawing's own units, y down. */
interface Painted extends Paint {
  readonly path: Path;
  readonly rule: 'nonzero' | 'evenodd';
}

/** What the walk over a drawing found. */
export interface Gathered {
  readonly painted: readonly Painted[];
  /** Strokes without a fill, which are painted too. */
  readonly lines: readonly Hairline[];
  /** What was left out, and how often. */
  readonly leftOut: ReadonlyMap<string, number>;
  /** How many gradients were painted in one flat colour. */
  readonly gradients: number;
  readonly tooDeep: boolean;
  readonly tooMany: boolean;
}

export const MOST_DEPTH = 200;
export const MOST_GATHERED = 400_000;
/** Symbols may repeat each other at most so often in all. */
const MOST_USES = 20_000;
/** What reaches further than this, working mm, is no drawing any more: its curves alone would have millions of points. */
const FAR_MM = 1e5;
/** The drawing is worked on as if its larger side had so many mm: fine for curves, coarse enough to be quick. */
const WORK_MM = 400;

const GROUPS = new Set(['svg', 'g', 'a', 'switch']);
const SHAPES = new Set(['path', 'rect', 'circle', 'ellipse', 'polygon', 'polyline', 'line']);
/** Never drawn by themselves, so leaving them out loses nothing. */
const SILENT = new Set([
  'title',
  'desc',
  'metadata',
  'defs',
  'style',
  'symbol',
  'clippath',
  'mask',
  'namedview',
  'sodipodi:namedview',
  'lineargradient',
  'radialgradient',
  'pattern',
  'marker',
  'filter',
  'animate',
  'animatetransform',
  'set',
]);
/** Names of programs, with their own words after a colon. */
const PRIVATE = /^(?!svg:)[a-z][\w.-]*:/;
const NAMES: Record<string, string> = {
  text: 'live text (turn it into outlines first)',
  image: 'pictures',
  script: 'a script, which was not run',
  foreignobject: 'embedded web pages',
};

/** What has markers at its ends and corners. */
const MARKED = new Set(['path', 'line', 'polyline', 'polygon']);
const MARKERS = ['marker-start', 'marker-mid', 'marker-end'] as const;
/** A style in which what is taken from the line that a marker stands on is that. */
const inContext = (style: Style, context: Style): Style => {
  const of = (paint: string) => (paint === 'context-stroke' ? context.stroke : paint === 'context-fill' ? context.fill : paint);
  return { ...style, fill: of(style.fill), stroke: of(style.stroke) };
};

const urlOf = (text: string | undefined): string | undefined => /^url\(\s*['"]?#([^'")]+)['"]?\s*\)/.exec(text ?? '')?.[1];
/** Opacity below this is not painted at all. */
const SEEN = 0.02;
/** Opacity above this is solid. */
const SOLID = 0.995;
const opacityOf = (text: string | undefined): number => (text === undefined ? 1 : Math.max(0, Math.min(1, userLength(text, 1) ?? 1)));

const regionPath = (region: Region): Path =>
  ringsOf(region).flatMap((ring) => [...ring.map((p, i): Segment => [i === 0 ? 'M' : 'L', p]), ['Z'] as const]);

interface Around {
  readonly map: Transform;
  readonly style: Style;
  /** What may be seen at all, working mm; undefined is everything. */
  readonly clip?: Region;
  /** How opaque everything in it is. */
  readonly opacity: number;
  /** Width and height of the frame that it stands in, user units: what shares are shares of. */
  readonly room: Room;
  /** In a marker, what the line is drawn with that it stands on. */
  readonly context?: Style;
}

class Walk {
  readonly painted: Painted[] = [];
  /** Strokes without a fill, which are painted too. */
  readonly lines: Hairline[] = [];
  readonly leftOut = new Map<string, number>();
  /** How many gradients were painted flat. */
  gradients = 0;
  tooDeep = false;
  segments = 0;
  #uses = 0;
  /** Clips that are being worked out. */
  readonly #clipping = new Set<string>();
  readonly #sheet: StyleSheet;
  readonly #byId = new Map<string, Element>();
  /** Width and height of the drawing, user units. */
  readonly room: Room;
  /** Working mm a unit of the drawing. */
  readonly #work: number;

  readonly #setText: SetText | undefined;

  constructor(root: Element, setText?: SetText) {
    this.#setText = setText;
    const { width, height } = sizeOfDrawing(root);
    this.room = { width, height };
    const side = Math.max(width, height);
    this.#work = side > 0 && Number.isFinite(side) ? WORK_MM / side : 1;
    const styles: string[] = [];
    const index = (element: Element, depth: number) => {
      const id = element.getAttribute('id');
      if (id && !this.#byId.has(id)) this.#byId.set(id, element);
      if (nameOf(element) === 'style') styles.push(element.textContent ?? '');
      if (depth < MOST_DEPTH) for (const child of childrenOf(element)) index(child, depth + 1);
    };
    index(root, 0);
    this.#sheet = readStyleSheet(styles.join('\n'));
  }

  #leave(what: string): void {
    this.leftOut.set(what, (this.leftOut.get(what) ?? 0) + 1);
  }

  get tooMany(): boolean {
    return this.segments > MOST_GATHERED;
  }

  visit(element: Element, around: Around, depth: number): void {
    if (depth > MOST_DEPTH || this.tooMany) {
      this.tooDeep ||= depth > MOST_DEPTH;
      return;
    }
    const name = nameOf(element);
    // what programs keep for themselves is nothing that anybody sees
    if (SILENT.has(name) || PRIVATE.test(name)) return;
    const value = ownValues(element, this.#sheet);
    if (value('display') === 'none' || opacityOf(value('opacity')) * around.opacity < SEEN) return;
    if (name === 'use') {
      this.#use(element, value, around, depth);
      return;
    }
    if (name === 'text') {
      const here = this.#enter(element, value, around, depth);
      if (here) this.#text(element, here);
      return;
    }
    if (!GROUPS.has(name) && !SHAPES.has(name)) {
      this.#leave(NAMES[name] ?? `"${element.nodeName.slice(0, 30)}"`);
      return;
    }
    const here = this.#enter(element, value, around, depth);
    if (!here) return;
    if (SHAPES.has(name)) {
      this.#paint(element, name, here, depth, value);
      return;
    }
    const inner = name === 'svg' && depth > 0 ? this.#frame(element, here) : here;
    // of a switch, the first that can be shown
    const children =
      name === 'switch'
        ? childrenOf(element)
            .filter((c) => nameOf(c) !== 'foreignobject')
            .slice(0, 1)
        : childrenOf(element);
    for (const child of children) this.visit(child, inner, depth + 1);
  }

  /** An element's own transform, style, clip and mask. */
  #enter(element: Element, value: (property: string) => string | undefined, around: Around, depth: number): Around | undefined {
    const turned = readTransform(element.getAttribute('transform') ?? value('transform') ?? null);
    if (!turned.ok) this.#leave('a transform that cannot be read');
    const map = turned.ok ? then(turned.value, around.map) : around.map;
    const style = inherit(value, around.style);
    let { clip } = around;
    const narrow = (by: Region | undefined) => {
      if (by) clip = clip ? intersection(clip, by) : by;
    };
    const clipping = value('clip-path');
    const clipId = urlOf(clipping);
    if (clipId) narrow(this.#clipRegion(clipId, element, map, depth));
    else if (clipping && clipping !== 'none') narrow(this.#cssClip(clipping, element, map, style, depth));
    const maskId = urlOf(value('mask'));
    if (maskId) narrow(this.#maskRegion(maskId, element, map, depth));
    if (value('filter') && value('filter') !== 'none') this.#leave('filter effects');
    const opacity = around.opacity * opacityOf(value('opacity'));
    return clip && clip.length === 0 ? undefined : { ...around, map, style, clip, opacity };
  }

  /** A drawing inside the drawing: its own frame, which cuts off what lies beyond. */
  #frame(element: Element, around: Around): Around {
    const box = viewBoxOf(element);
    const { room: whole } = around;
    const width = userLength(element.getAttribute('width') ?? '100%', whole.width) ?? 100;
    const height = userLength(element.getAttribute('height') ?? '100%', whole.height) ?? 100;
    const [x, y] = [userLength(element.getAttribute('x'), whole.width) ?? 0, userLength(element.getAttribute('y'), whole.height) ?? 0];
    const map = then(frameTransform(element, x, y, width, height), around.map);
    const room = roomIn(box, width, height);
    if (/visible/.test(element.getAttribute('overflow') ?? '')) return { ...around, map, room };
    const frame = applyToRegion(this.#working(around.map), boxRegion({ minX: x, minY: y, maxX: x + width, maxY: y + height }));
    return { ...around, map, room, clip: around.clip ? intersection(around.clip, frame) : frame };
  }

  /** What stands at the ends and corners of a line. */
  #markers(path: Path, within: ReadonlySet<number>, { map, style, clip, opacity, room }: Around, depth: number): void {
    const pen = userLength(style['stroke-width'], Math.hypot(room.width, room.height) / Math.SQRT2) ?? 1;
    for (const place of markerPlaces(path, within)) {
      const id = urlOf(style[place.which]);
      const marker = id === undefined ? undefined : this.#byId.get(id);
      if (!marker || nameOf(marker) !== 'marker') continue;
      this.#uses += 1;
      if (this.#uses > MOST_USES || depth > MOST_DEPTH) {
        this.#leave('markers repeated too often');
        return;
      }
      const own = ownValues(marker, this.#sheet);
      const frame = markerFrame(marker, place, pen);
      const hidden = !/visible|auto/.test(own('overflow') ?? 'hidden');
      const edge = hidden ? applyToRegion(this.#working(then(frame.placed, map)), frame.seen) : undefined;
      const around: Around = {
        map: then(frame.inner, map),
        style: { ...this.#styleAbove(marker), 'marker-start': 'none', 'marker-mid': 'none', 'marker-end': 'none' },
        opacity: opacity * opacityOf(own('opacity')),
        room: frame.room,
        context: style,
        ...(edge ? { clip: clip ? intersection(clip, edge) : edge } : clip ? { clip } : {}),
      };
      for (const child of childrenOf(marker)) this.visit(child, around, depth + 1);
    }
  }

  /** What is said of an element and of all that it stands in. */
  #styleAbove(element: Element): Style {
    const above: Element[] = [];
    for (let at: Node | null = element; at && isElement(at) && above.length < MOST_DEPTH; at = at.parentNode) above.unshift(at);
    return above.reduce((from, one) => inherit(ownValues(one, this.#sheet), from), FIRST_STYLE);
  }

  #use(element: Element, value: (property: string) => string | undefined, around: Around, depth: number): void {
    const id = hrefOf(element);
    const target = id === undefined ? undefined : this.#byId.get(id);
    this.#uses += 1;
    if (!target || this.#uses > MOST_USES) {
      this.#leave(target ? 'symbols repeated too often' : 'repeated symbols that are not in the file');
      return;
    }
    const here = this.#enter(element, value, around, depth);
    if (!here) return;
    const { room: whole } = around;
    const moved: Transform = [
      ...([1, 0, 0, 1] as const),
      userLength(element.getAttribute('x'), whole.width) ?? 0,
      userLength(element.getAttribute('y'), whole.height) ?? 0,
    ];
    const inner = { ...here, map: then(moved, here.map) };
    if (nameOf(target) !== 'symbol') {
      this.visit(target, inner, depth + 1);
      return;
    }
    const own = this.#enter(target, ownValues(target, this.#sheet), inner, depth);
    if (!own) return;
    const box = viewBoxOf(target);
    const width = userLength(element.getAttribute('width'), whole.width) ?? box?.[2] ?? 100;
    const height = userLength(element.getAttribute('height'), whole.height) ?? box?.[3] ?? 100;
    const room = roomIn(box, width, height);
    const framed = { ...own, room, map: then(frameTransform(target, 0, 0, width, height), own.map) };
    for (const child of childrenOf(target)) this.visit(child, framed, depth + 1);
  }

  /** Takes user units to working mm. */
  #working(map: Transform): Transform {
    return then(map, [this.#work, 0, 0, this.#work, 0, 0]);
  }

  /** Live text, as the outlines of the faces that are here. */
  #text(element: Element, around: Around): void {
    const leave = (what: string) => this.#leave(what);
    for (const { glyphs, place, style } of textRuns(element, around.style, this.#sheet, this.#setText, leave, NAMES['text']!)) {
      const map = then(place, around.map);
      const paint = this.#paintOf(style.fill, style['fill-opacity'], around.opacity);
      for (const glyph of glyphs) {
        this.segments += glyph.length;
        if (!paint || this.#tooFar(glyph, map)) continue;
        if (around.clip) this.#put(paint, intersection(regionOf(flatten(glyph, this.#working(map)), 'nonzero'), around.clip));
        else this.painted.push({ ...paint, path: mapPath(glyph, map), rule: 'nonzero' });
      }
    }
  }

  #path(element: Element, name: string, room: Room): Path | undefined {
    const path =
      name === 'path'
        ? pathFromData(element.getAttribute('d') ?? '')
        : pathOfShape(name, (key) => (element.getAttribute(key) ?? '').trim(), room);
    if (!path) this.#leave('an outline that cannot be read');
    this.segments += path?.length ?? 0;
    return path && path.length > 0 ? path : undefined;
  }

  #paint(element: Element, name: string, around: Around, depth: number, marked: (property: string) => string | undefined): void {
    const { map, clip, opacity, room, context } = around;
    const style = context ? inContext(around.style, context) : around.style;
    if (style.visibility !== 'visible') return;
    const path = this.#path(element, name, room);
    if (!path) return;
    if (this.#tooFar(path, map)) return;
    const fill = name === 'line' ? undefined : this.#paintOf(style.fill, style['fill-opacity'], opacity);
    const stroke = this.#paintOf(style.stroke, style['stroke-opacity'], opacity);
    const paintFill = () => {
      if (!fill) return;
      const rule = style['fill-rule'] === 'evenodd' ? 'evenodd' : 'nonzero';
      if (!clip) this.painted.push({ ...fill, path: mapPath(path, map), rule });
      else this.#put(fill, intersection(regionOf(flatten(path, this.#working(map)), rule), clip));
    };
    const paintStroke = () => {
      if (!stroke) return;
      const keeps = /non-scaling-stroke/.test(marked('vector-effect') ?? '');
      const whole = this.#strokeOf(path, style, map, keeps);
      if (!fill && !clip && whole.length > 0) {
        const size = Math.sqrt(Math.abs(map[0] * map[3] - map[1] * map[2]));
        this.lines.push({
          colour: stroke.colour,
          path: mapPath(path, map),
          width: (userLength(style['stroke-width']) ?? 1) * (keeps ? 1 : size),
          at: this.painted.length,
        });
      }
      this.#put(stroke, clip ? intersection(whole, clip) : whole);
    };
    const strokeFirst = /^\s*stroke/.test(style['paint-order']);
    if (strokeFirst) paintStroke();
    paintFill();
    if (!strokeFirst) paintStroke();
    if (MARKED.has(name) && MARKERS.some((which) => style[which] !== 'none')) {
      const read = name === 'path' ? readPathData(element.getAttribute('d') ?? '') : undefined;
      this.#markers(path, read?.within ?? new Set(), { ...around, style }, depth);
    }
  }

  #strokeOf(path: Path, drawn: Style, map: Transform, keeps = false): Region {
    // the pen is round in the drawing's own units: stroked there, then mapped
    const size = Math.sqrt(Math.abs(map[0] * map[3] - map[1] * map[2])) || 1;
    // a pen that keeps its width is as wide as it says on the page, however much its shape is made larger
    const style = keeps ? { ...drawn, 'stroke-width': String((userLength(drawn['stroke-width']) ?? 1) / size) } : drawn;
    const scale = this.#work * size;
    if (!(scale > 1e-9) || !Number.isFinite(scale) || this.#tooFar(path, map, userLength(style['stroke-width']) ?? 1)) return [];
    const own = strokeRegion(path, style, scale);
    const back = then([1 / scale, 0, 0, 1 / scale, 0, 0], this.#working(map));
    return applyToRegion(back, own);
  }

  /** An area in working mm, as it is kept. */
  #put(paint: Paint, region: Region): void {
    if (region.length === 0) return;
    const path = mapPath(regionPath(region), [1 / this.#work, 0, 0, 1 / this.#work, 0, 0]);
    this.segments += path.length;
    this.painted.push({ ...paint, path, rule: 'nonzero' });
  }

  /** Whether a path reaches far beyond anything that is cut; a pen of a width reaches further. */
  #tooFar(path: Path, map: Transform, pen = 0): boolean {
    const work = this.#working(map);
    const size = Math.sqrt(Math.abs(work[0] * work[3] - work[1] * work[2]));
    const far =
      !(pen * size < FAR_MM) ||
      path.some((segment) => segment.slice(1).some((p) => !applyToPoint(work, p as Point).every((n) => Math.abs(n) < FAR_MM)));
    if (far) this.#leave('shapes far larger than the drawing');
    return far;
  }

  /** What a fill or a stroke paints; nothing where it paints nothing, or what cannot be told, which is named. */
  #paintOf(text: string, own: string, around: number): Paint | undefined {
    const [, url, rest] = /^(url\([^)]*\))\s*(.*)$/.exec(text) ?? [];
    const said = url === undefined ? text : rest!;
    const through = opacityOf(own) * around;
    if (url !== undefined) {
      const id = urlOf(url);
      const flat = id === undefined ? undefined : flatGradient(id, this.#byId, this.#sheet);
      if (flat) {
        const opacity = flat.opacity * through;
        if (opacity < SEEN) return undefined;
        this.gradients += 1;
        return {
          colour: flat.main,
          ...(flat.middle === flat.main ? {} : { middle: flat.middle }),
          ...(opacity < SOLID ? { opacity } : {}),
        };
      }
      // what stands behind it is for those who cannot show it
      if (said === '') {
        this.#leave('patterns, and gradients without colours');
        return undefined;
      }
    }
    if (said === 'none' || through < SEEN) return undefined;
    const paint = readPaint(said);
    if (!paint) {
      this.#leave(`the colour "${said.slice(0, 30)}"`);
      return undefined;
    }
    const opacity = paint.opacity * through;
    if (opacity < SEEN) return undefined;
    return { colour: paint.colour, ...(opacity < SOLID ? { opacity } : {}) };
  }

  /** Everything that the shapes inside an element cover, working mm, each with its colour. */
  #areas(holder: Element, map: Transform, depth: number, rule: 'clip-rule' | 'fill-rule'): { colour: string; region: Region }[] {
    const sub: { colour: string; region: Region }[] = [];
    const gather = (element: Element, at: Transform, style: Style, level: number) => {
      if (level > MOST_DEPTH || this.tooMany) return;
      const name = nameOf(element);
      const value = ownValues(element, this.#sheet);
      if (value('display') === 'none') return;
      const turned = readTransform(element.getAttribute('transform'));
      const placed = turned.ok ? then(turned.value, at) : at;
      const own = inherit(value, style);
      if (name === 'use') {
        const target = this.#byId.get(hrefOf(element) ?? '');
        this.#uses += 1;
        if (target && this.#uses < MOST_USES)
          gather(
            target,
            then([1, 0, 0, 1, userLength(element.getAttribute('x')) ?? 0, userLength(element.getAttribute('y')) ?? 0], placed),
            own,
            level + 1,
          );
        return;
      }
      if (GROUPS.has(name)) for (const child of childrenOf(element)) gather(child, placed, own, level + 1);
      if (!SHAPES.has(name) || own.visibility !== 'visible') return;
      const path = this.#path(element, name, this.room);
      if (!path || this.#tooFar(path, placed)) return;
      if (rule === 'clip-rule') {
        sub.push({
          colour: '#ffffff',
          region: regionOf(flatten(path, this.#working(placed)), own['clip-rule'] === 'evenodd' ? 'evenodd' : 'nonzero'),
        });
        return;
      }
      const fill = own.fill === 'none' || opacityOf(own['fill-opacity']) < SEEN ? undefined : readPaint(own.fill);
      if (fill && fill.opacity >= SEEN)
        sub.push({
          colour: fill.colour,
          region: regionOf(flatten(path, this.#working(placed)), own['fill-rule'] === 'evenodd' ? 'evenodd' : 'nonzero'),
        });
      const stroke = own.stroke === 'none' ? undefined : readPaint(own.stroke);
      if (stroke && stroke.opacity >= SEEN) sub.push({ colour: stroke.colour, region: this.#strokeOf(path, own, placed) });
    };
    // what is said of the holder, and around it, is said of what is in it
    const style = this.#styleAbove(holder);
    for (const child of childrenOf(holder)) gather(child, map, style, depth + 1);
    return sub;
  }

  #clipRegion(id: string, element: Element, map: Transform, depth: number): Region | undefined {
    const holder = this.#byId.get(id);
    if (!holder || nameOf(holder) !== 'clippath') return undefined;
    let at = map;
    if (holder.getAttribute('clipPathUnits') === 'objectBoundingBox') {
      const box = this.#boxOf(element, depth);
      if (!box) return undefined;
      at = then([box[2], 0, 0, box[3], box[0], box[1]], map);
    }
    const own = readTransform(holder.getAttribute('transform'));
    const areas = this.#areas(holder, own.ok ? then(own.value, at) : at, depth, 'clip-rule');
    const whole = areas.length === 0 ? [] : union(...areas.map((area) => area.region));
    // a clip may be clipped itself; a ring of clips ends where it began
    const further = urlOf(ownValues(holder, this.#sheet)('clip-path'));
    this.#clipping.add(id);
    const by = further && !this.#clipping.has(further) ? this.#clipRegion(further, element, map, depth + 1) : undefined;
    this.#clipping.delete(id);
    return by ? intersection(whole, by) : whole;
  }

  /** A mask of plain shapes: what is light lets through, what is dark does not. */
  #maskRegion(id: string, element: Element, map: Transform, depth: number): Region | undefined {
    const holder = this.#byId.get(id);
    if (!holder || nameOf(holder) !== 'mask') return undefined;
    const ofBox = holder.getAttribute('maskContentUnits') === 'objectBoundingBox';
    const inUnits = holder.getAttribute('maskUnits') === 'userSpaceOnUse';
    const box = ofBox || !inUnits ? this.#boxOf(element, depth) : undefined;
    if (ofBox && !box) return undefined;
    const content = ofBox && box ? then([box[2], 0, 0, box[3], box[0], box[1]], map) : map;
    const alpha = /alpha/.test(holder.getAttribute('mask-type') ?? holder.getAttribute('style') ?? '');
    let through: Region = [];
    for (const { colour, region } of this.#areas(holder, content, depth, 'fill-rule')) {
      const [r, g, b] = [1, 3, 5].map((i) => Number.parseInt(colour.slice(i, i + 2), 16) / 255) as [number, number, number];
      const light = alpha || 0.2126 * r + 0.7152 * g + 0.0722 * b > 0.4;
      through = light ? union(through, region) : difference(through, region);
    }
    const edge = maskEdge(holder, box, this.room);
    return edge ? intersection(through, applyToRegion(this.#working(map), edge)) : through;
  }

  /** A clip that is written as a shape. */
  #cssClip(text: string, element: Element, map: Transform, style: Style, depth: number): Region | undefined {
    const clip = cssClip(text, (name) => {
      if (name === 'view-box') return { minX: 0, minY: 0, maxX: this.room.width, maxY: this.room.height };
      const own = this.#boxOf(element, depth);
      if (!own) return undefined;
      const [x, y, width, height] = own;
      const stroked = name !== 'fill-box' && name !== 'content-box' && name !== 'padding-box' && style.stroke !== 'none';
      const pen = stroked ? (userLength(style['stroke-width']) ?? 1) / 2 : 0;
      return { minX: x - pen, minY: y - pen, maxX: x + width + pen, maxY: y + height + pen };
    });
    if (!clip) {
      this.#leave('a clip that cannot be read');
      return undefined;
    }
    return regionOf(flatten(clip.path, this.#working(map)), clip.rule);
  }

  /** The box of a shape or of all that is in a group, in its own units, without strokes: x, y, width, height. */
  #boxOf(element: Element, depth: number): ViewBox | undefined {
    const name = nameOf(element);
    const seen = this.segments;
    let box: Box | undefined;
    if (SHAPES.has(name)) {
      const path = this.#path(element, name, this.room);
      const rings = path && !this.#tooFar(path, IDENTITY) ? flatten(path) : [];
      if (rings.length > 0) box = boxAround(rings.map(boxOfPoints));
    } else {
      const regions = this.#areas(element, IDENTITY, depth, 'clip-rule')
        .map(({ region }) => region)
        .filter((region) => region.length > 0);
      if (regions.length > 0) {
        const { minX, minY, maxX, maxY } = boxAround(regions.map(boxOf));
        box = { minX: minX / this.#work, minY: minY / this.#work, maxX: maxX / this.#work, maxY: maxY / this.#work };
      }
    }
    // what is only measured is not drawn
    this.segments = seen;
    return box && boxWidth(box) > 0 ? [box.minX, box.minY, boxWidth(box), boxHeight(box)] : undefined;
  }
}

/** Walks a drawing and gathers what it paints, in painting order, with clips and masks applied. Nothing in it is run or fetched. */
export function gatherSvg(root: Element, setText?: SetText): Gathered {
  const walk = new Walk(root, setText);
  walk.visit(root, { map: [1, 0, 0, stretchOf(root), 0, 0], style: FIRST_STYLE, opacity: 1, room: walk.room }, 0);
  const { painted, lines, leftOut, gradients, tooDeep, tooMany } = walk;
  return { painted, lines, leftOut, gradients, tooDeep, tooMany };
}
