/** @jest-environment jsdom */
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { ClearCautionDto } from '@/shop/clearCaution/dto';
import { FormText } from '../forms/FormText';
import { furnishBrowser, stand } from '../testBench.fixture';
import { jobInFind } from './job.fixture';
import { useDeedForm } from './useDeedForm';
import { useJob } from './useJob';

const { facts } = jobInFind();
const settle = () => act(async () => {});
const given = jest.fn();

function Gate({
  job = facts,
  dto = async () => ClearCautionDto,
}: {
  job?: typeof facts;
  dto?: () => Promise<never> | Promise<typeof ClearCautionDto>;
}) {
  const desk = useJob(job, null);
  const { control, submit } = useDeedForm({
    desk,
    deed: 'clear-caution',
    dto,
    start: { how: '' },
    body: ({ how }) => ({ caution: 'wet', how }),
    kept: { how: 'how wet' },
    onDone: given,
  });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
    >
      <FormText control={control} name="how" label="How" helperText="Under your name." />
      <button type="submit">Clear</button>
    </form>
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>('How');
const type = (value: string) => fireEvent.change(field(), { target: { value } });
const clear = async () => {
  fireEvent.click(screen.getByRole('button', { name: 'Clear' }));
  await settle();
  await settle();
};
const presses = (sent: { url: string; body: unknown }[]) =>
  sent.filter((s) => s.url.endsWith('/clear-caution')).map((s) => s.body as Record<string, unknown>);

beforeEach(() => {
  window.localStorage.clear();
  given.mockClear();
});

test('what the server would not take is told in its words at the field, and not sent', async () => {
  const { sent } = furnishBrowser();
  stand(<Gate />);
  expect(screen.getByText('Under your name.')).toBeTruthy();
  type('ok');
  await clear();
  expect(await screen.findByText('Say how it was made safe (3 to 500 characters).')).toBeTruthy();
  expect(presses(sent)).toEqual([]);
  expect(document.activeElement).toBe(field());
  type('Opened and dried.');
  await settle();
  expect(screen.getByText('Under your name.')).toBeTruthy();
});

test('it goes out as one deed on the version that is shown, and what was kept of it is forgotten', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = (method, url) =>
    url.endsWith('/clear-caution') ? { version: facts.version + 1 } : { content: null, at: null };
  stand(<Gate job={{ ...facts, id: 901 }} />);
  type('Opened and dried.');
  await settle();
  expect(window.localStorage.getItem('draft:7:job-901')).toContain('Opened and dried.');
  fireEvent.click(screen.getByRole('button', { name: 'Clear' }));
  await clear();
  await waitFor(() => expect(given).toHaveBeenCalledTimes(1));
  expect(presses(sent)).toEqual([
    { caution: 'wet', how: 'Opened and dried.', version: facts.version, key: expect.any(String) },
  ]);
  expect(window.localStorage.getItem('draft:7:job-901')).toBeNull();
});

test('what the server refuses stands at its field, and nothing typed is lost', async () => {
  const { answer } = furnishBrowser();
  answer.with = (_, url) =>
    url.endsWith('/clear-caution')
      ? { status: 400, title: 'No.', fields: [{ field: 'how', message: 'Not while it is wet.' }] }
      : { content: null, at: null };
  stand(<Gate job={{ ...facts, id: 902 }} />);
  type('Looked at it.');
  await clear();
  expect(await screen.findByText('Not while it is wet.')).toBeTruthy();
  expect(field().value).toBe('Looked at it.');
  expect(given).not.toHaveBeenCalled();
});

test('half typed it survives, and what is typed meanwhile is newer than what was kept', async () => {
  furnishBrowser().answer.with = () => ({ content: null, at: null });
  const job = { ...facts, id: 903 };
  stand(<Gate job={job} />);
  type('Opened, dr');
  await settle();
  cleanup();
  stand(<Gate job={job} />);
  await waitFor(() => expect(field().value).toBe('Opened, dr'));
  cleanup();
  stand(<Gate job={job} />);
  type('Another');
  await settle();
  expect(field().value).toBe('Another');
});

test('where the class cannot be fetched, the server judges', async () => {
  const { sent } = furnishBrowser();
  stand(<Gate job={{ ...facts, id: 904 }} dto={() => Promise.reject<never>(new TypeError('away'))} />);
  type('ok');
  await clear();
  await waitFor(() => expect(presses(sent)).toHaveLength(1));
});
