import { refused } from '@kolleta/core/units';
import { Refusal } from './told';

/** Larger files are no picture that a maker takes; a picture of more pixels would take the memory of the page. */
const MOST = { bytes: 60 * 1024 * 1024, pixels: 120_000_000 };

/**
 * Opens a picture. What it says of its size is read first: a small file may claim to be huge.
 *
 * @param options as for `createImageBitmap`
 * @throws Refusal for what is no picture, or is too large
 */
export async function openPicture(file: File, options: ImageBitmapOptions = {}): Promise<ImageBitmap> {
  const refuse = (found: string, wayOut: string) =>
    new Refusal(refused(found, 'a photo or picture as a JPEG, PNG or WebP file', file.name, `${wayOut} Nothing was changed.`).problem);
  if (file.size > MOST.bytes) throw refuse(`“${file.name}” is larger than ${MOST.bytes / 1024 / 1024} MB.`, 'Save it smaller.');
  const { imageSize } = await import('image-size');
  const bytes = new Uint8Array(await file.arrayBuffer());
  let said: { width: number; height: number } | undefined;
  try {
    said = imageSize(bytes);
  } catch {
    // of a kind that only the browser may know
  }
  if (said && !(said.width * said.height <= MOST.pixels))
    throw refuse(`“${file.name}” says that it is ${said.width} by ${said.height} pixels.`, 'Save it smaller, or take another one.');
  return createImageBitmap(file, options).catch(() => {
    throw refuse(`“${file.name}” cannot be read as a picture.`, 'Take another one.');
  });
}
