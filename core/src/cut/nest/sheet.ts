import { boxOf, boxRegion, boxWidth, type Region } from '../../geometry';
import type { CutFrom, Film } from '../../job';

/** Film that parts can be laid on: the free end of a roll, a sheet, an offcut with holes where something was taken. */
export interface Sheet {
  readonly film: Film;
  /** mm, its lower left corner at the origin; a roll is fed upward. */
  readonly outline: Region;
  readonly from: CutFrom;
}

/** No layout is as long as this, mm: a roll's free end goes on for as long as is wanted, and whether the roll has so much is a reading. */
const ENDLESS = 1_000_000;

/** The free end of a roll, as wide as the machine takes of it. */
export const freeEnd = (film: Film, width: number): Sheet => ({
  film,
  outline: boxRegion({ minX: 0, minY: 0, maxX: width, maxY: ENDLESS }),
  from: { kind: 'roll' },
});

/** How wide a sheet is, mm. */
export const sheetWidth = ({ outline }: Sheet): number => boxWidth(boxOf(outline));
