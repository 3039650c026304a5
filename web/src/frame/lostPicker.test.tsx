import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from '@jest/globals';
import type { JobPlan } from '@kolleta/core/plan';
import type { Region } from '@kolleta/core/geometry';
import { firstLost, lostEvent, LostPicker, type Lost } from './LostPicker';

const square = (x: number): Region[number] => ({
  outer: [
    [x, 0],
    [x + 8, 0],
    [x + 8, 8],
    [x, 8],
  ],
  holes: [],
});
const film = (id: string) => ({ id, name: id, colour: '#ffffff' });
const parts = [
  { film: film('white'), part: { job: 'j', mark: 'm', name: 'Names', copies: 6, region: [square(-20), square(0), square(20)] } },
  { film: film('red'), part: { job: 'j', mark: 'n~r1', name: 'Dot', copies: 1, region: [square(0)] } },
] as unknown as JobPlan['parts'];

function Picking({ told }: { told: (lost: Lost) => void }) {
  const [lost, setLost] = useState(firstLost(parts)!);
  return (
    <LostPicker
      parts={parts}
      lost={lost}
      onChange={(next) => {
        setLost(next);
        told(next);
      }}
    />
  );
}

it('begins with all of the part that the step is about', () => {
  expect(firstLost(parts, 'j/weed:n~r1:red')).toMatchObject({ film: 'red', mark: 'n~r1', copies: 1, shapes: [] });
  expect(firstLost(parts, 'j/place:n')).toMatchObject({ mark: 'n~r1' });
  // a mark whose id begins like another's is another
  const twins = ['crew-1', 'crew-10'].map((mark) => ({ ...parts[0]!, part: { ...parts[0]!.part, mark } }));
  expect(firstLost(twins, 'j/weed:crew-10:white')).toMatchObject({ mark: 'crew-10' });
  expect(firstLost(parts)).toMatchObject({ film: 'white' });
  expect(firstLost([])).toBeUndefined();
  expect(lostEvent(parts, firstLost(parts)!)).not.toHaveProperty('shapes');
});
it('shapes are tapped, by mouse or keyboard, and copies are no more than there are', () => {
  let last: Lost | undefined;
  render(<Picking told={(lost) => (last = lost)} />);
  const shapes = screen.getAllByRole('checkbox');
  expect(shapes).toHaveLength(3);
  fireEvent.click(shapes[2]!);
  fireEvent.keyDown(screen.getAllByRole('checkbox')[0]!, { key: ' ' });
  expect(screen.getByText('2 of 3 shapes lost. Red is cut again.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Copies that lost it'), { target: { value: '99' } });
  expect(lostEvent(parts, last!)).toEqual({
    ...{ film: 'white', mark: 'm', name: 'Names', copies: 6 },
    shapes: [
      { x: -16, y: 4 },
      { x: 24, y: 4 },
    ],
  });
  // every shape is all of it
  fireEvent.click(screen.getAllByRole('checkbox')[1]!);
  expect(lostEvent(parts, last!)).not.toHaveProperty('shapes');
  fireEvent.change(screen.getByLabelText('Which film of which mark'), { target: { value: '1' } });
  expect(last).toMatchObject({ film: 'red', shapes: [], copies: 1 });
  expect(screen.queryByLabelText('Copies that lost it')).toBeNull();
});
