/** Keeps results by structural keys, so that a stage is computed again only when its inputs changed. */
export class Memo {
  #now = new Map<string, unknown>();
  #before = new Map<string, unknown>();

  /** The kept result for a key, or a new one. */
  get<T>(key: string, compute: () => T): T {
    if (this.#now.has(key)) return this.#now.get(key) as T;
    const value = this.#before.has(key) ? (this.#before.get(key) as T) : compute();
    this.#now.set(key, value);
    return value;
  }

  /** Begins a plan: what neither the last plan nor this one uses is let go. */
  next(): void {
    this.#before = this.#now;
    this.#now = new Map();
  }
}

/** A short key of any plain data (FNV-1a over its JSON, both halves kept). */
export function keyOf(...data: unknown[]): string {
  const text = JSON.stringify(data);
  let [a, b] = [0x811c9dc5, 0x1000193];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x01000193);
    b = Math.imul(b ^ (code + i), 0x85ebca6b);
  }
  return `${text.length.toString(36)}.${(a >>> 0).toString(36)}.${(b >>> 0).toString(36)}`;
}

const identities = new WeakMap<object, number>();
let lastIdentity = 0;

/** A number for an object that is never changed: for keys in which its contents would take long to read. */
export function identityOf(object: object): number {
  const known = identities.get(object);
  if (known !== undefined) return known;
  lastIdentity += 1;
  identities.set(object, lastIdentity);
  return lastIdentity;
}
