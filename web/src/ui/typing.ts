/** What text fields held when hands came to them, or when it was last taken. */
const taken = new WeakMap<EventTarget, string>();

const isText = (target: EventTarget | null): target is HTMLInputElement | HTMLTextAreaElement =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

const take = ({ target }: Event) => isText(target) && taken.set(target, target.value);
window.addEventListener('focusin', take, true);
window.addEventListener('change', take, true);

/** Whether a field holds letters that were not taken yet: undoing is about those first. */
export const isBeingTyped = (target: EventTarget | null): boolean =>
  isText(target) && taken.has(target) && taken.get(target) !== target.value;
