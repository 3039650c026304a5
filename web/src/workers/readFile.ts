import { refused, type Result } from '@kolleta/core/units';

/** Larger files are not even read, bytes. */
const MOST_BYTES = 20 * 1024 * 1024;
/** A whole workshop holds photos. */
export const MOST_WORKSHOP_BYTES = 200 * 1024 * 1024;

/** Reads the text of a file and hands it on, unless it is too large. */
export async function readFile<T>(file: File, read: (text: string) => Promise<Result<T>>, most = MOST_BYTES): Promise<Result<T>> {
  if (file.size <= most) return read(await file.text());
  const mb = most / 1024 / 1024;
  return refused(
    `"${file.name}" is larger than ${mb} MB.`,
    `a file of up to ${mb} MB`,
    file.name,
    'Nothing was changed. Choose another one, or save it smaller.',
  );
}
