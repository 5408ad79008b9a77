/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { PlansFile } from './PlansFile';

const settle = () => act(async () => {});
const file = (text: string) => Object.assign(new File([text], 'plans.json'), { text: async () => text });
const give = async (text: string) => {
  fireEvent.change(screen.getByLabelText('File of intervals'), { target: { files: [file(text)] } });
  await settle();
  await settle();
};
const BOOK = {
  form: 'grit-keeper/plans/1',
  kind: 'robot',
  items: [{ item: 'side-brush', label: 'Side brush', own: { days: 60, hours: null, uses: 40, why: 'Ours.' } }],
};

test('of a file only the intervals are sent, and what follows is read anew', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({ kind: 'robot', items: 1 });
  let taken = 0;
  stand(<PlansFile kind="robot" mayTake onTaken={() => taken++} />);
  const out = screen.getByRole('link', { name: 'Intervals as a file' });
  expect([out.getAttribute('href'), out.getAttribute('download')]).toEqual(['/api/v1/plans/robot', 'plans-robot.json']);
  await give(JSON.stringify(BOOK));
  const post = sent.find((s) => s.method === 'POST')!;
  expect([post.url, (post.body as { plans: unknown }).plans, taken]).toEqual([
    '/api/v1/plans',
    { form: BOOK.form, kind: 'robot', items: [{ item: 'side-brush', own: BOOK.items[0]!.own }] },
    1,
  ]);
});

test('what is no file of plans, or of another kind, is said and not sent; a refusal is said as it came', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({
    status: 400,
    title: 'Not like this.',
    fields: [{ field: 'plans.items[0].item', message: 'No such service.' }],
  });
  stand(<PlansFile kind="robot" mayTake onTaken={() => {}} />);
  const says = () => screen.getByRole('alert').textContent;
  for (const [text, words] of [
    ['{', 'This is no file of plans.'],
    ['{"form":"x"}', 'This is no file of plans.'],
    [JSON.stringify({ ...BOOK, kind: 'backpack' }), 'This file is of another kind: backpack.'],
  ] as const) {
    await give(text);
    expect(says()).toBe(words);
  }
  expect(sent.filter((s) => s.method === 'POST')).toEqual([]);
  await give(JSON.stringify(BOOK));
  expect(says()).toBe('No such service.');
});

test('who may not take intervals over can still read them', () => {
  furnishBrowser();
  stand(<PlansFile kind="robot" mayTake={false} onTaken={() => {}} />);
  expect(screen.getByRole('link', { name: 'Intervals as a file' })).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});
