import { boxAround, boxOfPoints, controlPoints, mapPath, type Path, type Segment } from '../../geometry';
import type { Artwork } from '../../job';
import { findGlyph, type Face, type Faces } from './face';

/** A letter that no face here can draw. */
export interface MissingGlyph {
  character: string;
  face: string;
  line: number;
}

/** Lines of text as outlines: 1 unit is the em of a line of scale 1, y up, the first baseline at 0. */
export interface TextOutline {
  /** One path a letter, in reading order. */
  glyphs: Path[];
  missing: MissingGlyph[];
}

/** Height of a line against its em, where no line spacing is added. */
const LINE = 1.15;

function glyphPath(commands: readonly { type: string; x: number; y: number; x1: number; y1: number; x2: number; y2: number }[]): Path {
  return commands.map((c): Segment => {
    if (c.type === 'M') return ['M', [c.x, -c.y]];
    if (c.type === 'L') return ['L', [c.x, -c.y]];
    if (c.type === 'Q') return ['Q', [c.x1, -c.y1], [c.x, -c.y]];
    if (c.type === 'C') return ['C', [c.x1, -c.y1], [c.x2, -c.y2], [c.x, -c.y]];
    return ['Z'];
  });
}

type Found = NonNullable<ReturnType<typeof findGlyph>>;

/** One line from x = 0, letter by letter with kerning within a file. */
function layoutLine(text: string, face: Face, spacing: number, scale: number): { glyphs: Path[]; width: number; missing: string[] } {
  const glyphs: Path[] = [];
  const missing: string[] = [];
  let x = 0;
  let before: Found | undefined;
  for (const character of text.normalize('NFC')) {
    const found = findGlyph(face, character);
    if (!found) {
      if (character.trim() !== '') missing.push(character);
      x += 0.3 * scale;
      before = undefined;
      continue;
    }
    const { font, glyph } = found;
    const em = scale / font.unitsPerEm;
    if (before && before.font === font) x += font.getKerningValue(before.glyph, glyph) * em;
    const path = glyphPath(glyph.getPath(x, 0, scale).commands);
    if (path.length > 0) glyphs.push(path);
    x += (glyph.advanceWidth ?? 0) * em + spacing * scale;
    before = { font, glyph };
  }
  return { glyphs, width: Math.max(0, x - spacing * scale), missing };
}

/**
 * Sets lines of text as outlines.
 *
 * @param artwork the lines with face, scale, letter spacing (em), alignment and line spacing (1 is normal)
 * @param faces the faces that ship; a line whose face is unknown reports every letter as missing
 * @returns outlines in ems; letters that no face has are named and leave a gap
 */
export function layoutText(artwork: Extract<Artwork, { kind: 'text' }>, faces: Faces): TextOutline {
  const missing: MissingGlyph[] = [];
  let baseline = 0;
  const lines = artwork.lines.map((line, i) => {
    const face = faces.get(line.face);
    if (i > 0) baseline -= line.scale * LINE * artwork.lineSpacing;
    const laid = face
      ? layoutLine(line.text, face, line.spacing, line.scale)
      : { glyphs: [], width: 0, missing: [...line.text.replace(/\s/g, '')] };
    missing.push(...laid.missing.map((character) => ({ character, face: line.face, line: i })));
    // what is aligned is the ink, not the space that a face keeps beside it
    const ink = boxAround(laid.glyphs.map((path) => boxOfPoints(controlPoints(path))));
    return { glyphs: laid.glyphs, baseline, ink };
  });
  const glyphs = lines.flatMap(({ glyphs: paths, baseline: y, ink }) => {
    const shift = artwork.align === 'left' ? -ink.minX : artwork.align === 'right' ? -ink.maxX : -(ink.minX + ink.maxX) / 2;
    return paths.map((path) => mapPath(path, [1, 0, 0, 1, shift, y]));
  });
  return { glyphs, missing };
}
