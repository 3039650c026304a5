import { SPARES } from '../facts';
import { applyToRegion, boxCentre, boxOf, boxRegion, edgeLength, partArea, translation, type Part, type Region } from '../geometry';
import { marginOf } from './holdDown';
import { gapOf, type FilmLayout } from './layout';
import { fillSheet } from './nest/fillSheet';
import type { Nested, NestPart } from './nest/nester';
import type { PenLine } from './toolpath/penLines';
import { ringsToCut } from './toolpath/strokes';

/** Bits whose size and area differ by less than this share are one bit. */
const ALIKE = 0.02;

const near = (a: number, b: number): boolean => Math.abs(a - b) <= ALIKE * Math.max(a, b);

/** The small bits of some outlines, each kind of bit once, the smallest first; around their own middles. */
function smallBits(outlines: readonly Region[]): Region[] {
  const kinds: { part: Part; area: number; width: number; height: number }[] = [];
  for (const part of outlines.flat()) {
    const area = partArea(part);
    if (area > SPARES.area) continue;
    const box = boxOf([part]);
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
    const known = kinds.some((kind) => near(kind.area, area) && near(kind.width, width) && near(kind.height, height));
    if (!known) kinds.push({ part, area, width, height });
  }
  return kinds
    .toSorted((a, b) => a.area - b.area)
    .slice(0, SPARES.most)
    .map(({ part }) => {
      const [x, y] = boxCentre(boxOf([part]));
      return applyToRegion(translation(-x, -y), [part]);
    });
}

/** What stands for a part where spares are laid: a spare in the inside of a letter would be weeded with it. */
const filled = (region: Region): Region => region.map(({ outer }) => ({ outer, holes: [] }));

/**
 * A layout with spares of its smallest bits, dots and the like, on film that is taken anyway: each kind of bit once, where there is room for it.
 *
 * @param wanted marks of which shapes are kept, as `job/mark`: of a stencil a bit is a hole
 * @returns the same layout where nothing is small or nothing finds room
 */
export function withSpares(layout: FilmLayout, wanted: ReadonlySet<string>): FilmLayout {
  const of = new Set(layout.parts.flatMap(({ job, mark, outline }) => (wanted.has(`${job}/${mark}`) ? [outline] : [])));
  const bits = smallBits([...of].map((outline) => layout.outlines[outline]!));
  if (bits.length === 0 || layout.pens) return layout;
  const onRoll = layout.sheet.from.kind === 'roll';
  const outline = onRoll ? boxRegion({ minX: 0, minY: 0, maxX: layout.width, maxY: layout.taken }) : layout.sheet.outline;
  const laid = layout.outlines.map((region, i): NestPart => ({
    region: filled(region),
    copies: layout.parts.filter((part) => part.outline === i).length,
  }));
  const fixed = layout.parts.map(({ outline: part, copy, place }): Nested => ({ part, copy, sheet: 0, place }));
  const parts = [...laid, ...bits.map((region): NestPart => ({ region, copies: 1 }))];
  const options = { gap: gapOf(layout), holdDown: marginOf(layout) };
  const { nested } = fillSheet(parts, { ...layout.sheet, outline }, options, { rounds: 1, seed: 1 }, fixed);
  const spares = nested.flatMap(({ part, place }) => (part >= laid.length ? [applyToRegion(place, parts[part]!.region)] : []));
  if (spares.length === 0) return layout;
  const knife = edgeLength(spares.flat());
  const { machine } = layout;
  return { ...layout, spares, knife: layout.knife + knife, minutes: layout.minutes + (machine ? knife / machine.knife / 60 : 0) };
}

/** The outlines of spares, in the order in which they are cut. */
export const spareLines = ({ spares = [] }: Pick<FilmLayout, 'spares'>): PenLine[] =>
  spares.flatMap((region) => ringsToCut(region).map((points): PenLine => ({ points, closed: true })));
