import { randomUUID } from 'node:crypto';
import PostalMime from 'postal-mime';
import { insertMessage } from '@/data/mail';
import { offeredJob } from '../agree/offered.fixture';
import { linkView } from '../links/links';
import { base, refusal, testShop } from '../scene.fixture';
import { amendMail, mailView } from './mailSettings';
import { pauseS, sendWaiting } from './mailQueue';
import { openMailStandIn } from './mailStandIn';
import { sendAgain } from './outbox';
import { sendMessage } from './sendMessage';

const shop = testShop();
const K1 = 'upright-shaft-belt';
let standIn: Awaited<ReturnType<typeof openMailStandIn>>;
const owner = () => ({ ...shop.person, role: 'owner' as const });

beforeAll(async () => {
  await shop.db('shop').update({ labour_minor: 6000 });
  standIn = await openMailStandIn(0);
});
afterAll(() => standIn.close());

const settings = async (more: object = {}) => ({
  key: randomUUID(),
  version: (await mailView()).version,
  host: '127.0.0.1',
  port: standIn.port,
  tls: false,
  user: 'desk',
  from: 'Test bench <desk@shop.example>',
  publicUrl: 'https://shop.example',
  ...more,
});
const message = async (job: number, more: object = {}) =>
  sendMessage(shop.person, job, {
    ...(await base(job)),
    to: 'jory@house.example',
    subject: 'Your machine',
    words: 'It was the belt.',
    withLink: true,
    ...more,
  });

test('nothing is sent before a server is set up; its secret is kept enciphered and shown to nobody', async () => {
  const job = await offeredJob(shop.person, shop.models[K1]!);
  expect((await refusal(message(job))).fields[0]!.message).toMatch(/No mail server/);
  const view = await amendMail(owner(), await settings({ secret: 'open sesame' }));
  expect(view.hasSecret).toBe(true);
  expect(JSON.stringify(view)).not.toMatch(/sesame/);
  const [{ sealed }] = await shop.db('mail_secret');
  expect((sealed as Buffer).toString('latin1')).not.toMatch(/sesame/);
  expect(JSON.stringify(await shop.db('audit').select('*'))).not.toMatch(/sesame/);
  expect((await refusal(amendMail(owner(), await settings({ from: ' ' })))).fields[0]!.field).toBe('from');
});

test('a message goes out once, and the page that it names opens', async () => {
  const job = await offeredJob(shop.person, shop.models[K1]!);
  await message(job);
  // Two servers look at once: one of them sends it.
  const sent = await Promise.all([sendWaiting(), sendWaiting(), sendWaiting()]);
  expect(sent.reduce((a, b) => a + b)).toBe(1);
  const [mail] = await shop.db('stand_in_mail').orderBy('id', 'desc');
  expect(mail.recipients).toEqual(['jory@house.example']);
  const read = await PostalMime.parse(mail.raw as string);
  expect([read.subject, read.from!.address]).toEqual(['Your machine', 'desk@shop.example']);
  const token = /https:\/\/shop\.example\/o\/(\S+)/.exec(read.text!)![1]!;
  expect((await linkView(token, '203.0.113.9')).estimate).not.toBeNull();
  expect(await sendWaiting()).toBe(0);
});

test('a line break in a subject or an address that is none gets nowhere near a header', async () => {
  const { SendMessageDto } = await import('./dto');
  const { readDto } = await import('../readDto');
  const good = { key: randomUUID(), version: 1, to: 'a@b.example', subject: 'x', words: 'y', withLink: false };
  for (const bad of [{ subject: 'x\r\nBcc: all@b.example' }, { to: 'a@b.example\nBcc: c@d.example' }, { to: 'nobody' }])
    expect((await refusal(readDto(SendMessageDto, { ...good, ...bad }))).status).toBe(400);
});

test('what the server refuses is tried again later and later, then given up, and can be tried anew', async () => {
  await insertMessage(shop.db, {
    job_id: null,
    address: 'bounce@house.example',
    subject: 'x',
    body: 'y',
    person_id: shop.person.id,
  });
  const row = async () => (await shop.db('message').where({ address: 'bounce@house.example' }))[0];
  const again = () =>
    shop.db('message').where({ address: 'bounce@house.example' }).update({ next_try_at: shop.db.fn.now() });
  expect(await sendWaiting()).toBe(0);
  const first = await row();
  expect([first.state, first.tries]).toEqual(['waiting', 1]);
  expect(first.last_error).toMatch(/No such mailbox/);
  // Not before its pause is over.
  expect(await sendWaiting()).toBe(0);
  expect((await row()).tries).toBe(1);
  for (let n = 2; n <= 8; n++) {
    await again();
    await sendWaiting();
  }
  expect([(await row()).state, (await row()).tries]).toEqual(['failed', 8]);
  await sendAgain(shop.person, first.id as number, { key: randomUUID() });
  expect((await row()).state).toBe('waiting');
  await expect(sendAgain(shop.person, first.id as number, { key: randomUUID() })).rejects.toMatchObject({
    status: 404,
  });
});

test('the pause doubles from half a minute', () => {
  expect([1, 2, 3, 7, 8].map(pauseS)).toEqual([30, 60, 120, 1920, null]);
});

test('a server that is not there loses nothing', async () => {
  await amendMail(owner(), await settings({ port: 1 }));
  const job = await offeredJob(shop.person, shop.models[K1]!);
  await message(job, { withLink: false });
  expect(await sendWaiting()).toBe(0);
  const [row] = await shop.db('message').where({ job_id: job });
  expect([row.state, row.tries]).toEqual(['waiting', 1]);
  expect(row.last_error).not.toBe('');
});
