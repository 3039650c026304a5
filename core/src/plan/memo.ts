import { countWork, TooMuchWork, workDone, workLeft } from '../units';

/** So deep an input is looked through for results of earlier stages. */
const DEPTH = 5;
/** So deep a result is looked through for what later stages take of it: the region of a layer. */
const NAMED = 3;
/** Longer arrays hold points or parts of outlines, unless they hold results: nobody takes one of those by itself. */
const MOST_ITEMS = 64;
/** Longer data is kept by its hash. */
const LONG = 400;

/** The result of a stage and the steps that it took, or of how many steps it wanted more. */
interface Kept {
  readonly value?: unknown;
  readonly steps: number;
  readonly over?: number;
}

/** Works out a stage, and how much work it is. */
function worked<I>(input: I, f: (input: I) => unknown): Kept {
  const [before, left] = [workDone(), workLeft()];
  try {
    const value = f(input);
    return { value, steps: workDone() - before };
  } catch (error) {
    // a stage within this one is more telling
    if (!(error instanceof TooMuchWork) || error.stage !== undefined) throw error;
    return { steps: 0, over: left };
  }
}

/**
 * Keeps the results of stages by their inputs, so that a stage is computed again only when its input changed.
 *
 * A stage sees nothing but its input, and the input is its key: plain data by what it holds, results of earlier stages by which they are,
 * faces and maps of them too. Nothing that goes in or comes out is ever changed.
 */
export class Memo {
  #now = new Map<string, Kept>();
  #before = new Map<string, Kept>();
  readonly #told: () => void;

  /** @param told whenever a stage was worked out: whoever waits knows then that it goes on */
  constructor(told: () => void = () => undefined) {
    this.#told = told;
  }

  /**
   * The result of a stage for an input: the kept one, or a new one.
   *
   * @param name tells stages apart
   * @param f a function that is declared by itself, so that there is nothing else that it could see
   */
  stage<I extends object, R>(name: string, input: I, f: (input: I) => R): R {
    const given: object[] = [];
    const key = `${name} ${hashOf(textOf(input, DEPTH, given))}`;
    const known = this.#now.get(key) ?? this.#before.get(key);
    // what is known counts as what it took: whether something is too much does not hang on what is remembered
    const kept = known && (known.over === undefined || known.over >= workLeft()) ? known : worked(input, f);
    this.#now.set(key, kept);
    if (kept.over !== undefined || (kept === known && kept.steps > workLeft())) throw Object.assign(new TooMuchWork(), { stage: name });
    if (kept === known) countWork(kept.steps);
    else {
      for (const object of given) data.add(object);
      if (typeof kept.value === 'object' && kept.value !== null) nameResult(kept.value, NAMED);
      this.#told();
    }
    return kept.value as R;
  }

  /** Begins a plan: what neither the last plan nor this one uses is let go. */
  next(): void {
    this.#before = this.#now;
    this.#now = new Map();
  }
}

/** How results and what they are made of are called in keys: a result is kept as long as it may be asked for, so which one it is says enough. */
const names = new WeakMap<object, number>();
let lastName = 0;

/** What stages were given as plain data. Where a result holds some of it, that has no name: it may come again as a copy, which has none. */
const data = new WeakSet<object>();

function nameResult(value: object, depth: number): void {
  const list = Array.isArray(value) ? (value as readonly unknown[]) : undefined;
  if (names.has(value) || data.has(value)) return;
  lastName += 1;
  names.set(value, lastName);
  if (depth === 0 || (list && list.length > MOST_ITEMS)) return;
  for (const key in value) {
    const part = (value as Record<string, unknown>)[key];
    if (typeof part === 'object' && part !== null) nameResult(part, depth - 1);
  }
}

/** A hash of words, 64 bits and their length (FNV-1a, twice). */
function hashOf(text: string): string {
  let [a, b] = [0x811c9dc5, 0x1000193];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x01000193);
    b = Math.imul(b ^ (code + i), 0x85ebca6b);
  }
  return `${text.length.toString(36)}.${(a >>> 0).toString(36)}.${(b >>> 0).toString(36)}`;
}

let lastIdentity = 0;
const identities = new WeakMap<object, number>();
const hashes = new WeakMap<object, string>();

/** An object that is not plain data, such as a face: it is told by which it is. */
function identityOf(object: object): string {
  const known = identities.get(object);
  if (known !== undefined) return `#${known}`;
  lastIdentity += 1;
  identities.set(object, lastIdentity);
  return `#${lastIdentity}`;
}

const isPlain = (object: object): boolean => {
  const prototype: unknown = Object.getPrototypeOf(object);
  // data from another realm, as of a test's, has that realm's prototype: it has no constructor of its own but Object's
  return prototype === null || prototype === Object.prototype || (prototype as object).constructor.name === 'Object';
};

/** Deep data as text; long data as its hash, found out once. */
function deepText(value: object): string {
  const known = hashes.get(value);
  if (known !== undefined) return known;
  const text = JSON.stringify(value);
  if (text.length <= LONG) return text;
  const hash = `~${hashOf(text)}`;
  hashes.set(value, hash);
  return hash;
}

/** Whether an item of a long list is a result or holds one: what that is made of need not be read then. */
const holdsResult = (item: unknown): boolean =>
  typeof item === 'object' &&
  item !== null &&
  (names.has(item) || Object.values(item).some((part) => typeof part === 'object' && part !== null && names.has(part as object)));

/** @param given is handed every object that is told by what it holds */
function textOf(value: unknown, depth: number, given: object[]): string {
  if (typeof value === 'number') return Number.isFinite(value) ? String(value) : `${value}!`;
  if (typeof value === 'function') throw new Error('the input of a stage is data: got a function');
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'undefined';
  const name = names.get(value);
  if (name !== undefined) return `@${name}`;
  given.push(value);
  if (Array.isArray(value)) {
    if (depth === 0 || (value.length > MOST_ITEMS && !holdsResult(value[0]))) return deepText(value);
    return `[${value.map((item) => textOf(item, depth - 1, given)).join(',')}]`;
  }
  // what can do something is not data: a face, a map
  if (!isPlain(value) || Object.values(value).some((item) => typeof item === 'function')) return identityOf(value);
  if (depth === 0) return deepText(value);
  let text = '{';
  for (const key of Object.keys(value)) {
    const item = (value as Record<string, unknown>)[key];
    // a field that is not there and one that is undefined are the same
    if (item !== undefined) text += `${JSON.stringify(key)}:${textOf(item, depth - 1, given)},`;
  }
  return `${text}}`;
}

/** A short key of an input. */
export const keyOf = (input: unknown): string => hashOf(textOf(input, DEPTH, []));
