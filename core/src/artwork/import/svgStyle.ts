import type { Element, Node } from '@xmldom/xmldom';
import { compile, type Options } from 'css-select';
import { generate, parse, walk, type CssNode, type Declaration, type Rule as CssRule, type Selector } from 'css-tree';

import { isElement, nameOf, nodesIn } from './svgDom';

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
  readonly 'marker-start': string;
  readonly 'marker-mid': string;
  readonly 'marker-end': string;
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
  'marker-start': 'none',
  'marker-mid': 'none',
  'marker-end': 'none',
};
const INHERITED = Object.keys(FIRST_STYLE) as (keyof Style)[];

/** One selector of a rule with what it sets. */
interface Rule {
  readonly fits: (element: Element) => boolean;
  /** Ids, classes, tags (Selectors Level 4, section 17). */
  readonly weight: number;
  readonly values: ReadonlyMap<string, Said>;
}
/** A value, and whether it is important. */
interface Said {
  readonly text: string;
  readonly important: boolean;
}
export type StyleSheet = readonly Rule[];

/** How selectors see a drawing. */
const adapter: NonNullable<Options<Node, Element>['adapter']> = {
  isTag: isElement,
  getName: nameOf,
  getAttributeValue: (element, name) => element.getAttribute(name) ?? undefined,
  hasAttrib: (element, name) => element.hasAttribute(name),
  getChildren: nodesIn,
  getParent: (element) => element.parentNode,
  getSiblings: (node) => (node.parentNode ? nodesIn(node.parentNode) : [node]),
  getText: (node) => node.textContent ?? '',
  removeSubsets: (nodes) => nodes,
};

function saidIn(block: CssNode): Map<string, Said> {
  const values = new Map<string, Said>();
  walk(block, {
    visit: 'Declaration',
    enter({ property, value, important }: Declaration) {
      const name = property.startsWith('--') ? property : property.toLowerCase();
      const text = generate(value).trim();
      // what is important is not set again by what is not
      if (text && !(values.get(name)?.important && !important)) values.set(name, { text, important: important !== false });
    },
  });
  return values;
}

function readDeclarations(text: string): Map<string, Said> {
  if (!text.includes(':')) return new Map();
  return saidIn(parse(text, { context: 'declarationList', parseValue: false, onParseError: () => undefined }));
}

/** How much a selector weighs. */
function weightOf(selector: CssNode): number {
  let weight = 0;
  walk(selector, (node) => {
    if (node.type === 'IdSelector') weight += 10_000;
    else if (node.type === 'ClassSelector' || node.type === 'AttributeSelector') weight += 100;
    else if (node.type === 'PseudoClassSelector' && !/^(not|is|where|has)$/i.test(node.name)) weight += 100;
    else if (node.type === 'TypeSelector' && node.name !== '*') weight += 1;
  });
  return weight;
}

/** What the last part of a selector asks for by name: most elements are passed over by this alone. */
function quickly(selector: Selector): (element: Element) => boolean {
  const last: CssNode[] = [];
  selector.children.forEach((node) => {
    if (node.type === 'Combinator') last.length = 0;
    else last.push(node);
  });
  const names = (type: CssNode['type']) => last.flatMap((node) => (node.type === type ? [(node as { name: string }).name] : []));
  const [tag] = names('TypeSelector').filter((name) => name !== '*');
  const [id] = names('IdSelector');
  const [wanted] = names('ClassSelector');
  return (element) =>
    (tag === undefined || nameOf(element) === tag.toLowerCase().replace(/^svg\|/, '')) &&
    (id === undefined || element.getAttribute('id') === id) &&
    (wanted === undefined || (element.getAttribute('class') ?? '').split(/\s+/).includes(wanted));
}

/** The most rules that are looked at: a style sheet is no place to hide a day's work. */
const MOST_RULES = 4000;

/** Whether rules for some media hold for what is looked at: no condition, or all, or a screen. */
const isShown = (prelude: CssNode | null): boolean => {
  const media = prelude ? generate(prelude).toLowerCase() : '';
  return media === '' || media.split(',').some((one) => /^(only )?(all|screen)$/.test(one.trim()));
};

/** Reads the style sheets inside a drawing. Rules for other media than a screen are passed over, and what cannot be read is. */
export function readStyleSheet(text: string): StyleSheet {
  const rules: Rule[] = [];
  const plain = text.replace(/<!\[CDATA\[|\]\]>|<!--|-->/g, '');
  if (!plain.includes('{')) return rules;
  const sheet = parse(plain, { parseValue: false, parseCustomProperty: false, onParseError: () => undefined });
  walk(sheet, {
    visit: 'Rule',
    enter(rule: CssRule) {
      if (rules.length > MOST_RULES || rule.prelude.type !== 'SelectorList') return;
      if (this.atrule && !(this.atrule.name.toLowerCase() === 'media' && isShown(this.atrule.prelude))) return;
      const values = saidIn(rule.block);
      const own: Rule[] = [];
      try {
        rule.prelude.children.forEach((selector) => {
          if (selector.type !== 'Selector') throw new Error('not a selector');
          const quick = quickly(selector);
          const matches = compile<Node, Element>(generate(selector), { adapter, xmlMode: true });
          own.push({ fits: (element) => quick(element) && matches(element), weight: weightOf(selector), values });
        });
      } catch {
        // a list of which one part cannot be read holds for nothing
        return;
      }
      rules.push(...own);
    },
  });
  return rules.toSorted((a, b) => a.weight - b.weight);
}

/** Names of properties that stand in a value for what they are set to; so deep at most, and so far up. */
const VAR = /var\(\s*(--[\w-]+)\s*(?:,\s*([^()]*(?:\([^()]*\)[^()]*)*))?\)/;
const MOST_VARS = 20;

/**
 * Everything that is said of an element itself: attributes, then style sheets by weight, then its own style, then what is important in them.
 * Names that stand for values are looked up.
 */
export function ownValues(element: Element, sheet: StyleSheet): (property: string) => string | undefined {
  const said = saidOf(element, sheet);
  return (property) => {
    let text = said(property);
    for (let step = 0; text?.includes('var(') && step < MOST_VARS; step++) {
      const [whole, name, instead] = VAR.exec(text) ?? [];
      if (whole === undefined) return undefined;
      let found: string | undefined;
      for (let at: Node | null = element; found === undefined && at && isElement(at); at = at.parentNode) found = saidOf(at, sheet)(name!);
      const value = found ?? instead?.trim();
      // a name that stands for nothing makes the whole of it be nothing
      if (value === undefined) return undefined;
      text = text.replace(whole, () => value);
    }
    return text?.includes('var(') ? undefined : text;
  };
}

function saidOf(element: Element, sheet: StyleSheet): (property: string) => string | undefined {
  const own = readDeclarations(element.getAttribute('style') ?? '');
  const rules = sheet.filter((rule) => rule.fits(element));
  return (property) => {
    const inRules = rules.flatMap((rule) => rule.values.get(property) ?? []);
    const inOwn = own.get(property);
    const last = inOwn?.important ? inOwn : (inRules.findLast(({ important }) => important) ?? inOwn ?? inRules.at(-1));
    // the one word for three markers is none that an element has by itself
    return last?.text ?? (property === 'marker' ? undefined : element.getAttribute(property)?.trim() || undefined);
  };
}

/** The style of an element inside one with a style. */
export function inherit(value: (property: string) => string | undefined, from: Style): Style {
  const next: Record<string, string> = {};
  for (const property of INHERITED) {
    // one word for all three markers
    const said = value(property) ?? (property.startsWith('marker-') ? value('marker') : undefined);
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
