/** The part of opentype.js that core uses; the package's own types pull the DOM in. */
export interface PathCommand {
  type: 'M' | 'L' | 'Q' | 'C' | 'Z';
  x: number;
  y: number;
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}
export interface Glyph {
  index: number;
  advanceWidth?: number;
  getPath(x: number, y: number, size: number): { commands: PathCommand[] };
}
export interface Font {
  unitsPerEm: number;
  ascender: number;
  descender: number;
  stringToGlyphs(text: string): Glyph[];
  charToGlyph(character: string): Glyph;
  getKerningValue(left: Glyph, right: Glyph): number;
}
export function parse(bytes: ArrayBuffer): Font;
declare const opentype: { parse: typeof parse };
export default opentype;
