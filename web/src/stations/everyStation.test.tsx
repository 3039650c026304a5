import { afterEach, beforeAll, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { applyPatch, type Job, type StationId } from '@kolleta/core/job';
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
import { JobRibbon } from './job/JobRibbon';
import type { StationProps } from './job/station';
import { LogStation } from './log/LogStation';
import { MeasureStation } from './measure/MeasureStation';
import { StepsStation } from './steps/StepsStation';
import { TapeStation } from './tape/TapeStation';
import { WeedStation } from './weed/WeedStation';

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
afterEach(cleanup);

/** Shows a station of a demo job; edits are gathered and applied to the job. */
function show(station: StationId, id: string, markAt = 0) {
  const View = VIEWS.find(([name]) => name === station)![1];
  const job = demo.jobs.find((j) => j.id === id)!;
  const edits: { label: string; after: Job }[] = [];
  const edit = jest.fn((change: JobChange, label: string) => {
    const patch = typeof change === 'function' ? change(job) : change;
    edits.push({ label, after: applyPatch(job, patch).document });
  });
  render(
    <MemoryRouter>
      <WorkshopContext.Provider value={{ shop: demo.shop, jobs: demo.jobs, events: demo.events, isDemo: true }}>
        <PlanContext.Provider value={plan}>
          <View
            job={job}
            plan={plan.jobs.get(id)!}
            shop={demo.shop}
            edit={edit}
            mark={job.marks[markAt]}
            chooseMark={() => undefined}
            station={station}
          />
        </PlanContext.Provider>
      </WorkshopContext.Provider>
    </MemoryRouter>,
  );
  return { job, edits };
}
const jobs = ['regatta-prizes', 'honour-board', 'crew-flasks', 'boat-numbers'];

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
  it('a cure changes the job as it says', async () => {
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
    await userEvent.selectOptions(screen.getByLabelText('Face of line 3'), 'Pacifico');
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
      new RegExp(`^Time of ${job.name}: .* of hands left, packed \\w+ \\d+ Dec \\d\\d:\\d\\d`),
    );
  });
});
