import { boxCentre, boxHeight, boxOf, boxWidth, then, translation } from '../../geometry';
import { QUARTER_TURNS } from './turns';
import type { Nested, Nester } from './nester';
import { packBoxes } from './packBoxes';
import { sheetWidth } from './sheet';

/**
 * Lays the boxes of parts on the first sheet by the skyline method, which takes it for a roll's free end: as wide as it is, and as long as
 * is wanted. It has no use
 * for more sheets, for seeds or for rounds.
 */
export const skyline: Nester = (parts, [sheet], { gap, holdDown }) => {
  if (!sheet) return { nested: [], tooLarge: parts.map((_, p) => p) };
  const boxes = parts.map(({ region }) => boxOf(region));
  const items = parts.flatMap(({ copies, fixed }, p) =>
    Array.from({ length: copies }, (_, copy) => ({
      ...{ id: `${p}/${copy}`, width: boxWidth(boxes[p]!), height: boxHeight(boxes[p]!) },
      ...(fixed ? { fixed } : {}),
    })),
  );
  const packing = packBoxes(items, sheetWidth(sheet) - 2 * holdDown, gap);
  const nested = packing.boxes
    .toSorted((a, b) => a.y - b.y || a.x - b.x)
    .map(({ id, x, y, width, height, turned }): Nested => {
      const [part, copy] = id.split('/').map(Number) as [number, number];
      const [cx, cy] = boxCentre(boxes[part]!);
      const upright = then(translation(-cx, -cy), QUARTER_TURNS[turned ? 1 : 0]!);
      return { part, copy, sheet: 0, place: then(upright, translation(holdDown + x + width / 2, holdDown + y + height / 2)) };
    });
  return { nested, tooLarge: [...new Set(packing.tooWide.map((id) => Number(id.split('/')[0])))] };
};
