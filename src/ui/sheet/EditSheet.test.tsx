/** @jest-environment jsdom */
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { IsOptional, IsString, Length } from 'class-validator';
import { DeedDto } from '@/shop/deed/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { EditSheet } from './EditSheet';
import type { EditField } from './sheet';

/** What the server would read. */
class CardDto extends DeedDto {
  @IsString()
  name!: string;

  @IsString()
  @Length(0, 12, { message: 'At most 12 digits.' })
  phone!: string;

  @IsOptional()
  version?: number;

  @IsOptional()
  madeYear?: string;
}

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
const sheet = async (more: object = {}) => {
  const onDone = jest.fn();
  stand(
    <EditSheet<Card>
      title="Card"
      fields={FIELDS}
      dto={() => Promise.resolve(CardDto)}
      values={{ name: 'Ada', phone: '1' }}
      version={4}
      url="/api/v1/things/1/amend"
      onDone={onDone}
      onClose={() => {}}
      {...more}
    />,
  );
  // The form itself is fetched when a sheet is opened.
  await screen.findByRole('button', { name: /^Save/ });
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
  const onDone = await sheet();
  type('Name', 'Ada T');
  await save();
  expect(sent.at(-1)).toMatchObject({ method: 'POST', body: { name: 'Ada T', phone: '1', version: 4 } });
  expect(onDone).toHaveBeenCalledWith({ name: 'Ada T', phone: '1', version: 5 });
});

test('a refusal stands at its field and goes when the field is changed; nothing typed is lost', async () => {
  const { answer } = furnishBrowser();
  answer.with = () => ({ status: 400, title: 'No.', fields: [{ field: 'phone', message: 'No such phone.' }] });
  await sheet();
  type('Phone', 'x');
  await save();
  expect(screen.getByText('No such phone.')).toBeTruthy();
  expect((screen.getByLabelText('Phone') as HTMLInputElement).value).toBe('x');
  type('Phone', 'xy');
  await settle();
  expect(screen.queryByText('No such phone.')).toBeNull();
});

test('somebody else saved: both versions side by side, and saving goes to the card as it is now', async () => {
  const { sent, answer } = furnishBrowser();
  const theirs = { name: 'Ada', phone: '2', version: 9 };
  answer.with = () => ({ status: 409, title: 'Somebody changed it.', fields: [], current: theirs });
  await sheet({ current: (c: Card) => ({ values: { name: c.name, phone: c.phone }, version: c.version }) });
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
  const onDone = await sheet();
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
  await sheet();
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
  await sheet({
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

test('the server’s own class judges before anything is sent, in its words, and the focus goes to what is wrong', async () => {
  const { sent } = furnishBrowser();
  await sheet();
  type('Phone', '0123456789 0123');
  await save();
  expect(screen.getByText('At most 12 digits.')).toBeTruthy();
  expect(sent.filter((s) => s.method === 'POST')).toEqual([]);
  expect(document.activeElement).toBe(screen.getByLabelText('Phone'));
  type('Phone', '012');
  await settle();
  expect(screen.queryByText('At most 12 digits.')).toBeNull();
});

test('what is wrong and stands in no field is said for the form as a whole', async () => {
  const { sent } = furnishBrowser();
  await sheet({ body: (v: object) => ({ ...v, colour: 'brick' }) });
  await save();
  expect(screen.getByRole('alert').textContent).toContain('This field is not known.');
  expect(sent.filter((s) => s.method === 'POST')).toEqual([]);
});

test('what was typed is kept, and is back when the sheet is opened again; started afresh it is the card', async () => {
  const { answer } = furnishBrowser();
  document.body.dataset.person = '7';
  answer.with = (method) => (method === 'PUT' ? { at: '2030-03-04T09:00:00.000Z' } : { content: null, at: null });
  await sheet({ draft: 'card-1' });
  type('Name', 'Ada Typed');
  await settle();
  expect(JSON.parse(window.localStorage.getItem('draft:7:card-1')!)).toMatchObject({
    content: { values: { name: 'Ada Typed', phone: '1' } },
  });
  cleanup();
  await sheet({ draft: 'card-1' });
  expect(await screen.findByDisplayValue('Ada Typed')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Start afresh' }));
  await settle();
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Ada');
});
