/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { dayField, furnishBrowser, stand } from '../testBench.fixture';
import { DayField } from './DayField';

const settle = () => act(async () => {});
let told: string[];
function Field({ first, problem }: { first: string; problem?: string }) {
  const [day, setDay] = useState(first);
  const onDay = (next: string) => {
    told.push(next);
    setDay(next);
  };
  return (
    <>
      <DayField label="Promised for" day={day} onDay={onDay} problem={problem} help="if it is known" />
      <button onClick={() => setDay('2031-05-06')}>another</button>
    </>
  );
}
beforeEach(() => {
  told = [];
  furnishBrowser();
});

test('a day is written as everywhere, and told as ISO 8601', async () => {
  stand(<Field first="2030-03-04" />);
  await settle();
  expect(dayField('Promised for').value).toBe('2030-03-04');
  const parts = within(screen.getByRole('group', { name: 'Promised for' })).getAllByRole('spinbutton');
  expect(parts.map((p) => p.getAttribute('aria-label'))).toEqual(['Year', 'Month', 'Day']);
  dayField('Promised for').type('2030-11-30');
  expect(told.at(-1)).toBe('2030-11-30');
});

test('another day from outside is shown in place of what was typed; a problem stands in place of the help', async () => {
  const { unmount } = stand(<Field first="" />);
  await settle();
  expect(screen.getByText('if it is known')).toBeTruthy();
  dayField('Promised for').type('2030-11-30');
  fireEvent.click(screen.getByRole('button', { name: 'another' }));
  await settle();
  expect(dayField('Promised for').value).toBe('2031-05-06');
  unmount();
  stand(<Field first="2020-01-01" problem="That day is past." />);
  await settle();
  expect(screen.getByText('That day is past.')).toBeTruthy();
  expect(screen.queryByText('if it is known')).toBeNull();
});
