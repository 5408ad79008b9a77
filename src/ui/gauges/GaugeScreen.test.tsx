/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { gauges } from '@/core/gauges/catalogue';
import { isAsked } from '@/core/gauges/fields';
import { furnishBrowser, stand } from '../testBench.fixture';
import { GaugeScreen } from './GaugeScreen';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {} }), usePathname: () => '/gauges' }));
// What is drawn with charts needs a canvas; the answer stands beside it in words.
jest.mock('../parts/Chart', () => ({ Chart: () => null }));

const desk = { units: 'metric' as const, mainsV: 120, today: '2030-03-04', zone: 'UTC', usual: {} };
const settle = () => act(async () => {});
// Those that take long go to a worker, which this browser does not have.
const quick = gauges.filter((g) => !g.heavy);

beforeEach(() => {
  const { answer } = furnishBrowser();
  answer.with = (_method, url) => (url.endsWith('/parts/match') ? [] : { content: null, at: null });
  window.localStorage.clear();
});

test.each(quick.map((g) => [g.id, g] as const))(
  '%s: its worked example fills the form and is answered',
  async (id, g) => {
    stand(<GaugeScreen name={id} desk={desk} filled={g.example} mayKeepUsual={false} />);
    await settle();
    const told = screen.getByRole('region', { name: 'Result' }).textContent!;
    expect(told.length).toBeGreaterThan(20);
    expect(told).not.toMatch(/NaN|undefined|Infinity|\[object/);
    // Every field has a name that can be heard.
    for (const field of screen.queryAllByRole('textbox'))
      expect(
        field.getAttribute('aria-label') ?? document.querySelector(`label[for="${field.id}"]`)?.textContent,
      ).toBeTruthy();
  },
);

test.each(quick.map((g) => [g.id, g] as const))(
  '%s: nonsense in any field is named there, and nothing is reckoned from it',
  async (id, g) => {
    const typed = Object.entries(g.fields).filter(
      ([name, f]) =>
        isAsked(f, g.example) && (f.sort === 'quantity' || f.sort === 'count') && typeof g.example[name] === 'string',
    );
    for (const [name] of typed.slice(0, 4)) {
      const { unmount } = stand(
        <GaugeScreen name={id} desk={desk} filled={{ ...g.example, [name]: 'twelve' }} mayKeepUsual={false} />,
      );
      await settle();
      expect(document.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThan(0);
      expect(screen.queryByRole('region', { name: 'Result' })).toBeNull();
      unmount();
    }
  },
);

test('the answer follows every key', async () => {
  const belt = gauges.find((g) => g.id === 'belt')!;
  stand(<GaugeScreen name="belt" desk={desk} filled={belt.example} mayKeepUsual={false} />);
  await settle();
  const before = screen.getByRole('region', { name: 'Result' }).textContent;
  const field = screen.getAllByRole('textbox').find((f) => /^\d/.test((f as HTMLInputElement).value))!;
  fireEvent.change(field, { target: { value: `${Number.parseFloat((field as HTMLInputElement).value) * 1.5}` } });
  await settle();
  expect(screen.getByRole('region', { name: 'Result' }).textContent).not.toBe(before);
});
