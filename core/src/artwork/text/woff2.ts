import type { Table } from './sfnt';

/** The tables of a WOFF2 by their numbers (WOFF File Format 2.0, W3C 2022, 4.1). */
const TAGS = (
  'cmap head hhea hmtx maxp name OS/2 post cvt  fpgm glyf loca prep CFF  VORG EBDT EBLC gasp hdmx kern LTSH PCLT VDMX vhea vmtx BASE GDEF GPOS GSUB ' +
  'EBSC JSTF MATH CBDT CBLC COLR CPAL SVG  sbix acnt avar bdat bloc bsln cvar fdsc feat fmtx fvar gvar hsty just lcar mort morx opbd prop trak Zapf ' +
  'Silf Glat Gloc Feat Sill'
).match(/.{4} ?/g)!;
const OWN_TAG = 63;
const HEADER = 48;
/** What a glyph's outline says of its points and parts. */
const POINT = { onCurve: 0x01, overlap: 0x40 } as const;
const PART = { words: 0x01, scale: 0x08, more: 0x20, xyScale: 0x40, matrix: 0x80, instructions: 0x100 } as const;
const COMPOSITE = 0xffff;

/** Bytes read one after another. */
class Reader {
  readonly #view: DataView;
  at: number;
  readonly #end: number;
  constructor(
    readonly bytes: Uint8Array,
    start = 0,
    length = bytes.length - start,
  ) {
    if (start + length > bytes.length) throw new Error('it ends too early');
    this.#view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    this.at = start;
    this.#end = start + length;
  }
  #step(by: number): number {
    const at = this.at;
    if (at + by > this.#end) throw new Error('it ends too early');
    this.at += by;
    return at;
  }
  byte(): number {
    return this.#view.getUint8(this.#step(1));
  }
  short(): number {
    return this.#view.getUint16(this.#step(2));
  }
  signed(): number {
    return this.#view.getInt16(this.#step(2));
  }
  long(): number {
    return this.#view.getUint32(this.#step(4));
  }
  take(length: number): Uint8Array {
    const at = this.#step(length);
    return this.bytes.subarray(at, at + length);
  }
  /** A number in as many bytes as it needs, seven bits each (4.1). */
  base128(): number {
    let value = 0;
    for (let i = 0; i < 5; i++) {
      const next = this.byte();
      value = value * 128 + (next & 127);
      if (next < 128) return value;
    }
    throw new Error('a length in it has no end');
  }
  /** A small number in one to three bytes (4.1). */
  small(): number {
    const first = this.byte();
    if (first === 253) return this.short();
    if (first === 255) return this.byte() + 253;
    return first === 254 ? this.byte() + 506 : first;
  }
}

/** Bytes written one after another. */
class Writer {
  #bytes = new Uint8Array(4096);
  length = 0;
  #room(by: number): number {
    const at = this.length;
    this.length += by;
    if (this.length > this.#bytes.length) {
      const larger = new Uint8Array(Math.max(this.length, this.#bytes.length * 2));
      larger.set(this.#bytes);
      this.#bytes = larger;
    }
    return at;
  }
  byte(value: number): void {
    const at = this.#room(1);
    this.#bytes[at] = value;
  }
  short(value: number): void {
    const at = this.#room(2);
    this.#bytes[at] = value >> 8;
    this.#bytes[at + 1] = value;
  }
  long(value: number): void {
    this.short(value >>> 16);
    this.short(value & 0xffff);
  }
  put(bytes: Uint8Array): void {
    const at = this.#room(bytes.length);
    this.#bytes.set(bytes, at);
  }
  even(): void {
    if (this.length % 2 === 1) this.byte(0);
  }
  done(): Uint8Array {
    return this.#bytes.slice(0, this.length);
  }
}

/** One step along an outline: by its flag, a signed dx and dy in one to four bytes (5.2). */
function stepBy(flag: number, from: Reader): [dx: number, dy: number] {
  const f = flag & 127;
  const sign = (bit: number, value: number) => ((flag & bit) !== 0 ? value : -value);
  if (f < 10) return [0, sign(1, ((f & 14) << 7) + from.byte())];
  if (f < 20) return [sign(1, (((f - 10) & 14) << 7) + from.byte()), 0];
  if (f < 84) {
    const b = f - 20;
    const low = from.byte();
    return [sign(1, 1 + (b & 0x30) + (low >> 4)), sign(2, 1 + ((b & 0x0c) << 2) + (low & 15))];
  }
  if (f < 120) {
    const b = f - 84;
    return [sign(1, 1 + (Math.floor(b / 12) << 8) + from.byte()), sign(2, 1 + (((b % 12) >> 2) << 8) + from.byte())];
  }
  if (f < 124) {
    const [a, b, c] = [from.byte(), from.byte(), from.byte()];
    return [sign(1, (a << 4) + (b >> 4)), sign(2, ((b & 15) << 8) + c)];
  }
  const dx = from.short();
  return [sign(1, dx), sign(2, from.short())];
}

interface Glyphs {
  readonly glyf: Uint8Array;
  readonly loca: Uint8Array;
  /** The least x of each glyph. */
  readonly left: readonly number[];
}

/** Outlines as a bare font has them (5.1 to 5.3). */
function glyphsOf(bytes: Uint8Array): Glyphs {
  const head = new Reader(bytes);
  head.short();
  const options = head.short();
  const count = head.short();
  const long = head.short() !== 0;
  const sizes = Array.from({ length: 7 }, () => head.long());
  // each begins where the one before ends
  const streams = sizes.map((size) => {
    const start = head.at;
    head.take(size);
    return new Reader(bytes, start, size);
  });
  const [contours, points, flags, outlines, parts, boxes, instructions] = streams as [
    Reader,
    Reader,
    Reader,
    Reader,
    Reader,
    Reader,
    Reader,
  ];
  const boxed = boxes.take(((count + 31) >> 5) * 4);
  const overlaps = (options & 1) !== 0 ? head.take((count + 7) >> 3) : undefined;
  const bit = (set: Uint8Array, i: number) => ((set[i >> 3]! >> (7 - (i & 7))) & 1) === 1;
  const out = new Writer();
  const places = [0];
  const left: number[] = [];
  for (let g = 0; g < count; g++) {
    const parted = contours.short();
    const box = bit(boxed, g) ? [boxes.signed(), boxes.signed(), boxes.signed(), boxes.signed()] : undefined;
    if (parted === COMPOSITE) {
      if (!box) throw new Error('a glyph of parts in it has no box');
      left.push(box[0]!);
      [parted, ...box].forEach((value) => out.short(value));
      let flag: number;
      let instructed = false;
      do {
        flag = parts.short();
        instructed ||= (flag & PART.instructions) !== 0;
        out.short(flag);
        const more = (flag & PART.words ? 4 : 2) + (flag & PART.scale ? 2 : flag & PART.xyScale ? 4 : flag & PART.matrix ? 8 : 0);
        out.put(parts.take(2 + more));
      } while ((flag & PART.more) !== 0);
      if (instructed) {
        const length = outlines.small();
        out.short(length);
        out.put(instructions.take(length));
      }
    } else if (parted > 0) {
      const ends: number[] = [];
      let all = 0;
      for (let c = 0; c < parted; c++) ends.push((all += points.small()) - 1);
      const xs: number[] = [];
      const ys: number[] = [];
      const on: boolean[] = [];
      let [x, y] = [0, 0];
      for (let p = 0; p < all; p++) {
        const flag = flags.byte();
        const [dx, dy] = stepBy(flag, outlines);
        x += dx;
        y += dy;
        xs.push(x);
        ys.push(y);
        on.push(flag < 128);
      }
      const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity);
      const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity);
      const around = box ?? [least(xs), least(ys), most(xs), most(ys)];
      left.push(around[0]!);
      [parted, ...around, ...ends].forEach((value) => out.short(value));
      const length = outlines.small();
      out.short(length);
      out.put(instructions.take(length));
      const overlapping = overlaps && bit(overlaps, g) ? POINT.overlap : 0;
      on.forEach((curve, p) => out.byte((curve ? POINT.onCurve : 0) | (p === 0 ? overlapping : 0)));
      for (const values of [xs, ys]) values.forEach((value, p) => out.short(value - (values[p - 1] ?? 0)));
    } else left.push(0);
    out.even();
    places.push(out.length);
  }
  const loca = new Writer();
  for (const place of places)
    if (long) loca.long(place);
    else loca.short(place / 2);
  return { glyf: out.done(), loca: loca.done(), left };
}

/** Widths as a bare font has them: bearings that are the glyphs' own left edges were left out (5.4). */
function widthsOf(bytes: Uint8Array, full: number, left: readonly number[]): Uint8Array {
  const from = new Reader(bytes);
  const flags = from.byte();
  const widths = Array.from({ length: full }, () => from.short());
  const first = (flags & 1) !== 0 ? left.slice(0, full) : widths.map(() => from.signed());
  const rest = (flags & 2) !== 0 ? left.slice(full) : left.slice(full).map(() => from.signed());
  const out = new Writer();
  widths.forEach((width, i) => {
    out.short(width);
    out.short(first[i]!);
  });
  rest.forEach((bearing) => out.short(bearing));
  return out.done();
}

/**
 * The tables of a WOFF2 as a bare font has them.
 *
 * @param unbrotli unpacks what is packed by brotli
 * @throws where it is cut off or damaged, or is a collection
 */
export function tablesOfWoff2(
  bytes: ArrayBuffer,
  unbrotli: (packed: Uint8Array, size: number) => Uint8Array,
): { flavour: number; tables: Table[] } {
  const head = new Reader(new Uint8Array(bytes));
  head.long();
  const flavour = head.long();
  head.long();
  const count = head.short();
  head.at = 20;
  const packed = head.long();
  head.at = HEADER;
  const entries = Array.from({ length: count }, () => {
    const flags = head.byte();
    const tag = (flags & OWN_TAG) === OWN_TAG ? String.fromCharCode(...head.take(4)) : TAGS[flags & OWN_TAG]!.slice(0, 4);
    const length = head.base128();
    const version = flags >> 6;
    const changed = tag === 'glyf' || tag === 'loca' ? version !== 3 : version !== 0;
    return { tag, changed, length, kept: changed ? head.base128() : length };
  });
  const size = entries.reduce((sum, { kept }) => sum + kept, 0);
  const whole = unbrotli(head.take(packed), size);
  const from = new Reader(whole);
  const raw = new Map(entries.map((entry) => [entry.tag, { ...entry, bytes: from.take(entry.kept) }]));
  const outlines = raw.get('glyf');
  const glyphs = outlines?.changed ? glyphsOf(outlines.bytes) : undefined;
  const own = (tag: string, kept: Uint8Array): Uint8Array => {
    if (glyphs && tag === 'glyf') return glyphs.glyf;
    if (glyphs && tag === 'loca') return glyphs.loca;
    if (tag === 'hmtx' && raw.get(tag)!.changed) {
      const hhea = raw.get('hhea')?.bytes;
      if (!hhea || !glyphs) throw new Error('its widths lack what they go by');
      return widthsOf(kept, new Reader(hhea, 34).short(), glyphs.left);
    }
    return kept;
  };
  const tagOf = (tag: string) => [...tag].reduce((number, letter) => number * 256 + letter.charCodeAt(0), 0);
  return { flavour, tables: [...raw.values()].map(({ tag, bytes: kept }) => ({ tag: tagOf(tag), checksum: 0, bytes: own(tag, kept) })) };
}
