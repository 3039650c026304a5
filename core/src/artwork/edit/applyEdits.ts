import {
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxRegion,
  boxWidth,
  difference,
  intersection,
  offset,
  partArea,
  scaling,
  signedArea,
  translation,
  union,
  type Point,
  type Region,
} from '../../geometry';
import type { Change, Edit, Id } from '../../job';
import type { Layer } from '../drawMark';
import { bridged } from './bridges';
import { broughtRegion, inkBox } from './broughtShape';
import { plateAround } from './plate';
import { scatter } from './scatter';

/** More copies than this in rows and columns are planned by no device in time. */
export const MOST_COPIES = 900;

/** How much an outline is thickened in all, mm per side. */
export const thickenedBy = (edits: readonly Edit[]): number =>
  edits.reduce((sum, edit) => sum + (edit.kind === 'thicken' ? edit.by : 0), 0);

/** How much edits add on every side of an outline, mm: where none of them reshapes it, that is all that they add. */
export const addedAround = (edits: readonly Edit[]): number =>
  edits.reduce((sum, edit) => sum + (edit.kind === 'thicken' || edit.kind === 'backing' ? edit.by : 0), 0);

/**
 * Whether edits change the size of a mark otherwise than by the same amount on every side. A bridge takes no more off it than the bow of an
 * edge over its width.
 */
export const reshapes = (edits: readonly Edit[]): boolean =>
  edits.some(({ kind }) => !['thicken', 'backing', 'dropSmall', 'silhouette', 'oneOutline', 'bridges'].includes(kind));

const each = (layers: readonly Layer[], change: (region: Region) => Region): Layer[] =>
  layers.map(({ film, region }) => ({ film, region: change(region) }));

function dropSmall(region: Region, below: number, fillBelow: number): Region {
  const kept = region.filter((part) => partArea(part) >= below);
  const filled = kept.map((part) => ({
    outer: part.outer,
    holes: part.holes.filter((hole) => Math.abs(signedArea(hole)) >= fillBelow),
  }));
  return filled.some((part, i) => part.holes.length < kept[i]!.holes.length) ? union(filled) : filled;
}

/** All that a mark covers, whatever the film. */
const covered = (layers: readonly Layer[]): Region =>
  layers.length === 1 ? layers[0]!.region : union(...layers.map((layer) => layer.region));

const filledIn = (region: Region): Region => union(region.map(({ outer }) => ({ outer, holes: [] })));

/** Puts a region into the layer of its film, beneath the others when the film is new. */
function under(layers: readonly Layer[], film: Id, region: Region): Layer[] {
  const own = layers.findIndex((layer) => layer.film === film);
  if (own < 0) return [{ film, region }, ...layers];
  return layers.map((layer, i) => (i === own ? { film, region: union(layer.region, region) } : layer));
}

type Of<K extends Change['kind']> = Extract<Change, { kind: K }>;

/** What each change does; layers at their real size, mm, the lowest first. */
const DOES: { [K in Change['kind']]: (layers: readonly Layer[], change: Of<K>) => readonly Layer[] } = {
  thicken: (layers, { by }) => each(layers, (region) => offset(region, by)),
  dropSmall: (layers, { below, fillBelow }) => each(layers, (region) => dropSmall(region, below, fillBelow)),
  oneOutline: (layers, { gap }) => {
    const all = covered(layers);
    const last = layers.at(-1);
    return last ? [{ film: last.film, region: gap > 0 ? offset(offset(all, gap / 2), -gap / 2) : all }] : layers;
  },
  showGround: (layers, { plate, margin }) => {
    const all = covered(layers);
    const last = layers.at(-1);
    return last && all.length > 0 ? [{ film: last.film, region: difference(plateAround([all], plate, margin), all) }] : layers;
  },
  outOf: (layers, { by, right, up, ...shape }) => {
    const all = covered(layers);
    const last = layers.at(-1);
    if (!last || all.length === 0) return layers;
    const box = boxOf(all);
    const [w, h] = [boxWidth(box), boxHeight(box)];
    const around = broughtRegion(shape, (width, height) => by * Math.max(w / width, h / height));
    const [cx, cy] = boxCentre(box);
    return [{ film: last.film, region: difference(applyToRegion(translation(cx - right * w, cy - up * h), around), all) }];
  },
  beside: (layers, { side, share, gap, film, ...shape }) => {
    const inks = layers.map(({ region }) => region);
    if (inks.every((region) => region.length === 0)) return layers;
    const box = inkBox(inks);
    const level = side === 'left' || side === 'right' || side === 'leftRight';
    const region = broughtRegion(shape, (width, height) => (level ? (share * boxHeight(box)) / height : (share * boxWidth(box)) / width));
    if (region.length === 0) return layers;
    const own = boxOf(region);
    const [cx, cy] = boxCentre(box);
    const [dx, dy] = [(boxWidth(box) + boxWidth(own)) / 2 + gap, (boxHeight(box) + boxHeight(own)) / 2 + gap];
    const at: Record<typeof side, readonly Point[]> = {
      left: [[cx - dx, cy]],
      right: [[cx + dx, cy]],
      leftRight: [
        [cx - dx, cy],
        [cx + dx, cy],
      ],
      above: [[cx, cy + dy]],
      below: [[cx, cy - dy]],
      aboveBelow: [
        [cx, cy + dy],
        [cx, cy - dy],
      ],
    };
    const copies = at[side].flatMap((place) => applyToRegion(translation(...place), region));
    return under(layers, film ?? layers.at(-1)!.film, copies);
  },
  // the backing lies under the whole mark: a letter that stands a little off does not show the ground
  backing: (layers, { film, by }) => [{ film, region: offset(covered(layers), by) }, ...layers.filter((layer) => layer.film !== film)],
  silhouette: (layers) => {
    const last = layers.at(-1);
    return last ? [{ film: last.film, region: filledIn(covered(layers)) }] : layers;
  },
  bridges: (layers, { width }) => each(layers, (region) => bridged(region, width)),
  part: (layers, { at, gap }) => {
    const box = boxAround(layers.filter((layer) => layer.region.length > 0).map((layer) => boxOf(layer.region)));
    const middle = box.minY + at * boxHeight(box);
    const wide = boxWidth(box) + 2;
    const half = (minY: number, maxY: number) => boxRegion({ minX: box.minX - wide, maxX: box.maxX + wide, minY, maxY });
    return each(layers, (region) => [
      ...applyToRegion(translation(0, -gap / 2), intersection(region, half(box.minY - 1, middle))),
      ...applyToRegion(translation(0, gap / 2), intersection(region, half(middle, box.maxY + 1))),
    ]);
  },
  frame: (layers, { plate, margin, width, film }) => {
    const all = layers.map((layer) => layer.region);
    if (all.every((region) => region.length === 0)) return layers;
    const inside = plateAround(all, plate, margin);
    return under(layers, film ?? layers.at(-1)!.film, difference(offset(inside, width), inside));
  },
  stretch: (layers, { across, up }) => each(layers, (region) => applyToRegion(scaling(across, up), region)),
  repeat: (layers, { across, up, gap }) => {
    const box = boxAround(layers.filter((layer) => layer.region.length > 0).map((layer) => boxOf(layer.region)));
    const [dx, dy] = [boxWidth(box) + gap, boxHeight(box) + gap];
    return each(layers, (region) =>
      Array.from({ length: across * up }, (_, i) =>
        applyToRegion(translation((i % across) * dx, -Math.floor(i / across) * dy), region),
      ).flat(),
    );
  },
  scatter,
};

/**
 * Applies the changes that were asked for, in their order. Nothing of the artwork itself is changed.
 *
 * @param layers the mark at its real size around its own middle, mm, one layer a film, the lowest first
 * @returns the changed layers around their own middle; a film may be added or go
 */
export function applyEdits(layers: readonly Layer[], edits: readonly Edit[]): readonly Layer[] {
  if (edits.length === 0) return layers;
  const changed = edits.reduce(
    (current, edit) => (DOES[edit.kind] as (l: readonly Layer[], c: Change) => readonly Layer[])(current, edit),
    layers,
  );
  const filled = changed.filter((layer) => layer.region.length > 0);
  if (!reshapes(edits) || filled.length === 0) return changed;
  const box = boxAround(filled.map((layer) => boxOf(layer.region)));
  const back = translation(-(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2);
  return each(changed, (region) => applyToRegion(back, region));
}
