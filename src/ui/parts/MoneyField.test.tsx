/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { MoneyField } from './MoneyField';

const show = (onMinor: (m: number | null) => void) =>
  render(<MoneyField label="Price" minor={1250} currency="EUR" onMinor={onMinor} />);

test('an amount is told in whole units, nothing as nothing', () => {
  const told: (number | null)[] = [];
  show((m) => told.push(m));
  const field = screen.getByLabelText('Price');
  expect(field).toHaveProperty('value', '12.50');
  for (const typed of ['7', '7,5', '']) fireEvent.change(field, { target: { value: typed } });
  expect(told).toEqual([700, 750, null]);
});

test('what could be two amounts is asked, stays as it was typed, and is told to nobody', () => {
  const told: (number | null)[] = [];
  show((m) => told.push(m));
  const field = screen.getByLabelText('Price');
  fireEvent.change(field, { target: { value: '1,200' } });
  fireEvent.blur(field);
  expect(field).toHaveProperty('value', '1,200');
  expect(screen.getByText('An amount, such as 12.50.')).toBeTruthy();
  expect(told).toEqual([]);
});
