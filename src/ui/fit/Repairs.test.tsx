/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import { gauges } from '@/core/gauges/catalogue';
import { knowledge } from '@/knowledge';
import '../job/everyKind';
import { jobInFind } from '../job/job.fixture';
import type { JobDesk } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { workWords } from '../job/toMend';
import { Repairs } from './Repairs';

beforeEach(() => furnishBrowser());

const desk = (fault: string) => {
  const { facts } = jobInFind();
  return { job: { ...facts, proved: [fault], toMend: [fault] }, busy: false, act: jest.fn() } as unknown as JobDesk;
};

test('what a repair takes can be measured from there, in the way that part wants', async () => {
  stand(<Repairs desk={desk('belt-broken')} />);
  const link = screen.getByRole<HTMLAnchorElement>('link', { name: 'Measure it: Belt' });
  expect(new URL(link.href).pathname).toBe('/gauges/belt');
  expect(new URL(link.href).searchParams.get('job')).toBe('12');
  await act(async () => {});
});

test('a carbon brush opens the winding gauge at the brush', async () => {
  const worn = knowledge.faults.find((f) => f.repair.parts?.includes('carbon'))!;
  stand(<Repairs desk={desk(worn.id)} />);
  const link = screen.getByRole<HTMLAnchorElement>('link', { name: 'Measure it: Winding and commutator' });
  expect(new URL(link.href).searchParams.get('asks')).toBe('brush');
  await act(async () => {});
});

test('every group that a gauge measures is one that some repair takes', () => {
  const groups = new Set(knowledge.faults.flatMap((f) => f.repair.parts ?? []));
  for (const g of gauges) for (const group of g.measures ?? []) expect(groups).toContain(group);
});

test('what was agreed while it is open stands beside what was found, and what was not wanted is only named', async () => {
  const { facts } = jobInFind();
  const job = {
    ...facts,
    proved: ['roll-mouldy', 'suction-motor-worn'],
    toMend: ['roll-mouldy', 'belt-broken'],
    repaired: [],
    agree: {
      ...facts.agree,
      besides: ['belt-broken'],
      itemsLeft: ['New exhaust filter'],
      notWanted: ['suction-motor-worn'],
    },
  };
  expect(workWords(job)).toBe(
    'Roll mouldy: fit a new roll: mould is not washed out. Agreed besides: fit a new belt; new exhaust filter. ' +
      'Not wanted, it stays as it is: suction motor worn.',
  );
  stand(<Repairs desk={{ job, busy: false, act: jest.fn() } as unknown as JobDesk} />);
  const ticks = screen.getAllByRole('checkbox').map((c) => c.closest('label')!.textContent);
  expect(ticks).toEqual([
    'Fit a new roll: mould is not washed outRoll mouldy; not ticked, it stays open on the machine',
    'Fit a new beltagreed, while it is open; not ticked, it was not done',
  ]);
  await act(async () => {});
});

test('a repair that was only a wrong guess is told as one', async () => {
  const { facts } = jobInFind();
  const tried = (outcome: string, revoked = false) => ({
    ...facts.findings[0]!,
    check: 'repair:belt-slipping',
    outcome,
    revoked,
  });
  const words = (findings: typeof facts.findings) => {
    const job = { ...facts, proved: [], toMend: [], repaired: ['belt-slipping'], findings };
    const { unmount } = stand(<Repairs desk={{ job, busy: false, act: jest.fn() } as unknown as JobDesk} />);
    const told = screen.getByRole('checkbox').closest('label')!.textContent;
    unmount();
    return told;
  };
  expect(words([tried('remains')])).toMatch(/done on suspicion, and it was not it$/);
  expect(words([tried('remains'), tried('gone')])).not.toContain('suspicion');
  expect(words([tried('remains', true)])).not.toContain('suspicion');
  await act(async () => {});
});

test('where nothing was complained of nobody is told to prove a cause', async () => {
  const { facts } = jobInFind();
  const told = (complaints: string[]) => {
    const job = { ...facts, complaints, proved: [], toMend: [], repaired: [] };
    const { unmount, container } = stand(<Repairs desk={{ job, busy: false, act: jest.fn() } as unknown as JobDesk} />);
    const said = [workWords(job), container.textContent];
    unmount();
    return said.join(' ');
  };
  expect(told(['squeal'])).toMatch(/No cause is proved: .*Nothing is proved yet/);
  expect(told([])).toMatch(/Nothing was complained of, and nothing was found: .*Nothing to mend was found/);
  await act(async () => {});
});
