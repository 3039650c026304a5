import type { Crowd } from './crowd';

/** Steps of pushing to one side, mm. */
const STEPS = { first: 4, last: 0.05 } as const;

/** Pushes what lies loose to the left as far as it goes, by the outlines; what was apart stays apart. */
export function gather(crowd: Crowd): void {
  const { exact } = crowd;
  crowd.exact = true;
  const { items, shapes, collisions } = crowd;
  const { shape, x, y } = crowd.at;
  const left = (i: number) => x[i]! + shapes[shape[i]!]!.minX;
  const clear = (i: number, to: number) =>
    items.every(
      (_, j) =>
        j === i ||
        (collisions.exactDepth(shape[i]!, shape[j]!, x[j]! - to, y[j]! - y[i]!) === 0 &&
          !collisions.missed(shape[i]!, shape[j]!, x[j]! - to, y[j]! - y[i]!)),
    );
  for (const i of items.map((_, k) => k).toSorted((a, b) => left(a) - left(b))) {
    if (items[i]!.locked) continue;
    for (let step: number = STEPS.first; step >= STEPS.last; step /= 2) {
      while (left(i) - step >= 0 && clear(i, x[i]! - step)) x[i]! -= step;
    }
  }
  crowd.exact = exact;
}
