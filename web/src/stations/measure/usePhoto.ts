import { setAt, type Photo } from '@kolleta/core/job';
import type { StationProps } from '../job/station';

/** A photo is kept no longer than this on its longer side, pixels. */
const KEPT_PX = 1400;
const QUALITY = 0.82;

/** A photo of the piece made small enough to keep; it never leaves the browser. */
export async function photoFrom(file: File): Promise<Photo> {
  const bitmap = await createImageBitmap(file);
  const share = Math.min(1, KEPT_PX / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * share), Math.round(bitmap.height * share)];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const [l, r, t, b] = [width * 0.3, width * 0.7, height * 0.3, height * 0.7];
  return {
    name: file.name.slice(0, 200),
    data: canvas.toDataURL('image/jpeg', QUALITY),
    width,
    height,
    // an A4 sheet until the user says what lies there
    known: { kind: 'sheet', corners: [[l, t], [r, t], [r, b], [l, b]], width: 297, height: 210 }, // prettier-ignore
  };
}

/** Changes of a job's photo. */
export const photoEdits = (edit: StationProps['edit']) => ({
  take: (photo: Photo) => edit(setAt(['photo'], photo), 'Take a photo of the piece'),
  leave: () => edit([{ op: 'remove', path: ['photo'] }], 'Leave the photo'),
  know: (known: Photo['known']) => edit(setAt(['photo', 'known'], known), 'Say what is known on the photo'),
  face: (face: NonNullable<Photo['face']>) => edit(setAt(['photo', 'face'], face), 'Show where the piece is'),
});
