import type { Shop } from '@kolleta/core/job';
import type { PlacedStep } from '@kolleta/core/schedule';

/** Who does a step, where there are several people: "Ann and Bo", with something before it; nothing where there is one. */
export function doneBy({ by = [] }: PlacedStep, { people = [] }: Shop, before = ''): string {
  const names = by.flatMap((id) => people.find((person) => person.id === id)?.name ?? []);
  return names.length > 0 ? `${before}${names.join(' and ')}` : '';
}
