/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { EditSheet, type EditField } from './EditSheet';

const FIELDS: EditField[] = [
  { name: 'name', label: 'Name' },
  { name: 'phone', label: 'Phone' },
];
interface Card {
  name: string;
  phone: string;
  version: number;
}
const settle = () => act(async () => {});
const sheet = (more: object = {}) => {
  const onDone = jest.fn();
  stand(
    <EditSheet<Card>
      title="Card"
      fields={FIELDS}
      values={{ name: 'Ada', phone: '1' }}
      version={4}
      url="/api/v1/things/1/amend"
      onDone={onDone}
      onClose={() => {}}
      {...more}
    />,
  );
  return onDone;
};
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const save = async () => {
  fireEvent.click(screen.getByRole('button', { name: /^Save/ }));
  await settle();
};

beforeEach(() => window.localStorage.clear());

test('what is typed goes out with the version that was seen', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({ name: 'Ada T', phone: '1', version: 5 });
  const onDone = sheet();
  type('Name', 'Ada T');
  await save();
  expect(sent.at(-1)).toMatchObject({ method: 'POST', body: { name: 'Ada T', phone: '1', version: 4 } });
  expect(onDone).toHaveBeenCalledWith({ name: 'Ada T', phone: '1', version: 5 });
});

test('a refusal stands at its field and goes when the field is changed; nothing typed is lost', async () => {
  const { answer } = furnishBrowser();
  answer.with = () => ({ status: 400, title: 'No.', fields: [{ field: 'phone', message: 'No such phone.' }] });
  sheet();
  type('Phone', 'x');
  await save();
  expect(screen.getByText('No such phone.')).toBeTruthy();
  expect((screen.getByLabelText('Phone') as HTMLInputElement).value).toBe('x');
  type('Phone', 'xy');
  expect(screen.queryByText('No such phone.')).toBeNull();
});

test('somebody else saved: both versions side by side, and saving goes to the card as it is now', async () => {
  const { sent, answer } = furnishBrowser();
  const theirs = { name: 'Ada', phone: '2', version: 9 };
  answer.with = () => ({ status: 409, title: 'Somebody changed it.', fields: [], current: theirs });
  sheet({ current: (c: Card) => ({ values: { name: c.name, phone: c.phone }, version: c.version }) });
  type('Name', 'Ada T');
  await save();
  expect(screen.getByRole('table', { name: 'Both versions' }).textContent).toContain('Ada T');
  answer.with = () => ({ ...theirs, name: 'Ada T', version: 10 });
  await save();
  expect(sent.at(-1)!.body).toMatchObject({ name: 'Ada T', phone: '2', version: 9 });
});

test('where nothing can be laid side by side there is a way on all the same: press again', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({ status: 409, title: 'Somebody changed it.', fields: [], current: { version: 9 } });
  const onDone = sheet();
  type('Name', 'Ada T');
  await save();
  expect(screen.getByText(/What you typed is still here/)).toBeTruthy();
  answer.with = () => ({ version: 10 });
  await save();
  expect(sent.at(-1)!.body).toMatchObject({ name: 'Ada T', version: 9 });
  expect(onDone).toHaveBeenCalledTimes(1);
});

test('the same press after a lost answer carries the same key', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => {
    throw new TypeError('lost');
  };
  sheet();
  type('Name', 'Ada T');
  await save();
  // The server was asked what became of it: nothing.
  await screen.findByText(/was not saved/);
  answer.with = () => ({ version: 5 });
  await save();
  const keys = sent.filter((s) => s.method === 'POST').map((s) => (s.body as { key: string }).key);
  expect(keys).toHaveLength(2);
  expect(keys[0]).toBe(keys[1]);
});

test('a year that is no number is told at its field, and never saved as empty', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({ version: 5 });
  sheet({
    fields: [...FIELDS, { name: 'madeYear', label: 'Made in', sort: 'number' }],
    values: { name: 'Ada', phone: '1', madeYear: '' },
  });
  type('Made in', '20x9');
  await save();
  expect(screen.getByText('A number, such as 12 or 12.5.')).toBeTruthy();
  expect(sent.filter((s) => s.method === 'POST')).toEqual([]);
  type('Made in', '2019');
  await save();
  expect(sent.filter((s) => s.method === 'POST')).toHaveLength(1);
});
