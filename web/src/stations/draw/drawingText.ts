import { textOf } from '../../workers/readFile';

/** Text that is unpacked may be as long as a file, bytes. */
export const MOST_BYTES = 20 * 1024 * 1024;

/** What begins with these bytes is no drawing that is read here; what it is called, and what to do. */
const OTHERS = [
  { begins: '%PDF', is: 'a PDF', way: 'Open it in a drawing program, save it as SVG, and drop that in.' },
  { begins: '%!PS', is: 'an EPS or PostScript drawing', way: 'Open it in a drawing program, save it as SVG, and drop that in.' },
  { begins: 'GIF8', is: 'a GIF', way: 'Save it as PNG, and drop that in: it is traced.' },
  { begins: 'BM', is: 'a BMP', way: 'Save it as PNG, and drop that in: it is traced.' },
  { begins: 'PK', is: 'a packed folder', way: 'Unpack it, and drop the drawing in.' },
  { begins: 'AC10', is: 'a DWG', way: 'Save it as DXF R12 or as SVG, and drop that in.' },
] as const;

/** The text of a drawing, or why there is none. */
export type DrawingText = { readonly ok: true; readonly text: string } | { readonly ok: false; readonly why: string };

/** Unpacks what was packed by gzip; nothing where it is broken or longer than a file may be. */
async function unpacked(file: Blob): Promise<string | undefined> {
  const reader = file.stream().pipeThrough(new DecompressionStream('gzip')).getReader();
  const decoder = new TextDecoder();
  let text = '';
  let length = 0;
  try {
    for (let next = await reader.read(); !next.done; next = await reader.read()) {
      length += next.value.length;
      if (length > MOST_BYTES) {
        await reader.cancel();
        return undefined;
      }
      text += decoder.decode(next.value, { stream: true });
    }
  } catch {
    return undefined;
  }
  return text + decoder.decode();
}

/** Reads a file that should be a drawing: SVG, packed or not, DXF, HPGL. What is known to be something else is named with the way out. */
export async function drawingText(file: File): Promise<DrawingText> {
  const head = new Uint8Array(await file.slice(0, 8).arrayBuffer());
  if (head[0] === 0x1f && head[1] === 0x8b) {
    const text = await unpacked(file);
    return text === undefined
      ? {
          ok: false,
          why: `"${file.name}" is packed, and cannot be unpacked, or is larger than 20 MB then. Save it as plain SVG, and drop it in again.`,
        }
      : { ok: true, text };
  }
  const begins = String.fromCharCode(...head);
  const other = OTHERS.find((one) => begins.startsWith(one.begins));
  return other
    ? { ok: false, why: `"${file.name}" is ${other.is}, which is not read here. ${other.way}` }
    : { ok: true, text: await textOf(file) };
}
