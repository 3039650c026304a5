const numbers = new WeakMap<object, number>();
let last = 0;

/** A number for an object: the same object, the same number. Questions about what is saved are told apart by it. */
export function numberOf(object: object): number {
  const known = numbers.get(object);
  if (known !== undefined) return known;
  last += 1;
  numbers.set(object, last);
  return last;
}
