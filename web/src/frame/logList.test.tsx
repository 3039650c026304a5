import { expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { logOf } from '@kolleta/core/logbook';
import type { Shop, WorkEvent } from '@kolleta/core/job';
import { WorkshopContext } from '../storage/useWorkshop';
import { LogList } from './LogList';

const shop = { lengths: 'mm', hours: { zone: 'UTC', week: [] } } as unknown as Shop;
const count = (stock: 'film' | 'paint' | 'supply', was: number, is: number): WorkEvent => ({
  ...{ id: stock, at: 1, kind: 'counted', stock, item: 'i', name: 'Silver', was, is, reason: 'spoiled' },
});

it.each([
  ['film', -40, 838.4, 'Thought to be 0 mm, is 838 mm.'],
  ['paint', 60, 12.5, 'Thought to be 60 ml, is 12.5 ml.'],
  ['supply', 10, 3, 'Thought to be 10, is 3.'],
] as const)('a count of %s is told in its own unit, with its reason, and has no minutes', (stock, was, is, says) => {
  const events = [count(stock, was, is)];
  render(
    <WorkshopContext.Provider value={{ shop, jobs: [], events, isDemo: false, saves: 0 }}>
      <LogList records={logOf(events)} shop={shop} />
    </WorkshopContext.Provider>,
  );
  expect(screen.getByText(says)).toBeTruthy();
  expect(screen.getByRole('heading').textContent).toBe('Silver, spoiled');
  expect(screen.getByText('planned').closest('[hidden]')).not.toBeNull();
});
