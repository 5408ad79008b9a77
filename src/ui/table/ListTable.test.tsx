/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { csvOf } from './csvOf';
import type { ListColumn } from './listColumn';
import { ListTable } from './ListTable';

interface Row {
  id: number;
  tag: string;
  note: string;
}
const rows: Row[] = [
  { id: 1, tag: 'GK-0002', note: 'hums, then stops' },
  { id: 2, tag: 'GK-0001', note: '=1+1' },
];
const columns: ListColumn<Row>[] = [
  { id: 'tag', label: 'Tag', sorts: true, text: (r) => r.tag, cell: (r) => r.tag },
  { id: 'note', label: 'Note', isExtra: true, text: (r) => r.note, cell: (r) => r.note },
];

const shown = () => screen.getAllByRole('columnheader').map((h) => h.textContent);
const table = (sort: { by: string; desc: boolean } | null, onSort = jest.fn()) =>
  stand(
    <ListTable
      name="things"
      label="Things"
      columns={columns}
      rows={rows}
      keyOf={(r) => r.id}
      sort={sort}
      onSort={onSort}
    />,
  );

test('the server’s order is kept, and a head asks for another: up, down, as it was', async () => {
  furnishBrowser();
  const onSort = jest.fn();
  const { unmount } = table(null, onSort);
  await act(async () => {});
  expect(screen.getAllByRole('cell').map((c) => c.textContent)).toEqual(['GK-0002', 'GK-0001']);
  fireEvent.click(screen.getByRole('button', { name: 'Tag' }));
  expect(onSort).toHaveBeenLastCalledWith({ by: 'tag', desc: false });
  unmount();
  const up = table({ by: 'tag', desc: false }, onSort);
  expect(screen.getByRole('columnheader')).toHaveProperty('ariaSort');
  expect(screen.getByRole('columnheader').getAttribute('aria-sort')).toBe('ascending');
  fireEvent.click(screen.getByRole('button', { name: 'Tag' }));
  expect(onSort).toHaveBeenLastCalledWith({ by: 'tag', desc: true });
  up.unmount();
  table({ by: 'tag', desc: true }, onSort);
  fireEvent.click(screen.getByRole('button', { name: 'Tag' }));
  expect(onSort).toHaveBeenLastCalledWith(null);
  await act(async () => {});
});

test('columns are chosen and kept for the person; the last one stays', async () => {
  jest.useFakeTimers();
  const { sent } = furnishBrowser();
  table(null);
  await act(async () => {});
  expect(shown()).toEqual(['Tag']);
  fireEvent.click(screen.getByRole('button', { name: 'Columns' }));
  const choice = within(screen.getByRole('dialog', { name: 'Columns' }));
  fireEvent.click(choice.getByLabelText('Note'));
  fireEvent.click(choice.getByLabelText('Tag'));
  expect(screen.getAllByRole('columnheader', { hidden: true }).map((h) => h.textContent)).toEqual(['Note']);
  fireEvent.click(choice.getByLabelText('Note'));
  expect(screen.getAllByRole('columnheader', { hidden: true }).map((h) => h.textContent)).toEqual(['Note']);
  await act(async () => jest.advanceTimersByTimeAsync(1000));
  expect(sent.find((s) => s.method === 'PUT')).toMatchObject({
    url: '/api/v1/drafts/columns-things',
    body: { content: { tag: false, note: true } },
  });
  jest.useRealTimers();
});

test('what was chosen at another bench is there again', async () => {
  window.localStorage.clear();
  const { answer } = furnishBrowser();
  answer.with = () => ({ content: { note: true }, at: '2030-01-01T00:00:00.000000Z' });
  table(null);
  await screen.findByRole('columnheader', { name: 'Note' });
  expect(shown()).toEqual(['Tag', 'Note']);
});

test('the file of what is seen is CSV, and no formula', () => {
  expect(csvOf(columns, rows)).toBe(`Tag,Note\r\nGK-0002,"hums, then stops"\r\nGK-0001,"'=1+1"\r\n`);
});
