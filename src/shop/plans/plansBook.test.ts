import Ajv2020 from 'ajv/dist/2020';
import { randomUUID } from 'node:crypto';
import { insertPerson } from '@/data/people';
import { knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { openJob, refusal, testShop } from '../scene.fixture';
import { plansBook, readPlans } from './plansBook';
import { plansSchema } from './plansSchema';

const shop = testShop();
const KIND = 'upright-shaft-belt';
const fits = new Ajv2020({ strict: false }).compile(plansSchema);
let owner: Person;
beforeAll(async () => {
  const id = await insertPerson(shop.db, { sign_in: 'own', name: 'Own', role: 'owner', passphrase_hash: 'x' });
  owner = { id, name: 'Own', role: 'owner' };
});
const read = (plans: unknown) => readPlans.from(owner, { key: randomUUID(), plans });
const plain = (book: unknown) => JSON.parse(JSON.stringify(book)) as Awaited<ReturnType<typeof plansBook>>;
/** As a screen sends it: the rest of a file is for readers. */
const sent = ({ form, kind, items }: Awaited<ReturnType<typeof plansBook>>) => ({
  form,
  kind,
  items: items.map(({ item, own }) => ({ item, own })),
});

test('the plan of every kind is what the schema says', async () => {
  for (const { id } of knowledge.kinds) {
    const book = plain(await plansBook(id));
    expect(fits(book) ? [] : fits.errors).toEqual([]);
    expect(book.items.length).toBeGreaterThan(0);
  }
  expect(fits({ ...plain(await plansBook(KIND)), form: 'grit-keeper/plans/2' })).toBe(false);
  await expect(plansBook('no-such-kind')).rejects.toMatchObject({ status: 404 });
});

test('what goes out comes in again; an item that is not named stays; all machines of the kind follow', async () => {
  await openJob(shop.person, shop.models[KIND]!, ['squeal']);
  await shop.db('plan_stale').delete();
  await read({
    form: 'grit-keeper/plans/1',
    kind: KIND,
    items: [
      { item: 'flat-belt', own: { days: 200, uses: 90, why: 'Ours.' } },
      { item: 'roll-hair', own: { days: 45, why: '' } },
    ],
  });
  const book = plain(await plansBook(KIND));
  expect(book.items.find((i) => i.item === 'flat-belt')!.own).toEqual({
    days: 200,
    hours: null,
    uses: 90,
    why: 'Ours.',
  });
  expect(await shop.db('plan_stale')).not.toEqual([]);
  await read({ form: 'grit-keeper/plans/1', kind: KIND, items: [{ item: 'flat-belt', own: null }] });
  const after = await plansBook(KIND);
  expect(after.items.filter((i) => i.own !== null).map((i) => i.item)).toEqual(['roll-hair']);
  await read(sent(book));
  expect(plain(await plansBook(KIND))).toEqual(book);
});

test('what cannot be read is refused at its place, and nothing of it is taken', async () => {
  const fields = async (more: object) =>
    (await refusal(read({ form: 'grit-keeper/plans/1', kind: KIND, items: [], ...more }))).fields.map((f) => f.field);
  expect(await fields({ form: 'something/1' })).toEqual(['plans.form']);
  expect(await fields({ kind: 'no-such-kind' })).toEqual(['plans.kind']);
  const good = { item: 'flat-belt', own: { days: 11, why: '' } };
  expect(await fields({ items: [good, { item: 'cells-watered', own: null }] })).toEqual(['plans.items[1].item']);
  expect(await fields({ items: [good, good] })).toEqual(['plans.items[1].item']);
  expect(await fields({ items: [{ item: 'flat-belt', own: { why: '' } }] })).toEqual(['plans.items[0].own']);
  expect(await fields({ items: [{ item: 'flat-belt', own: { days: 0, why: '' } }] })).toEqual([
    'plans.items[0].own.days',
  ]);
  expect((await plansBook(KIND)).items.find((i) => i.item === 'flat-belt')!.own?.days).not.toBe(11);
});
