/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { schools } from '@/knowledge/schools';
import type { DocumentsView, TakingsView } from '@/shop/documents/dto';
import type { TermsView } from '@/shop/terms/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { MoneyScreen } from './MoneyScreen';

const refreshed = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => refreshed() }) }));

const terms: TermsView = {
  version: 3,
  locale: 'en-US',
  currency: 'USD',
  labourMinor: 6000,
  agreeFirst: true,
  charges: {
    stepMinutes: 10,
    diagnosisMinor: 2500,
    leastMinor: 0,
    materialsMinor: 250,
    callOutMinor: 0,
    deposit100k: 20_000,
    warrantyDays: 90,
    offerDays: 30,
    askAgainDays: 3,
  },
  taxes: {
    taxes: [{ id: 'tax-1', label: 'Harbour tax', per100k: 6000, on: ['labour', 'part', 'material', 'fee'] }],
    included: false,
    perLine: false,
    rounding: 'half-even',
  },
  letterhead: {
    address: '1 Quay',
    phone: '',
    taxNumber: '',
    iban: '',
    bic: '',
    country: 'US',
    payDays: 14,
    footer: '',
  },
  schools: {},
  phrases: {},
};
const takings: TakingsView = {
  day: '2030-03-04',
  currency: 'USD',
  locale: 'en-US',
  taken: [{ how: 'cash', minor: 21240, count: 3 }],
  closed: null,
};
const documents: DocumentsView = { documents: [], before: null, locale: 'en-US' };

function show(refused?: object, more: Partial<Parameters<typeof MoneyScreen>[0]> = {}) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? (refused ?? {}) : { content: null, at: null });
  stand(<MoneyScreen terms={terms} takings={takings} documents={documents} mayAmend {...more} />);
  return (path: string) => sent.filter((s) => s.method === 'POST' && s.url.endsWith(path)).map((s) => s.body);
}
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = async (name: string | RegExp) => {
  fireEvent.click(screen.getByRole('button', { name }));
  await act(async () => {});
};

beforeEach(() => {
  window.localStorage.clear();
  refreshed.mockClear();
});

describe('the drawer', () => {
  test('is counted in an amount; what is none is told at its field, and the day stays open', async () => {
    const closed = show();
    for (const typed of ['', '21x', '1,200']) {
      type('Counted in the drawer', typed);
      await press('Close the day');
      expect(await screen.findByText('An amount, such as 12.50.')).toBeTruthy();
    }
    expect(closed('/close-day')).toEqual([]);
    type('Counted in the drawer', '212.40');
    type('If it differs, why', 'One coin was foreign.');
    await press('Close the day');
    await waitFor(() => expect(closed('/close-day')).toHaveLength(1));
    expect(closed('/close-day')[0]).toMatchObject({
      day: '2030-03-04',
      countedMinor: 21240,
      note: 'One coin was foreign.',
    });
    expect(refreshed).toHaveBeenCalled();
  });

  test('a refusal of the server stands at its field, with what was typed', async () => {
    show({ status: 409, title: 'This day is closed already.', fields: [] });
    type('Counted in the drawer', '5');
    await press('Close the day');
    expect(await screen.findByText('This day is closed already.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Counted in the drawer').value).toBe('5');
    expect(refreshed).not.toHaveBeenCalled();
  });

  test('once it is closed it tells what was there and what should have been', () => {
    const closed = { expectedMinor: 21240, countedMinor: 21140, note: 'One short.', at: '2030-03-04T18:00:00Z' };
    show(undefined, { takings: { ...takings, closed } });
    const section = within(screen.getByRole('region', { name: 'Takings' }));
    expect(section.getByText('Closed: $211.40 in the drawer, $212.40 expected. One short.')).toBeTruthy();
    expect(section.queryByRole('button', { name: 'Close the day' })).toBeNull();
  });
});

describe('what is charged', () => {
  const open = async () => {
    const put = show();
    fireEvent.click(
      within(screen.getByRole('region', { name: 'What is charged' })).getByRole('button', { name: 'Change' }),
    );
    await screen.findByLabelText('Begun steps of, minutes');
    return () => put('/shop/terms');
  };

  test.each([
    ['Begun steps of, minutes', ''],
    ['We stand for it, days', ''],
    ['An offer holds, days', '20x9'],
    ['Rate 1, %', '1,200'],
    ['An hour, USD', 'sixty'],
  ])('%s left as “%s” is told at its field, and goes neither as nought nor as another number', async (label, typed) => {
    const put = await open();
    type(label, typed);
    await press(/^Save/);
    await waitFor(() => expect(screen.getByLabelText(label).getAttribute('aria-invalid')).toBe('true'));
    expect(put()).toEqual([]);
  });

  test('what was changed goes with everything that was not', async () => {
    const put = await open();
    type('An hour, USD', '66.50');
    type('Deposit, per cent', '12,5');
    await press(/^Save/);
    await waitFor(() => expect(put()).toHaveLength(1));
    expect(put()[0]).toMatchObject({
      version: 3,
      labourMinor: 6650,
      charges: { ...terms.charges, deposit100k: 12_500 },
      taxes: { taxes: [{ label: 'Harbour tax', per100k: 6000 }], included: false },
    });
  });

  test('who may not change it sees it, and no way to', () => {
    show(undefined, { mayAmend: false });
    expect(screen.getByText('20 % of the least offer')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Change' })).toBeNull();
    expect(screen.queryByRole('button', { name: /^Rather:/ })).toBeNull();
  });
});

test('of two schools the other is chosen with one press, and only that one changes', async () => {
  const put = show();
  const [first] = schools;
  const other = first!.usual === 'a' ? 'b' : 'a';
  fireEvent.click(screen.getAllByRole('button', { name: `Rather: ${first![other]}` })[0]!);
  await waitFor(() => expect(put('/shop/schools')).toHaveLength(1));
  expect(put('/shop/schools')[0]).toMatchObject({ version: 3, schools: [{ id: first!.id, side: other }] });
});
