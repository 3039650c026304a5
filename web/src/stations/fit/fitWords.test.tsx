import { describe, expect, it } from '@jest/globals';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { simpleShape } from '@kolleta/core/artwork';
import type { DrawnPart, Job } from '@kolleta/core/job';
import { liveStation } from '../../../test/liveStation';
import { choose, say } from '../../../test/words';
import { FitStation } from './FitStation';

// every word is planned again

const fit = (id: string, begin?: (job: Job) => Job) => liveStation(FitStation, 'fit', id, begin);
const planOf = ({ job, settled }: ReturnType<typeof fit>) => settled!.plan.jobs.get(job.id)!;
const size = (state: { job: Job }) => state.job.marks[0]!.size;
const own = (id: string) => fit(id, (job) => ({ ...job, marks: job.marks.slice(0, 1) }));

describe('how large a mark is', () => {
  it('is said by what it is to fill, or typed; what is typed stays typed', async () => {
    const state = own('boat-numbers');
    const size = () => state.job.marks[0]!.size;
    await choose('Size', 'as large as fits');
    expect(size()).toEqual({ mode: 'largest' });
    await choose('Size', 'as wide as its room');
    expect(size()).toMatchObject({ mode: 'width', width: 180 });
    await choose('Size', 'with a width of');
    expect(screen.getByLabelText<HTMLSelectElement>('Size').value).toBe('width');
    await say('Width of the mark', '180');
    // the same width as the room's, but the maker's own
    expect(screen.getByLabelText('Width of the mark')).toBeTruthy();
    await choose('Size', 'with a height of');
    await say('Height of the mark', '30');
    expect(size()).toEqual({ mode: 'height', height: 30 });
    await say('Breathing room', '14');
    expect(state.job.zones[0]!.breathing).toBe(14);
    await choose('Size', 'from edge to edge');
    expect([state.job.zones[0]!.breathing, size()]).toEqual([0, { mode: 'width', width: 200 }]);
  });
  it('is stretched to just a width and a height', async () => {
    const state = own('boat-numbers');
    await choose('Size', 'stretched to just');
    await say('Width of the mark', '120');
    await say('Height of the mark', '35');
    expect(size(state)).toEqual({ mode: 'width', width: 120, height: 35 });
    expect([planOf(state).marks[0]!.fitted.width, planOf(state).marks[0]!.fitted.height].map((mm) => mm.toFixed(2))).toEqual([
      '120.00',
      '35.00',
    ]);
  });
  it('of a ring is said by what stands inside and by its line', async () => {
    const ring: DrawnPart = { id: 'p', colour: '#22302f', fill: 'evenodd', path: simpleShape('ring') };
    const state = fit('boat-numbers', (job) => ({
      ...job,
      marks: [
        { ...job.marks[0]!, edits: [], artwork: { kind: 'drawing', name: 'ring', parts: [ring], leftOut: [] }, size: { mode: 'largest' } },
      ],
    }));
    await say('What stands inside', '60');
    await say('Line of the ring', '4');
    expect(planOf(state).marks[0]!.fitted.width).toBeCloseTo(68, 1);
    expect(Number.parseFloat(screen.getByLabelText<HTMLInputElement>('What stands inside').value)).toBeCloseTo(60, 0);
  });
  it('a row of copies shares the edge among them', async () => {
    const state = own('boat-numbers');
    await choose('Copies', 'side by side');
    await say('Number of copies', '4');
    await choose('Size', 'from edge to edge');
    expect(state.job.marks[0]).toMatchObject({ spread: { kind: 'row', count: 4, mirrored: false }, size: { mode: 'width', width: 50 } });
  });
});

describe('where a mark goes', () => {
  it('is moved by so much to a side, up or down, as it is typed', async () => {
    const state = own('boat-numbers');
    const offset = () => state.job.marks[0]!.offset;
    await say('Moved to the right', '4 left');
    expect(offset().x).toBe(-4);
    await say('Moved to the right', '6');
    await say('Moved up', '-2.5 mm');
    expect(offset()).toEqual({ x: 6, y: -2.5 });
    expect(screen.getByLabelText<HTMLInputElement>('Moved up').value).toBe('2.5 mm down');
    await say('Moved up', 'a bit');
    expect(offset().y).toBe(-2.5);
  });
  it.each([
    ['in two corners, lower left and upper right', 'rising'],
    ['in two corners, upper left and lower right', 'falling'],
  ])('%s', async (label, which) => {
    const state = own('boat-numbers');
    await choose('Copies', label);
    expect(state.job.marks[0]!.spread).toEqual({ kind: 'corners', mirrored: false, which });
    expect(planOf(state).marks[0]!.copies).toHaveLength(1);
  });
  it.each([
    ['at the left', { x: 'left' }],
    ['at the right', { x: 'right' }],
    ['at the lower edge', { y: 'foot' }],
    ['at the upper edge', { y: 'top' }],
    ['in the lower right corner', { x: 'right', y: 'foot' }],
    ['in the upper left corner', { x: 'left', y: 'top' }],
  ])('%s, and back into the middle', async (place, hold) => {
    const state = own('boat-numbers');
    await choose('Place', place);
    expect(state.job.marks[0]).toMatchObject({ hold, offset: { x: 0, y: 0 } });
    await choose('Place', 'in the middle by weight');
    expect(state.job.marks[0]).toMatchObject({ optical: true });
    expect(state.job.marks[0]!.hold).toBeUndefined();
    await choose('Place', 'in the middle');
    expect(state.job.marks[0]!.optical).toBe(false);
  });
  it('turned by degrees, over the edge, on the back, and what is no turn is refused', async () => {
    const state = own('boat-numbers');
    const mark = () => state.job.marks[0]!;
    await choose('Turn of the mark', 'turned by');
    expect(mark().turn).toBe(90);
    await say('Degrees', '-15');
    expect(mark().turn).toBe(-15);
    await say('Degrees', '999');
    expect(screen.getByRole('alert').textContent).toContain('Type a number from −360 to 360 °');
    await userEvent.keyboard('{Escape}');
    await say('Degrees', '0');
    expect(mark().turn).toBeUndefined();
    await choose('Edge', 'trimmed where it runs over the edge');
    await choose('Side', 'the front');
    expect(mark()).toMatchObject({ overEdge: true, seenThrough: false });
  });
  it.each([
    ['as a mirrored pair', { kind: 'row', count: 2, mirrored: true }],
    ['in each corner', { kind: 'corners', mirrored: false }],
    ['in each corner, mirrored', { kind: 'corners', mirrored: true }],
    ['once', undefined],
  ])('copies %s', async (copies, spread) => {
    const state = own('boat-numbers');
    await choose('Copies', copies);
    expect(state.job.marks[0]!.spread).toEqual(spread);
  });
  it('round a wall only where there is one; a taper bends or is left straight', async () => {
    const state = own('regatta-prizes');
    await choose('Copies', 'evenly round the wall');
    expect(state.job.marks[0]!.spread).toEqual({ kind: 'round', count: 3 });
    await choose('Bend', 'left straight');
    expect(state.job.marks[0]!.straight).toBe(true);
    cleanup();
    own('boat-numbers');
    expect(within(screen.getByLabelText('Copies')).queryByRole('option', { name: 'evenly round the wall' })).toBeNull();
    expect(screen.queryByLabelText('Bend')).toBeNull();
  });
});

describe('the jig', () => {
  const jig = () => within(screen.getByRole('region', { name: 'Jig' }));
  it('of a scatter is a placing map; of a list it is of the tightest, of one, or of each', async () => {
    fit('boat-numbers', (job) => ({
      ...job,
      marks: job.marks.slice(0, 1).map((mark) => ({
        ...mark,
        size: { mode: 'width', width: 12 },
        offset: { x: 0, y: 0 },
        edits: [{ id: 's', kind: 'scatter', count: 6, width: 150, height: 90, least: 5, turn: false, over: false, seed: 1 }],
      })),
    }));
    expect(jig().getByRole('heading').textContent).toBe('A paper placing map, 1:1');
    expect(jig().getByText(/Copies are numbered/)).toBeTruthy();
    expect(jig().queryByLabelText('Whose jig')).toBeNull();
    cleanup();
    fit('crew-flasks');
    expect(jig().getByRole('heading').textContent).toBe('A paper jig, 1:1');
    const options = within(jig().getByLabelText('Whose jig')).getAllByRole('option');
    expect(options.map((o) => o.textContent).slice(0, 2)).toEqual(['the tightest of the list', 'each of the 6']);
    expect(options).toHaveLength(8);
    const sheets = () => Number(/^(\d+) sheets?\./.exec(jig().getByText(/sheets?\./).textContent!)![1]);
    const one = sheets();
    await userEvent.selectOptions(jig().getByLabelText('Whose jig'), 'each of the 6');
    expect(sheets()).toBe(6 * one);
    expect(jig().getByRole('button', { name: 'Save the jigs (PDF)' })).toBeTruthy();
  });
  it('is printed on the paper that there is, and corrected by the line that was measured', async () => {
    own('honour-board');
    await userEvent.selectOptions(jig().getByLabelText('Paper'), 'Letter');
    expect(jig().getByRole('img').getAttribute('aria-label')).toMatch(/of Letter$/);
    await say('Measured check line', '60');
    expect(jig().getByRole('alert').textContent).toContain('is no slip of a printer');
  });
  it('of more sheets than are printed at once is refused with the way out', async () => {
    fit('crew-flasks', (job) => ({
      ...job,
      count: 130,
      // there is enough of it
      marks: job.marks.map((mark) => ({ ...mark, film: 'white-gloss' })),
      list: { ...job.list!, rows: Array.from({ length: 130 }, (_, i) => ({ id: `r${i}`, cells: job.list!.columns.map(() => 'Finn') })) },
    }));
    await userEvent.selectOptions(jig().getByLabelText('Whose jig'), 'each of the 130');
    expect(jig().getByRole('alert').textContent).toMatch(/sheets are more than the 200 .* Choose single rows/);
    expect(jig().getByRole<HTMLButtonElement>('button', { name: 'Save the jigs (PDF)' }).disabled).toBe(true);
  });
});
