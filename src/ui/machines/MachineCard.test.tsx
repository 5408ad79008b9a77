/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { tradeBook } from '@/knowledge/tradeBook';
import type { MachineCardView } from '@/shop/machines/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { tell } from '../job/trade';
import { MachineCard } from './MachineCard';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: () => {}, refresh: () => {} }),
  usePathname: () => '/',
}));
jest.mock('../parts/Chart', () => ({ Chart: ({ label }: { label: string }) => <div>{label}</div> }));

const card: MachineCardView = {
  id: 3,
  version: 4,
  modelId: 5,
  tag: 'GK-0003',
  serial: 'S-3',
  maker: 'Hollin',
  model: 'Gannet',
  kind: 'upright-brush-motor',
  mainsV: 120,
  droppedStations: [],
  addedStations: [],
  belts: [],
  bearings: [],
  filters: [],
  siteId: null,
  purchasedOn: null,
  warrantyUntil: null,
  mergedInto: null,
  madeYear: 2027,
  pets: true,
  hoursPerWeek: 1.5,
  note: 'Handle lock is loose.',
  nextDueOn: '2030-03-01',
  openJob: 12,
  customer: { id: 4, name: 'Jory Marsk', kind: 'household', phone: '555 0303', address: '', standing: 'Rings first.' },
  sites: [],
  plans: [
    {
      item: 'pre-filter-wash',
      label: 'Wash the filter',
      station: 'pre-foam',
      lastDoneOn: '2030-02-01',
      dueOn: '2030-03-01',
      early: '2030-03-01',
      late: '2030-03-01',
      by: 'days',
      overdue: true,
      maker: { days: 90 },
      bench: { days: 30 },
      byItsPeople: false,
      own: false,
      lookAgainOn: null,
      weekMinor: 1234,
    },
    {
      item: 'toothed-belt',
      label: 'Toothed belt',
      station: 'toothed-belt',
      lastDoneOn: '2030-02-01',
      dueOn: '2030-09-01',
      early: '2030-08-20',
      late: '2030-09-12',
      by: 'hours',
      overdue: false,
      maker: null,
      bench: { hours: 50 },
      byItsPeople: false,
      own: true,
      lookAgainOn: null,
      weekMinor: null,
    },
  ],
  partAgeDays: { 'toothed-belt': 400 },
  openFaults: [],
  scrappedOn: null,
  timeline: [
    { id: 1, at: '2030-02-01T10:00:00.000Z', what: 'note', text: 'Rang: no hurry.', job: 11, by: 'Tess Fennock' },
  ],
  jobs: [],
  meter: [],
  photographs: [],
  alike: [],
  readings: [],
  running: { hoursPerWeek: 1.5, low: 0.8, high: 3, from: 'card', totalHours: null, events: [] },
  serviceReadings: [],
  sealedBattery: null,
  currency: 'USD',
  locale: 'en-US',
  today: '2030-03-04',
  zone: 'UTC',
} as unknown as MachineCardView;

const show = (more: Partial<MachineCardView> = {}, may = { mayMove: true, mayAudit: true }) =>
  stand(<MachineCard card={{ ...card, ...more }} book="/told-already" {...may} />);
const settle = () => act(async () => {});
beforeEach(() => furnishBrowser());
tell(tradeBook(card.kind));

test('what the next technician must know stands on the card: the note, the standing word, the job that is open', async () => {
  show();
  await settle();
  expect(document.body.textContent).toContain('Handle lock is loose.');
  expect(document.body.textContent).toContain('Rings first.');
  expect(screen.getAllByRole('link').some((l) => l.getAttribute('href')?.startsWith('/jobs/12'))).toBe(true);
});

test('what is past its day is told apart by words, not by colour alone', async () => {
  show();
  await settle();
  const overdue = screen.getByText('Wash the filter').closest('li, tr, div')!;
  expect(overdue.textContent).toMatch(/past|overdue|late/i);
  expect(document.body.textContent).toContain('Rang: no hurry.');
});

test('the plan says within which days, by what, what plate and bench say, and what a week later costs', async () => {
  show();
  await settle();
  const rows = within(screen.getByRole('region', { name: 'Plans' }))
    .getAllByRole('row')
    .map((r) => r.textContent);
  expect(rows[1]).toBe('Wash the filterthe bench: 30 days; the plate: 90 days2030-02-012030-03-01 past$12.34');
  expect(rows[2]).toBe('Toothed beltthis shop: 50 h2030-02-012030-08-20 to 2030-09-12by its hours');
});

test('what was read at services stands with its unit, its limit and its own line; a meter that was changed is said', async () => {
  const read = (place: string, value: number, at: string) => ({
    item: 'bristles',
    reading: 'bristle-length',
    place,
    value,
    at,
  });
  show({
    serviceReadings: [read('', 18.5, '2030-01-01T08:00:00.000Z'), read('', 17.1, '2030-02-01T08:00:00.000Z')],
    meter: [{ at: '2030-02-01T08:00:00.000Z', hours: 4 }],
    running: {
      hoursPerWeek: 9.8,
      low: 8.1,
      high: 11.5,
      from: 'meter',
      totalHours: 140,
      events: [{ on: '2030-01-08', sort: 'turned-back', from: 120, to: 3 }],
    },
  });
  await settle();
  const section = screen.getByRole('region', { name: 'Read at services' });
  expect(section.textContent).toContain('Bristles, length, replaced at 10 mm');
  expect(section.textContent).toContain('17.1 mm');
  expect(section.textContent).toContain('2030-01-01 18.5 mm, 2030-02-01 17.1 mm');
  const meter = screen.getByRole('region', { name: 'Hour meter' }).textContent;
  expect(meter).toContain('about 9.8 h a week (8.1 to 11.5)');
  expect(meter).toContain('Meter changed or turned back on 2030-01-08: 120 h, then 3 h');
});

test('only who may is offered to give it away or to read the audit', async () => {
  const { unmount } = show();
  await settle();
  expect(screen.getByRole('button', { name: 'Another owner' })).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Audit' })).toBeTruthy();
  unmount();
  show({}, { mayMove: false, mayAudit: false });
  await settle();
  expect(screen.queryByRole('button', { name: 'Another owner' })).toBeNull();
  expect(screen.queryByRole('link', { name: 'Audit' })).toBeNull();
});

test('a year that is no number is not sent with a corrected card', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({ rows: [{ id: 5, maker: 'Hollin', name: 'Gannet' }] });
  show();
  await settle();
  fireEvent.click(screen.getByRole('button', { name: 'Correct the card' }));
  await screen.findByLabelText('Made in');
  const sheet = within(screen.getByRole('dialog'));
  fireEvent.change(sheet.getByLabelText('Made in'), { target: { value: '20x9' } });
  fireEvent.click(sheet.getByRole('button', { name: 'Save' }));
  await settle();
  expect(sent.some((s) => s.method === 'POST')).toBe(false);
  expect(sheet.getByText('A number, such as 12 or 12.5.')).toBeTruthy();
});
