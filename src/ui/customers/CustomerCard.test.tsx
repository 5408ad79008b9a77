/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { CustomerCardView } from '@/shop/customers/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { CustomerCard } from './CustomerCard';

const refreshed = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => refreshed() }) }));

const machine = { id: 1, tag: 'GK-0001', maker: 'Hollin', model: 'Rake', serial: 'S-1', openJob: 31, lastJobAt: null };
const card: CustomerCardView = {
  id: 8,
  version: 5,
  name: 'Staithe bakery',
  kind: 'business',
  phone: '555 0303',
  email: '',
  address: '2 Quay',
  standing: 'Ring before nine.',
  taxExempt: false,
  noLetters: false,
  language: '',
  mergedInto: null,
  sites: [{ id: 3, label: 'Back kitchen', address: '3 Quay', note: 'Key at the door' }],
  contacts: [{ id: 4, name: 'Jory Marsk', phone: '555 0404', email: '', task: 'keys' }],
  machines: [
    { ...machine, nextDueOn: '2030-03-01' },
    { ...machine, id: 2, tag: 'GK-0002', openJob: null, nextDueOn: '2030-04-01' },
  ],
  alike: [{ id: 9, name: 'Staithe Bakery', phone: '', machines: 1 }],
  today: '2030-03-04',
};

function show(answered: unknown = card, more: Partial<CustomerCardView> = {}, mayAmend = true) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? answered : { content: null, at: null });
  stand(<CustomerCard card={{ ...card, ...more }} mayAmend={mayAmend} mayAudit={false} />);
  return (deed: string) => sent.filter((s) => s.url.endsWith(`/customers/8/${deed}`)).map((s) => s.body);
}
const region = (name: string) => within(screen.getByRole('region', { name }));
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = async (label: string, value: string) =>
  fireEvent.change(await screen.findByLabelText(label), { target: { value } });

beforeEach(() => {
  window.localStorage.clear();
  refreshed.mockClear();
});

test('who they are, what is always so, where, whom to ask, and which machine is past its day or here', () => {
  show();
  expect(screen.getByText('Always: Ring before nine.')).toBeTruthy();
  const [, first, second] = region('Machines').getAllByRole('row');
  expect(first!.textContent).toMatch(/GK-0001.*2030-03-01 past.*here, job 31/);
  expect(second!.textContent).not.toMatch(/past|here/);
  expect(region('Contacts').getByText('Jory Marsk').closest('p')!.textContent).toMatch(/keys.*555 0404/);
  expect(region('Sites').getByText('Back kitchen').closest('p')!.textContent).toMatch(/3 Quay.*Key at the door/);
});

test('who may not amend sees no way to', () => {
  show(card, { contacts: [], sites: [], machines: [] }, false);
  expect(screen.queryByRole('button', { name: /Correct|Merge|Add/ })).toBeNull();
  for (const nothing of ['No machine of theirs is known.', 'Nobody else to ask for.', 'One place only.'])
    expect(screen.getByText(nothing)).toBeTruthy();
});

test('a contact is added without a number, and corrected under the one it has', async () => {
  const posts = show();
  fireEvent.click(region('Contacts').getByRole('button', { name: 'Add' }));
  await type('Name', 'Tess Fennock');
  await type('What for', 'invoices');
  press(/^Save/);
  await waitFor(() => expect(posts('put-contact')).toHaveLength(1));
  expect(posts('put-contact')[0]).toMatchObject({ version: 5, name: 'Tess Fennock', task: 'invoices' });
  expect(posts('put-contact')[0]).not.toHaveProperty('id');
  await waitFor(() => expect(refreshed).toHaveBeenCalled());
  press('Correct Jory Marsk');
  await type('Phone', '555 0999');
  press(/^Save/);
  await waitFor(() => expect(posts('put-contact')).toHaveLength(2));
  expect(posts('put-contact')[1]).toMatchObject({ id: 4, name: 'Jory Marsk', task: 'keys', phone: '555 0999' });
});

test('a contact without a name is told at its field, and not sent', async () => {
  const posts = show();
  fireEvent.click(region('Contacts').getByRole('button', { name: 'Add' }));
  await type('Phone', '555 0505');
  press(/^Save/);
  await waitFor(() => expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true'));
  expect(posts('put-contact')).toEqual([]);
});

test('a site that somebody else changed shows theirs beside what was typed, and what is saved then is on their version', async () => {
  const theirs = { ...card, version: 6, sites: [{ ...card.sites[0]!, address: '4 Quay' }] };
  const posts = show({ status: 409, title: 'Somebody changed this customer meanwhile.', fields: [], current: theirs });
  press('Correct Back kitchen');
  await type('Address', '5 Quay');
  press(/^Save/);
  const both = await screen.findByRole('table', { name: 'Both versions' });
  expect(both.textContent).toMatch(/4 Quay/);
  expect(both.textContent).toMatch(/5 Quay/);
  press(/^Save/);
  await waitFor(() => expect(posts('put-site')).toHaveLength(2));
  expect(posts('put-site').map((b) => (b as { version: number }).version)).toEqual([5, 6]);
});

test('a double is merged only when one was chosen', async () => {
  const posts = show();
  press('Merge a double');
  fireEvent.click(await screen.findByRole('button', { name: /^Merge it into this one/ }));
  await waitFor(() => expect(screen.getByText('The customer that goes into this one.')).toBeTruthy());
  expect(posts('merge-customers')).toEqual([]);
  fireEvent.mouseDown(screen.getByLabelText('The double'));
  fireEvent.click(screen.getByRole('option', { name: 'Staithe Bakery, no phone, 1 machine' }));
  fireEvent.click(screen.getByRole('button', { name: /^Merge it into this one/ }));
  await waitFor(() => expect(posts('merge-customers')).toHaveLength(1));
  expect(posts('merge-customers')[0]).toMatchObject({ version: 5, other: 9 });
  await act(async () => {});
});
