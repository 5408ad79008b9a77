/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { InstrumentView } from '@/shop/instruments/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { MeasuringScreen } from './MeasuringScreen';

let refreshed = 0;
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => refreshed++ }) }));

const tester: InstrumentView = {
  id: 3,
  version: 2,
  name: 'Safety tester',
  measures: 'earth, insulation',
  goodToPercent: 3,
  calibratedOn: '2029-01-02',
  everyMonths: 12,
  dueOn: '2030-01-02',
  state: 'past',
  certificate: 'drawer',
  note: '',
  outOfUse: false,
};
const show = (mayUsual = true, usual = {}) =>
  stand(
    <MeasuringScreen
      instruments={[tester]}
      units="metric"
      usual={usual}
      mayInstruments={mayUsual}
      mayUsual={mayUsual}
    />,
  );
const settle = () => act(async () => {});

test('an instrument stands with until when it may be trusted, and is changed by its version', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = () => ({ ...tester, version: 3 });
  show();
  const list = screen.getByRole('region', { name: 'Instruments' });
  expect(list.textContent).toMatch(/2030-01-02 ran out: what it reads proves nothing/);
  fireEvent.click(screen.getByRole('button', { name: 'Change Safety tester' }));
  // The sheet is fetched when it is opened.
  fireEvent.change(await screen.findByLabelText('Good to, %'), { target: { value: '1,5' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await settle();
  await settle();
  const post = sent.find((s) => s.method === 'POST')!;
  expect([post.url, post.body]).toEqual([
    '/api/v1/instruments/3/put-instrument',
    expect.objectContaining({ version: 2, goodToPercent: 1.5, everyMonths: 12, calibratedOn: '2029-01-02' }),
  ]);
  expect(refreshed).toBeGreaterThan(0);
});

test('the shop’s limits are a table that is kept for everybody; what cannot be read is not', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = () => ({ gauge: 'safety-test' });
  show();
  const safety = within(screen.getByRole('region', { name: 'Safety test' }));
  const keep = () => safety.getByRole<HTMLButtonElement>('button', { name: 'Keep for everybody' });
  expect(keep().disabled).toBe(true);
  const cell = safety.getByRole('textbox', { name: 'Earth, row 1' });
  fireEvent.change(cell, { target: { value: 'much' } });
  expect([keep().disabled, safety.getByRole('alert').textContent]).toEqual([true, expect.stringMatching(/Line 1/)]);
  fireEvent.change(cell, { target: { value: '0.2' } });
  fireEvent.change(safety.getByRole('textbox', { name: 'Edition, row 1' }), { target: { value: '2020+A1' } });
  fireEvent.click(keep());
  await settle();
  await settle();
  const post = sent.find((s) => s.method === 'POST')!;
  expect(post.url).toBe('/api/v1/gauges/usual');
  const { inputs } = post.body as { inputs: { table: string } };
  expect(inputs.table.split('\n')[0]).toBe('IEC; I; 0.2; 1; 0.5; 3.5; 2020+A1');
  expect(keep().disabled).toBe(true);
  fireEvent.click(safety.getByRole('button', { name: 'As shipped' }));
  expect(safety.getByRole<HTMLInputElement>('textbox', { name: 'Earth, row 1' }).value).toBe('0.1');
});

test('who may change nothing sees all of it and no button', () => {
  furnishBrowser();
  show(false, { belt: { stretch: '7' } });
  expect(screen.queryByRole('button', { name: 'Keep for everybody' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Add an instrument' })).toBeNull();
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Stretch wanted, %' }).value).toBe('7');
});
