/**
 * Numbers from 0 to 1 that look random and are always the same for a seed (Park and Miller, 1988); the first few, which still show the
 * seed, are passed over.
 */
export function numbersFrom(seed: number): () => number {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1;
  const next = () => (state = (state * 48271) % 2147483647) / 2147483647;
  for (let i = 0; i < 5; i++) next();
  return next;
}
