/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { useRef, useState } from 'react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { allRead } from './allRead';
import { CountField } from './CountField';
import { MoneyField } from './MoneyField';

const sent: object[] = [];
function Screen() {
  const page = useRef<HTMLDivElement>(null);
  const [days, setDays] = useState<number | null>(90);
  const [minor, setMinor] = useState<number | null>(1250);
  return (
    <div ref={page}>
      <CountField label="Days" value={days} least={0} most={3650} onValue={setDays} />
      <MoneyField label="Off" minor={minor} currency="USD" onMinor={setMinor} />
      <button onClick={() => allRead(page.current) && sent.push({ days, minor })}>Send</button>
    </div>
  );
}
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const send = () => fireEvent.click(screen.getByRole('button', { name: 'Send' }));

beforeEach(() => {
  furnishBrowser();
  sent.length = 0;
  stand(<Screen />);
});

test.each([
  ['Days', '20x9', 'A whole number from 0 to 3650.'],
  ['Days', '1,200', '1,200: is it 1200 or 1.2? Write it so.'],
  ['Days', '1.5', 'A whole number from 0 to 3650.'],
  ['Days', '-1', 'A whole number from 0 to 3650.'],
  ['Days', '4000', 'A whole number from 0 to 3650.'],
  ['Off', '6o', 'An amount, such as 12.50.'],
])('%s: %s is told at its field, has the cursor when it is sent, and nothing is sent for it', (label, typed, told) => {
  type(label, typed);
  expect(screen.getByText(told)).toBeTruthy();
  const field = screen.getByLabelText<HTMLInputElement>(label);
  fireEvent.blur(field);
  expect(field.value).toBe(typed);
  send();
  expect(sent).toEqual([]);
  expect(document.activeElement).toBe(field);
});

test('what can be read is sent as it stands; nothing typed is nothing', () => {
  type('Days', '120');
  type('Off', '12,5');
  send();
  type('Days', '');
  type('Off', '');
  send();
  expect(sent).toEqual([
    { days: 120, minor: 1250 },
    { days: null, minor: null },
  ]);
});
