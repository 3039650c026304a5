import { useContext, type ComponentProps } from 'react';
import { Owner, useHeld, type Saving } from './held';
import { useUnsaved } from './unsaved';

type Props = Omit<ComponentProps<'input'>, 'value' | 'onChange'> & { value: string; save: (text: string) => Saving };

/** A field that saves with every key, and whose text and caret stay its own while hands are on it. */
export const HeldInput = (props: Props) => <OwnedInput key={useContext(Owner)} {...props} />;

function OwnedInput({ value, save, ...rest }: Props) {
  const { shown, put } = useHeld(value, save);
  useUnsaved(rest['aria-label'] ?? '', shown, value, put);
  return <input {...rest} value={shown} onChange={(event) => put(event.target.value)} />;
}
