import type { ComponentProps } from 'react';
import { useHeld, type Saving } from './held';

/** A field that saves with every key, and whose text and caret stay its own while hands are on it. */
export function HeldInput({
  value,
  save,
  ...rest
}: Omit<ComponentProps<'input'>, 'value' | 'onChange'> & { value: string; save: (text: string) => Saving }) {
  const { shown, put } = useHeld(value, save);
  return <input {...rest} value={shown} onChange={(event) => put(event.target.value)} />;
}
