import { inflateSync } from 'node:zlib';

/** The TrueType file inside a WOFF: its tables unpacked behind a directory of their own. */
export function unpackWoff(woff: Buffer): Buffer {
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + 20 * i;
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    const bytes = woff.subarray(offset, offset + packed);
    return { tag: woff.subarray(at, at + 4), sum: woff.readUInt32BE(at + 16), data: packed < length ? inflateSync(bytes) : bytes };
  });
  const head = Buffer.alloc(12 + 16 * count);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(count, 4);
  let offset = head.length;
  const bodies = tables.map(({ tag, sum, data }, i) => {
    const at = 12 + 16 * i;
    tag.copy(head, at);
    head.writeUInt32BE(sum, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const padded = Buffer.concat([data, Buffer.alloc((4 - (data.length % 4)) % 4)]);
    offset += padded.length;
    return padded;
  });
  return Buffer.concat([head, ...bodies]);
}
