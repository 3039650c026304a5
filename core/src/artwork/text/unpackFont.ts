import unbrotli from 'brotli/decompress';
import { unzlibSync } from 'fflate';
import { refused, good, type Result } from '../../units';
import { fontOf, SFNT, type Table } from './sfnt';
import { tablesOfWoff2 } from './woff2';

/** First words of files. */
const KIND = { woff: 0x774f4646, woff2: 0x774f4632, collection: 0x74746366 } as const;
/** Sizes of headers and of entries in their lists of tables, bytes. */
const WOFF = { header: 44, entry: 20 } as const;
/** More tables or fonts than this no font file has. */
const MOST = { tables: 200, fonts: 200 } as const;
/** No font unpacks to more bytes, nor do all of a collection together; and nothing that is deflated grows to more than so many times its size. */
const MOST_BYTES = 64 * 1024 * 1024;
const MOST_DEFLATED = 1032;

/** Whether what a file says of its size is to be believed: room is made for it before anything is unpacked. */
function believe(bytes: number, packed = bytes): void {
  if (bytes > MOST_BYTES || bytes > packed * MOST_DEFLATED + 64) throw new Error('it says that it is larger than it can be');
}

const viewOf = (bytes: ArrayBuffer) => new DataView(bytes);
const kindOf = (bytes: ArrayBuffer): number => (bytes.byteLength >= 12 ? viewOf(bytes).getUint32(0) : 0);

const part = (bytes: ArrayBuffer, at: number, length: number): Uint8Array => {
  if (at + length > bytes.byteLength) throw new Error('it ends too early');
  return new Uint8Array(bytes, at, length);
};

/**
 * A WOFF as a bare font; anything else as it is.
 *
 * @throws where it is cut off or damaged (WOFF File Format 1.0, W3C 2012)
 */
export function unpackWoff(bytes: ArrayBuffer): ArrayBuffer {
  if (kindOf(bytes) !== KIND.woff) return bytes;
  const view = viewOf(bytes);
  const count = view.getUint16(12);
  if (count > MOST.tables) throw new Error('it has too many tables');
  const entries = Array.from({ length: count }, (_, i) => {
    const entry = WOFF.header + WOFF.entry * i;
    const [tag, at, packed, length, checksum] = [0, 4, 8, 12, 16].map((by) => view.getUint32(entry + by)) as [
      number,
      number,
      number,
      number,
      number,
    ];
    believe(length, Math.max(packed, 1));
    return { tag, checksum, length, own: part(bytes, at, packed) };
  });
  believe(entries.reduce((sum, { length }) => sum + length, 0));
  const tables = entries.map(({ tag, checksum, length, own }): Table => ({
    ...{ tag, checksum },
    bytes: own.length < length ? unzlibSync(own, { out: new Uint8Array(length) }) : own,
  }));
  return fontOf(view.getUint32(4), tables);
}

/** The fonts of a collection, each by itself. */
function fontsOf(bytes: ArrayBuffer): ArrayBuffer[] {
  const view = viewOf(bytes);
  const count = view.getUint32(8);
  if (count > MOST.fonts) throw new Error('it holds too many fonts');
  let whole = 0;
  return Array.from({ length: count }, (_, i) => {
    const at = view.getUint32(12 + 4 * i);
    const tables = view.getUint16(at + 4);
    if (tables > MOST.tables) throw new Error('it has too many tables');
    return fontOf(
      view.getUint32(at),
      Array.from({ length: tables }, (_, k): Table => {
        const entry = at + SFNT.header + SFNT.entry * k;
        // several may share a table: each gets its own
        believe((whole += view.getUint32(entry + 12)));
        return {
          tag: view.getUint32(entry),
          checksum: view.getUint32(entry + 4),
          bytes: part(bytes, view.getUint32(entry + 8), view.getUint32(entry + 12)),
        };
      }),
    );
  });
}

/** A WOFF2 as a bare font. */
function unpackWoff2(bytes: ArrayBuffer): ArrayBuffer {
  const { flavour, tables } = tablesOfWoff2(bytes, (packed, size) => {
    believe(size, Infinity);
    return unbrotli(packed, size);
  });
  if (flavour === KIND.collection) throw new Error('it is a collection that is packed');
  return fontOf(flavour, tables);
}

/**
 * The fonts of a file, unpacked: of a TTF or OTF itself, of a WOFF or WOFF2 what is packed in it, of a collection all that it holds.
 *
 * @returns each bare; a problem where it cannot be unpacked
 */
export function unpackFont(bytes: ArrayBuffer, name: string): Result<readonly ArrayBuffer[]> {
  try {
    const kind = kindOf(bytes);
    if (kind === KIND.collection) return good(fontsOf(bytes));
    return good([kind === KIND.woff2 ? unpackWoff2(bytes) : unpackWoff(bytes)]);
  } catch (error) {
    return refused(
      `The font "${name}" cannot be unpacked (${String(error)}).`,
      'a TTF, OTF, WOFF or WOFF2 file',
      name,
      'Get it again from where it came.',
    );
  }
}
