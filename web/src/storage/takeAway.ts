import { removeAt, setAt, valueAt, type Shop } from '@kolleta/core/job';
import { editShop } from './editShop';

type ListField = {
  [K in keyof Shop]-?: NonNullable<Shop[K]> extends readonly { readonly id: string }[] ? K : never;
}[keyof Shop];

/**
 * Takes a thing out of a list of the shop.
 *
 * @param name of the thing: its removal is a step of undo of its own
 * @returns puts just that thing back where it was, whatever was changed meanwhile
 */
export async function takeAway(field: ListField, id: string, name: string): Promise<() => Promise<void>> {
  let taken: { readonly thing: { readonly id: string }; readonly at: number } | undefined;
  await editShop((shop) => {
    const list = (valueAt(shop, [field]) as readonly { readonly id: string }[] | undefined) ?? [];
    const at = list.findIndex((thing) => thing.id === id);
    if (at < 0) return [];
    taken = { thing: list[at]!, at };
    return removeAt([field, id]);
  }, `Take ${name} away`);
  return async () => {
    const was = taken;
    if (!was) return;
    await editShop((shop) => {
      const list = (valueAt(shop, [field]) as readonly { readonly id: string }[] | undefined) ?? [];
      return list.some((thing) => thing.id === id) ? [] : setAt([field], list.toSpliced(was.at, 0, was.thing));
    }, `Bring ${name} back`);
  };
}
