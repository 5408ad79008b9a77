import { randomBytes, randomUUID } from 'node:crypto';
import { offeredJob } from '../agree/offered.fixture';
import { readJob } from '../odds/readJob';
import { recordFindings } from '../recordFindings/recordFindings';
import { amendPhrases, termsOf } from '../terms/terms';
import { base, openJob, refusal, testShop } from '../scene.fixture';
import { answerByLink, linkPhotograph, linkView, makeLink, revokeLink } from './links';

const shop = testShop();
const K1 = 'upright-shaft-belt';
let place = 0;
/** Each test comes from an address of its own. */
const from = () => `198.51.100.${(place += 1)}`;

beforeAll(async () => {
  await shop.db('shop').update({ labour_minor: 6000 });
});

async function linked(): Promise<{ job: number; token: string }> {
  const job = await offeredJob(shop.person, shop.models[K1]!);
  const { path } = await makeLink(shop.person, job, { key: randomUUID(), days: 30 });
  return { job, token: path.replace('/o/', '') };
}
const yes = async (job: number) => ({
  key: randomUUID(),
  estimate: (await readJob(job)).agree.estimate!.id,
  says: 'yes' as const,
  offer: 'minimum' as const,
  who: 'Jory Marsk',
  words: 'Please do.',
});

test('the page shows this machine and its offers, and nothing else of the shop', async () => {
  const { job, token } = await linked();
  const other = await openJob(shop.person, shop.models[K1]!, ['squeal'], { words: 'A secret of somebody else' });
  const view = await linkView(token, from());
  expect(view.estimate!.columns[0]!.minor).toBe((await readJob(job)).agree.estimate!.offers[0]!.bill.grossMinor);
  expect(JSON.stringify(view)).not.toMatch(/secret of somebody/);
  expect(view.answered).toBeNull();
  await expect(linkPhotograph(token, from(), 999)).rejects.toMatchObject({ status: 404 });
  expect((await readJob(other)).agree.links).toEqual([]);
});

test('a yes on the page is a yes in the job, said by nobody of the shop; the second is refused', async () => {
  const { job, token } = await linked();
  const dto = await yes(job);
  const view = await answerByLink(token, from(), dto);
  expect(view.answered).toMatchObject({ says: 'yes', who: 'Jory Marsk' });
  const { agree } = await readJob(job);
  expect([agree.standing, agree.offer, agree.answers.at(-1)!.way, agree.answers.at(-1)!.by]).toEqual([
    'agreed',
    'minimum',
    'link',
    null,
  ]);
  const [told] = await shop.db('timeline').where({ job_id: job, what: 'answer' });
  expect(told.person_id).toBeNull();
  // Pressed twice it is one answer; pressed anew it is refused.
  await answerByLink(token, from(), dto);
  expect((await refusal(answerByLink(token, from(), await yes(job)))).fields[0]!.message).toMatch(/answered already/);
  expect((await readJob(job)).agree.answers).toHaveLength(1);
});

test('an offer that was changed meanwhile is looked at again', async () => {
  const { job, token } = await linked();
  const dto = { ...(await yes(job)), estimate: 999_999 };
  expect((await refusal(answerByLink(token, from(), dto))).status).toBe(409);
});

test('an old offer is not agreed to once something else was found', async () => {
  const { job, token } = await linked();
  await answerByLink(token, from(), await yes(job));
  await recordFindings(shop.person, job, {
    ...(await base(job)),
    findings: [{ check: 'filter-look', outcome: 'filter-grey' }],
  });
  expect((await linkView(token, from())).isClosed).toBe(true);
  expect((await refusal(answerByLink(token, from(), await yes(job)))).status).toBe(409);
  expect((await readJob(job)).agree.standing).toBe('found-since');
});

test('a link that was taken back, or has run out, opens nothing', async () => {
  const { job, token } = await linked();
  await revokeLink(shop.person, job, await base(job));
  await expect(linkView(token, from())).rejects.toMatchObject({ status: 404 });
  const again = await linked();
  await shop.db('customer_link').update({ expires_at: shop.db.raw("now() - interval '1 second'") });
  await expect(linkView(again.token, from())).rejects.toMatchObject({ status: 404 });
});

test('guessed ten thousand times it opens nothing, and the guesser is soon not listened to', async () => {
  const { token } = await linked();
  const address = from();
  const fates = new Map<number, number>();
  for (let n = 0; n < 10_000; n++) {
    const guess =
      n % 3 === 0 ? token.slice(0, -1) + 'AEIMQUYcgkosw048'[n % 16]! : randomBytes(32).toString('base64url');
    if (guess === token) continue;
    const status = await linkView(guess, address).then(
      () => 200,
      (error: { status: number }) => error.status,
    );
    fates.set(status, (fates.get(status) ?? 0) + 1);
  }
  expect([...fates.keys()].sort()).toEqual([404, 429]);
  expect(fates.get(404)).toBe(20);
  // Who has the right address from elsewhere is not hindered.
  expect((await linkView(token, from())).estimate).not.toBeNull();
});

test('no link without something to answer', async () => {
  const job = await openJob(shop.person, shop.models[K1]!, ['squeal']);
  const refused = await refusal(makeLink(shop.person, job, { key: randomUUID(), days: 30 }));
  expect(refused.fields[0]!.message).toMatch(/make an estimate first/);
});

test('the owner reads it in their own language where the shop has written it, the rest in the shop’s', async () => {
  const { job, token } = await linked();
  const customer = (await readJob(job)).customer.id;
  await amendPhrases(
    { ...shop.person, role: 'owner' },
    {
      key: randomUUID(),
      version: (await termsOf()).version,
      language: 'nb',
      phrases: [
        { id: 'question', text: 'Hva skal vi gjøre?' },
        { id: 'no', text: ' ' },
      ],
    },
  );
  expect((await linkView(token, from())).words.question).toBe('What shall we do?');
  await shop.db('customer').where({ id: customer }).update({ language: 'nb' });
  const view = await linkView(token, from());
  expect([view.language, view.words.question, view.words.no]).toEqual([
    'nb',
    'Hva skal vi gjøre?',
    'No: give it back as it is',
  ]);
  // Nobody has written this one: nothing of it is told.
  await shop.db('customer').where({ id: customer }).update({ language: 'fi' });
  expect((await linkView(token, from())).language).toBe('en');
});
