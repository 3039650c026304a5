import type { Element, Node } from '@xmldom/xmldom';
import type { Path, Transform } from '../../geometry';
import { nameOf } from './svgDom';
import { inherit, ownValues, userLength, type Style, type StyleSheet } from './svgStyle';

/** Sets a run of text in the first face of a list of families that is here; undefined when none is. In ems, y up. */
export type SetText = (text: string, families: string) => { glyphs: Path[]; advance: number; missing: readonly string[] } | undefined;

/** A run of live text: its letters, in ems and y up, where they stand in the drawing, and what they are painted with. */
export interface TextRun {
  readonly glyphs: readonly Path[];
  readonly place: Transform;
  readonly style: Style;
}

/** No text is nested deeper than this. */
const MOST_DEPTH = 40;
/** The width of a space that stands alone, em. */
const SPACE = 0.28;

/**
 * The runs of a text element: its own words and those of its spans, one after another.
 *
 * @param setText sets a run in a face that is here
 * @param leave told what has to be left out: text whose face or letters are not here
 * @param plainly what text is called where no face is named or none can be set
 */
export function textRuns(
  element: Element,
  style: Style,
  sheet: StyleSheet,
  setText: SetText | undefined,
  leave: (what: string) => void,
  plainly: string,
): TextRun[] {
  const runs: TextRun[] = [];
  const cursor = { x: 0, y: 0 };
  const walk = (holder: Element, own: Style, depth: number): void => {
    if (depth > MOST_DEPTH) return;
    const size = userLength(own['font-size'], 16) ?? 16;
    const at = (name: string) => userLength((holder.getAttribute(name) ?? '').trim().split(/[\s,]+/)[0]);
    cursor.x = (at('x') ?? cursor.x) + (at('dx') ?? 0);
    cursor.y = (at('y') ?? cursor.y) + (at('dy') ?? 0);
    for (let child = holder.firstChild as Node | null; child; child = child.nextSibling) {
      if (child.nodeType === 1) {
        const inner = child as Element;
        if (nameOf(inner) === 'tspan') walk(inner, inherit(ownValues(inner, sheet), own), depth + 1);
        else leave(`"${inner.nodeName.slice(0, 30)}" within text`);
      } else if (child.nodeType === 3 || child.nodeType === 4) {
        const text = (child.nodeValue ?? '').replace(/\s+/g, ' ');
        const alone = child === holder.firstChild && !child.nextSibling;
        write(alone ? text.trim() : text, own, size);
      }
    }
  };
  const write = (text: string, own: Style, size: number): void => {
    if (text.trim() === '') {
      if (text !== '') cursor.x += size * SPACE;
      return;
    }
    const set = setText?.(text, own['font-family']);
    if (!set || set.missing.length > 0) {
      const family = own['font-family'].split(',')[0]!.replace(/['"]/g, '').trim();
      const unknown =
        family && setText ? `live text in ${family}, a font that is not here (turn it into outlines, or bring the font)` : plainly;
      leave(set ? `live text with letters that its font lacks: ${set.missing.join(' ')}` : unknown);
      return;
    }
    const width = set.advance * size;
    const shift = own['text-anchor'] === 'middle' ? -width / 2 : own['text-anchor'] === 'end' ? -width : 0;
    runs.push({ glyphs: set.glyphs, place: [size, 0, 0, -size, cursor.x + shift, cursor.y], style: own });
    cursor.x += width;
  };
  walk(element, style, 0);
  return runs;
}
