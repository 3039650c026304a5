import { download, fileName } from './download';

/** Copies a text; where the browser does not allow that, it goes out as a file. Whether it was copied. */
export async function copyText(text: string, title: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    download(`${fileName(title)}.txt`, text, 'text/plain');
    return false;
  }
}
