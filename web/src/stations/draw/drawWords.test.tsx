import { describe, expect, it } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SIMPLE_SHAPES } from '@kolleta/core/artwork';
import type { Change, Job } from '@kolleta/core/job';
import { liveStation } from '../../../test/liveStation';
import { choose, say } from '../../../test/words';
import { DrawStation } from './DrawStation';

// every word is planned again

const plain = (job: Job): Job => ({ ...job, marks: job.marks.slice(0, 1).map((mark) => ({ ...mark, edits: [] })) });
const draw = (id: string, begin: (job: Job) => Job = plain) => liveStation(DrawStation, 'draw', id, begin);

type Said = readonly ['say' | 'choose', label: string, text: string];
/** What is wanted, what is said of it, and what the entry then holds. */
const WANTED: [want: string, said: readonly Said[], holds: Partial<Change>][] = [
  ['make one outline', [['say', 'Gaps under', '0.8']], { kind: 'oneOutline', gap: 0.8 }],
  [
    'let the ground show through',
    [
      ['choose', 'Plate', 'an oval'],
      ['say', 'Margin of the plate', '6'],
    ],
    { kind: 'showGround', plate: 'ellipse', margin: 6 },
  ],
  [
    'put a frame around it',
    [
      ['choose', 'Frame', 'a plain plate'],
      ['say', 'Frame off the mark', '5'],
      ['say', 'Width of the frame', '2'],
    ],
    { kind: 'frame', plate: 'box', margin: 5, width: 2 },
  ],
  [
    'take it out of a shape or a drawing',
    [
      ['choose', 'Shape around it', 'disc'],
      ['say', 'Shape larger, percent', '220'],
      ['say', 'Above the middle, percent', '10'],
    ],
    { kind: 'outOf', name: 'disc', by: 2.2, up: 0.1 },
  ],
  [
    'put a shape beside it',
    [
      ['choose', 'Shape beside it', 'heart'],
      ['choose', 'Side of the shape', 'above'],
      ['say', 'Size of the shape, percent', '30'],
      ['say', 'Off the mark', '4'],
    ],
    { kind: 'beside', name: 'heart', side: 'above', share: 0.3, gap: 4 },
  ],
  [
    'part it for a line',
    [
      ['say', 'Parted at', '40'],
      ['say', 'Gap', '7'],
    ],
    { kind: 'part', at: 0.4, gap: 7 },
  ],
  [
    'stretch it a little',
    [
      ['say', 'Across, percent', '120'],
      ['say', 'Up, percent', '90'],
    ],
    { kind: 'stretch', across: 1.2, up: 0.9 },
  ],
  [
    'repeat it evenly',
    [
      ['say', 'Across', '2'],
      ['say', 'Up', '3'],
      ['say', 'Apart', '4'],
    ],
    { kind: 'repeat', across: 2, up: 3, gap: 4 },
  ],
  [
    'scatter it',
    [
      ['say', 'Count', '5'],
      ['say', 'Least distance', '6'],
      ['choose', 'Turned', 'upright'],
      ['choose', 'Over the edge', 'also over the edge'],
    ],
    { kind: 'scatter', count: 5, least: 6, turn: false, over: true },
  ],
];

describe('what is wanted of a mark', () => {
  it.each(WANTED)('“%s” is an entry whose words can be changed', async (want, said, holds) => {
    const state = draw('door-hours');
    await choose('Add a change', want);
    for (const [how, label, text] of said) await (how === 'say' ? say(label, text) : choose(label, text));
    expect(state.job.marks[0]!.edits).toEqual([expect.objectContaining(holds)]);
    await userEvent.click(screen.getByRole('button', { name: 'Take it away' }));
    expect(state.job.marks[0]!.edits).toEqual([]);
  });
  it('a share that is no share is refused and kept to be mended; the scatter is thrown again', async () => {
    const state = draw('door-hours');
    await choose('Add a change', 'stretch it a little');
    await say('Across, percent', '9000');
    expect(screen.getByRole('alert').textContent).toContain('20 to 500');
    await userEvent.keyboard('{Escape}');
    await choose('Add a change', 'scatter it');
    const seed = () => (state.job.marks[0]!.edits.at(-1) as Extract<Change, { kind: 'scatter' }>).seed;
    const before = seed();
    await userEvent.click(screen.getByRole('button', { name: 'Scatter again' }));
    expect(seed()).not.toBe(before);
    await choose('Size of the copies', 'of a size of');
    await say('Size of a copy', '12');
    expect(state.job.marks[0]!.edits.at(-1)).toMatchObject({ copy: 12 });
    await choose('Size of the copies', 'as large as finds room');
    expect(state.job.marks[0]!.edits.at(-1)).not.toHaveProperty('copy');
  });
});

describe('words', () => {
  it('have their size, spacing, alignment and arc; a line is added and taken away', async () => {
    const state = draw('regatta-prizes');
    const artwork = () => state.job.marks[0]!.artwork as Extract<Job['marks'][number]['artwork'], { kind: 'text' }>;
    await say('Size of line 1, percent', '150');
    await say('Letter spacing of line 2, percent', '12');
    expect(artwork().lines).toMatchObject([{ scale: 1.5 }, { spacing: 0.12 }, {}]);
    await choose('Alignment', 'spread to one width');
    await say('Line spacing, percent', '130');
    expect(artwork()).toMatchObject({ align: 'justified', lineSpacing: 1.3 });
    await userEvent.click(screen.getByRole('button', { name: 'Take line 3 away' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take line 2 away' }));
    expect(artwork().lines).toHaveLength(1);
    for (const [way, arc] of [
      ['on an arch', 120],
      ['on a hanging arc', -120],
      ['round a circle', 360],
      ['straight', undefined],
    ] as const) {
      await choose('Way of the words', way);
      expect(Math.sign(artwork().arc ?? 0)).toBe(Math.sign(arc ?? 0));
    }
  });
  it('a mark is named, flipped and cut from another film; another is added and taken away', async () => {
    const state = draw('regatta-prizes');
    await say('Name of the mark', 'Prize');
    await choose('Flip', 'flipped left to right');
    await choose('Film', 'Petrol');
    expect(state.job.marks[0]).toMatchObject({ name: 'Prize', flip: true });
    await userEvent.click(screen.getByRole('button', { name: 'Add a mark' }));
    expect(state.job.marks).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Take this mark away' }));
    expect(state.job.marks.map((m) => m.name)).toEqual(['Prize']);
  });
});

describe('drawings', () => {
  it.each(Object.values(SIMPLE_SHAPES))('a %s is there to begin with', async (name) => {
    const state = draw('regatta-prizes');
    await choose('Simple shape', name);
    expect(state.job.marks[0]!.artwork).toMatchObject({ kind: 'drawing', name });
    expect(screen.getByText(/^1 separate part, /)).toBeTruthy();
  });
  it('are taken apart: parts are picked, left out, taken back, kept together and given a film', async () => {
    const state = draw('boat-numbers', (job) => ({ ...job, marks: job.marks.slice(1).map((mark) => ({ ...mark, edits: [] })) }));
    const artwork = () => state.job.marks[0]!.artwork as Extract<Job['marks'][number]['artwork'], { kind: 'drawing' }>;
    await choose('Simple shape', 'ring');
    await userEvent.click(screen.getByRole('button', { name: 'Take it apart' }));
    const parts = screen.getByRole('region', { name: 'Parts of the drawing' });
    await userEvent.click(within(parts).getByRole('button', { name: 'Pick all' }));
    expect(parts.textContent).toContain('1 part picked');
    await userEvent.click(within(parts).getByRole('button', { name: 'Leave them out' }));
    expect(artwork().dropped).toHaveLength(1);
    await userEvent.click(within(parts).getByRole('button', { name: 'Take them back' }));
    expect(artwork().dropped).toEqual([]);
    await userEvent.selectOptions(within(parts).getByLabelText('Film for the picked parts'), 'Silver');
    const { colourFilms } = state.job.marks[0]!;
    expect(Object.keys(colourFilms)).toEqual([artwork().parts[0]!.colour]);
    await userEvent.click(within(parts).getByRole('button', { name: 'Done taking apart' }));
    await userEvent.click(within(parts).getByRole('button', { name: 'Use words instead' }));
    expect(state.job.marks[0]!.artwork.kind).toBe('text');
  });
});

describe('a list', () => {
  it('of unlike pieces gives a drawing its own size on each, typed or measured one by one', async () => {
    const state = draw('tankards');
    await choose('Simple shape', 'star');
    await userEvent.click(screen.getByRole('button', { name: 'Type or paste a list' }));
    fireEvent.change(screen.getByLabelText('One name a line'), {
      target: { value: 'piece, width, height\nsmall, 30, 20\nlarge, 60, 50\nlike all, , ' },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Take this list' }));
    expect(state.job.list!.rows).toMatchObject([
      { cells: ['small'], width: 30, height: 20 },
      { width: 60, height: 50 },
      { cells: ['like all'] },
    ]);
    await choose('Sizes of the list', 'each as large as fits');
    const rows = screen.getByRole('list', { name: 'The list as it fits' });
    const wide = () =>
      within(rows)
        .getAllByRole('button')
        .map((b) => Number.parseFloat(b.textContent!.replace(/^\D+/, '')));
    expect(
      within(rows)
        .getAllByRole('button')
        .map((b) => b.textContent),
    ).toEqual([expect.stringMatching(/^small/), expect.stringMatching(/^large/), expect.stringMatching(/^like all/)]);
    const [small, large] = wide();
    expect(large!).toBeGreaterThan(small! * 1.8);
    await userEvent.click(within(rows).getAllByRole('button')[2]!);
    await say('Zone width of this piece', '24');
    expect(wide()[2]).toBeLessThan(24);
    // what was measured is in the list as it would be typed
    await userEvent.click(screen.getByRole('button', { name: 'Change the list' }));
    const typed = screen.getByLabelText<HTMLTextAreaElement>('One name a line').value;
    expect(typed.split('\n')).toEqual(['piece,width,height', 'small,30 mm,20 mm', 'large,60 mm,50 mm', 'like all,24 mm,']);
    await userEvent.click(screen.getByRole('button', { name: 'Take this list' }));
    expect(state.job.list!.rows[2]).toMatchObject({ cells: ['like all'], width: 24 });
  });

  it('names another drawing for each piece, or parts its rows into letters, each a piece of its own', async () => {
    const state = draw('crew-flasks');
    const rows = state.job.list!.rows.length;
    await userEvent.click(screen.getByRole('button', { name: 'Each letter a piece of its own' }));
    expect(state.job.list!.rows.length).toBeGreaterThan(rows);
    expect(state.job.count).toBe(state.job.list!.rows.length);
    await choose('Simple shape', 'star');
    await choose('Drawing of each piece', `the drawing named in “${state.job.list!.columns[0]}”`);
    expect(state.job.marks[0]).toMatchObject({
      artwork: { kind: 'drawing', column: state.job.list!.columns[0] },
      sizes: expect.any(String),
    });
    expect(screen.getByRole('region', { name: /^Drawings from the list: stop/ })).toBeTruthy();
    await choose('Drawing of each piece', 'the same drawing');
    expect(state.job.marks[0]!.artwork).not.toHaveProperty('column');
  });
  it('is changed row by row, measured piece by piece, parted from a word, and taken away', async () => {
    const state = draw('door-hours');
    await userEvent.click(screen.getByRole('button', { name: 'Part one word over the pieces' }));
    await say('Word over the pieces', 'TERN|PT');
    expect(state.job.list!.rows.map((row) => row.cells[0])).toEqual(['TERN', 'PT']);
    const rows = screen.getByRole('list', { name: 'The list as it fits' });
    await userEvent.click(within(rows).getAllByRole('button')[1]!);
    const column = state.job.list!.columns[0]!;
    await say(`${column} of this piece`, 'POINT');
    await say('Zone width of this piece', '90');
    await say('Zone height of this piece', '50');
    expect(state.job.list!.rows[1]).toMatchObject({ cells: ['POINT'], width: 90, height: 50 });
    await choose('Sizes of the list', 'each as large as fits');
    expect(state.job.marks[0]!.sizes).toBe('each');
    await userEvent.click(screen.getByRole('button', { name: 'Change the list' }));
    fireEvent.change(screen.getByLabelText('One name a line'), { target: { value: '' } });
    await userEvent.click(screen.getByRole('button', { name: 'Take this list' }));
    expect(screen.getByRole('alert').textContent!.length).toBeGreaterThan(10);
    await userEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take the list away' }));
    expect(state.job.list).toBeUndefined();
  });
});
