/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { BenchScreen } from './BenchScreen';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {} }), usePathname: () => '/' }));

const strip = (job: number, more: Partial<BenchStrip> = {}): BenchStrip => ({
  job,
  version: 1,
  benchNo: 1,
  person: null,
  comeback: false,
  stage: 'find',
  place: 'bench',
  tag: `GK-000${job}`,
  maker: 'Hollin',
  model: 'Gannet',
  owner: 'Jory Marsk',
  complaints: [],
  promisedOn: '2030-03-04',
  takenInAt: '2030-03-04T08:00:00.000Z',
  next: { text: 'Turn the roll by hand', minutes: 0.3 },
  wait: null,
  late: false,
  ...more,
});
const view = (strips: BenchStrip[], more: Partial<BenchView> = {}): BenchView => ({
  strips,
  benches: 2,
  people: [{ id: 7, name: 'Tess Fennock' }],
  today: '2030-03-04',
  days: [4, 5, 6, 7, 8].map((d) => ({ date: `2030-03-0${d}`, startsAt: `2030-03-0${d}T00:00:00.000Z` })),
  now: '2030-03-04T09:00:00.000Z',
  zone: 'UTC',
  more: 0,
  ...more,
});
const settle = () => act(async () => {});
beforeEach(() => window.localStorage.clear());

test('says how many machines are on the premises, and that some are not drawn', async () => {
  furnishBrowser();
  stand(<BenchScreen view={view([strip(1), strip(2)], { more: 31 })} me={7} />);
  await settle();
  expect(screen.getByText(/33 machines on the premises; the 31 promised last are not drawn here/)).toBeTruthy();
});

test('a digit starts the action of its strip', async () => {
  furnishBrowser();
  stand(<BenchScreen view={view([strip(1), strip(2, { next: { text: 'Roll speed', minutes: 1 } })])} me={7} />);
  await settle();
  const second = screen.getByRole('link', { name: 'Roll speed, GK-0002' });
  const pressed = jest.fn((e: Event) => e.preventDefault());
  second.addEventListener('click', pressed);
  fireEvent.keyDown(document, { key: '2', code: 'Digit2' });
  expect(pressed).toHaveBeenCalledTimes(1);
});

test('what is pressed while a machine is moved is meant for the menu, also before the menu is there', async () => {
  furnishBrowser();
  stand(<BenchScreen view={view([strip(1), strip(2, { next: { text: 'Roll speed', minutes: 1 } })])} me={7} />);
  await settle();
  const pressed = jest.fn((e: Event) => e.preventDefault());
  screen.getByRole('link', { name: 'Roll speed, GK-0002' }).addEventListener('click', pressed);
  const two = () => fireEvent.keyDown(document, { key: '2', code: 'Digit2' });
  fireEvent.click(screen.getByRole('button', { name: /Move GK-0001/ }));
  two();
  await screen.findByRole('menuitem', { name: /Drying rack/ });
  two();
  expect(pressed).not.toHaveBeenCalled();
  fireEvent.click(
    screen.getByRole('menuitem', { name: 'nobody' }).parentElement!.parentElement!.parentElement!.firstElementChild!,
  );
  await settle();
  two();
  expect(pressed).toHaveBeenCalledTimes(1);
});

test('what is not known yet for the state of a job is not made up: it can be opened', async () => {
  furnishBrowser();
  stand(<BenchScreen view={view([strip(1, { next: null })])} me={7} />);
  await settle();
  expect(screen.getByRole('link', { name: 'Open, GK-0001' }).textContent).toContain('Open the job');
});

test('carried to another place it stands there at once, and goes back when the server refuses', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = (_method, url) =>
    url.endsWith('/move-job')
      ? { status: 409, title: 'Somebody changed this job meanwhile.', fields: [] }
      : view([strip(1)]);
  stand(<BenchScreen view={view([strip(1)])} me={7} />);
  await settle();
  fireEvent.click(screen.getByRole('button', { name: /Move GK-0001/ }));
  fireEvent.click(await screen.findByRole('menuitem', { name: /Drying rack/ }));
  expect(screen.getByRole('region', { name: 'Drying rack' }).textContent).toContain('GK-0001');
  await settle();
  expect(sent.find((s) => s.url.endsWith('/move-job'))!.body).toMatchObject({ version: 1, place: 'rack' });
  expect(screen.getByRole('region', { name: 'Bench 1' }).textContent).toContain('GK-0001');
  expect(screen.getByText('Somebody changed this job meanwhile.')).toBeTruthy();
});

test('only mine is kept per browser', async () => {
  furnishBrowser();
  const strips = [strip(1), strip(2, { person: { id: 7, name: 'Tess Fennock' } })];
  const { unmount } = stand(<BenchScreen view={view(strips)} me={7} />);
  await settle();
  fireEvent.keyDown(document, { key: 'n', code: 'KeyN' });
  await settle();
  expect(screen.queryByText('GK-0001')).toBeNull();
  unmount();
  stand(<BenchScreen view={view(strips)} me={7} />);
  await settle();
  expect(screen.queryByText('GK-0001')).toBeNull();
  expect(screen.getByText('GK-0002')).toBeTruthy();
});
