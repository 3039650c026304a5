import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { loadShaper, readFace, unpackFont, type Face } from '../src/artwork';

const require = createRequire(import.meta.url);
await loadShaper();

const fileOf = (path: string): ArrayBuffer => {
  const buffer = readFileSync(require.resolve(path));
  return buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer;
};
/** A file of a face that ships. */
export const fontsourceFile = (id: string, alphabet: string, weight: number, kind: string): ArrayBuffer =>
  fileOf(`@fontsource/${id}/files/${id}-${alphabet}-${weight}-normal.${kind}`);
const fontsource = (id: string, alphabet: string) => fontsourceFile(id, alphabet, 700, 'woff');

/** A variable face as the web has it, packed. */
export const packedFace = (): ArrayBuffer =>
  fileOf('@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2');

const unpacked = unpackFont(packedFace(), 'packed');
if (!unpacked.ok) throw new Error(unpacked.problem.found);

/** Faces of several scripts, and one whose weight can be chosen, for tests of how letters are set. */
export const SCRIPT_FACES: Readonly<Record<string, readonly ArrayBuffer[]>> = {
  arabic: [fontsource('cairo', 'latin'), fontsource('cairo', 'arabic')],
  hebrew: [fontsource('heebo', 'latin'), fontsource('heebo', 'hebrew')],
  devanagari: [fontsource('mukta', 'devanagari')],
  latin: [fontsource('montserrat', 'latin')],
  weighed: unpacked.value,
};

export function scriptFace(id: string): Face {
  const face = readFace(id, SCRIPT_FACES[id]!);
  if (!face.ok) throw new Error(face.problem.found);
  return face.value;
}
