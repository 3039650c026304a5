/** One table of a font: its tag as a number, and what is in it. */
export interface Table {
  readonly tag: number;
  readonly checksum: number;
  readonly bytes: Uint8Array;
}

/** Sizes of a bare font's header and of an entry in its list of tables, bytes. */
export const SFNT = { header: 12, entry: 16 } as const;

const fours = (length: number): number => (length + 3) & ~3;

/** A bare font, as TTF and OTF files are, of its tables (ISO/IEC 14496-22, 4.3). */
export function fontOf(flavour: number, tables: readonly Table[]): ArrayBuffer {
  const start = SFNT.header + SFNT.entry * tables.length;
  const out = new Uint8Array(start + tables.reduce((sum, { bytes }) => sum + fours(bytes.length), 0));
  const view = new DataView(out.buffer);
  const power = Math.floor(Math.log2(Math.max(1, tables.length)));
  view.setUint32(0, flavour);
  [tables.length, 2 ** power * SFNT.entry, power, (tables.length - 2 ** power) * SFNT.entry].forEach((n, i) =>
    view.setUint16(4 + 2 * i, n),
  );
  let at = start;
  // they are looked up by halves: their order is that of their tags
  const sorted = tables.toSorted((a, b) => a.tag - b.tag);
  sorted.forEach(({ tag, checksum, bytes }, i) => {
    [tag, checksum, at, bytes.length].forEach((n, k) => view.setUint32(SFNT.header + SFNT.entry * i + 4 * k, n));
    out.set(bytes, at);
    at += fours(bytes.length);
  });
  return out.buffer;
}
