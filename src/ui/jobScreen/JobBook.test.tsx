/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { JobBook } from './JobBook';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => {} }) }));

const { facts } = jobInFind([]);
function Screen() {
  return <JobBook desk={useJob(facts, null)} />;
}
function show() {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? { id: facts.id, version: 2 } : { content: null, at: null });
  stand(<Screen />);
  return (deed: string) => sent.filter((s) => s.url.endsWith(`/${deed}`)).map((s) => s.body);
}
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = async (name: string) => {
  fireEvent.click(screen.getByRole('button', { name }));
  await act(async () => {});
};

test('a note, and what the customer said, go into the book each as what it is; then the field is empty', async () => {
  const posts = show();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Note it' }).disabled).toBe(true);
  type('A note, or what was said', 'The owner is in a hurry.');
  await press('Note it');
  await waitFor(() => expect(posts('write-note')).toHaveLength(1));
  await waitFor(() => expect(screen.getByLabelText<HTMLTextAreaElement>('A note, or what was said').value).toBe(''));
  type('A note, or what was said', 'It smelt before.');
  await press('The customer said it');
  await waitFor(() => expect(posts('write-note')).toHaveLength(2));
  expect(posts('write-note')).toMatchObject([
    { what: 'note', text: 'The owner is in a hurry.' },
    { what: 'said', text: 'It smelt before.' },
  ]);
});

test('hours that are none are told at the meter’s field and stay there; a number is written down', async () => {
  const posts = show();
  for (const [typed, told] of [
    ['12h30', 'Hours, as the meter shows them.'],
    ['', 'Hours, as the meter shows them.'],
    ['1,204', '1,204: is it 1204 or 1.204? Write it so.'],
    ['-3', 'Hours, as the meter shows them.'],
  ] as const) {
    type('Hour meter', typed);
    await press('Write\u00a0down');
    expect(await screen.findByText(told)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Hour meter').value).toBe(typed);
  }
  expect(posts('record-meter')).toEqual([]);
  type('Hour meter', '1204.5');
  await press('Write\u00a0down');
  await waitFor(() => expect(posts('record-meter')).toHaveLength(1));
  expect(posts('record-meter')[0]).toMatchObject({ hours: 1204.5 });
});
