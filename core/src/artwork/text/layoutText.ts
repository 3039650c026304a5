import { boxAround, boxOfPoints, boxWidth, controlPoints, mapPath, type Box, type Path, type Segment } from '../../geometry';
import type { Artwork, TextLine } from '../../job';
import { arcText } from './arcText';
import { closeUpBy } from './closeUp';
import { findGlyph, type Face, type Faces } from './face';

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

function glyphPath(commands: readonly { type: string; x: number; y: number; x1: number; y1: number; x2: number; y2: number }[]): Path {
  return commands.map((c): Segment => {
    if (c.type === 'M') return ['M', [c.x, -c.y]];
    if (c.type === 'L') return ['L', [c.x, -c.y]];
    if (c.type === 'Q') return ['Q', [c.x1, -c.y1], [c.x, -c.y]];
    if (c.type === 'C') return ['C', [c.x1, -c.y1], [c.x2, -c.y2], [c.x, -c.y]];
    return ['Z'];
  });
}

type Found = NonNullable<ReturnType<typeof findGlyph>> & {
  /** What it draws: several characters in a ligature. */
  text: string;
  /** The first of them in the line. */
  index: number;
};

/** A face's own ligatures over a run of characters of one file; some faces make the reader stumble, then each letter stands alone. */
function withLigatures(run: readonly Found[]): Found[] {
  const { font } = run[0]!;
  const text = run.map((r) => r.text).join('');
  try {
    const glyphs = font.stringToGlyphs(text);
    if (glyphs.length >= run.length) return [...run];
    // the characters that a glyph stands for are not told: what is shared at both ends is taken off, the middle is the ligature
    const found: Found[] = [];
    let at = 0;
    for (const [i, glyph] of glyphs.entries()) {
      const left = glyphs.length - i - 1;
      const single = run[at]!.glyph.index === glyph.index;
      let take = 1;
      if (!single) {
        const next = glyphs[i + 1];
        const until = next ? run.findIndex((r, k) => k > at && r.glyph.index === next.index && run.length - k >= left) : run.length;
        take = until > at ? until - at : 1;
      }
      const part = run.slice(at, at + take);
      found.push({ font, glyph, text: part.map((r) => r.text).join(''), index: part[0]?.index ?? at });
      at += take;
    }
    return at === run.length ? found : [...run];
  } catch {
    return [...run];
  }
}

interface LaidLine {
  /** Letters with what they draw. */
  glyphs: { path: Path; text: string }[];
  missing: string[];
  closed: { pair: string; by: number | undefined }[];
  /** Where the next letter would stand. */
  end: number;
}

/** One line from x = 0, letter by letter with kerning within a file. */
function layoutLine(line: TextLine, face: Face, scale: number, extra: number): LaidLine {
  const { spacing, pairs, joined } = line;
  const characters = [...line.text.normalize('NFC')];
  const missing: string[] = [];
  const found = characters.map((character, index) => {
    const one = findGlyph(face, character);
    if (!one && character.trim() !== '') missing.push(character);
    return one ? { ...one, text: character, index } : undefined;
  });
  // spaced letters stand alone
  const ligatures = spacing + extra === 0 && Object.keys(pairs ?? {}).length === 0;
  const row: (Found | undefined)[] = [];
  for (let i = 0; i < found.length;) {
    const one = found[i];
    if (!one || !ligatures) {
      row.push(one);
      i++;
      continue;
    }
    let to = i;
    while (to < found.length && found[to]?.font === one.font) to++;
    row.push(...withLigatures(found.slice(i, to) as Found[]));
    i = to;
  }
  const glyphs: LaidLine['glyphs'] = [];
  const closed: LaidLine['closed'] = [];
  let x = 0;
  let before: Found | undefined;
  for (const one of row) {
    if (!one) {
      x += 0.3 * scale;
      before = undefined;
      continue;
    }
    const { font, glyph } = one;
    const em = scale / font.unitsPerEm;
    if (before && before.font === font) x += font.getKerningValue(before.glyph, glyph) * em;
    let path = glyphPath(glyph.getPath(x, 0, scale).commands);
    const last = glyphs.at(-1);
    if (joined && last && before && before.text.trim() !== '' && path.length > 0) {
      const by = closeUpBy(mapPath(last.path, [1 / scale, 0, 0, 1 / scale, 0, 0]), mapPath(path, [1 / scale, 0, 0, 1 / scale, 0, 0]));
      if (by !== 0) closed.push({ pair: `${before.text}${one.text}`, by });
      if (by) {
        x -= by * scale;
        path = mapPath(path, [1, 0, 0, 1, -by * scale, 0]);
      }
    }
    if (path.length > 0) glyphs.push({ path, text: one.text });
    x += (glyph.advanceWidth ?? 0) * em + (spacing + extra + (pairs?.[one.index] ?? 0)) * scale;
    before = one;
  }
  return { glyphs, missing, closed, end: x };
}

/**
 * One line from its starting point, as it is: for text in drawings.
 *
 * @returns outlines in ems, y up, the baseline at 0; where the next letter would stand; letters that the face lacks
 */
export function setLine(text: string, face: Face): { glyphs: Path[]; advance: number; missing: string[] } {
  const { glyphs, missing, end } = layoutLine({ id: '', text, face: face.id, scale: 1, spacing: 0 }, face, 1, 0);
  return { glyphs: glyphs.map((glyph) => glyph.path), advance: end, missing };
}

const inkOf = (glyphs: readonly { path: Path }[]): Box => boxAround(glyphs.map(({ path }) => boxOfPoints(controlPoints(path))));

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
    return face ? layoutLine(line, face, scale, extra) : { glyphs: [], missing: [...line.text.replace(/\s/g, '')], closed: [], end: 0 };
  };
  const first = artwork.lines.map((line) => lay(line, line.scale, 0));
  const widest = Math.max(...first.map(({ glyphs }) => (glyphs.length > 0 ? boxWidth(inkOf(glyphs)) : 0)), 0);
  const lines = artwork.lines.map((line, i) => {
    const own = first[i]!;
    const width = own.glyphs.length > 0 ? boxWidth(inkOf(own.glyphs)) : 0;
    let [laid, scale] = [own, line.scale];
    if (artwork.align === 'stacked' && width > 0) {
      scale = (line.scale * widest) / width;
      laid = lay(line, scale, 0);
    } else if (artwork.align === 'justified' && width > 0 && width < widest - 1e-6 && [...line.text.trim()].length > 1) {
      const gaps = [...line.text.trim()].length - 1;
      laid = lay({ ...line, joined: false }, scale, (widest - width) / gaps / scale);
      // ligatures fall apart when spread: the rest is taken up once more
      const rest = widest - boxWidth(inkOf(laid.glyphs));
      laid = lay({ ...line, joined: false }, scale, (widest - width + rest) / gaps / scale);
    }
    missing.push(...laid.missing.map((character) => ({ character, face: line.face, line: i })));
    closedUp.push(...laid.closed.map((c) => ({ ...c, line: i })));
    return { glyphs: laid.glyphs, scale, ink: inkOf(laid.glyphs) };
  });
  let baseline = 0;
  const glyphs = lines.flatMap(({ glyphs: paths, scale, ink }, i) => {
    if (i > 0) baseline -= scale * LINE * artwork.lineSpacing;
    // what is aligned is the ink, not the space that a face keeps beside it
    const align = artwork.arc ? 'centre' : artwork.align;
    const shift = align === 'left' ? -ink.minX : align === 'right' ? -ink.maxX : -(ink.minX + ink.maxX) / 2;
    return paths.map(({ path }) => mapPath(path, [1, 0, 0, 1, shift, baseline]));
  });
  return { glyphs: artwork.arc ? arcText(glyphs, artwork.arc, baseline) : glyphs, missing, closedUp };
}
