/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { fitLives } from '@/core/service/fitLives';
import type { LifeView, LivesView } from '@/shop/lives/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { LivesScreen } from './LivesScreen';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => {} }) }));
jest.mock('../parts/Chart', () => ({ Chart: ({ label }: { label: string }) => <div>{label}</div> }));

// NIST/SEMATECH e-Handbook 8.4.1.3: ten failures, ten whole at 500.
const SEEN = [
  ...[54, 187, 216, 240, 244, 335, 361, 373, 375, 386].map((t) => ({ from: t, to: t })),
  ...Array.from({ length: 10 }, () => ({ from: 500, to: Infinity })),
];
const life = (more: Partial<LifeView> = {}): LifeView => ({
  kind: 'upright-shaft-belt',
  fault: 'belt-broken',
  label: 'Belt broken',
  ...fitLives({
    seen: SEEN,
    groups: [
      ['in the trade', SEEN],
      ['in households', SEEN.slice(9)],
    ],
    enough: 5,
  }),
  few: false,
  usual: { shape: 2, scaleDays: 1096 },
  plannedMinor: 1000,
  failureMinor: 9000,
  items: [{ item: 'flat-belt', label: 'Flat belt', days: 365 }],
  currency: 'USD',
  locale: 'en-US',
  ...more,
});
const view = (more: Partial<LivesView> = {}): LivesView => ({
  kind: 'upright-shaft-belt',
  faults: [
    {
      fault: 'belt-broken',
      label: 'Belt broken',
      station: 'flat-belt',
      confirmed: 10,
      usual: { shape: 2, years: 3 },
      own: null,
    },
  ],
  failures: [{ age: 100, failures: 0.4, error: 0.1 }],
  machines: 20,
  comebacks: [{ complaint: 'squeal', label: 'Squeals', often: 1, of: 12, low: 0.01, high: 0.35 }],
  causes: [{ fault: 'belt-broken', label: 'Belt broken', share: 0.31 }],
  intervals: [],
  currency: 'USD',
  locale: 'en-US',
  zone: 'UTC',
  ...more,
});
const settle = () => act(async () => {});
async function show(told: LifeView | { status: number }, of = view(), mayTake = true) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'GET' ? told : { kind: 'upright-shaft-belt', item: 'flat-belt' });
  stand(<LivesScreen view={of} mayTake={mayTake} />);
  await settle();
  await settle();
  return () => sent.filter((s) => s.method === 'POST');
}
const panel = () => screen.getByRole('region', { name: 'Belt broken' });

test('the numbers behind every proposal are there, with how sure they are', async () => {
  await show(life());
  expect(panel().textContent).toContain('10 failed, 10 were whole when last seen. Shape 1.72');
  expect(panel().textContent).toMatch(/Scale 1\.7 years \(\d\.\d to \d\.\d\), with 95 %/);
  expect(panel().textContent).toMatch(/Replaced at \d+ days a year costs \$\d+\.\d\d; waiting for every failure \$\d+/);
  expect(panel().textContent).toContain('too few: goes by the whole kind');
  expect(screen.getByRole('region', { name: 'Back within 90 days with the same' }).textContent).toContain(
    'Squeals1 of 121 % to 35 %',
  );
  expect(screen.getByRole('region', { name: 'What brings it again within a year' }).textContent).toContain('31 %');
});

test('an interval is taken over only by a press, with its reason; prices change what is proposed', async () => {
  const posts = await show(life());
  expect(posts()).toEqual([]);
  const days = () =>
    Number(/every (\d+) days/.exec(within(panel()).getByRole('button', { name: /^Flat belt/ }).textContent!)![1]);
  const before = days();
  fireEvent.change(screen.getByLabelText('When it fails'), { target: { value: '500.00' } });
  await settle();
  expect(days()).toBeLessThan(before);
  fireEvent.click(within(panel()).getByRole('button', { name: /^Flat belt/ }));
  await settle();
  expect(posts()[0]).toMatchObject({
    url: '/api/v1/lives/interval',
    body: { kind: 'upright-shaft-belt', item: 'flat-belt', why: expect.stringContaining('10 failures, 10 whole') },
  });
});

test('where a failure costs no more nothing is proposed; where few were seen nothing can be taken over', async () => {
  await show(life({ failureMinor: 1000 }));
  expect(panel().textContent).toContain('Nothing is gained by replacing it early');
  expect(within(panel()).queryByRole('button', { name: /^Flat belt/ })).toBeNull();
});

test('few failures, none, or somebody who may not: the curve, and no press', async () => {
  await show(life({ few: true }));
  expect(panel().textContent).toContain('So few tell too little to go by.');
  expect(within(panel()).queryByRole('button', { name: /Reckon/ })).toBeNull();
});

test('who is not the owner looks only', async () => {
  await show(life(), view(), false);
  expect(within(panel()).queryByRole('button', { name: /^Flat belt|Reckon/ })).toBeNull();
});

test('without two failures the usual life holds, and it is said', async () => {
  await show(life({ fit: null, band: [], few: true }));
  expect(panel().textContent).toContain('Fewer than two failures were seen: the usual life holds.');
});

test('a life that cannot be read says so', async () => {
  await show({ status: 503 });
  expect(screen.getByText('The life could not be read.')).toBeTruthy();
});
