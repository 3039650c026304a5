import { createEvent, fireEvent, render, screen } from '@testing-library/react';
import { expect, it } from '@jest/globals';
import { isBeingTyped } from './typing';

it('a field is being typed into until what it holds is taken; other things never are', () => {
  render(
    <>
      <input aria-label="Name" defaultValue="Ann" />
      <input aria-label="Tick" type="checkbox" />
    </>,
  );
  const name = screen.getByLabelText('Name');
  const states = [isBeingTyped(name)];
  fireEvent.focusIn(name);
  states.push(isBeingTyped(name));
  fireEvent.input(name, { target: { value: 'Anna' } });
  states.push(isBeingTyped(name));
  // as on Enter: what it holds is taken
  fireEvent(name, createEvent('change', name, { bubbles: true }));
  states.push(isBeingTyped(name));
  expect(states).toEqual([false, false, true, false]);
  const tick = screen.getByLabelText('Tick');
  fireEvent.focusIn(tick);
  fireEvent.click(tick);
  expect([tick, document.body, null].map(isBeingTyped)).toEqual([false, false, false]);
});
