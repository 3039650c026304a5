import { describe, expect, it, jest } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { CountWord, LengthWord, TextWord } from './tokens';

describe('words in a sentence', () => {
  it('a length is read in either unit when it is left or on Enter', async () => {
    const change = jest.fn();
    render(<LengthWord label="Width" value={90} system="mm" onChange={change} />);
    const field = screen.getByLabelText('Width');
    await userEvent.clear(field);
    await userEvent.type(field, '3 1/2 in{Enter}');
    expect(change).toHaveBeenCalledWith(expect.closeTo(88.9, 6));
  });
  it('what cannot be read is said with the way out, kept to be mended, and put back on Escape', async () => {
    const change = jest.fn();
    render(<LengthWord label="Width" value={90} system="mm" onChange={change} />);
    const field = screen.getByLabelText<HTMLInputElement>('Width');
    await userEvent.clear(field);
    await userEvent.type(field, 'wide{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/"wide" is not a length.*Type a length/);
    expect(field.value).toBe('wide');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    await userEvent.type(field, '{Escape}');
    expect(field.value).toBe('90 mm');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(change).not.toHaveBeenCalled();
  });
  it('a value that changes under the hand is replaced by what is typed next, not added to', async () => {
    const change = jest.fn();
    const { rerender } = render(<LengthWord label="Width" value={90} system="mm" onChange={change} />);
    await userEvent.click(screen.getByLabelText('Width'));
    rerender(<LengthWord label="Width" value={148} system="mm" onChange={change} />);
    await userEvent.keyboard('75{Enter}');
    expect(change).toHaveBeenCalledWith(75);
  });
  it('a count takes whole numbers only, and an empty name is refused where one is wanted', async () => {
    const count = jest.fn();
    const name = jest.fn();
    render(
      <>
        <CountWord label="Count" value={4} onChange={count} />
        <TextWord label="Name" value="Tern" onChange={name} />
        <TextWord label="Client" value="" empty="no client" onChange={name} />
      </>,
    );
    await userEvent.clear(screen.getByLabelText('Count'));
    await userEvent.type(screen.getByLabelText('Count'), '2.5{Enter}');
    expect(screen.getAllByRole('alert')).toHaveLength(1);
    await userEvent.clear(screen.getByLabelText('Name'));
    await userEvent.type(screen.getByLabelText('Name'), '{Enter}');
    expect(screen.getAllByRole('alert')).toHaveLength(2);
    expect(count).not.toHaveBeenCalled();
    expect(name).not.toHaveBeenCalled();
    expect(screen.getByLabelText<HTMLInputElement>('Client').value).toBe('no client');
  });
});
