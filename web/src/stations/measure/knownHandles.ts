import type { Point } from '@kolleta/core/geometry';
import type { Photo } from '@kolleta/core/job';

const CORNERS = ['Upper left corner', 'Upper right corner', 'Lower right corner', 'Lower left corner'];

type Known = Photo['known'];

/** The handles with which what is known on a photo is dragged onto it: a sheet's corners, or the ends of a length. */
export function knownHandles(known: Known, know: (next: (saved: Known) => Known) => void) {
  if (known.kind === 'sheet')
    return known.corners.map((at, i) => ({
      label: CORNERS[i]!,
      at,
      onMove: (to: Point) =>
        know((saved) => (saved.kind === 'sheet' ? { ...saved, corners: saved.corners.map((c, k) => (k === i ? to : c)) } : saved)),
    }));
  return known.ends.map((at, i) => ({
    label: i === 0 ? 'One end' : 'Other end',
    at,
    onMove: (to: Point) =>
      know((saved) => (saved.kind === 'length' ? { ...saved, ends: i === 0 ? [to, saved.ends[1]] : [saved.ends[0], to] } : saved)),
  }));
}
