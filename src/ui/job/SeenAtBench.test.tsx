/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import './everyKind';
import { complaintLabel } from './labels';
import { Complaints } from './Complaints';
import { jobInFind } from './job.fixture';
import { useJob } from './useJob';
import { furnishBrowser, stand } from '../testBench.fixture';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => {} }) }));

const { facts } = jobInFind([]);
const first = facts.complaints[0]!;
const another = facts.complaints.includes('weak-suction') ? 'rattle' : 'weak-suction';
function Screen() {
  return <Complaints desk={useJob(facts, null)} />;
}
function show() {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? { id: facts.id, version: 2 } : { content: null, at: null });
  stand(<Screen />);
  return (deed: string) => sent.filter((s) => s.url.endsWith(`/${deed}`)).map((s) => s.body);
}
const press = async (name: string) => {
  fireEvent.click(await screen.findByRole('button', { name }));
  await act(async () => {});
};
const choose = async (id: string) => {
  const seen = within(await screen.findByRole('group', { name: 'What is seen' }));
  fireEvent.change(seen.getByRole('combobox'), { target: { value: id } });
  expect((await seen.findByRole('button', { name: complaintLabel(id) })).getAttribute('aria-pressed')).toBe('true');
};

test('a complaint that is not found is struck for what is seen instead, in one press', async () => {
  const posts = show();
  await press(`Not found at the bench: ${complaintLabel(first)}`);
  fireEvent.change(await screen.findByLabelText('What was seen instead?'), { target: { value: 'It runs here.' } });
  await choose(another);
  await press('Strike it');
  await waitFor(() => expect(posts('strike-complaint')).toHaveLength(1));
  expect(posts('strike-complaint')[0]).toMatchObject({ complaint: first, why: 'It runs here.', instead: [another] });
});

test('what is seen besides is heard in the words of the bench, and must be chosen', async () => {
  const posts = show();
  await press('Something else is seen here');
  fireEvent.change(await screen.findByLabelText('What is seen besides?'), { target: { value: 'It squeals badly.' } });
  await press('Add it');
  expect(await screen.findByText('Choose what is seen.')).toBeTruthy();
  expect(posts('add-complaints')).toEqual([]);
  await press(complaintLabel('squeal'));
  await press('Add it');
  await waitFor(() => expect(posts('add-complaints')).toHaveLength(1));
  expect(posts('add-complaints')[0]).toMatchObject({ complaints: ['squeal'], why: 'It squeals badly.' });
});
