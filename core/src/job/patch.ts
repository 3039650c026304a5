/** A step of the way into a job: a field's name, or the id of a thing in a list. */
export type Step = string;

/** A change: `set` puts a value (adding to a list when the id is new), `remove` takes a field or a thing of a list away. */
export type PatchOp =
  /** `first` puts a new thing at the head of its list instead of its end. */
  { op: 'set'; path: readonly Step[]; value: unknown; first?: true } | { op: 'remove'; path: readonly Step[] };
export type Patch = readonly PatchOp[];

/** What one field holds. */
export type Scalar = string | number | boolean | null;
/**
 * A change of single fields to what was chosen or typed, or things taken away. It is safe to make from what a screen shows: it can undo
 * nothing but an
 * earlier choice of the same field. Whatever holds more (a list, a group of fields) has to be made from the document as it is saved.
 */
export type FieldPatch = readonly (
  { op: 'set'; path: readonly Step[]; value: Scalar; first?: never } | { op: 'remove'; path: readonly Step[] }
)[];

/** What a change was about is not in the document any more: somebody took it away meanwhile. */
export class GoneFromDocument extends Error {}

type Node = Record<string, unknown> | { id?: unknown }[];
const copy = (node: Node): Node => (Array.isArray(node) ? [...node] : { ...node });
const isThing = (value: unknown, id: Step): boolean => typeof value === 'object' && value !== null && (value as { id?: unknown }).id === id;

function keyOf(node: Node, step: Step): string | number {
  if (!Array.isArray(node)) return step;
  return node.findIndex((item) => item.id === step);
}

/** What a node itself holds: never what every object inherits. */
const own = (node: Node, key: string | number): unknown =>
  Object.hasOwn(node, key) ? (node as Record<string | number, unknown>)[key] : undefined;

/** What stands at a path, or undefined where it leads nowhere. */
export function valueAt(document: unknown, path: readonly Step[]): unknown {
  let node = document;
  for (const step of path) {
    if (typeof node !== 'object' || node === null) return undefined;
    node = own(node as Node, keyOf(node as Node, step));
  }
  return node;
}

function applyOp<T>(document: T, op: PatchOp): { document: T; inverse: PatchOp } {
  const root = copy(document as Node);
  let node: Node = root;
  const way = op.path.slice(0, -1);
  const target = op.path.at(-1);
  for (const [i, step] of way.entries()) {
    const key = keyOf(node, step);
    const next = own(node, key);
    // the first thing of a list that is not there yet begins the list
    if (next === undefined && i === way.length - 1 && op.op === 'set' && !Array.isArray(node) && isThing(op.value, target!)) {
      (node as Record<string, unknown>)[step] = [op.value];
      return { document: root as T, inverse: { op: 'remove', path: way } };
    }
    if (typeof next !== 'object' || next === null) throw new GoneFromDocument(`patch: no "${step}" on the way to ${op.path.join('/')}`);
    const copied = copy(next as Node);
    (node as Record<string | number, unknown>)[key] = copied;
    node = copied;
  }
  const last = target;
  if (last === undefined) throw new Error('patch: an empty path names nothing');
  const key = keyOf(node, last);
  const record = node as Record<string | number, unknown>;
  const had = Array.isArray(node) ? key !== -1 : Object.hasOwn(node, last);
  const before = had ? record[key] : undefined;
  const restore: PatchOp = had ? { op: 'set', path: op.path, value: before } : { op: 'remove', path: op.path };
  if (op.op === 'set') {
    const given = (op.value as { id?: unknown } | null)?.id;
    if (Array.isArray(node) && given !== last)
      throw new Error(`patch: "${last}" was to hold a thing with its own id, got "${String(given)}"`);
    if (Array.isArray(node) && key === -1) node[op.first ? 'unshift' : 'push'](op.value as { id?: unknown });
    else record[key] = op.value;
    return { document: root as T, inverse: restore };
  }
  if (!Array.isArray(node)) {
    delete record[key];
    return { document: root as T, inverse: restore };
  }
  // a removed thing comes back in its old place: the inverse restores the whole list
  const whole = [...node];
  if (had) node.splice(key as number, 1);
  if (op.path.length === 1) throw new Error('patch: a job is not a list');
  return { document: root as T, inverse: { op: 'set', path: op.path.slice(0, -1), value: whole } };
}

/**
 * Applies a change without touching the original.
 *
 * @returns the changed document and the change that takes it back
 * @throws GoneFromDocument when a path leads nowhere, naming it
 */
export function applyPatch<T>(document: T, patch: Patch): { document: T; inverse: Patch } {
  const inverse: PatchOp[] = [];
  let current = document;
  for (const op of patch) {
    const step = applyOp(current, op);
    current = step.document;
    inverse.unshift(step.inverse);
  }
  return { document: current, inverse };
}

/** A change of one field, or of what stands at a path. */
export function setAt(path: readonly Step[], value: Scalar): FieldPatch;
export function setAt(path: readonly Step[], value: unknown): Patch;
export function setAt(path: readonly Step[], value: unknown): Patch {
  return [{ op: 'set', path, value }];
}

/** Takes a field, or a thing of a list, away. */
export const removeAt = (path: readonly Step[]): FieldPatch => [{ op: 'remove', path }];
