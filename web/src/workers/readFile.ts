import { refused, type Result } from '@kolleta/core/units';

/** Larger files are not even read, bytes. */
const MOST_BYTES = 20 * 1024 * 1024;
/** A whole workshop holds photos. */
export const MOST_WORKSHOP_BYTES = 200 * 1024 * 1024;

/** Shares of zero bytes that only letters of two bytes have. */
const MANY_ZEROS = 0.2;

/**
 * The text of a file in whatever letters it was saved: by the mark at its beginning, else UTF-16 where every other byte is nought, UTF-8 where it
 * can be that, and Windows-1252.
 */
export async function textOf(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const head = bytes.subarray(0, 400);
  const zeros = (from: number) => head.filter((byte, i) => i % 2 === from && byte === 0).length > MANY_ZEROS * head.length;
  const [one, two] = bytes;
  const wide = one === 0xff && two === 0xfe ? 'utf-16le' : one === 0xfe && two === 0xff ? 'utf-16be' : undefined;
  const encoding = wide ?? (zeros(1) && !zeros(0) ? 'utf-16le' : zeros(0) && !zeros(1) ? 'utf-16be' : undefined);
  if (encoding) return new TextDecoder(encoding).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Reads the text of a file and hands it on, unless it is too large. */
export async function readFile<T>(file: File, read: (text: string) => Promise<Result<T>>, most = MOST_BYTES): Promise<Result<T>> {
  if (file.size <= most) return read(await textOf(file));
  const mb = most / 1024 / 1024;
  return refused(
    `"${file.name}" is larger than ${mb} MB.`,
    `a file of up to ${mb} MB`,
    file.name,
    'Nothing was changed. Choose another one, or save it smaller.',
  );
}
