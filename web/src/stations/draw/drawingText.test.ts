import { File as NodeFile } from 'node:buffer';
import { DecompressionStream } from 'node:stream/web';
import { TextDecoder } from 'node:util';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from '@jest/globals';
import { drawingText } from './drawingText';

// the browser's own, which the simulated page lacks
Object.assign(globalThis, { DecompressionStream, TextDecoder });

const SVG = '<svg xmlns="http://www.w3.org/2000/svg"/>';
const file = (name: string, bytes: string | Uint8Array) => new NodeFile([bytes], name) as unknown as File;

describe('the text of a drawing', () => {
  it('is as it stands, or unpacked', async () => {
    expect(await drawingText(file('a.svg', SVG))).toEqual({ ok: true, text: SVG });
    expect(await drawingText(file('a.svgz', gzipSync(SVG)))).toEqual({ ok: true, text: SVG });
  });
  it('is not read where the file is broken, or grows too large', async () => {
    const broken = gzipSync(SVG).subarray(0, 20);
    const bomb = gzipSync(Buffer.alloc(21 * 1024 * 1024, 32));
    for (const one of [broken, bomb]) {
      const read = await drawingText(file('a.svgz', one));
      expect(read.ok ? '' : read.why).toMatch(/^"a\.svgz" is packed, and cannot be unpacked.*Save it as plain SVG/);
    }
  });
  it.each([
    ['a.pdf', '%PDF-1.7', /is a PDF.*save it as SVG/],
    ['a.ai', '%PDF-1.5', /is a PDF/],
    ['a.eps', '%!PS-Adobe-3.0', /is an EPS/],
    ['a.gif', 'GIF89a', /is a GIF.*PNG/],
    ['a.dwg', 'AC1032', /is a DWG.*DXF/],
  ])('is named with the way out where it is something else: %s', async (name, begins, said) => {
    const read = await drawingText(file(name, begins));
    expect(read.ok ? '' : read.why).toMatch(said);
  });
});
