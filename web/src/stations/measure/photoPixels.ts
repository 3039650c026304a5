import type { Picture } from '@kolleta/core/artwork';
import { straightFrame, type Homography, type StraightFrame } from '@kolleta/core/blanks';
import type { Point, Ring } from '@kolleta/core/geometry';
import type { Photo } from '@kolleta/core/job';
import type { Result } from '@kolleta/core/units';
import { importerWorker } from '../../workers/importerClient';

/** The pixels of a photo that is kept. */
async function pixelsOf(photo: Photo): Promise<Picture> {
  const image = new Image();
  image.src = photo.data;
  await image.decode();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [photo.width, photo.height];
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(image, 0, 0, photo.width, photo.height);
  return { width: photo.width, height: photo.height, data: context.getImageData(0, 0, photo.width, photo.height).data };
}

/** The edge of the piece under a press, pixels of the photo. */
export async function findOutline(photo: Photo, at: Point, alike: number): Promise<Result<Ring>> {
  const picture = await pixelsOf(photo);
  return importerWorker.call(async (importer): Promise<Result<Ring>> => importer.outlineUnder(picture, at, alike));
}

/** A photo redrawn from straight above, as a picture to show and what it shows. */
export async function straightPhoto(photo: Photo, map: Homography): Promise<{ data: string; frame: StraightFrame }> {
  const frame = straightFrame(photo, map);
  const picture = await pixelsOf(photo);
  const { data, width, height } = await importerWorker.call(async (importer): Promise<Picture> => importer.straighten(picture, map, frame));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return { data: canvas.toDataURL('image/png'), frame };
}
