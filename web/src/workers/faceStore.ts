import { loadShaper, readFace, type Face } from '@kolleta/core/artwork';
import type { OwnFace } from '@kolleta/core/job';
import { FACE_FILES } from './faceFiles';

/** The faces that are read so far. */
export const faces = new Map<string, Face>();

const fetched = new Map<string, Promise<ArrayBuffer>>();
const bytesOf = (url: string): Promise<ArrayBuffer> => {
  const known = fetched.get(url) ?? fetch(url).then((answer) => answer.arrayBuffer());
  fetched.set(url, known);
  // a fetch that failed is tried again the next time
  known.catch(() => fetched.delete(url));
  return known;
};

let whole = false;
/** Whether every face is read with its rarer letters. */
export const wholeFaces = (): boolean => whole;

const readInto = async (id: string, files: readonly string[]): Promise<void> => {
  const [read] = await Promise.all([Promise.all(files.map(bytesOf)), loadShaper()]);
  const face = readFace(id, read);
  if (face.ok) faces.set(id, face.value);
};

/** Bytes of what was kept as base64; none where it is none. */
function fromBase64(data: string): ArrayBuffer {
  try {
    return Uint8Array.from(atob(data), (c) => c.charCodeAt(0)).buffer;
  } catch {
    return new ArrayBuffer(0);
  }
}

/** Reads a face that the user brought, once. */
async function needOwnFace(id: string, own: readonly OwnFace[]): Promise<void> {
  const face = own.find((one) => one.id === id);
  if (!face || faces.has(id)) return;
  await loadShaper();
  const read = readFace(id, [fromBase64(face.data)]);
  if (read.ok) faces.set(id, read.value);
}

/** Reads the common letters of a face, once. */
export async function needFace(id: string, own: readonly OwnFace[] = []): Promise<void> {
  await needOwnFace(id, own);
  const common = Object.hasOwn(FACE_FILES, id) ? FACE_FILES[id]?.slice(0, 1) : undefined;
  if (common && !faces.has(id)) await readInto(id, common);
}

/** Reads every face with its rarer letters. */
export async function needWholeFaces(): Promise<void> {
  await Promise.all(Object.entries(FACE_FILES).map(([id, files]) => readInto(id, files)));
  whole = true;
}

// fetched while the page is still opening the workshop, read only when they are needed; what fails is tried again then
loadShaper().catch(() => undefined);
for (const [common] of Object.values(FACE_FILES)) if (common) void bytesOf(common);
