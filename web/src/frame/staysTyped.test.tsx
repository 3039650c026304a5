import { beforeEach, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { LogRecord } from '@kolleta/core/logbook';
import type { Job, Reading, Shop } from '@kolleta/core/job';
import type { Lag } from '@kolleta/core/finish';
import type { PlacedStep } from '@kolleta/core/schedule';
import { db } from '../storage/db';
import { letGo, NotTheWriter, setPen, wasTaken } from '../storage/keeping';
import { WorkshopContext } from '../storage/useWorkshop';
import { StockAmount } from '../pages/stock/StockAmount';
import { StillTacky } from '../pages/bench/StillTacky';
import { ReadingCard } from '../ui/ReadingCard';
import { Toasts } from '../ui/toasts';
import { testStep } from '../../../core/test/steps';
import { PutRight } from './PutRight';

const shop = { name: 'Mine', films: [{ id: 'f', length: 900 }], hours: { zone: 'UTC', week: [] } } as unknown as Shop;
const job = { id: 'j', name: 'a' } as unknown as Job;
beforeEach(async () => {
  cleanup();
  letGo();
  setPen(true);
  localStorage.clear();
  await Promise.all(db.tables.map((table) => table.clear()));
  await db.shop.put({ id: 'shop', shop });
  await db.jobs.put(job);
});
const page = (children: React.ReactNode) =>
  render(
    <Toasts>
      <WorkshopContext.Provider value={{ shop, jobs: [job], events: [], isDemo: false, saves: 0 }}>{children}</WorkshopContext.Provider>
    </Toasts>,
  );
const soon = () => new Promise((done) => setTimeout(done, 30));

it('a note for the log stays in its form while another tab writes, and is taken once this one does', async () => {
  const closed = jest.fn();
  page(<PutRight record={{ event: 'e', title: 'Weed', timed: true, actual: 5 } as unknown as LogRecord} onClose={closed} />);
  fireEvent.change(screen.getByLabelText('Note for the next time'), { target: { value: 'slower' } });
  setPen(false);
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await soon();
  expect(closed).not.toHaveBeenCalled();
  expect(screen.getByLabelText<HTMLTextAreaElement>('Note for the next time').value).toBe('slower');
  setPen(true);
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(closed).toHaveBeenCalledTimes(1));
  expect(await db.events.toArray()).toMatchObject([{ kind: 'amended', note: 'slower' }]);
});

it('a reason to go ahead stays until it is taken', async () => {
  let taken = false;
  const onOverride = () => wasTaken(taken ? Promise.resolve(1) : Promise.reject(new NotTheWriter()));
  const reading = {
    id: 'r:m',
    station: 'fit',
    verdict: 'stop',
    title: 'Thin',
    value: '1 mm',
    limit: '2 mm',
    why: 'It tears.',
    remedies: [],
  };
  page(<ReadingCard reading={reading as unknown as Reading} onRemedy={jest.fn()} onOverride={onOverride} />);
  fireEvent.click(screen.getByRole('button', { name: /Go ahead/ }));
  fireEvent.change(screen.getByLabelText(/Reason to go ahead/), { target: { value: 'a sample' } });
  fireEvent.submit(screen.getByLabelText(/Reason to go ahead/));
  await soon();
  expect(screen.getByLabelText<HTMLInputElement>(/Reason to go ahead/).value).toBe('a sample');
  taken = true;
  fireEvent.submit(screen.getByLabelText(/Reason to go ahead/));
  await waitFor(() => expect(screen.queryByLabelText(/Reason to go ahead/)).toBeNull());
});

it('a count without its reason is still asked about after a reload or another page, and while another tab writes', async () => {
  const amount = <StockAmount stock="film" item="f" name="Silver" amount={900} system="mm" />;
  const { unmount } = page(amount);
  fireEvent.change(screen.getByLabelText('Silver left'), { target: { value: '700' } });
  fireEvent.blur(screen.getByLabelText('Silver left'));
  expect(screen.getByRole('group', { name: /Why 700 mm/ })).toBeTruthy();
  unmount();
  page(amount);
  expect(screen.getByRole('group', { name: /Why 700 mm/ })).toBeTruthy();
  setPen(false);
  fireEvent.click(screen.getByRole('button', { name: 'spoiled' }));
  await soon();
  expect(screen.getByRole('group', { name: /Why 700 mm/ })).toBeTruthy();
  setPen(true);
  fireEvent.click(screen.getByRole('button', { name: 'spoiled' }));
  await waitFor(() => expect(screen.queryByRole('group', { name: /Why/ })).toBeNull());
  expect(await db.events.toArray()).toMatchObject([{ kind: 'counted', is: 700, reason: 'spoiled' }]);
});

it('“Still tacky”, pressed twice, puts a step off and teaches once', async () => {
  const MIN = 60_000;
  const now = Date.parse('2026-12-01T12:00:00Z');
  const before = testStep('j/first', { kind: 'coat' });
  const lag: Lag = { step: before.id, least: 60, dries: 'water', why: 'dry' };
  const step = testStep('j/second', { kind: 'coat', after: [lag] });
  const at = (start: number, state: PlacedStep['state'], of = step): PlacedStep => ({ step: of, start, end: start, spans: [], state });
  const steps = [at(now - 60 * MIN, 'done', before), at(now, 'waiting')];
  page(<StillTacky placed={steps[1]!} steps={steps} job={job} shop={shop} now={now + MIN} />);
  const button = screen.getByRole('button', { name: 'Still tacky' });
  fireEvent.click(button);
  await soon();
  fireEvent.click(button);
  await soon();
  await screen.findByText(/left to dry until/);
  expect((await db.events.toArray()).map(({ kind }) => kind)).toEqual(['dried']);
});
