import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { readFace, type Faces } from '../src/artwork';
import { FACES, isStrokeFace } from '../src/facts';

const require = createRequire(import.meta.url);
const WEIGHT: Record<string, number> = { montserrat: 700, 'dancing-script': 700, 'playfair-display': 700 };

function bytes(id: string, subset: string): ArrayBuffer {
  const buffer = readFileSync(require.resolve(`@fontsource/${id}/files/${id}-${subset}-${WEIGHT[id] ?? 400}-normal.woff`));
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
    FACES.map(({ id }) => {
      const face = readFace(id, isStrokeFace(id) ? [ours(id)] : [bytes(id, 'latin'), bytes(id, 'latin-ext')]);
      if (!face.ok) throw new Error(face.problem.found);
      return [id, face.value];
    }),
  );
}
