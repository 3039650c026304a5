import { act, fireEvent, screen } from '@testing-library/react';

/** Types into a word of a sentence and leaves it by Enter: as it is pasted, for that each letter holds is shown in held.test.tsx. */
export async function say(label: string, text: string): Promise<void> {
  const field = screen.getByLabelText<HTMLInputElement>(label);
  await act(async () => field.focus());
  fireEvent.change(field, { target: { value: text } });
  await act(async () => void fireEvent.keyDown(field, { key: 'Enter' }));
}

/** Chooses for a word of a sentence, by what stands there or by its value. */
export async function choose(label: string, option: string): Promise<void> {
  const field = screen.getByLabelText<HTMLSelectElement>(label);
  const found = [...field.options].find((one) => one.value === option || one.text === option);
  if (!found) throw new Error(`choose: “${label}” offers no “${option}”`);
  await act(async () => void fireEvent.change(field, { target: { value: found.value } }));
}
