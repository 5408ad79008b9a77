/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { knowledge } from '@/knowledge';
import { counterNames } from '@/knowledge/atTheCounter';
import { furnishBrowser, stand } from '../testBench.fixture';
import { TakeInScreen } from './TakeInScreen';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {} }), usePathname: () => '/take-in' }));

const machine = {
  id: 3,
  tag: 'GK-0003',
  serial: 'S3',
  maker: 'Hollin',
  model: 'Gannet',
  kind: 'upright-shaft-belt',
  owner: 'Jory Marsk',
  phone: '555 0303',
  standing: '',
  note: '',
  openFaults: ['belt-worn'],
  openJob: null,
  lastHereOn: '2030-01-02',
  nextDueOn: null,
  warrantyUntil: null,
} as unknown as NonNullable<Parameters<typeof TakeInScreen>[0]['machine']>;
const model = {
  id: 1,
  maker: 'Hollin',
  name: 'Gannet',
  kind: 'upright-shaft-belt',
  droppedStations: [],
  addedStations: [],
};
const screenOf = (known: typeof machine | null) =>
  stand(
    <TakeInScreen
      models={[model] as unknown as Parameters<typeof TakeInScreen>[0]['models']}
      names={counterNames}
      promisedOn="2030-03-08"
      today="2030-03-05"
      machine={known}
    />,
  );

beforeEach(() => window.localStorage.clear());

test('before the machine is known: what most kinds can have, and the usual day in words', async () => {
  furnishBrowser();
  screenOf(null);
  const offered = within(await screen.findByRole('group', { name: 'Complaints' }));
  const common = knowledge.complaints.filter((c) => 2 * c.kinds.length > knowledge.kinds.length);
  const rare = knowledge.complaints.find((c) => c.kinds.length === 1)!;
  expect(common.length).toBeGreaterThan(5);
  for (const c of common) expect(offered.getByRole('button', { name: c.label })).toBeTruthy();
  expect(offered.queryByRole('button', { name: rare.label })).toBeNull();
  expect(screen.getByText('Fri 8 Mar')).toBeTruthy();
});

test('a machine that is known brings its board, its own complaints and what it was left with', async () => {
  furnishBrowser();
  screenOf(machine);
  expect(await screen.findByLabelText(/^Where the complaints point/)).toBeTruthy();
  const offered = within(screen.getByRole('group', { name: 'Complaints' }));
  for (const c of knowledge.complaints) {
    const isOffered = offered.queryByRole('button', { name: c.label }) !== null;
    expect([c.id, isOffered]).toEqual([c.id, c.kinds.includes(machine.kind)]);
  }
  expect(screen.getByText(/Left open before: belt/i)).toBeTruthy();
});

test('another day than the usual one is asked for, and is typed in its field', async () => {
  furnishBrowser();
  screenOf(null);
  fireEvent.click(await screen.findByRole('button', { name: 'Another day' }));
  const day = within(await screen.findByRole('group', { name: 'Promised for' }));
  expect(day.getAllByRole('spinbutton')[0]!.textContent).toBe('2030');
});
