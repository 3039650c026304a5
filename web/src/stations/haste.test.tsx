import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, render, renderHook, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { standing, type Remedy, type Job, type Reading, type Shop } from '@kolleta/core/job';
import type { PlacedStep } from '@kolleta/core/schedule';
import { testStep } from '../../../core/test/steps';
import { now } from '../storage/clock';
import { db } from '../storage/db';
import { editJob } from '../storage/editJob';
import { keep, keepingNow, letGo, setPen } from '../storage/keeping';
import { readWorkshop, WorkshopContext, type WorkshopState } from '../storage/useWorkshop';
import { Toasts } from '../ui/toasts';
import { SettlingContext, useSettlingOf, type SettledPlan } from '../workers/settled';
import { MomentWord } from '../frame/MomentWord';
import { useJobEdits } from '../frame/useJobEdits';
import { StepButtons } from '../frame/StepButtons';

// jsdom has no modal dialogs
HTMLDialogElement.prototype.showModal ??= function (this: HTMLDialogElement) {
  this.open = true;
};
const MIN = 60_000;
const shop = { name: 'Mine', films: [], hours: { zone: 'Europe/Dublin', week: [] } } as unknown as Shop;
const job = {
  id: 'j',
  name: 'a',
  client: '',
  count: 1,
  zones: [],
  marks: [{ id: 'm', size: { mode: 'largest' }, edits: [] }],
} as unknown as Job;
beforeEach(async () => {
  setPen(true);
  letGo();
  await Promise.all([db.events.clear(), db.runs.clear(), db.jobs.clear(), db.history.clear()]);
  await db.shop.put({ id: 'shop', shop });
  await db.jobs.put(job);
});

const placed = (id: string, more: Partial<PlacedStep> = {}, after: PlacedStep['step']['after'] = []): PlacedStep => ({
  step: testStep(`j/${id}`, { kind: 'weed', hands: 10, after }),
  start: now(),
  end: now() + 10 * MIN,
  spans: [],
  state: 'waiting',
  ...more,
});

/** Steps on a page whose plan settles when it is let. */
function page(children: ReactNode, settled: () => Promise<SettledPlan>) {
  return render(
    <MemoryRouter>
      <Toasts>
        <WorkshopContext.Provider value={{ shop, jobs: [job], events: [], isDemo: false, saves: 0 }}>
          <SettlingContext.Provider value={{ fresh: true, settled }}>{children}</SettlingContext.Provider>
        </WorkshopContext.Provider>
      </Toasts>
    </MemoryRouter>,
  );
}
const planOf = (steps: readonly PlacedStep[], readings: readonly Reading[] = []): SettledPlan =>
  ({
    plan: { schedule: { jobs: new Map([['j', { steps }]]) }, jobs: new Map([['j', { readings }]]) },
    state: { shop, jobs: [job], events: [], isDemo: false, saves: 0 },
  }) as unknown as SettledPlan;
const log = async () => standing(await db.events.toArray());

describe('Done', () => {
  it('answers at once, waits for the plan of the last change, and counts once however often it is pressed', async () => {
    let settle: (plan: SettledPlan) => void = () => undefined;
    const step = placed('cut');
    page(<StepButtons placed={step} />, () => new Promise((resolve) => (settle = resolve)));
    const done = screen.getByRole<HTMLButtonElement>('button', { name: 'Done' });
    for (let i = 0; i < 3; i++) fireEvent.click(done);
    expect(done.disabled).toBe(true);
    expect(done.textContent).toBe('Noting it…');
    expect(await log()).toEqual([]);
    // what it takes has changed meanwhile: the newer plan counts
    const newer = {
      ...step,
      step: { ...step.step, takes: { film: 'white', length: 77, area: 300 * 77, from: { kind: 'roll' as const } } },
    };
    await act(async () => settle(planOf([newer])));
    await waitFor(async () => expect(await log()).toHaveLength(2));
    expect((await log()).find((e) => e.kind === 'cut')).toMatchObject({ length: 77 });
    expect(done.disabled).toBe(false);
  });
  it('the second click of a double click, which may fall on the next step, is none', async () => {
    const step = placed('weed');
    page(<StepButtons placed={step} />, () => Promise.resolve(planOf([step])));
    fireEvent.click(screen.getByRole('button', { name: 'Done' }), { detail: 2 });
    fireEvent.click(screen.getByRole('button', { name: 'Start' }), { detail: 2 });
    await act(async () => void (await new Promise((resolve) => setTimeout(resolve, 20))));
    expect(await log()).toEqual([]);
  });
  it('before a wait is over asks; waiting changes nothing, and “anyway” logs it', async () => {
    const stain = placed('stain', { state: 'done', end: now() - 60 * MIN });
    const seal = placed('seal', {}, [{ step: 'j/stain', least: 600, why: 'beforeFilm', coat: 'waterStain' }]);
    page(<StepButtons placed={seal} />, () => Promise.resolve(planOf([stain, seal])));
    for (const button of ['Done', 'Start']) {
      await userEvent.click(screen.getByRole('button', { name: button }));
      const ask = await screen.findByRole('dialog');
      expect(ask.textContent).toMatch(/Water stain dries before film: 9 h to go/);
      await userEvent.click(within(ask).getByRole('button', { name: 'Wait' }));
      expect(await log()).toEqual([]);
    }
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'It is done anyway' }));
    await waitFor(async () => expect(await log()).toHaveLength(1));
  });
  it('of a step that is in the log already, or that the last change has taken away, logs nothing and says so', async () => {
    const step = placed('weed');
    page(<StepButtons placed={step} />, () => Promise.resolve(planOf([])));
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(await screen.findByText(/taken this step away/)).toBeTruthy();
    cleanup();
    page(<StepButtons placed={step} />, () => Promise.resolve(planOf([{ ...step, state: 'done' }])));
    await userEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(await screen.findByText('It is in the log already.')).toBeTruthy();
    expect(await log()).toEqual([]);
  });
});

describe('a fix', () => {
  const remedy = (label: string, width: number, saw: unknown): Remedy => ({
    label,
    patch: [{ op: 'set', path: ['marks', 'm', 'size'], value: { mode: 'width', width } }],
    saw: [{ path: ['marks', 'm', 'size'], value: saw }],
  });
  const reading = (remedies: Remedy[]): Reading => ({
    id: 'thin:m',
    station: 'fit',
    verdict: 'watch',
    title: 'Thin',
    value: '',
    limit: '',
    why: '',
    remedies,
  });
  const fixing = (settled: () => Promise<SettledPlan>) =>
    renderHook(() => useJobEdits('j'), {
      wrapper: ({ children }) => (
        <Toasts>
          <SettlingContext.Provider value={{ fresh: true, settled }}>{children}</SettlingContext.Provider>
        </Toasts>
      ),
    }).result.current;
  const size = async () => (await db.jobs.get('j'))!.marks[0]!.size;

  it('that was worked out for an older job is worked out anew before it is applied', async () => {
    const old = remedy('Enlarge to 90 mm wide', 90, { mode: 'largest' });
    await editJob('j', () => [{ op: 'set', path: ['marks', 'm', 'size'], value: { mode: 'width', width: 50 } }], 'Type a width');
    const plans = [reading([old]), reading([remedy('Enlarge to 62 mm wide', 62, { mode: 'width', width: 50 })])];
    const { fix } = fixing(() => Promise.resolve(planOf([], [plans.length > 1 ? plans.shift()! : plans[0]!])));
    fix(reading([old]), old);
    await waitFor(async () => expect(await size()).toEqual({ mode: 'width', width: 62 }));
  });
  it('that no longer applies changes nothing', async () => {
    const old = remedy('Enlarge to 90 mm wide', 90, { mode: 'largest' });
    const { fix } = fixing(() => Promise.resolve(planOf([], [])));
    fix(reading([old]), old);
    expect(await screen.findByText(/Nothing was fixed/)).toBeTruthy();
    expect(await size()).toEqual({ mode: 'largest' });
  });
  it('never overwrites a newer word, even where every plan is late', async () => {
    const old = remedy('Enlarge to 90 mm wide', 90, { mode: 'largest' });
    await editJob('j', () => [{ op: 'set', path: ['marks', 'm', 'size'], value: { mode: 'width', width: 50 } }], 'Type a width');
    const { fix } = fixing(() => Promise.resolve(planOf([], [reading([old])])));
    fix(reading([old]), old);
    expect(await screen.findByText(/Nothing was fixed/)).toBeTruthy();
    expect(await size()).toEqual({ mode: 'width', width: 50 });
  });
});

describe('what waits for the last change', () => {
  const plan = { complete: true } as never;
  it('waits for writes under way, for the screen to see them, and for their plan', async () => {
    const first = (await readWorkshop())!;
    let seen: { state: WorkshopState; fresh: boolean } = { state: first, fresh: true };
    const hook = renderHook(({ state, fresh }) => useSettlingOf(state, plan, fresh, null), { initialProps: seen });
    const show = (next: Partial<typeof seen>) => act(async () => hook.rerender((seen = { ...seen, ...next })));
    expect((await hook.result.current()).state).toBe(first);
    // an edit is on its way: nobody is answered by the old plan
    let write: () => void = () => undefined;
    const writing = keep('slow', () => new Promise<void>((done) => (write = done)));
    let got: SettledPlan | undefined;
    const waiting = hook.result.current().then((settled) => (got = settled));
    await act(async () => {
      // its turn comes
      await new Promise((done) => setTimeout(done, 0));
      write();
      await writing;
      await editJob('j', [{ op: 'set', path: ['name'], value: 'b' }], 'Name');
    });
    await show({ fresh: true });
    expect(got).toBeUndefined();
    const second = (await readWorkshop())!;
    await show({ state: second, fresh: false });
    expect(got).toBeUndefined();
    await show({ fresh: true });
    await waiting;
    expect(got!.state).toBe(second);
  });
  it('is refused while something is held in this tab only', async () => {
    await keep('Held', () => Promise.reject(Object.assign(new Error('no room'), { name: 'QuotaExceededError' }))).catch(() => undefined);
    expect(keepingNow().trouble).toBeDefined();
    const state = (await readWorkshop())!;
    const hook = renderHook(() => useSettlingOf(state, plan, true, null));
    await expect(hook.result.current()).rejects.toThrow(/not saved yet/);
  });
});

describe('a date', () => {
  const at = Date.parse('2026-12-04T17:00:00Z');
  const show = (value: number | undefined) => {
    const change = jest.fn(() => undefined);
    render(<MomentWord label="Wanted" value={value} zone="Europe/Dublin" onChange={change} />);
    return { change, field: screen.getByLabelText<HTMLInputElement>('Wanted') };
  };
  it('is set when it is left, as it is spoken; half a date changes nothing and is told', () => {
    const { change, field } = show(at);
    expect(field.value).toBe('Fri 4 Dec 17:00');
    fireEvent.change(field, { target: { value: 'Sat 5 D' } });
    expect(change).not.toHaveBeenCalled();
    fireEvent.change(field, { target: { value: 'somewhen' } });
    fireEvent.blur(field);
    expect(change).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toMatch(/not a day/);
    fireEvent.change(field, { target: { value: 'sat 5 dec 2026, noon' } });
    fireEvent.blur(field);
    expect(change.mock.calls).toEqual([[Date.parse('2026-12-05T12:00:00Z')]]);
  });
  it('is picked from a calendar with its time, and taken off there', async () => {
    const { change } = show(at);
    fireEvent.click(screen.getByRole('button', { name: 'Pick the day from a calendar' }));
    fireEvent.click(await screen.findByRole('button', { name: /December 10th/ }));
    fireEvent.click(screen.getByRole('button', { name: 'No date' }));
    expect(change.mock.calls).toEqual([[Date.parse('2026-12-10T17:00:00Z')], [undefined]]);
  });
  it('is put back on Escape, and taken off by emptying it', () => {
    const { change, field } = show(at);
    fireEvent.change(field, { target: { value: '6 dec 2026' } });
    fireEvent.keyDown(field, { key: 'Escape' });
    expect(field.value).toBe('Fri 4 Dec 17:00');
    fireEvent.change(field, { target: { value: '' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(change.mock.calls).toEqual([[undefined]]);
    cleanup();
    expect(show(undefined).field.value).toBe('no date');
  });
});
