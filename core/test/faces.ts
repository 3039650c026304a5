import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { loadShaper, readFace, type Faces } from '../src/artwork';
import { FACES, isStrokeFace, type FaceFact } from '../src/facts';

const require = createRequire(import.meta.url);
await loadShaper();

function bytes({ id, weight }: FaceFact, alphabet: string): ArrayBuffer {
  const buffer = readFileSync(require.resolve(`@fontsource/${id}/files/${id}-${alphabet}-${weight}-normal.woff`));
  return buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer;
}

/** A face that is made when Kolleta is set up. */
function ours(id: string): ArrayBuffer {
  const buffer = readFileSync(new URL(`../faces/generated/${id}.otf`, import.meta.url));
  return buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer;
}

/** The faces that ship, read from their packages, for tests and the bench. */
export function shippedFaces(): Faces {
  return new Map(
    FACES.map((fact) => {
      const { id, alphabets } = fact;
      const face = readFace(id, isStrokeFace(id) ? [ours(id)] : alphabets.map((alphabet) => bytes(fact, alphabet)));
      if (!face.ok) throw new Error(face.problem.found);
      return [id, face.value];
    }),
  );
}
