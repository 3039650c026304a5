import { refused } from '@kolleta/core/units';
import { Refusal } from './told';

/** A picture in the log is no longer than this on its longer side, pixels, and takes no more than so many letters. */
const LONGEST = 560;
const MOST_LETTERS = 110_000;
/** Pictures with a longer side than this are not taken. */
const MOST_PX = 24_000;

/**
 * A picture made so small that it may travel with the log; it never leaves the browser otherwise.
 *
 * @throws Refusal for what is no picture, or is too long
 */
export async function smallPhoto(file: File): Promise<string> {
  const refuse = (found: string) =>
    new Refusal(refused(found, 'a photo as a JPEG, PNG or WebP file', file.name, 'Take another photo. Nothing was changed.').problem);
  const bitmap = await createImageBitmap(file).catch(() => {
    throw refuse(`“${file.name}” cannot be read as a picture.`);
  });
  const long = Math.max(bitmap.width, bitmap.height);
  if (long > MOST_PX) {
    bitmap.close();
    throw refuse(`“${file.name}” is ${bitmap.width} by ${bitmap.height} pixels.`);
  }
  const canvas = document.createElement('canvas');
  for (let side = LONGEST; ; side *= 0.75) {
    const share = Math.min(1, side / long);
    [canvas.width, canvas.height] = [Math.max(1, Math.round(bitmap.width * share)), Math.max(1, Math.round(bitmap.height * share))];
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    const data = canvas.toDataURL('image/jpeg', 0.7);
    if (data.length <= MOST_LETTERS || side < 80) {
      bitmap.close();
      return data;
    }
  }
}
