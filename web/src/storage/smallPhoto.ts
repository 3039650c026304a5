import { openPicture } from './openPicture';

/** A picture in the log is no longer than this on its longer side, pixels, and takes no more than so many letters. */
const LONGEST = 560;
const MOST_LETTERS = 110_000;

/**
 * A picture made so small that it may travel with the log; it never leaves the browser otherwise.
 *
 * @throws Refusal for what is no picture, or is too large
 */
export async function smallPhoto(file: File): Promise<string> {
  const bitmap = await openPicture(file);
  const long = Math.max(bitmap.width, bitmap.height);
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
