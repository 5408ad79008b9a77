import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { benchGroups } from './benchGroups';

const strip = (job: number, more: Partial<BenchStrip> = {}): BenchStrip => ({
  job,
  version: 1,
  benchNo: 1,
  person: null,
  comeback: false,
  stage: 'find',
  place: 'bench',
  tag: `GK-${job}`,
  maker: 'Hollin',
  model: 'Gannet',
  owner: 'Ada Tarrow',
  complaints: [],
  promisedOn: '2026-11-27',
  takenInAt: '2026-11-24T08:00:00.000Z',
  next: null,
  wait: null,
  late: false,
  ...more,
});
const view = (strips: BenchStrip[], benches = 2): BenchView => ({
  more: 0,
  strips,
  benches,
  people: [],
  today: '2026-11-25',
  days: [],
  now: '2026-11-25T09:00:00.000Z',
  zone: 'UTC',
});
const wait = (rang: boolean) => ({ kind: 'drying', what: '', startedAt: '', endsAt: '', rang });

test('every place is there, also an empty one: it is where things are put', () => {
  expect(benchGroups(view([]), null).map((g) => g.label)).toEqual([
    'Bench 1',
    'Bench 2',
    'Drying rack',
    'Parts shelf',
    'Door shelf',
  ]);
  expect(benchGroups(view([], 1), null)[0]!.label).toBe('Bench');
});

test('what lies on a bench that the shop gave up is not lost', () => {
  const groups = benchGroups(view([strip(1, { benchNo: 4 })]), null);
  expect(groups.find((g) => g.id === 'bench-4')!.strips).toHaveLength(1);
});

test('first what is over, then late, then by promise; what waits comes last', () => {
  const strips = [
    strip(1, { wait: wait(false), promisedOn: '2026-11-20' }),
    strip(2),
    strip(3, { promisedOn: '2026-11-24' }),
    strip(4, { wait: wait(true), promisedOn: '2026-12-20' }),
  ];
  expect(benchGroups(view(strips), null)[0]!.strips.map((s) => s.job)).toEqual([4, 3, 2, 1]);
});

test('mine is what was given to me', () => {
  const strips = [
    strip(1, { person: { id: 5, name: 'Jory' } }),
    strip(2, { person: { id: 6, name: 'Wren' } }),
    strip(3),
  ];
  expect(benchGroups(view(strips), 5).flatMap((g) => g.strips.map((s) => s.job))).toEqual([1]);
});
