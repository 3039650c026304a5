import { describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Reading } from '@kolleta/core/job';
import { ReadingCard } from './ReadingCard';
import { Ribbon, type RibbonBlock } from './Ribbon';
import { Strip } from './Strip';
import { Toasts, useTell } from './toasts';
import { Choice, Switch, Typed } from './tokens';
import { VerdictMark } from './Verdict';

const reading = (more: Partial<Reading> = {}): Reading => ({
  id: 'thin:m',
  station: 'fit',
  verdict: 'watch',
  title: 'Thin parts',
  value: '0.6 mm',
  limit: '0.8 mm for White gloss',
  why: 'Two places are thin.',
  remedies: [
    { label: 'Thicken by 0.1 mm a side', patch: [] },
    { label: 'Enlarge', patch: [] },
  ],
  ...more,
});

describe('a verdict', () => {
  it('is told by a word and by a shape of its own', () => {
    const shapes = (['fine', 'watch', 'stop'] as const).map((verdict) => {
      const { container } = render(<VerdictMark verdict={verdict} />);
      expect(within(container).getByRole('img', { name: verdict })).toBeTruthy();
      return container.querySelector('svg')!.innerHTML.replace(/(fill|stroke)="[^"]*"/g, '');
    });
    expect(new Set(shapes).size).toBe(3);
  });
});

describe('a reading', () => {
  it('shows its figure, its reason and its limit, and applies the remedy that is pressed', async () => {
    const remedy = jest.fn();
    render(<ReadingCard reading={reading()} onRemedy={remedy} />);
    expect(screen.getByRole('region', { name: 'Thin parts: watch' }).textContent).toContain('Limit: 0.8 mm for White gloss');
    await userEvent.click(screen.getByRole('button', { name: 'Enlarge' }));
    expect(remedy).toHaveBeenCalledWith(expect.objectContaining({ label: 'Enlarge' }));
  });
  it('never stands as current after a change: it says that it is being worked out, and takes it back when it is', () => {
    const { rerender } = render(<ReadingCard reading={reading()} onRemedy={() => undefined} stale />);
    const card = screen.getByRole('region', { name: 'Thin parts: watch' });
    expect(card.getAttribute('aria-busy')).toBe('true');
    expect(card.textContent).toContain('working it out anew');
    rerender(<ReadingCard reading={reading()} onRemedy={() => undefined} />);
    expect(card.getAttribute('aria-busy')).toBe('false');
    expect(card.textContent).not.toContain('working it out');
  });
  it('what takes letters away is never the main button', () => {
    render(
      <ReadingCard reading={reading({ remedies: [{ label: 'Drop 2 parts', patch: [], takesAway: true }] })} onRemedy={() => undefined} />,
    );
    expect(screen.getByRole('button', { name: 'Drop 2 parts' }).className).not.toContain('btn-primary');
  });
  it('keeps its limit to itself when all is well', () => {
    render(<ReadingCard reading={reading({ verdict: 'fine', remedies: [] })} onRemedy={() => undefined} />);
    expect(screen.getByRole('region').textContent).not.toContain('Limit');
    expect(screen.queryByRole('button')).toBeNull();
  });
  it('points at places, gives advice, and tells the reason of an override', async () => {
    const show = jest.fn();
    render(
      <ReadingCard
        reading={reading({ places: [[1, 2]], advice: 'Buy another film.', overridden: 'For show' })}
        onRemedy={() => undefined}
        onShow={show}
        shown={false}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Show me' }));
    expect(show).toHaveBeenCalled();
    expect(screen.getByText('Buy another film.')).toBeTruthy();
    expect(screen.getByText(/“For show”/)).toBeTruthy();
  });
});

describe('the strip', () => {
  const station = { id: 'fit', name: 'Fit', to: '/fit', current: false, peeled: false };
  it('says what is done, what is current, and what needs attention', () => {
    render(
      <MemoryRouter>
        <Strip
          stations={[
            { ...station, peeled: true },
            { ...station, id: 'cut', name: 'Cut', to: '/cut', current: true },
            { ...station, id: 'tape', name: 'Tape', to: '/tape', attention: 'stop' },
          ]}
        />
      </MemoryRouter>,
    );
    expect(screen.getByRole('link', { name: 'Fit, done' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Cut' }).getAttribute('aria-current')).toBe('page');
    expect(screen.getByRole('link', { name: 'Tape, needs attention: stop' })).toBeTruthy();
  });
});

describe('the ribbon', () => {
  const H = 3_600_000;
  const start = Date.parse('2026-12-01T09:00:00Z');
  const windows = [0, 24, 48].flatMap((h) => [
    { start: start + h * H, end: start + (h + 3.5) * H },
    { start: start + (h + 4.5) * H, end: start + (h + 9) * H },
  ]);
  const block = (id: string, from: number, to: number, more: Partial<RibbonBlock> = {}): RibbonBlock => ({
    id,
    lane: 0,
    spans: [{ start: start + from * H, end: start + to * H }],
    label: `${id} 10`,
    title: id,
    state: 'waiting',
    tone: 'work',
    ...more,
  });
  const draw = (blocks: RibbonBlock[], deadline?: number) =>
    render(
      <Ribbon
        blocks={blocks}
        waits={[{ id: 'w', lane: 1, start: start + H, end: start + 3 * H, label: 'dries' }]}
        windows={windows}
        now={start + H / 2}
        deadline={deadline}
        dayName={(at) => new Date(at).toISOString().slice(8, 10)}
        label="Time"
      />,
    ).container;
  const left = (container: HTMLElement, title: string) =>
    Number(
      [...container.querySelectorAll('g')]
        .find((g) => g.querySelector(':scope > title')?.textContent === title)!
        .querySelector('rect')!
        .getAttribute('x'),
    );

  it('keeps the order of time, and everything on the sheet', () => {
    const container = draw([block('cut', 0.6, 0.8), block('weed', 0.8, 1.4), block('place', 25, 26, { lane: 1 })], start + 50 * H);
    expect(left(container, 'cut')).toBeLessThan(left(container, 'weed'));
    expect(left(container, 'weed')).toBeLessThan(left(container, 'place'));
    for (const rect of container.querySelectorAll('rect[x]')) {
      expect(Number(rect.getAttribute('x'))).toBeGreaterThanOrEqual(0);
      expect(Number(rect.getAttribute('x')) + Number(rect.getAttribute('width'))).toBeLessThanOrEqual(801);
    }
  });
  it('gives hours with work at least half the width, however far the date is', () => {
    const container = draw([block('weed', 0.6, 1.4)], start + 57 * H);
    const rect = [...container.querySelectorAll('g')]
      .find((g) => g.querySelector(':scope > title')?.textContent === 'weed')!
      .querySelector('rect')!;
    expect(Number(rect.getAttribute('width'))).toBeGreaterThan(300);
  });
  it('is one picture with a name, and flags the date only when there is one', () => {
    expect(draw([block('cut', 0.6, 0.8)]).querySelectorAll('path[d*="-26"]')).toHaveLength(0);
    cleanup();
    expect(draw([block('cut', 0.6, 0.8)], start + 8 * H).querySelectorAll('path[d*="-26"]')).toHaveLength(1);
    expect(screen.getByRole('img', { name: 'Time' })).toBeTruthy();
  });
});

describe('words that are chosen', () => {
  it('a choice tells its value, not its label', async () => {
    const change = jest.fn();
    render(
      <Choice
        label="Film"
        value="a"
        options={[
          { value: 'a', label: 'White' },
          { value: 'b', label: 'Blue', group: 'matt' },
        ]}
        onChange={change}
      />,
    );
    await userEvent.selectOptions(screen.getByLabelText('Film'), 'Blue');
    expect(change).toHaveBeenCalledWith('b');
  });
  it('a switch is a choice of two sentences', async () => {
    const change = jest.fn();
    render(<Switch label="Wax" on={false} yes="waxed" no="free of wax" onChange={change} />);
    expect(screen.getByDisplayValue('free of wax')).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Wax'), 'waxed');
    expect(change).toHaveBeenCalledWith(true);
  });
  it('a word left unchanged tells nothing', async () => {
    const change = jest.fn();
    render(<Typed label="Width" shown="90 mm" read={(text) => ({ ok: true, value: text })} onChange={change} />);
    await userEvent.click(screen.getByLabelText('Width'));
    await userEvent.tab();
    expect(change).not.toHaveBeenCalled();
  });
});

describe('passing words', () => {
  function Teller({ tone }: { tone?: 'error' }) {
    const tell = useTell();
    return (
      <button type="button" onClick={() => tell('Done: weed.', { tone, action: { label: 'Undo', run: () => tell('Taken back.') } })}>
        tell
      </button>
    );
  }
  it('are told politely, offer one thing to do, and go when it is done', async () => {
    render(
      <Toasts>
        <Teller />
      </Toasts>,
    );
    await userEvent.click(screen.getByRole('button', { name: 'tell' }));
    expect(screen.getByRole('status').textContent).toContain('Done: weed.');
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(screen.getByRole('status').textContent).not.toContain('Done: weed.');
    expect(screen.getByRole('status').textContent).toContain('Taken back.');
  });
  it('an error stays until it is dismissed', async () => {
    jest.useFakeTimers();
    render(
      <Toasts>
        <Teller tone="error" />
      </Toasts>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'tell' }));
    jest.advanceTimersByTime(60_000);
    expect(screen.getByRole('alert').textContent).toContain('Done: weed.');
    fireEvent.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(screen.queryByRole('alert')).toBeNull();
    jest.useRealTimers();
  });
});

describe('fixes seen before they are done', () => {
  it('any of them can be looked at, one at a time, and nothing is changed by looking', async () => {
    const remedy = jest.fn();
    const two = reading({
      remedies: [
        { label: 'Enlarge', patch: [] },
        { label: 'Thicken', patch: [] },
      ],
    });
    render(<ReadingCard reading={two} onRemedy={remedy} preview={({ label }) => <output>{`as by ${label}`}</output>} />);
    expect(screen.queryByRole('status')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'See it first' }));
    expect(screen.getByRole('status').textContent).toBe('as by Enlarge');
    const which = within(screen.getByRole('group', { name: 'Which fix to see: Thin parts' }));
    await userEvent.click(which.getByRole('button', { name: 'Thicken' }));
    expect(screen.getAllByRole('status').map((e) => e.textContent)).toEqual(['as by Thicken']);
    await userEvent.click(screen.getByRole('button', { name: 'Enough seen' }));
    expect(screen.queryByRole('status')).toBeNull();
    expect(remedy).not.toHaveBeenCalled();
  });
});
