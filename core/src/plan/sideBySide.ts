import type { Layer } from '../artwork';
import { LAYOUT } from '../facts';
import { applyToRegion, boxAround, boxOf, boxWidth, translation, type Transform } from '../geometry';

/** Copies of which some are mirrored are cut together: side by side, so that none is taken for another. */
export function sideBySide(flats: readonly (readonly Layer[])[]): Layer[] {
  const films = [...new Set(flats.flatMap((flat) => flat.map((layer) => layer.film)))];
  const boxes = flats.map((flat) => boxAround(flat.map((layer) => boxOf(layer.region))));
  let x = 0;
  const shifts = boxes.map((box) => {
    const shift: Transform = translation(x - box.minX, -box.minY);
    x += boxWidth(box) + LAYOUT.gap;
    return shift;
  });
  return films.map((film) => ({
    film,
    region: flats.flatMap((flat, i) =>
      flat.filter((layer) => layer.film === film).flatMap((layer) => applyToRegion(shifts[i]!, layer.region)),
    ),
  }));
}
