import { describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { useState } from 'react';
import { HeldInput } from './HeldInput';
import { SavedSoFar } from './held';
import { Choice, TextWord } from './tokens';
import { law } from '../../../core/test/depth';

/** A field over storage that answers late, and a screen that sees what is saved later still. */
function late(draw: (value: string, save: (text: string) => Promise<number>) => React.ReactNode, begin = '') {
  const saved = [begin];
  const waiting: (() => void)[] = [];
  let see: (saves: number) => void = () => undefined;
  function Late() {
    const [saves, set] = useState(0);
    see = set;
    const save = (text: string) => new Promise<number>((done) => waiting.push(() => done(saved.push(text) - 1)));
    return <SavedSoFar.Provider value={saves}>{draw(saved[saves]!, save)}</SavedSoFar.Provider>;
  }
  render(<Late />);
  const tick = () => act(async () => void (await new Promise((done) => setTimeout(done, 0))));
  return {
    saved,
    /** The storage answers the oldest save. */
    answer: async () => {
      waiting.shift()?.();
      await tick();
    },
    /** The screen sees a save. */
    see: async (n: number) => {
      act(() => see(Math.min(n, saved.length - 1)));
      await tick();
    },
    open: () => waiting.length > 0,
  };
}

describe('a field that is typed in', () => {
  it('holds every letter and the caret, whenever the storage answers and the screen follows; the last text is what is saved', async () => {
    const act1 = fc.oneof(
      fc.record({ do: fc.constant('type' as const), letter: fc.constantFrom('a', 'b', '&', ' ', 'é') }),
      fc.record({ do: fc.constant('back' as const) }),
      fc.record({ do: fc.constant('move' as const), to: fc.nat(12) }),
      fc.record({ do: fc.constant('answer' as const) }),
      fc.record({ do: fc.constant('see' as const), n: fc.nat(30) }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(act1, { maxLength: 30 }), async (acts) => {
        cleanup();
        const storage = late((value, save) => <HeldInput aria-label="Line" value={value} save={save} />, 'tern');
        const field = screen.getByLabelText<HTMLInputElement>('Line');
        let [text, caret, seen] = ['tern', 4, 0];
        const key = (next: string, at: number) => {
          // as a browser does: the text changes under the caret, then the page is told
          fireEvent.input(field, { target: { value: next, selectionStart: at, selectionEnd: at } });
          [text, caret] = [next, at];
        };
        for (const one of acts) {
          if (one.do === 'type') key(text.slice(0, caret) + one.letter + text.slice(caret), caret + 1);
          else if (one.do === 'back' && caret > 0) key(text.slice(0, caret - 1) + text.slice(caret), caret - 1);
          else if (one.do === 'move') {
            caret = Math.min(one.to, text.length);
            field.setSelectionRange(caret, caret);
          } else if (one.do === 'answer') await storage.answer();
          else if (one.do === 'see') await storage.see((seen = Math.max(seen, one.n)));
          expect([field.value, field.selectionStart]).toEqual([text, caret]);
        }
        while (storage.open()) await storage.answer();
        await storage.see(Infinity);
        expect([field.value, field.selectionStart, storage.saved.at(-1)]).toEqual([text, caret, text]);
      }),
      law(60),
    );
  });
  it('shows what is saved again once the screen has seen its save: a change from elsewhere is not hidden', async () => {
    const storage = late((value, save) => <HeldInput aria-label="Line" value={value} save={save} />);
    const field = screen.getByLabelText<HTMLInputElement>('Line');
    fireEvent.change(field, { target: { value: 'Tern' } });
    await storage.answer();
    expect(field.value).toBe('Tern');
    storage.saved.push('undone');
    await storage.see(2);
    expect(field.value).toBe('undone');
  });
  it('puts back what is saved when a save is refused', async () => {
    render(<HeldInput aria-label="Line" value="Tern" save={() => Promise.reject(new Error('refused'))} />);
    const field = screen.getByLabelText<HTMLInputElement>('Line');
    fireEvent.change(field, { target: { value: 'Gull' } });
    expect(field.value).toBe('Gull');
    await act(async () => void (await new Promise((done) => setTimeout(done, 0))));
    expect(field.value).toBe('Tern');
  });
});

describe('words of a sentence', () => {
  it('stand as they were typed or chosen until they are saved', async () => {
    const storage = late((value, save) => <TextWord label="Name" value={value} onChange={save} />, 'a');
    const field = screen.getByLabelText<HTMLInputElement>('Name');
    fireEvent.change(field, { target: { value: 'Pennant' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(field.value).toBe('Pennant');
    await storage.answer();
    await storage.see(1);
    expect([field.value, storage.saved.at(-1)]).toEqual(['Pennant', 'Pennant']);
  });
  it('that keys choose faster than they are saved go on from what was chosen', async () => {
    const options = ['a', 'b', 'c'].map((value) => ({ value, label: value }));
    const storage = late((value, save) => <Choice label="Way" value={value} options={options} onChange={save} />, 'a');
    const field = screen.getByLabelText<HTMLSelectElement>('Way');
    for (let i = 0; i < 2; i++)
      fireEvent.change(field, { target: { value: options[options.findIndex((o) => o.value === field.value) + 1]!.value } });
    expect(field.value).toBe('c');
    while (storage.open()) await storage.answer();
    await storage.see(Infinity);
    expect([field.value, storage.saved.at(-1)]).toEqual(['c', 'c']);
  });
});
