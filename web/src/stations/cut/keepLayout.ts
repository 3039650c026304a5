import {
  asLaid,
  copyKey,
  gapOf,
  keptFor,
  marginOf,
  partsKey,
  partsKeyOn,
  partsOf,
  placesOf,
  type FilmLayout,
  type Nested,
  type NamedPart,
} from '@kolleta/core/cut';
import { LAYOUT } from '@kolleta/core/facts';
import { removeAt, setAt, type KeptLayout } from '@kolleta/core/job';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import type { NestSearch } from '../../workers/nest.worker';

/** Layouts of other parts of the same film that are kept beside this one. */
const MOST_KEPT = 6;

/** What a layout is made of, as it was asked to be laid. */
const partsIn = ({ film, outlines, parts }: FilmLayout): readonly NamedPart[] =>
  asLaid(
    film,
    outlines.map((region, i): NamedPart => {
      const own = parts.filter(({ outline }) => outline === i);
      return { job: own[0]?.job ?? '', mark: own[0]?.mark ?? '', copies: own.length, region };
    }),
  );

/** A layout as it can be laid otherwise, and the one that was kept for it. */
export interface Layable extends Omit<NestSearch, 'turning'> {
  readonly film: string;
  readonly key: string;
  /** What is laid, wherever. */
  readonly marks: string;
  readonly own: KeptLayout | undefined;
}

/**
 * @param kept layouts of the workshop
 * @param asked what was to be cut: a sheet or an offcut may hold only some of it
 */
export function layable(layout: FilmLayout, kept: readonly KeptLayout[], asked: readonly FilmLayout[]): Layable {
  const isPiece = layout.sheet.from.kind !== 'roll';
  const parts = isPiece ? asLaid(layout.film, asked.flatMap(partsOf)) : partsIn(layout);
  const key = isPiece ? partsKeyOn(parts, layout.sheet) : partsKey(parts);
  const gap = gapOf(layout);
  const own = keptFor(kept, layout.film.id, key, gap);
  const now = layout.parts.map(({ outline, copy, place }): Nested => ({ part: outline, copy, sheet: 0, place }));
  const locked = (own?.places ?? []).filter((place) => place.locked).map(copyKey);
  return {
    film: layout.film.id,
    parts,
    sheet: layout.sheet,
    options: { gap, holdDown: marginOf(layout) },
    now,
    locked,
    key,
    marks: partsKey(parts),
    own,
  };
}

/**
 * Keeps a layout for just these parts, in the place of the one before; its id. Where they were laid otherwise meanwhile that stays, and nothing is
 * kept.
 */
export async function keepLayout(
  { film, key, options, own }: Layable,
  places: KeptLayout['places'],
  label: string,
): Promise<string | undefined> {
  const { gap } = options;
  const one: KeptLayout = { id: newId(), film, parts: key, ...(gap === LAYOUT.gap ? {} : { gap }), places };
  let kept = true;
  await editShop((shop) => {
    const saved = shop.layouts ?? [];
    kept = keptFor(saved, film, key, gap)?.id === own?.id;
    if (!kept) return [];
    const all = saved.filter((other) => other.film === film);
    const gone = all.filter((other, i) => other.parts === key || i < all.length - MOST_KEPT);
    return [...gone.flatMap(({ id }) => removeAt(['layouts', id])), ...setAt(['layouts', one.id], one)];
  }, label);
  return kept ? one.id : undefined;
}

/** Lets a part stay where it lies from now on, or go; without a key lets every part go. */
export async function lockPart(laid: Layable, key?: string): Promise<void> {
  const stays = key !== undefined && !laid.locked.includes(key);
  const changed = (places: KeptLayout['places']): KeptLayout['places'] =>
    places.map(({ locked, ...place }) => {
      const stay = key === undefined ? false : copyKey(place) === key ? stays : locked === true;
      return stay ? { ...place, locked: true } : place;
    });
  const label = stays ? 'Let a part stay where it lies' : key === undefined ? 'Let every part go' : 'Let a part go';
  const { own } = laid;
  if (!own) {
    if (key !== undefined) await keepLayout(laid, changed(placesOf({ nested: laid.now }, laid.parts)), label);
    return;
  }
  await editShop((shop) => {
    const saved = (shop.layouts ?? []).find(({ id }) => id === own.id);
    return saved ? setAt(['layouts', saved.id, 'places'], changed(saved.places)) : [];
  }, label);
}

/** Lays parts out as they were laid at first again. */
export const asAtFirst = (id: string): Promise<unknown> => editShop(() => removeAt(['layouts', id]), 'Lay it out as at first');
