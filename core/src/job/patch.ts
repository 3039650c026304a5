/** A step of the way into a job: a field's name, or the id of a thing in a list. */
export type Step = string;

/** A change: `set` puts a value (adding to a list when the id is new), `remove` takes a field or a thing of a list away. */
export type PatchOp = { op: 'set'; path: readonly Step[]; value: unknown } | { op: 'remove'; path: readonly Step[] };
export type Patch = readonly PatchOp[];

type Node = Record<string, unknown> | { id?: unknown }[];
const copy = (node: Node): Node => (Array.isArray(node) ? [...node] : { ...node });

function keyOf(node: Node, step: Step): string | number {
  if (!Array.isArray(node)) return step;
  const index = node.findIndex((item) => item.id === step);
  return index;
}

function applyOp<T>(document: T, op: PatchOp): { document: T; inverse: PatchOp } {
  const root = copy(document as Node);
  let node: Node = root;
  op.path.slice(0, -1).forEach((step) => {
    const key = keyOf(node, step);
    const next = (node as Record<string | number, unknown>)[key];
    if (typeof next !== 'object' || next === null) throw new Error(`patch: no "${step}" on the way to ${op.path.join('/')}`);
    const copied = copy(next as Node);
    (node as Record<string | number, unknown>)[key] = copied;
    node = copied;
  });
  const last = op.path.at(-1);
  if (last === undefined) throw new Error('patch: an empty path names nothing');
  const key = keyOf(node, last);
  const record = node as Record<string | number, unknown>;
  const had = Array.isArray(node) ? key !== -1 : last in record;
  const before = had ? record[key] : undefined;
  const restore: PatchOp = had ? { op: 'set', path: op.path, value: before } : { op: 'remove', path: op.path };
  if (op.op === 'set') {
    const given = (op.value as { id?: unknown } | null)?.id;
    if (Array.isArray(node) && given !== last)
      throw new Error(`patch: "${last}" was to hold a thing with its own id, got "${String(given)}"`);
    if (Array.isArray(node) && key === -1) node.push(op.value as { id?: unknown });
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
 * @throws when a path leads nowhere, naming it
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

/** A change of one field. */
export const setAt = (path: readonly Step[], value: unknown): Patch => [{ op: 'set', path, value }];
