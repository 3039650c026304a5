import { cutPieces, type CutPieces, type Layer } from '../artwork';
import { boxAround, boxOf, boxRegion, difference, edgeLength, growBox, thickness, type Region, type Thickness } from '../geometry';
import { FILM_KINDS, LIMITS, TECHNIQUES } from '../facts';
import type { Film, Mark } from '../job';

/** What one layer of a mark is like to cut, around the mark's own middle. */
export interface LayerInspection {
  readonly film: Film;
  /** Least stroke that this film keeps, mm. */
  readonly limit: number;
  readonly pieces: CutPieces;
  /** mm of edge to cut. */
  readonly edge: number;
}

/** The film of a layer that is kept: its shapes, or what lies around and between them. */
export function keptFilm(region: Region, mark: Pick<Mark, 'technique'>): Region {
  const { kept, border } = TECHNIQUES[mark.technique];
  return kept === 'shapes' ? region : difference(boxRegion(growBox(boxAround([boxOf(region)]), border)), region);
}

/** A layer with what its film keeps. */
type LimitedLayer = Pick<LayerInspection, 'film' | 'limit'> & { readonly region: Region };

/** The layers of a shaped mark with what their films keep; those of unknown film are passed over. */
export const limitedLayers = (layers: readonly Layer[], films: readonly Film[]): LimitedLayer[] =>
  layers.flatMap(({ film: id, region }) => {
    const film = films.find((f) => f.id === id);
    return film && region.length > 0 ? [{ film, region, limit: FILM_KINDS[film.kind].leastStroke.typical }] : [];
  });

/**
 * Inspects the layers of a shaped mark. Layers of unknown film are passed over.
 *
 * @param films the shop's
 */
export const inspectMark = (layers: readonly Layer[], films: readonly Film[]): LayerInspection[] =>
  limitedLayers(layers, films).map(({ film, limit, region }) => ({ film, limit, pieces: cutPieces(region), edge: edgeLength(region) }));

/**
 * The least strokes of the film that stays, one answer a layer inspected: letters of a decal, surround of a stencil. It is the slow part of an
 * inspection, and only the reading of thin parts asks for it.
 */
export const strokesOf = (
  layers: readonly Layer[],
  mark: Pick<Mark, 'technique'>,
  inspections: readonly Pick<LayerInspection, 'film' | 'limit'>[],
): Thickness[] =>
  inspections.map(({ film, limit }) =>
    thickness(keptFilm(layers.find((layer) => layer.film === film.id)?.region ?? [], mark), limit * 1.25, LIMITS.tip),
  );
