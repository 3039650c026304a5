/** Fields of a plan that are large and, from plan to plan, mostly the very same: points, and what is made of them. */
const LARGE: ReadonlySet<string> = new Set(['fitted', 'flat', 'copies', 'region', 'pen']);
/** Fields whose entries are such. */
const OF_LARGE: ReadonlySet<string> = new Set(['layouts']);

/** Where the number stands in the place of what is large: nobody types this letter. */
const NUMBER = '\0';
interface Numbered {
  readonly [NUMBER]: number;
}

/** A plan on its way out of the worker: what was carried over with the one before stands in it as a number. */
export interface Carried<P> {
  /** Which plan it is, and which must have come before it; 0 where none need have. */
  readonly turn: number;
  readonly after: number;
  readonly plan: P;
  readonly large: readonly (readonly [number, object])[];
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** The worker's end: each plan is sent with only so much of what is large as the page does not have from the plan before. */
export class Sender {
  #turn = 0;
  #number = 0;
  #sent = new Map<object, number>();

  /** @param known turn of the last plan that the page has; 0 for none */
  send<P extends object>(plan: P, known: number): Carried<P> {
    const after = known === this.#turn ? known : 0;
    const before = after > 0 ? this.#sent : new Map<object, number>();
    this.#sent = new Map();
    const large: [number, object][] = [];
    const numbered = (value: object): Numbered => {
      let number = this.#sent.get(value) ?? before.get(value);
      if (number === undefined) {
        number = ++this.#number;
        large.push([number, value]);
      }
      this.#sent.set(value, number);
      return { [NUMBER]: number };
    };
    const copy = (value: unknown, field: string): unknown => {
      if (!isObject(value)) return value;
      if (LARGE.has(field)) return numbered(value);
      if (Array.isArray(value)) return value.map((one) => (OF_LARGE.has(field) && isObject(one) ? numbered(one) : copy(one, '')));
      if (value instanceof Map) return new Map([...value].map(([key, one]) => [key, copy(one, '')]));
      if (Object.getPrototypeOf(value) !== Object.prototype) return value;
      return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, copy(one, key)]));
    };
    this.#turn += 1;
    return { turn: this.#turn, after, plan: copy(plan, '') as P, large };
  }
}

/** The page's end: what is large stays the same object from plan to plan, so that nothing is drawn anew that did not change. */
export class Receiver {
  /** Turn of the last plan that came. */
  known = 0;
  #large = new Map<number, object>();

  /** @throws Error where the plan that must have come before it did not */
  receive<P>({ turn, after, plan, large }: Carried<P>): P {
    if (after !== 0 && after !== this.known)
      throw new Error(`receive: plan ${turn} goes with plan ${after}, and plan ${this.known} was the last`);
    const before = this.#large;
    const came = new Map(large);
    this.#large = new Map();
    const whole = (value: unknown): unknown => {
      if (!isObject(value)) return value;
      const number = (value as Partial<Numbered>)[NUMBER];
      if (typeof number === 'number') {
        const found = came.get(number) ?? before.get(number)!;
        this.#large.set(number, found);
        return found;
      }
      if (value instanceof Map) value.forEach((one, key) => value.set(key, whole(one)));
      else for (const [key, one] of Object.entries(value)) (value as Record<string, unknown>)[key] = whole(one);
      return value;
    };
    this.known = turn;
    return whole(plan) as P;
  }
}
