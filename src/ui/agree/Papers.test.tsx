/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { JobFacts } from '@/shop/jobView/dto';
import type { AgreeView } from '@/shop/standing/dto';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { Papers, Payment } from './Papers';

const pushed: string[] = [];
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: (to: string) => pushed.push(to) }) }));

const { facts } = jobInFind([{ check_id: 'sole-plate-look', outcome: 'belt-missing' }]);
const jobWith = (agree: Partial<AgreeView>): JobFacts => ({ ...facts, agree: { ...facts.agree, ...agree } });
function Screen({ job }: { job: JobFacts }) {
  const desk = useJob(job, null);
  return (
    <>
      <Papers desk={desk} kinds={['invoice', 'consent']} />
      <Payment desk={desk} />
    </>
  );
}
const settle = () => act(async () => {});
const paper = (id: number, kind: string, more: object = {}) => ({
  id,
  kind,
  name: `${kind[0]!.toUpperCase()}-2030-000${id}`,
  at: '2030-01-01T09:00:00Z',
  totalMinor: 3500,
  corrects: null,
  ...more,
});

function show(agree: Partial<AgreeView>, posted: unknown = { id: facts.id, version: 2 }) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method, url) => {
    if (url.endsWith('/facts')) return jobWith({ ...agree, documents: [paper(9, 'invoice')] });
    return method === 'POST' ? posted : { content: null, at: null };
  };
  stand(<Screen job={jobWith(agree)} />);
  return sent;
}

test('a consent is offered only for a switch that failed; a paper that was given opens', async () => {
  show({});
  expect(screen.queryByRole('button', { name: 'Consent to bridge' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Invoice' }));
  await settle();
  await settle();
  expect(pushed).toEqual(['/papers/9']);
});

test('an invoice that stands can be taken back, with a reason; one that was taken back cannot', async () => {
  const credit = paper(2, 'credit', { corrects: 1, totalMinor: -3500 });
  const sent = show({ documents: [paper(1, 'invoice'), credit, paper(3, 'invoice')] });
  expect(screen.getByText(/taken back by C-2030-0002/)).toBeTruthy();
  const buttons = screen.getAllByRole('button', { name: 'take back' });
  expect(buttons).toHaveLength(1);
  fireEvent.click(buttons[0]!);
  fireEvent.change(screen.getByLabelText('Why it is taken back'), { target: { value: 'Wrong belt.' } });
  fireEvent.click(screen.getByRole('button', { name: 'Credit note' }));
  await settle();
  expect(sent.find((s) => s.url.endsWith('/issue-document'))!.body).toMatchObject({
    kind: 'credit',
    corrects: 3,
    why: 'Wrong belt.',
  });
});

test('what is owed is proposed, part of it may be paid', async () => {
  const sent = show({ owedMinor: 3500, paidMinor: 500 });
  expect(screen.getByText('Owed: $35.00. Paid so far: $5.00.')).toBeTruthy();
  expect(screen.getByLabelText('Amount')).toHaveProperty('value', '35.00');
  fireEvent.change(screen.getByLabelText('Amount'), { target: { value: '10' } });
  fireEvent.click(screen.getByRole('button', { name: 'Taken' }));
  await settle();
  expect(sent.find((s) => s.url.endsWith('/take-payment'))!.body).toMatchObject({ how: 'card', amountMinor: 1000 });
});

test('all is paid, and nothing more is asked; before anything is agreed nothing at all', () => {
  show({ owedMinor: 0, paidMinor: 3500 });
  expect(screen.getByText('All is paid. Paid so far: $35.00.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Taken' })).toBeNull();
});

test('before anything is agreed no payment is taken', () => {
  show({ owedMinor: null, paidMinor: 0 });
  expect(screen.queryByRole('region', { name: 'Payment' })).toBeNull();
});

test('what is no amount is told at its field, and no other amount is taken for it', async () => {
  const sent = show({ owedMinor: 3500, paidMinor: 0 });
  const taken = () => sent.filter((s) => s.url.endsWith('/take-payment'));
  const amount = screen.getByLabelText('Amount');
  for (const typed of ['5x', '', '1,200']) {
    fireEvent.change(amount, { target: { value: typed } });
    fireEvent.click(screen.getByRole('button', { name: 'Taken' }));
    expect(await screen.findByText('An amount, such as 12.50.')).toBeTruthy();
    expect(amount).toHaveProperty('value', typed);
    fireEvent.change(amount, { target: { value: '35' } });
    await settle();
  }
  expect(taken()).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: 'Taken' }));
  await waitFor(() => expect(taken()).toHaveLength(1));
  expect(taken()[0]!.body).toMatchObject({ how: 'card', amountMinor: 3500 });
});

test('cash tells the change, and what was handed over goes with it', async () => {
  const sent = show({ owedMinor: 3500, paidMinor: 0 });
  fireEvent.mouseDown(screen.getByLabelText('How'));
  fireEvent.click(screen.getByRole('option', { name: 'cash' }));
  fireEvent.change(await screen.findByLabelText('Handed over'), { target: { value: '50' } });
  expect(await screen.findByText('back: $15.00')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Taken' }));
  await waitFor(() => expect(sent.some((s) => s.url.endsWith('/take-payment'))).toBe(true));
  expect(sent.find((s) => s.url.endsWith('/take-payment'))!.body).toMatchObject({
    how: 'cash',
    amountMinor: 3500,
    givenMinor: 5000,
  });
});
