import { expect, it, jest } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import type { Reading, Verdict } from '@kolleta/core/job';
import type { JobPlan } from '@kolleta/core/plan';
import { SettlingContext } from '../workers/settled';
import { Readings } from './station';

const reading = (id: string, verdict: Verdict): Reading =>
  ({
    id: `${id}:m`,
    station: 'fit',
    verdict,
    title: id,
    mark: 'm',
    value: '',
    limit: '',
    why: `${id}.`,
    remedies: [],
  }) as unknown as Reading;
const show = (...readings: Reading[]) => (
  <SettlingContext.Provider value={{ fresh: true, settled: () => Promise.reject(new Error('not here')) }}>
    <Readings
      plan={{ job: 'j', readings } as unknown as JobPlan}
      edit={jest.fn() as never}
      fix={jest.fn()}
      mark={{ id: 'm' } as never}
      stations={['fit']}
    />
  </SettlingContext.Provider>
);
const titles = () => screen.getAllByRole('heading').map((heading) => heading.textContent);

it('readings keep their places when one is fixed; a new stop comes to the top, a new watch after what was there', () => {
  const { rerender } = render(show(reading('size', 'fine'), reading('thin', 'watch'), reading('stick', 'stop')));
  expect(titles()).toEqual(['stick', 'thin', 'size']);
  rerender(show(reading('size', 'fine'), reading('thin', 'watch'), reading('stick', 'fine')));
  expect(titles()).toEqual(['stick', 'thin', 'size']);
  rerender(
    show(reading('size', 'fine'), reading('thin', 'fine'), reading('stick', 'fine'), reading('small', 'watch'), reading('food', 'stop')),
  );
  expect(titles()).toEqual(['food', 'stick', 'thin', 'small', 'size']);
  rerender(show(reading('size', 'fine'), reading('small', 'watch')));
  expect(titles()).toEqual(['small', 'size']);
});
