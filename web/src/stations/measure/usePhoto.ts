import { KNOWN_SHEETS } from '@kolleta/core/facts';
import { removeAt, setAt, type Photo } from '@kolleta/core/job';
import { refused } from '@kolleta/core/units';
import { openPicture } from '../../storage/openPicture';
import { Refusal } from '../../storage/told';
import type { StationProps } from '../../frame/station';

/** A photo is kept no longer than this on its longer side, pixels. */
const KEPT_PX = 1400;
const QUALITY = 0.82;
/** A photo has at least so many pixels a side, and at most so many times that. */
const LEAST_PX = 60;
const MOST_TIMES = 400;

type Known = Photo['known'];
type Size = Pick<Photo, 'width' | 'height'>;

/** A sheet in the middle of a photo, to be dragged onto the real one. */
export function sheetOn(photo: Size, { width, height }: Size): Known {
  const [l, r, t, b] = [photo.width * 0.3, photo.width * 0.7, photo.height * 0.3, photo.height * 0.7];
  return {
    kind: 'sheet',
    corners: [
      [l, t],
      [r, t],
      [r, b],
      [l, b],
    ],
    width,
    height,
  };
}

/** A length across the middle of a photo, to be dragged onto the real one. */
export const lengthOn = (photo: Size, length: number): Known => ({
  kind: 'length',
  ends: [
    [photo.width * 0.3, photo.height / 2],
    [photo.width * 0.7, photo.height / 2],
  ],
  length,
});

/** A photo of the piece made small enough to keep; it never leaves the browser. */
export async function photoFrom(file: File): Promise<Photo> {
  const bitmap = await openPicture(file);
  if (Math.min(bitmap.width, bitmap.height) < LEAST_PX || Math.max(bitmap.width, bitmap.height) > LEAST_PX * MOST_TIMES) {
    bitmap.close();
    throw new Refusal(
      refused(
        `“${file.name}” is no photo to measure on: it is ${bitmap.width} by ${bitmap.height} pixels.`,
        `sides of ${LEAST_PX} pixels and more`,
        file.name,
        'Take another photo. Nothing was changed.',
      ).problem,
    );
  }
  const share = Math.min(1, KEPT_PX / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * share), Math.round(bitmap.height * share)];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return {
    name: file.name.slice(0, 200),
    data: canvas.toDataURL('image/jpeg', QUALITY),
    width,
    height,
    // an A4 sheet until the user says what lies there
    known: sheetOn({ width, height }, KNOWN_SHEETS.a4),
  };
}

/** Changes of a job's photo. */
export const photoEdits = (edit: StationProps['edit']) => ({
  leave: () => edit(removeAt(['photo']), 'Leave the photo'),
  know: (next: (saved: Known) => Known) =>
    edit((saved) => (saved.photo ? setAt(['photo', 'known'], next(saved.photo.known)) : []), 'Say what is known on the photo'),
  face: (face: NonNullable<Photo['face']>) =>
    edit((saved) => (saved.photo ? setAt(['photo', 'face'], face) : []), 'Show where the piece is'),
});
