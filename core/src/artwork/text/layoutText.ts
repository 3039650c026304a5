import { boxWidth, boxOfPaths, mapPath, type Box, type Path } from '../../geometry';
import type { Artwork, TextLine } from '../../job';
import { arcText } from './arcText';
import type { Face, Faces } from './face';
import { layoutLine, type LaidLetter, type LaidLine } from './layoutLine';

/** A letter that no face here can draw. */
export interface MissingGlyph {
  character: string;
  face: string;
  line: number;
}

/** Two letters of a joined line, and by how much they were moved together, em; undefined where they could not be made to touch. */
export interface ClosedUp {
  pair: string;
  line: number;
  by: number | undefined;
}

/** Lines of text as outlines: 1 unit is the em of a line of scale 1, y up, the first baseline at 0. */
export interface TextOutline {
  /** One path a letter, in reading order. */
  glyphs: Path[];
  missing: MissingGlyph[];
  closedUp: ClosedUp[];
}

/** Height of a line against its em, where no line spacing is added. */
const LINE = 1.15;
/** A line is spread to a width in so many tries: where ligatures fall apart the second has less to spread. */
const JUSTIFIED = 3;

/**
 * One line from its starting point, as it is: for text in drawings.
 *
 * @returns outlines in ems, y up, the baseline at 0; where the next letter would stand; letters that the face lacks
 */
export function setLine(text: string, face: Face): { glyphs: Path[]; advance: number; missing: readonly string[] } {
  const { letters, missing, end } = layoutLine({ id: '', text, face: face.id, scale: 1, spacing: 0 }, face, 1, 0);
  return { glyphs: letters.map((letter) => letter.path), advance: end, missing };
}

const inkOf = (letters: readonly LaidLetter[]): Box => boxOfPaths(letters.map(({ path }) => path));

/**
 * Sets lines of text as outlines.
 *
 * @param artwork the lines with face, scale, letter spacing (em), alignment, line spacing (1 is normal) and arc
 * @param faces the faces at hand; a line whose face is unknown reports every letter as missing
 * @returns outlines in ems; letters that no face has are named and leave a gap; where joined letters had to be moved is told
 */
export function layoutText(artwork: Extract<Artwork, { kind: 'text' }>, faces: Faces): TextOutline {
  const missing: MissingGlyph[] = [];
  const closedUp: ClosedUp[] = [];
  const lay = (line: TextLine, scale: number, extra: number): LaidLine => {
    const face = faces.get(line.face);
    if (face) return layoutLine(line, face, scale, extra);
    return { letters: [], missing: [...line.text.replace(/\s/g, '')], closed: [], end: 0, gaps: 0 };
  };
  const first = artwork.lines.map((line) => lay(line, line.scale, 0));
  const widest = Math.max(...first.map(({ letters }) => (letters.length > 0 ? boxWidth(inkOf(letters)) : 0)), 0);
  const lines = artwork.lines.map((line, i) => {
    const own = first[i]!;
    const width = own.letters.length > 0 ? boxWidth(inkOf(own.letters)) : 0;
    let [laid, scale] = [own, line.scale];
    if (artwork.align === 'stacked' && width > 0) {
      scale = (line.scale * widest) / width;
      laid = lay(line, scale, 0);
    } else if (artwork.align === 'justified' && width > 0 && width < widest - 1e-6 && own.gaps > 0) {
      let extra = 0;
      for (let tries = 0; tries < JUSTIFIED && laid.gaps > 0; tries++) {
        extra += (widest - boxWidth(inkOf(laid.letters))) / laid.gaps / scale;
        laid = lay({ ...line, joined: false }, scale, extra);
      }
    }
    missing.push(...laid.missing.map((character) => ({ character, face: line.face, line: i })));
    closedUp.push(...laid.closed.map((c) => ({ ...c, line: i })));
    return { letters: laid.letters, scale, ink: inkOf(laid.letters) };
  });
  let baseline = 0;
  const glyphs = lines.flatMap(({ letters, scale, ink }, i) => {
    if (i > 0) baseline -= scale * LINE * artwork.lineSpacing;
    // what is aligned is the ink, not the space that a face keeps beside it
    const align = artwork.arc ? 'centre' : artwork.align;
    const shift = align === 'left' ? -ink.minX : align === 'right' ? -ink.maxX : -(ink.minX + ink.maxX) / 2;
    return letters.map(({ path }) => mapPath(path, [1, 0, 0, 1, shift, baseline]));
  });
  return { glyphs: artwork.arc ? arcText(glyphs, artwork.arc, baseline) : glyphs, missing, closedUp };
}
