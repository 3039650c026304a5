import { mapPath, type Path } from '../../geometry';
import type { TextLine } from '../../job';
import { closeUpBy } from './closeUp';
import type { Face } from './face';
import { runsOf, type Run } from './runs';

/** A letter in its place: all that one or several characters draw together. */
export interface LaidLetter {
  readonly path: Path;
  /** What it draws: several characters in a ligature, or a letter with its marks. */
  readonly text: string;
  /** The first of its characters in the line. */
  readonly index: number;
}

/** One line, set. */
export interface LaidLine {
  /** Letters as they are read. */
  readonly letters: readonly LaidLetter[];
  /** Letters that the face lacks. */
  readonly missing: readonly string[];
  /** Letters that stood apart, and by how much they were moved together, em; undefined where they could not be. */
  readonly closed: readonly { readonly pair: string; readonly by: number | undefined }[];
  /** Where the next letter would stand. */
  readonly end: number;
  /** Between how many letters more space would be laid. */
  readonly gaps: number;
}

/** Room for a letter or a space that no file has, em. */
const GAP = 0.3;

/** What one or several characters of a run draw, from 0; em. */
interface Cluster {
  readonly path: Path;
  readonly text: string;
  readonly advance: number;
  /** Its characters in the line: the first, and the one after the last. */
  readonly from: number;
  readonly to: number;
}

/** Characters before a code unit. */
const charactersTo = (text: string, unit: number): number => [...text.slice(0, unit)].length;

/** A run as its clusters, from left to right. */
function clustersOf(line: string, run: Run, apart: boolean, weight: number | undefined): Cluster[] {
  const { font, text, start, rightToLeft } = run;
  if (!font) {
    const from = charactersTo(line, start);
    return [{ path: [], text, advance: GAP, from, to: from + 1 }];
  }
  const glyphs = font.shape(text, { rightToLeft, apart, weight });
  const starts = [...new Set(glyphs.map(({ cluster }) => cluster))].toSorted((a, b) => a - b);
  const endOf = new Map(starts.map((cluster, i) => [cluster, starts[i + 1] ?? text.length]));
  const found: { cluster: number; path: Path; advance: number }[] = [];
  for (const { id, cluster, advance, dx, dy } of glyphs) {
    let last = found.at(-1);
    if (last?.cluster !== cluster) found.push((last = { cluster, path: [], advance: 0 }));
    const right = last.advance + dx;
    const glyph = font.path(id, weight);
    const path = right === 0 && dy === 0 ? glyph : mapPath(glyph, [1, 0, 0, 1, right, dy]);
    last.path = last.path.length > 0 ? [...last.path, ...path] : path;
    last.advance += advance;
  }
  return found.map(({ cluster, path, advance }) => {
    const [first, last] = [start + cluster, start + endOf.get(cluster)!];
    return { path, advance, text: line.slice(first, last), from: charactersTo(line, first), to: charactersTo(line, last) };
  });
}

/** One line from x = 0: runs of each script as their font sets them, seen from left to right. */
export function layoutLine(line: TextLine, face: Face, scale: number, extra: number): LaidLine {
  const { spacing, pairs, joined, weight } = line;
  const text = line.text.normalize('NFC');
  const { runs, missing } = runsOf(text, face);
  // spaced letters stand alone
  const apart = spacing + extra !== 0 || Object.keys(pairs ?? {}).length > 0;
  const letters: LaidLetter[] = [];
  const closed: { pair: string; by: number | undefined }[] = [];
  let x = 0;
  /** Gaps between the letters so far, and since the last of them. */
  let gaps = 0;
  let since = 0;
  let before: (Cluster & { readonly rightToLeft: boolean }) | undefined;
  for (const run of runs) {
    const { rightToLeft, joins } = run;
    for (const cluster of clustersOf(text, run, apart, weight)) {
      const blank = cluster.text.trim() === '';
      // space between two letters belongs to the first of them as they are read: it lies on the other side where they run to the left
      const spread = !run.font ? false : !joins || blank;
      let own = spread ? spacing + extra : 0;
      for (let i = cluster.from; i < cluster.to; i++) own += pairs?.[i] ?? 0;
      if (rightToLeft) x += own * scale;
      let path = mapPath(cluster.path, [scale, 0, 0, scale, x, 0]);
      const last = letters.at(-1);
      if (joined && last && before && before.text.trim() !== '' && path.length > 0) {
        const by = closeUpBy(mapPath(last.path, [1 / scale, 0, 0, 1 / scale, 0, 0]), mapPath(path, [1 / scale, 0, 0, 1 / scale, 0, 0]));
        if (by !== 0) closed.push({ pair: rightToLeft ? `${cluster.text}${before.text}` : `${before.text}${cluster.text}`, by });
        if (by) {
          x -= by * scale;
          path = mapPath(path, [1, 0, 0, 1, -by * scale, 0]);
        }
      }
      if (path.length > 0) {
        if (letters.length > 0) gaps += since;
        since = 0;
        letters.push({ path, text: cluster.text, index: cluster.from });
      }
      if (spread) since += 1;
      x += (cluster.advance + (rightToLeft ? 0 : own)) * scale;
      before = { ...cluster, rightToLeft };
    }
  }
  return {
    letters: letters.toSorted((a, b) => a.index - b.index),
    ...{ missing, closed, end: x, gaps },
  };
}
