import { plateJob, textMark } from '../../../core/test/sampleJobs';
import { surfaceOf } from '@kolleta/core/blanks';
import { describe, expect, it } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { gripWindow, tapeUses } from '@kolleta/core/tape';
import type { Job, Shop } from '@kolleta/core/job';
import type { JobPlan, LayerPlan, RackItem } from '@kolleta/core/plan';
import { GripChart } from './tape/GripChart';
import { Rack } from '../pages/bench/Rack';
import { SealWords } from './steps/SealWords';
import { attentionAt, isPeeled, stationsOf } from '../frame/stationList';
import { bestFilm, newJob, pieceOf } from '../pages/newJob';
import { BLANKS } from '@kolleta/core/facts';

const job = (more: Partial<Job> = {}): Job =>
  ({
    id: 'j',
    name: 'Honour board',
    count: 1,
    marks: [],
    piece: { ...plateJob(textMark('x')).piece, name: 'board', shape: { kind: 'flat', width: 600, height: 400 }, ground: 'stainedWood' },
    ...more,
  }) as unknown as Job;
const shop = { hours: { zone: 'Europe/Dublin', week: [] }, films: [], tapes: [], paints: [] } as unknown as Shop;

describe('the drying rack', () => {
  const item = (more: Partial<RackItem>): RackItem => ({
    id: 'i',
    job: 'j',
    what: 'stain dries',
    until: 10 * 60_000,
    state: 'drying',
    ...more,
  });
  const show = (items: RackItem[], now = 0) =>
    render(
      <MemoryRouter>
        <Rack items={items} jobs={[job()]} shop={shop} now={now} />
      </MemoryRouter>,
    );
  it('counts the last hour down by seconds, and says longer waits in words', () => {
    show([item({})], 18_000);
    expect(screen.getByText('09:42')).toBeTruthy();
    cleanup();
    show([item({ until: 26 * 3_600_000 })]);
    expect(screen.getByText('26 h')).toBeTruthy();
  });
  it('an open window is told by a sign and a word, not by colour alone', () => {
    show([item({ state: 'open', what: 'pull now' })]);
    expect(screen.getByRole('link').textContent).toMatch(/■.*pull now, window open/);
  });
  it('an empty rack says what will stand there', () => {
    show([]);
    expect(screen.getByText(/Nothing dries just now/)).toBeTruthy();
  });
  it('all of them stand there, however many, and few are drawn larger', () => {
    show(Array.from({ length: 9 }, (_, i) => item({ id: `${i}` })));
    expect(screen.getAllByRole('listitem')).toHaveLength(9);
    const high = () => Number(screen.getAllByRole('img')[0]!.getAttribute('height'));
    const many = high();
    cleanup();
    show([item({ id: 'one' })]);
    expect(high()).toBeGreaterThan(2 * many);
  });
});

describe('the grip window', () => {
  const layer = (ground: 'glass' | 'chalkPaint', sameDay = false): LayerPlan => {
    const piece = { ...plateJob(textMark('x')).piece, ground, contact: 'smooth' as const };
    const { strength, ...surface } = surfaceOf(piece, []);
    const window = gripWindow({
      ...{ kind: 'permanent', finish: 'gloss', sheet: false, daysCut: 0 },
      surface: { ...surface, strength: strength * (sameDay ? 0.5 : 1) },
    });
    return { window, tapes: [{ tape: 'clear', uses: tapeUses('clearMedium', window, 'gloss') }] } as unknown as LayerPlan;
  };
  const tapes = { ...shop, tapes: [{ id: 'clear', name: 'Clear medium' }] } as unknown as Shop;
  it('tells its bounds and the uses of each tape', () => {
    render(<GripChart layer={layer('glass')} shop={tapes} />);
    expect(screen.getByRole('img', { name: 'Grip window 0.5 to 6.8 newton on 25 mm' })).toBeTruthy();
    expect(screen.getByText('uses 1 to 12')).toBeTruthy();
  });
  it('a closed one says so, and no tape works', () => {
    render(<GripChart layer={layer('chalkPaint', true)} shop={tapes} />);
    expect(screen.getByRole('img', { name: /closed$/ })).toBeTruthy();
    expect(screen.getByText('does not work')).toBeTruthy();
  });
});

describe('stations', () => {
  const plan = (states: [station: string, state: string][], readings: unknown[] = []): JobPlan =>
    ({ schedule: { steps: states.map(([station, state]) => ({ step: { station }, state })) }, readings }) as unknown as JobPlan;
  it('painting is there only where something is painted', () => {
    expect(stationsOf(job()).map((s) => s.id)).not.toContain('paint');
    expect(stationsOf(job({ marks: [{ technique: 'stencil' }] as never })).map((s) => s.id)).toContain('paint');
  });
  it('the first three are behind once all film is cut, the others once their steps are done', () => {
    const half = plan([
      ['cut', 'done'],
      ['cut', 'waiting'],
      ['weed', 'done'],
    ]);
    const behind = (of: JobPlan) => (['fit', 'cut', 'weed', 'tape'] as const).filter((id) => isPeeled(id, of));
    expect(behind(half)).toEqual(['weed']);
    expect(behind(plan([['cut', 'done']]))).toEqual(['fit', 'cut']);
    expect(behind(plan([]))).toEqual([]);
  });
  it('attention is the gravest of a station, and none where the work is behind', () => {
    const readings = [
      { station: 'fit', verdict: 'watch' },
      { station: 'fit', verdict: 'stop' },
    ];
    expect(attentionAt('fit', plan([['cut', 'waiting']], readings))).toBe('stop');
    // another mark is still to be cut, and may be wrong
    const half: [string, string][] = [
      ['cut', 'done'],
      ['cut', 'waiting'],
    ];
    expect(attentionAt('fit', plan(half, readings))).toBe('stop');
    expect(attentionAt('fit', plan([['cut', 'done']], readings))).toBeUndefined();
    expect(attentionAt('tape', plan([], readings))).toBeUndefined();
  });
});

describe('a new job', () => {
  const films = [
    { id: 'white', kind: 'permanent', colour: '#fbfbf8', length: 100 },
    { id: 'ink', kind: 'permanent', colour: '#22302f', length: 100 },
    { id: 'gone', kind: 'permanent', colour: '#ffffff', length: 0 },
    { id: 'stencil', kind: 'stencil', colour: '#ffffff', length: 100 },
  ];
  const stocked = { ...shop, films } as unknown as Shop;
  it.each(BLANKS.map((b) => [b.id, b] as const))('on a %s begins with a zone on the piece and a film that shows', (_id, blank) => {
    const made = newJob(stocked, blank, 5, 'Tern');
    expect(made).toMatchObject({ name: 'Tern', count: 1, createdAt: 5, closed: false });
    expect(made.zones[0]!.lipBand).toBe(blank.drink ? 20 : 0);
    expect(made.marks[0]!.zone).toBe(made.zones[0]!.id);
    expect(['white', 'ink']).toContain(made.marks[0]!.film);
  });
  it('takes dark film on a light piece and light film on a dark one', () => {
    const tin = pieceOf(BLANKS.find((b) => b.id === 'tin')!);
    expect(bestFilm(stocked, tin)).toBe('white');
    expect(bestFilm(stocked, { ...tin, colour: '#f5f3ee' })).toBe('ink');
  });
});

describe('what is said of a sealer over the marks', () => {
  const said = (ground: Job['piece']['ground'], technique: Job['marks'][number]['technique']) => {
    const { piece } = plateJob(textMark('x'));
    render(<SealWords job={plateJob(textMark('x', { technique }), { piece: { ...piece, ground } })} edit={() => undefined} />);
    const found = screen.queryByText(/holds here on its own/) !== null;
    cleanup();
    return found;
  };
  it('is true of the piece: film holds on its own on what is hard, not on cloth or wood, and paint and what is pressed is no such film', () => {
    expect([said('glass', 'decal'), said('bareMetal', 'decal')]).toEqual([true, true]);
    expect([said('canvas', 'decal'), said('rawWood', 'decal'), said('glass', 'stencil'), said('canvas', 'heat')]).toEqual(
      Array(4).fill(false),
    );
  });
});
