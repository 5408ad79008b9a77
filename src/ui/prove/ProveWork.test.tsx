/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { JobFacts, ProofView } from '@/shop/jobView/dto';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { ProveWork } from './ProveWork';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => {} }) }));

const { facts } = jobInFind([]);
const proof = (item: string, more: Partial<ProofView> = {}): ProofView => ({
  item,
  label: item,
  required: true,
  power: false,
  gone: null,
  cautions: [],
  asks: [],
  quantity: null,
  unit: null,
  result: null,
  before: null,
  after: null,
  note: '',
  details: {},
  ...more,
});
const job: JobFacts = {
  ...facts,
  stage: 'prove',
  cautions: [],
  leftOpen: [],
  proofs: [
    proof('Electrical check', { asks: ['rules', 'readings', 'tester'] }),
    proof('Roll free by hand'),
    proof('Roll speed', { required: false, quantity: 'speed', unit: 'r/min', before: 900 }),
  ],
};
function Screen() {
  return <ProveWork desk={useJob(job, null)} me="Tess Fennock" onDone={() => {}} onBack={() => {}} />;
}
function show(refused?: object) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? (refused ?? { id: job.id, version: 2 }) : { content: null, at: null });
  stand(<Screen />);
  return () => sent.filter((s) => s.url.endsWith('/record-proof')).map((s) => s.body);
}
const group = (name: string) => within(screen.getByRole('group', { name }));
const press = async (inside: ReturnType<typeof within>, name: string) => {
  fireEvent.click(inside.getByRole('button', { name }));
  await act(async () => {});
};

test('a signed proof goes with what was read, by which rules, by whom; whoever is here made it unless somebody else is named', async () => {
  const proofs = show();
  const check = group('Electrical check');
  expect(check.getByLabelText<HTMLInputElement>('Tested by').value).toBe('Tess Fennock');
  fireEvent.change(check.getByLabelText('By which rules'), { target: { value: 'Rules in force' } });
  fireEvent.change(check.getByLabelText('Readings'), { target: { value: 'Insulation 50 MΩ' } });
  await press(check, 'Passed');
  await waitFor(() => expect(proofs()).toHaveLength(1));
  expect(proofs()[0]).toMatchObject({
    item: 'Electrical check',
    result: 'pass',
    rules: 'Rules in force',
    readings: 'Insulation 50 MΩ',
    tester: 'Tess Fennock',
  });
});

test('what the server will not take is told at its field, with what was typed', async () => {
  show({
    status: 400,
    title: 'Some of it cannot be used as typed.',
    fields: [{ field: 'readings', message: 'The readings: earth, insulation, touch current, as the rules ask.' }],
  });
  const check = group('Electrical check');
  fireEvent.change(check.getByLabelText('By which rules'), { target: { value: 'Rules in force' } });
  await press(check, 'Passed');
  expect(await check.findByText(/^The readings: earth/)).toBeTruthy();
  expect(check.getByLabelText<HTMLInputElement>('By which rules').value).toBe('Rules in force');
});

test('pass and fail of one proof go with its note, and no other proof’s', async () => {
  const proofs = show();
  const roll = group('Roll free by hand');
  fireEvent.change(roll.getByLabelText('Note'), { target: { value: 'Grates at one place.' } });
  await press(roll, 'Failed');
  await waitFor(() => expect(proofs()).toHaveLength(1));
  expect(proofs()[0]).toMatchObject({ item: 'Roll free by hand', result: 'fail', note: 'Grates at one place.' });
  expect(proofs()[0]).not.toHaveProperty('rules');
});

test('a number that is none, or could be two, is asked at its field; before stays what Find read', async () => {
  const proofs = show();
  const form = within(screen.getByRole('form', { name: 'Roll speed' }));
  expect(form.getByLabelText<HTMLInputElement>('Before, r/min').value).toBe('900');
  for (const [typed, told] of [
    ['fast', 'A number.'],
    ['3,200', '3,200: is it 3200 or 3.2? Write it so.'],
  ] as const) {
    fireEvent.change(form.getByLabelText('After, r/min'), { target: { value: typed } });
    await press(form, 'Keep');
    expect(await form.findByText(told)).toBeTruthy();
  }
  expect(proofs()).toEqual([]);
  fireEvent.change(form.getByLabelText('After, r/min'), { target: { value: '3200' } });
  await press(form, 'Keep');
  await waitFor(() => expect(proofs()).toHaveLength(1));
  expect(proofs()[0]).toMatchObject({ item: 'Roll speed', before: 900, after: 3200 });
});

test('what was agreed and not done, and what its owner did not want, are told apart from what is still to be mended', async () => {
  const { agree } = job;
  const left = ['belt-broken', 'suction-motor-worn'];
  const at = {
    ...job,
    leftOpen: left,
    repaired: [],
    agree: { ...agree, besides: ['bearing-rough'], notWanted: [left[1]!] },
  };
  furnishBrowser();
  stand(<Standing at={at} />);
  expect(screen.getAllByRole('note').map((n) => n.firstChild!.textContent)).toEqual(
    expect.arrayContaining([
      'Proved and not mended: belt broken.',
      'Agreed, and not done yet: fit new roll bearings as a pair.',
      'Not wanted, it stays as it is: suction motor worn.',
    ]),
  );
  await act(async () => {});
});
function Standing({ at }: { at: JobFacts }) {
  return <ProveWork desk={useJob(at, null)} me="Tess Fennock" onDone={() => {}} onBack={() => {}} />;
}
