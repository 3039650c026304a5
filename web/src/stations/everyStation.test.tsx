import { beforeAll, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter } from 'react-router';
import { applyPatch, type Job, type StationId } from '@kolleta/core/job';
import { readJobFile, writeJobFile } from '@kolleta/core/jobFile';
import { planWorkshop, type Plan } from '@kolleta/core/plan';
import type { Workshop } from '@kolleta/core/jobFile';
import { shippedFaces } from '../../../core/test/faces';
import { DEMO_START, demoWorkshop } from '../../../core/test/sampleJobs';
import { WorkshopContext } from '../storage/useWorkshop';
import type { JobChange } from '../storage/editJob';
import { PlanContext } from '../workers/usePlan';
import { CutStation } from './cut/CutStation';
import { DrawStation } from './draw/DrawStation';
import { FitStation } from './fit/FitStation';
import { JobRibbon } from '../pages/job/JobRibbon';
import type { StationProps } from '../frame/station';
import { LogStation } from './log/LogStation';
import { MeasureStation } from './measure/MeasureStation';
import { PhotoStation } from './measure/PhotoStation';
import { sheetOn } from './measure/usePhoto';
import { StepsStation } from './steps/StepsStation';
import { TapeStation } from './tape/TapeStation';
import { WeedStation } from './weed/WeedStation';
import { liveStation } from '../../test/liveStation';

type View = (props: StationProps & { station: StationId }) => React.ReactNode;
const VIEWS: [StationId, View][] = [
  ['measure', MeasureStation],
  ['draw', DrawStation],
  ['fit', FitStation],
  ['cut', CutStation],
  ['weed', WeedStation],
  ['tape', TapeStation],
  ['prepare', StepsStation],
  ['place', StepsStation],
  ['paint', StepsStation],
  ['cure', StepsStation],
  ['log', LogStation],
];

let demo: Workshop;
let plan: Plan;
beforeAll(() => {
  demo = demoWorkshop();
  plan = planWorkshop(demo.jobs, demo.shop, demo.events, DEMO_START, shippedFaces());
});

/** Shows a station of a demo job; edits are gathered and applied to the job. */
function show(station: StationId, id: string, markAt = 0, planned = plan) {
  const View = VIEWS.find(([name]) => name === station)![1];
  const job = demo.jobs.find((j) => j.id === id)!;
  const edits: { label: string; after: Job }[] = [];
  const edit = jest.fn((change: JobChange, label: string) => {
    const patch = typeof change === 'function' ? change(job) : change;
    edits.push({ label, after: applyPatch(job, patch).document });
  });
  render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <WorkshopContext.Provider value={{ shop: demo.shop, jobs: demo.jobs, events: demo.events, isDemo: true, saves: 0 }}>
          <PlanContext.Provider value={planned}>
            <View
              job={job}
              plan={planned.jobs.get(id)!}
              shop={demo.shop}
              edit={edit}
              fix={(_, remedy) => edit(() => remedy.patch, remedy.label)}
              mark={job.marks[markAt]}
              chooseMark={() => undefined}
              station={station}
            />
          </PlanContext.Provider>
        </WorkshopContext.Provider>
      </QueryClientProvider>
    </MemoryRouter>,
  );
  return { job, edits };
}
describe('a job of which the plan is still on its way', () => {
  it.each(VIEWS.filter(([name]) => name !== 'log'))('is not said at %s to have nothing, until that is known', (station, View) => {
    const said = (fresh: boolean) => {
      liveStation(View, station, 'crew-flasks', (job) => ({ ...job, marks: [] }), fresh);
      const words = document.body.textContent;
      cleanup();
      return words;
    };
    expect(said(false)).not.toMatch(/ yet\b|finds no room/);
    // where there is something to say that it has nothing, it is said that it is being worked out
    if (/nothing\b[^.]* yet\b/i.test(said(true))) expect(said(false)).toContain('Working it out…');
  });
});

describe('a job that finds no room in the hours', () => {
  it.each(VIEWS.map(([name]) => name))('is shown at %s without a date that never was', (station) => {
    const week = demo.shop.hours.week.map((_, day): [number, number][] => (day === 2 ? [[540, 545]] : []));
    const shop = { ...demo.shop, hours: { ...demo.shop.hours, week } };
    const [job] = demo.jobs.filter((j) => j.id === 'honour-board');
    const tight = planWorkshop([job!], shop, demo.events, DEMO_START, shippedFaces());
    expect(tight.jobs.get('honour-board')!.schedule.unplaced).toBeDefined();
    expect(tight.jobs.get('honour-board')!.handsLeft).toBeGreaterThan(30);
    show(station, 'honour-board', 0, tight);
    const page = screen.getByRole('region', { name: /, drawing$/ }).parentElement!;
    expect(page.innerHTML).not.toMatch(/NaN|Infinity|1970|no date/);
    if (station === 'cure') expect(page.textContent).toMatch(/finds no room in your hours/);
  });
});

const jobs = ['regatta-prizes', 'honour-board', 'crew-flasks', 'boat-numbers', 'tankards', 'bailer-buckets', 'door-hours', 'trophy-bowl'];

describe.each(VIEWS.map(([name]) => name))('%s', (station) => {
  it.each(jobs)('has a drawing and words for %s, and names for all that can be changed', (id) => {
    show(station, id);
    expect(screen.getByRole('region', { name: /, drawing$/ }).textContent!.length).toBeGreaterThan(10);
    for (const field of [...screen.queryAllByRole('textbox'), ...screen.queryAllByRole('combobox')]) {
      expect(field.getAttribute('aria-label') ?? (field as HTMLInputElement).labels?.[0]?.textContent).toBeTruthy();
    }
    for (const button of screen.queryAllByRole('button')) expect(button.textContent || button.getAttribute('aria-label')).toBeTruthy();
    expect(document.body.textContent).not.toMatch(/undefined|NaN|\[object/);
  });
});

describe('what hands change', () => {
  it('arrow keys nudge half a millimetre, shift five, Home centres', () => {
    const { edits } = show('fit', 'boat-numbers');
    const mark = screen.getByRole('button', { name: /^number,/ });
    fireEvent.keyDown(mark, { key: 'ArrowRight' });
    fireEvent.keyDown(mark, { key: 'ArrowUp', shiftKey: true });
    fireEvent.keyDown(mark, { key: 'Home' });
    expect(edits.map((e) => e.after.marks[0]!.offset)).toEqual([
      { x: -13.5, y: 0 },
      { x: -14, y: 5 },
      { x: 0, y: 0 },
    ]);
  });
  it('a mark that moves keeps the size that it had', () => {
    const { edits } = show('fit', 'regatta-prizes');
    fireEvent.keyDown(screen.getByRole('button', { name: /^prize mark,/ }), { key: 'ArrowDown' });
    expect(edits[0]!.after.marks[0]).toMatchObject({ offset: { x: 0, y: -0.5 } });
    const { width } = plan.jobs.get('regatta-prizes')!.marks[0]!.fitted;
    const { size } = edits[0]!.after.marks[0]!;
    expect(size.mode === 'width' && size.width).toBeCloseTo(width, 2);
  });
  it('a remedy changes the job as it says', async () => {
    const { edits } = show('fit', 'regatta-prizes');
    const thin = screen.getByRole('region', { name: 'Thin parts: watch' });
    await userEvent.click(within(thin).getByRole('button', { name: /^Thicken by/ }));
    expect(edits[0]!.after.marks[0]!.edits).toEqual([expect.objectContaining({ kind: 'thicken' })]);
  });
  it('a new measure takes the zones with it', async () => {
    const { edits } = show('measure', 'honour-board');
    const width = screen.getByLabelText('Width');
    await userEvent.clear(width);
    await userEvent.type(width, '300{Enter}');
    expect(edits[0]!.after.piece.shape).toEqual({ kind: 'flat', width: 300, height: 400 });
    expect(edits[0]!.after.zones[0]!.width).toBe(280);
  });
  it('people who drink bring the lip band', async () => {
    const { edits } = show('measure', 'crew-flasks');
    await userEvent.selectOptions(screen.getByLabelText('Drinking'), 'drink at its rim');
    expect(edits[0]!.after).toMatchObject({ piece: { use: { drink: true } }, zones: [{ lipBand: 20 }] });
  });
  it('words and faces are changed line by line', async () => {
    const { edits } = show('draw', 'regatta-prizes');
    fireEvent.change(screen.getByLabelText('Line 2'), { target: { value: 'SPRINT' } });
    await userEvent.selectOptions(screen.getByLabelText('Font of line 3'), 'Pacifico');
    await userEvent.click(screen.getByRole('button', { name: 'Another line' }));
    const lines = (i: number) => (edits[i]!.after.marks[0]!.artwork as { lines: { text: string; face: string }[] }).lines;
    expect(lines(0)[1]!.text).toBe('SPRINT');
    expect(lines(1)[2]!.face).toBe('pacifico');
    expect(lines(2)).toHaveLength(4);
  });
  it('a stencil gets a film and a paint of its own', async () => {
    const { edits } = show('draw', 'crew-flasks');
    await userEvent.selectOptions(screen.getByLabelText('Technique'), 'painted stencil');
    expect(edits[0]!.after.marks[0]).toMatchObject({ technique: 'stencil', film: 'stencil', paint: 'cream' });
  });
  it('each colour of a drawing has its film, or the ground', async () => {
    const { edits } = show('draw', 'boat-numbers', 1);
    await userEvent.selectOptions(screen.getByLabelText('Film for #0e5a61'), 'left to the ground');
    expect(edits[0]!.after.marks[1]!.colourFilms).toEqual({ '#0e5a61': null });
  });
  it('what is wanted of a mark is an entry that can be changed, moved and taken away', async () => {
    const { edits } = show('draw', 'tankards');
    await userEvent.selectOptions(screen.getByLabelText('Add a change'), 'only the silhouette');
    expect(edits[0]!.after.marks[0]!.edits.map((e) => e.kind)).toEqual(['backing', 'dropSmall', 'silhouette']);
    await userEvent.click(screen.getAllByRole('button', { name: 'Do it later' })[0]!);
    expect(edits[1]!.after.marks[0]!.edits.map((e) => e.kind)).toEqual(['dropSmall', 'backing']);
    await userEvent.click(screen.getAllByRole('button', { name: 'Take it away' })[0]!);
    expect(edits[2]!.after.marks[0]!.edits.map((e) => e.kind)).toEqual(['dropSmall']);
    await userEvent.clear(screen.getByLabelText('Backing larger by'));
    await userEvent.type(screen.getByLabelText('Backing larger by'), '3{Enter}');
    expect(edits[3]!.after.marks[0]!.edits[0]).toMatchObject({ kind: 'backing', by: 3 });
  });
  it.each([
    ['make one outline', 'oneOutline'],
    ['let the ground show through', 'showGround'],
    ['back it with another film', 'backing'],
    ['part it for a line', 'part'],
    ['put a frame around it', 'frame'],
    ['stretch it a little', 'stretch'],
    ['repeat it evenly', 'repeat'],
    ['scatter it', 'scatter'],
    ['thicken it', 'thicken'],
    ['drop small parts', 'dropSmall'],
  ])('“%s” begins with something that the schema takes', async (label, kind) => {
    const { edits } = show('draw', 'door-hours');
    await userEvent.selectOptions(screen.getByLabelText('Add a change'), label);
    expect(edits[0]!.after.marks[0]!.edits.map((e) => e.kind)).toEqual([kind]);
    expect(readJobFile(writeJobFile(edits[0]!.after), 'job').ok).toBe(true);
  });
  it('a list that is pasted is filled in, one row a piece, and can be taken away', async () => {
    const { edits } = show('draw', 'door-hours');
    await userEvent.click(screen.getByRole('button', { name: 'Type or paste a list' }));
    await userEvent.click(screen.getByLabelText('One name a line'));
    await userEvent.paste('Ada\nFinn\nOrla');
    await userEvent.click(screen.getByRole('button', { name: 'Take this list' }));
    const { after } = edits[0]!;
    expect([after.count, after.list?.rows.map((r) => r.cells[0])]).toEqual([3, ['Ada', 'Finn', 'Orla']]);
    expect(after.marks[0]!.artwork).toMatchObject({ lines: [{ text: '{name}' }, {}, {}, {}] });
  });
  it('a mark is held against a side, turned, and set round the wall', async () => {
    const { edits } = show('fit', 'bailer-buckets');
    await userEvent.selectOptions(screen.getByLabelText('Place'), 'in the upper left corner');
    await userEvent.selectOptions(screen.getByLabelText('Turn of the mark'), 'turned as it becomes largest');
    await userEvent.selectOptions(screen.getByLabelText('Copies'), 'as a mirrored pair');
    expect(edits.map((e) => e.after.marks[0]!)).toMatchObject([
      { hold: { x: 'left', y: 'top' } },
      { turn: 'best' },
      { spread: { kind: 'row', count: 2, mirrored: true } },
    ]);
  });
  it('what is on the piece is added, measured, moved by the arrow keys and taken away', async () => {
    const { edits } = show('measure', 'tankards');
    await userEvent.selectOptions(screen.getByLabelText('Add what is on the piece'), 'screw');
    expect(edits[0]!.after.piece.features?.map((f) => f.kind)).toEqual(['handle', 'screw']);
    fireEvent.keyDown(screen.getByRole('button', { name: /^handle\. Drag it/ }), { key: 'ArrowLeft', shiftKey: true });
    expect(edits[1]!.after.piece.features![0]!.x).toBeCloseTo(69.6, 6);
    await userEvent.click(screen.getByRole('button', { name: 'Take the handle away' }));
    expect(edits[2]!.after.piece.features).toEqual([]);
  });
  it('several of a set are measured: the smallest counts, the spread is kept', async () => {
    const { edits } = show('measure', 'crew-flasks');
    await userEvent.click(screen.getByRole('button', { name: 'Several of a set' }));
    await userEvent.type(screen.getByLabelText('Measures of the diameter'), '73, 72.4, 73.2{Enter}');
    expect(edits[0]!.after.piece).toMatchObject({ shape: { diameter: 72.4 }, spread: 0.8 });
    await userEvent.type(screen.getByLabelText('Measures of the diameter'), '73, 20{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/do not belong to one set/);
  });
  it('a clear piece is looked at before drinks and walls, each with how its weakest film stands out', async () => {
    show('fit', 'regatta-prizes');
    const before = screen.getByRole('group', { name: 'Seen before' });
    expect(within(before).getByRole('button', { name: /a white wall/ }).textContent).toMatch(/■ 1\.\d/);
    expect(within(before).getByRole('button', { name: /a stout/ }).textContent).toMatch(/✓ 1\d\.\d/);
    await userEvent.click(within(before).getByRole('button', { name: /a stout/ }));
    expect(
      within(before)
        .getByRole('button', { name: /a stout/ })
        .getAttribute('aria-pressed'),
    ).toBe('true');
    cleanup();
    show('fit', 'tankards');
    expect(screen.queryByRole('group', { name: 'Seen before' })).toBeNull();
  });
  it('single letters are spaced by their own gap', async () => {
    const { edits } = show('draw', 'door-hours');
    await userEvent.click(screen.getAllByRole('button', { name: 'Space single letters' })[0]!);
    await userEvent.click(screen.getByRole('button', { name: 'Between A and T' }));
    await userEvent.click(screen.getByRole('button', { name: 'Wider' }));
    expect(edits[0]!.after.marks[0]!.artwork).toMatchObject({ lines: [{ pairs: { 2: 0.02 } }, {}, {}, {}] });
    await userEvent.selectOptions(screen.getByLabelText('Letters of line 1'), 'closed up where they do not touch');
    expect(edits[1]!.after.marks[0]!.artwork).toMatchObject({ lines: [{ joined: true }, {}, {}, {}] });
  });
  it('a photo brings its sheet, and its known thing can be another', async () => {
    const job = demo.jobs.find((j) => j.id === 'boat-numbers')!;
    const photo: NonNullable<Job['photo']> = {
      name: 'p.jpg',
      data: 'data:image/jpeg;base64,',
      width: 800,
      height: 600,
      known: sheetOn({ width: 800, height: 600 }, { width: 297, height: 210 }),
    };
    const edit = jest.fn((change: JobChange) => (typeof change === 'function' ? change({ ...job, photo }) : change));
    const on = (known: typeof photo.known) =>
      render(
        <QueryClientProvider client={new QueryClient()}>
          <PhotoStation job={job} shop={demo.shop} edit={edit} photo={{ ...photo, known }} />
        </QueryClientProvider>,
      );
    on(photo.known);
    await userEvent.selectOptions(screen.getByLabelText('What is known'), 'a bank card');
    await userEvent.selectOptions(screen.getByLabelText('What is known'), 'only a length of');
    fireEvent.keyDown(screen.getByRole('button', { name: /^Upper left corner/ }), { key: 'ArrowRight', shiftKey: true });
    const known = edit.mock.results.map(({ value }) => (value as { value: unknown }[])[0]!.value);
    expect(known).toMatchObject([
      { kind: 'sheet', width: 85.6 },
      { kind: 'length', length: 100 },
      { kind: 'sheet', corners: [[250, 180], {}, {}, {}] },
    ]);
    cleanup();
    on({
      ...photo.known,
      corners: [
        [0, 0],
        [9, 9],
        [9, 0],
        [0, 9],
      ],
    } as typeof photo.known);
    expect(screen.getByRole('alert').textContent).toMatch(/corners cross/);
  });
  it('coats, paint and the moment of pulling are the maker’s', async () => {
    const { edits } = show('paint', 'honour-board');
    await userEvent.selectOptions(screen.getByLabelText('Pull title'), 'dry');
    expect(edits[0]!.after.marks[0]!.pullAt).toBe('dry');
  });
});

describe('the job’s time', () => {
  it.each(jobs)('of %s is one picture that tells what is left and when it is packed', (id) => {
    const job = demo.jobs.find((j) => j.id === id)!;
    render(<JobRibbon job={job} plan={plan.jobs.get(id)!} whole={plan} shop={demo.shop} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      new RegExp(`^Time of ${job.name}: .* of work left, packed \\w+ \\d+ Dec \\d\\d:\\d\\d`),
    );
  });
});
