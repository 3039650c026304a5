import { describe, expect, it } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FEATURES, type FeatureKind } from '@kolleta/core/facts';
import { liveStation } from '../../../test/liveStation';
import { choose, say } from '../../../test/words';
import { MeasureStation } from './MeasureStation';
import { some } from '../../../../core/test/depth';

// every word is planned again
const measure = (id: string) => liveStation(MeasureStation, 'measure', id);
/** Types into a word of a sentence. */
/** What only few pieces have stands behind a button. */
const anythingElse = async () => {
  const button = screen.getByRole('button', { name: /Anything else about it/ });
  if (button.getAttribute('aria-expanded') === 'false') await userEvent.click(button);
};

describe('what is on a piece', () => {
  it('is said with when it was put on, what becomes of an old print, and in how many coats it is painted', async () => {
    const state = measure('honour-board');
    await anythingElse();
    await choose('Coat that is on it', 'with wall paint on it');
    expect(state.job.piece.painted).toEqual({ coat: 'wallPaint' });
    await choose('When it was painted', 'yesterday');
    expect(state.job.piece.painted!.at).toEqual(expect.any(Number));
    expect(screen.getByLabelText<HTMLSelectElement>('When it was painted').selectedOptions[0]!.text).toBe('yesterday');
    await choose('When it was painted', 'long ago');
    expect(state.job.piece.painted).toEqual({ coat: 'wallPaint' });
    await choose('Coat that is on it', 'not painted yet');
    expect(state.job.piece.painted).toBeUndefined();
    await choose('with an old print', 'with an old print');
    await choose('Old print', 'painted over');
    expect(state.job.piece.printGoes).toBe('covered');
    await choose('Sealed before its coat', 'sealed before it is painted, for it is thirsty');
    expect(state.job.piece.primed).toBe(true);
    await say('Coats of the piece', '3');
    expect(state.job.piece.coats).toBe(3);
  });
});

describe('the shape of a piece', () => {
  it('may be taken for another; a wrap tells the diameter, and the zone follows', async () => {
    const state = measure('honour-board');
    await choose('Shape', 'a straight cylinder');
    expect(state.job.piece.shape).toMatchObject({ kind: 'cylinder', height: 400 });
    await say('Wrap', '314.16');
    expect(state.job.piece.shape).toMatchObject({ diameter: expect.closeTo(100, 2) });
    await choose('Shape', 'tapered');
    expect(state.job.piece.shape).toMatchObject({ kind: 'taper', rim: 100, foot: 75 });
    await say('Wrap at the foot', '251.33');
    expect(state.job.piece.shape).toMatchObject({ foot: expect.closeTo(80, 2) });
    await choose('Shape', 'bulbous');
    expect(state.job.piece.shape).toMatchObject({ kind: 'bulb', height: 400 });
    await choose('Shape', 'flat');
    expect(state.job.piece.shape.kind).toBe('flat');
  });
  it('that cannot be is refused with the way out, and nothing changes', async () => {
    const state = measure('regatta-prizes');
    const before = state.job;
    await say('Diameter at the rim', '0');
    expect(screen.getByRole('alert').textContent!.length).toBeGreaterThan(20);
    await userEvent.keyboard('{Escape}');
    await say('Height', '12');
    expect(screen.getByRole('alert').textContent).toMatch(/cannot reach/);
    expect(state.job).toBe(before);
  });
  it('of a bowl has a radius along the wall that a straight edge measures', async () => {
    const state = measure('trophy-bowl');
    await userEvent.click(screen.getByRole('button', { name: 'Radius of a curve' }));
    await say('Chord', '80');
    await say('Sagitta', '8');
    // r = c²/8s + s/2
    await userEvent.click(screen.getByRole('button', { name: 'Take 104 mm for the curve along the wall' }));
    expect(state.job.piece.shape).toMatchObject({ along: 104 });
    await say('Sagitta', '90');
    expect(screen.getByRole('alert').textContent!.length).toBeGreaterThan(20);
  });
});

describe('what marks keep off', () => {
  it('whatever is on a piece can be added and taken away', async () => {
    const state = measure('honour-board');
    for (const [kind, { name }] of some(Object.entries(FEATURES) as [FeatureKind, (typeof FEATURES)[FeatureKind]][], 6)) {
      await choose('Add what is on the piece', name);
      expect(state.job.piece.features!.map((f) => f.kind)).toEqual([kind]);
      await userEvent.click(screen.getByRole('button', { name: `Take the ${name} away` }));
    }
    expect(state.job.piece.features).toEqual([]);
  });
  it('a screw is measured on all sides, a join across only', async () => {
    const state = measure('honour-board');
    const added = () => state.job.piece.features!.at(-1)!;
    for (const name of ['screw', 'join']) {
      await choose('Add what is on the piece', name);
      await say(`Width of the ${name}`, '7');
      await say(`The ${name} from the middle`, '21');
      await choose(`Side of the ${name}`, 'left');
      await say(`Clear of the ${name}`, '4');
      expect(added()).toMatchObject({ kind: name, width: 7, x: -21, clear: 4 });
    }
    expect(screen.queryByLabelText('Height of the join')).toBeNull();
    await say('Height of the screw', '9');
    await say('Height of the screw above the foot', '33');
    expect(state.job.piece.features![0]).toMatchObject({ height: 9, y: 33 });
  });
  it('slats, their gaps and how the piece is built are words', async () => {
    const state = measure('honour-board');
    await anythingElse();
    await choose('Slats', 'level slats');
    await say('Width of a slat', '45');
    await say('Gap', '6');
    await say('First gap', '30');
    expect(state.job.piece.slats).toEqual({ slat: 45, gap: 6, first: 30, run: 'level' });
    await choose('Build', 'put together from several');
    expect(screen.getByText(/add each join as a line to keep off/)).toBeTruthy();
    await choose('Build', 'taken apart for the work');
    expect(state.job.piece.build).toBe('apart');
    await choose('Build', 'of one piece');
    await choose('Slats', 'closed');
    expect([state.job.piece.build, state.job.piece.slats]).toEqual([undefined, undefined]);
  });
});

describe('zones', () => {
  it('are added, named, measured, outlined and coloured; one in use is not taken away', async () => {
    const state = measure('boat-numbers');
    await userEvent.click(screen.getByRole('button', { name: 'Add a zone' }));
    const zone = () => state.job.zones.at(-1)!;
    await say('Name of the zone', 'Corner');
    await say('Zone width', '60');
    await say('Zone height', '40');
    await say('Above the foot', '70');
    await say('Zone from the middle', '50');
    await choose('Side of the zone', 'left');
    await say('Lip band', '3');
    expect(zone()).toMatchObject({ name: 'Corner', width: 60, height: 40, y: 70, x: -50, lipBand: 3 });
    const outlines = within(screen.getByLabelText('Outline of the zone')).getAllByRole('option');
    expect(outlines.length).toBeGreaterThan(2);
    await choose('Outline of the zone', 'oval');
    expect(zone().outline).toEqual({ kind: 'ellipse' });
    await anythingElse();
    await choose('Pattern', 'patterned or of another colour:');
    await userEvent.click(screen.getByRole('button', { name: 'And another' }));
    fireEvent.change(screen.getByLabelText('Colour 2 of the zone'), { target: { value: '#102030' } });
    expect(zone().colours).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Take colour 1 away' }));
    expect(zone().colours).toEqual(['#102030']);
    await userEvent.click(screen.getByRole('button', { name: 'Take this zone away' }));
    expect(state.job.zones).toHaveLength(1);
    expect(screen.queryByRole('button', { name: 'Take this zone away' })).toBeNull();
  });
});

describe('help with measuring', () => {
  it('cloth is folded into panels, and the panel becomes the piece', async () => {
    const state = measure('honour-board');
    await userEvent.click(screen.getByRole('button', { name: 'Folded cloth' }));
    await say('Cloth width', '600');
    await say('Cloth height', '500');
    await say('Panels across', '4');
    await say('Panels up', '2');
    await userEvent.click(screen.getByRole('button', { name: 'Take this panel for the piece' }));
    expect(state.job.piece.shape).toMatchObject({ kind: 'flat', width: 150, height: 250 });
  });
  it('an odd shape has its middle where it balances; sizes by eye are told from measured ones', async () => {
    const state = measure('honour-board');
    await userEvent.click(screen.getByRole('button', { name: 'Middle of an odd shape' }));
    expect(screen.getByText(/the plumb lines cross in its middle/)).toBeTruthy();
    await anythingElse();
    await choose('By eye', 'by eye');
    expect(state.job.piece.byEye).toBe(true);
    for (const [label, option] of [
      ['Food', 'lies on it'],
      ['Dry and short', 'kept dry and only for a while'],
      ['Wax', 'waxed or oiled'],
    ] as const)
      await choose(label, option);
    expect(state.job.piece).toMatchObject({ use: { food: true, dryShort: true }, waxed: true });
  });
});
