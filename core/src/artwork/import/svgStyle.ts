import type { Element } from '@xmldom/xmldom';

/** What an element is drawn with, as far as a knife is concerned; values as written. */
export interface Style {
  readonly fill: string;
  readonly 'fill-rule': string;
  readonly 'fill-opacity': string;
  readonly 'clip-rule': string;
  readonly stroke: string;
  readonly 'stroke-opacity': string;
  readonly 'stroke-width': string;
  readonly 'stroke-linecap': string;
  readonly 'stroke-linejoin': string;
  readonly 'stroke-miterlimit': string;
  readonly 'stroke-dasharray': string;
  readonly 'stroke-dashoffset': string;
  readonly 'paint-order': string;
  readonly color: string;
  readonly visibility: string;
  readonly 'font-family': string;
  readonly 'font-size': string;
  readonly 'text-anchor': string;
}

export const FIRST_STYLE: Style = {
  fill: '#000000',
  'fill-rule': 'nonzero',
  'fill-opacity': '1',
  'clip-rule': 'nonzero',
  stroke: 'none',
  'stroke-opacity': '1',
  'stroke-width': '1',
  'stroke-linecap': 'butt',
  'stroke-linejoin': 'miter',
  'stroke-miterlimit': '4',
  'stroke-dasharray': 'none',
  'stroke-dashoffset': '0',
  'paint-order': 'normal',
  color: '#000000',
  visibility: 'visible',
  'font-family': '',
  'font-size': '16',
  'text-anchor': 'start',
};
const INHERITED = Object.keys(FIRST_STYLE) as (keyof Style)[];

interface Rule {
  /** Compound selectors, the element's own last. */
  readonly selector: readonly Compound[];
  readonly weight: number;
  readonly values: ReadonlyMap<string, string>;
}
interface Compound {
  readonly tag?: string;
  readonly id?: string;
  readonly classes: readonly string[];
}
export type StyleSheet = readonly Rule[];

const nameOf = (element: Element): string => element.nodeName.toLowerCase().replace(/^svg:/, '');

function readCompound(text: string): Compound | undefined {
  const found = /^(\*|[\w-]+)?((?:[.#][\w-]+)*)$/.exec(text);
  if (!found) return undefined;
  const marks = found[2]!.match(/[.#][\w-]+/g) ?? [];
  return {
    ...(found[1] && found[1] !== '*' ? { tag: found[1].toLowerCase() } : {}),
    ...(marks.some((m) => m[0] === '#') ? { id: marks.find((m) => m[0] === '#')!.slice(1) } : {}),
    classes: marks.filter((m) => m[0] === '.').map((m) => m.slice(1)),
  };
}

function readDeclarations(text: string): Map<string, string> {
  const values = new Map<string, string>();
  for (const declaration of text.split(';')) {
    const colon = declaration.indexOf(':');
    if (colon < 0) continue;
    const value = declaration
      .slice(colon + 1)
      .replace(/!\s*important/i, '')
      .trim();
    if (value) values.set(declaration.slice(0, colon).trim().toLowerCase(), value);
  }
  return values;
}

/** The most rules that are looked at: a style sheet is no place to hide a day's work. */
const MOST_RULES = 4000;

/**
 * Reads style sheets inside a drawing: selectors of tag, class and id, alone, together and one inside another. Rules for media and others
 * are passed over.
 */
export function readStyleSheet(text: string): StyleSheet {
  const rules: Rule[] = [];
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, '').replace(/<!\[CDATA\[|\]\]>|<!--|-->/g, '');
  for (const [, selectors, body] of plain.matchAll(/([^{}]+)\{([^{}]*)\}/g)) {
    if (rules.length > MOST_RULES) break;
    const values = readDeclarations(body!);
    for (const one of selectors!.split(',')) {
      const compounds = one.trim().split(/\s+/).map(readCompound);
      if (compounds.length === 0 || compounds.some((c) => c === undefined)) continue;
      const selector = compounds as Compound[];
      const weight = selector.reduce((sum, c) => sum + (c.id ? 10_000 : 0) + c.classes.length * 100 + (c.tag ? 1 : 0), 0);
      rules.push({ selector, weight, values });
    }
  }
  return rules;
}

const fits = (element: Element, { tag, id, classes }: Compound): boolean => {
  if (tag && nameOf(element) !== tag) return false;
  if (id && element.getAttribute('id') !== id) return false;
  const own = (element.getAttribute('class') ?? '').split(/\s+/);
  return classes.every((c) => own.includes(c));
};

function matches(element: Element, selector: readonly Compound[]): boolean {
  if (!fits(element, selector.at(-1)!)) return false;
  let rest = selector.length - 2;
  for (let up = element.parentNode; rest >= 0 && up && up.nodeType === 1; up = up.parentNode)
    if (fits(up as Element, selector[rest]!)) rest -= 1;
  return rest < 0;
}

/** Everything that is said of an element itself: attributes, then style sheets by weight, then its own style. */
export function ownValues(element: Element, sheet: StyleSheet): (property: string) => string | undefined {
  const own = readDeclarations(element.getAttribute('style') ?? '');
  const rules = sheet.filter((rule) => matches(element, rule.selector)).toSorted((a, b) => a.weight - b.weight);
  return (property) =>
    own.get(property) ??
    rules.findLast((rule) => rule.values.has(property))?.values.get(property) ??
    (element.getAttribute(property)?.trim() || undefined);
}

/** The style of an element inside one with a style. */
export function inherit(value: (property: string) => string | undefined, from: Style): Style {
  const next: Record<string, string> = {};
  for (const property of INHERITED) {
    const said = value(property);
    next[property] = said === undefined || said === 'inherit' ? from[property] : said;
  }
  const style = next as unknown as Style;
  const resolve = (paint: string) => (/^currentcolor$/i.test(paint) ? style.color : paint);
  return { ...style, fill: resolve(style.fill), stroke: resolve(style.stroke) };
}

/** A length in user units; percentages of `whole`. Nothing when it is none. */
export function userLength(text: string | null | undefined, whole = 100): number | undefined {
  const found = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(px|pt|pc|mm|cm|in|q|%)?\s*$/i.exec(text ?? '');
  if (!found) return undefined;
  const per: Record<string, number> = {
    '': 1,
    px: 1,
    pt: 4 / 3,
    pc: 16,
    mm: 96 / 25.4,
    cm: 960 / 25.4,
    in: 96,
    q: 24 / 25.4,
    '%': whole / 100,
  };
  const value = Number(found[1]) * per[(found[2] ?? '').toLowerCase()]!;
  return Number.isFinite(value) ? value : undefined;
}
