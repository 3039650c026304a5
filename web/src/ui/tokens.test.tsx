import { describe, expect, it, jest } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Owner } from './held';
import { HeldInput } from './HeldInput';
import { TellContext } from './toasts';
import { Choice, CountWord, LengthWord, TextWord } from './tokens';

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
  it('what is typed for one is never taken for another: left in any way it is taken where it was typed, or handed back', async () => {
    const of = { tern: jest.fn(), gull: jest.fn() };
    const told = jest.fn();
    const Fields = ({ owner }: { owner: keyof typeof of }) => (
      <TellContext.Provider value={told}>
        <Owner.Provider value={owner}>
          <LengthWord label="Width" value={owner === 'tern' ? 90 : 40} system="mm" onChange={of[owner]} />
          <HeldInput aria-label="Words" value={owner} save={of[owner]} />
          <Choice
            label="Film"
            value="a"
            options={[
              { value: 'a', label: 'a' },
              { value: 'b', label: 'b' },
            ]}
            onChange={of[owner]}
          />
        </Owner.Provider>
      </TellContext.Provider>
    );
    const { rerender, unmount } = render(<Fields owner="tern" />);
    await userEvent.clear(screen.getByLabelText('Width'));
    await userEvent.type(screen.getByLabelText('Width'), '75');
    rerender(<Fields owner="gull" />);
    expect(of.tern.mock.calls).toEqual([[75]]);
    expect(screen.getByLabelText<HTMLInputElement>('Width').value).toBe('40 mm');
    // letters and choices whose saves are still on their way
    await userEvent.type(screen.getByLabelText('Words'), 's');
    await userEvent.selectOptions(screen.getByLabelText('Film'), 'b');
    rerender(<Fields owner="tern" />);
    expect(screen.getByLabelText<HTMLInputElement>('Words').value).toBe('tern');
    expect(of.gull.mock.calls).toEqual([['gulls'], ['b']]);
    expect(of.tern).toHaveBeenCalledTimes(1);
    // what cannot be read is handed back
    await userEvent.clear(screen.getByLabelText('Width'));
    await userEvent.type(screen.getByLabelText('Width'), 'wide');
    unmount();
    expect(told).toHaveBeenCalledWith(expect.stringMatching(/^Width stays 90 mm. "wide" is not a length/), { tone: 'error' });
    expect(of.tern).toHaveBeenCalledTimes(1);
  });
  it('letters that are not saved when the page goes away are there when it comes back, unless something else was saved since', async () => {
    const change = jest.fn();
    const never = () => new Promise<number>(() => undefined);
    const fields = (width: number, save: () => unknown = change) => (
      <>
        <LengthWord label="Width" value={width} system="mm" onChange={change} />
        <HeldInput aria-label="Words" value="tern" save={save} />
      </>
    );
    const leave = async (width: number) => {
      const { unmount } = render(fields(width, never));
      await userEvent.clear(screen.getByLabelText('Width'));
      await userEvent.type(screen.getByLabelText('Width'), '75');
      await userEvent.type(screen.getByLabelText('Words'), 's');
      await userEvent.type(screen.getByLabelText('Width'), '{Escape}76');
      window.dispatchEvent(new window.Event('pagehide'));
      const noted = localStorage.getItem('kolleta-unsaved');
      unmount();
      change.mockClear();
      localStorage.setItem('kolleta-unsaved', noted!);
    };
    await leave(90);
    const { unmount } = render(fields(90));
    expect(change.mock.calls).toEqual([[76], ['terns']]);
    expect(localStorage.getItem('kolleta-unsaved')).toBeNull();
    unmount();
    await leave(90);
    change.mockClear();
    render(fields(60));
    expect(change.mock.calls).toEqual([['terns']]);
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
