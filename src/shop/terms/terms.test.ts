import { randomUUID } from 'node:crypto';
import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { agreedJob } from '../agree/offered.fixture';
import { issueDocument } from '../documents/issueDocument';
import { base, refusal, testShop } from '../scene.fixture';
import { AmendTermsDto, type TermsView } from './dto';
import { amendPhrases, amendSchools, amendTerms, termsOf } from './terms';

const shop = testShop();
const owner = () => ({ ...shop.person, role: 'owner' as const });
const dtoOf = (t: TermsView, more: Partial<AmendTermsDto> = {}): AmendTermsDto => ({
  key: randomUUID(),
  version: t.version,
  locale: t.locale,
  currency: t.currency,
  labourMinor: t.labourMinor,
  agreeFirst: t.agreeFirst,
  charges: t.charges,
  taxes: { ...t.taxes, taxes: t.taxes.taxes.map((x) => ({ ...x, on: [...x.on] })) },
  letterhead: t.letterhead,
  ...more,
});
const amend = async (more: Partial<AmendTermsDto>) => amendTerms(owner(), dtoOf(await termsOf(), more));
const TAX = { id: 'vat', label: 'VAT', per100k: 20_000, on: ['part' as const] };

test('what a shop has not said is what is usual, and what it says is kept', async () => {
  const first = await termsOf();
  expect(first.charges).toMatchObject({ stepMinutes: 5, warrantyDays: 90, diagnosisMinor: 0 });
  expect([first.agreeFirst, first.taxes.taxes, first.labourMinor]).toEqual([true, [], null]);
  const now = await amend({
    labourMinor: 6600,
    locale: 'en-GB',
    charges: { ...first.charges, leastMinor: 2500 },
    taxes: { taxes: [TAX], included: true, perLine: false, rounding: 'half-up' },
  });
  expect([now.labourMinor, now.charges.leastMinor, now.taxes.included]).toEqual([6600, 2500, true]);
  expect((await termsOf()).version).toBe(first.version + 1);
});

test.each([
  ['locale', { locale: 'not a language!' }],
  ['currency', { currency: 'QQQ' }],
  ['taxes.taxes', { taxes: { taxes: [TAX, TAX], included: false, perLine: false, rounding: 'half-even' as const } }],
])('%s that cannot be is refused at its field, and nothing is written', async (field, more) => {
  const before = await termsOf();
  expect((await refusal(amend(more))).fields.map((f) => f.field)).toEqual([field]);
  expect(await termsOf()).toEqual(before);
});

test('an account with wrong check digits is refused', async () => {
  const { letterhead } = await termsOf();
  const wrong = amend({ letterhead: { ...letterhead, iban: 'DE89370400440532013001' } });
  expect((await refusal(wrong)).fields[0]).toEqual({
    field: 'letterhead.iban',
    message: 'Its check digits are wrong.',
  });
  await amend({ letterhead: { ...letterhead, iban: 'DE89370400440532013000' } });
});

test.each([
  ['stepMinutes', 0],
  ['stepMinutes', 61],
  ['leastMinor', -1],
  ['leastMinor', 12.5],
  ['deposit100k', 100_001],
  ['offerDays', 0],
])('charges: %s of %d is refused at its field', async (name, value) => {
  const dto = dtoOf(await termsOf());
  const problems = await validate(
    plainToInstance(AmendTermsDto, { ...dto, charges: { ...dto.charges, [name]: value } }),
  );
  expect(problems.flatMap((p) => p.children?.map((c) => c.property) ?? [])).toEqual([name]);
});

test('two who change it at once: the second sees what the first wrote', async () => {
  const seen = await termsOf();
  await amendTerms(owner(), dtoOf(seen, { agreeFirst: false }));
  const late = await refusal(amendTerms(owner(), dtoOf(seen, { agreeFirst: true })));
  expect([late.status, (late.extra.current as TermsView).agreeFirst]).toEqual([409, false]);
  await amend({ agreeFirst: true });
});

test('the currency stays once a paper was given in it', async () => {
  await amend({ labourMinor: 6000 });
  const { job } = await agreedJob(shop.person, shop.models['upright-shaft-belt']!);
  await issueDocument(shop.person, job, { ...(await base(job)), kind: 'invoice' });
  expect((await refusal(amend({ currency: 'EUR' }))).fields[0]!.message).toMatch(/^Papers were given in USD/);
});

test('a school and a language are the shop’s own; what there is not is refused by its place', async () => {
  const version = async () => (await termsOf()).version;
  const schools = [{ id: 'interlock', side: 'b' as const }];
  const chosen = await amendSchools(owner(), { key: randomUUID(), version: await version(), schools });
  expect(chosen.schools).toEqual({ interlock: 'b' });
  const wrong = amendSchools(owner(), {
    key: randomUUID(),
    version: await version(),
    schools: [...schools, { id: 'moon', side: 'a' }],
  });
  expect((await refusal(wrong)).fields[0]!.field).toBe('schools[1].id');
  const write = async (text: string) =>
    amendPhrases(owner(), {
      key: randomUUID(),
      version: await version(),
      language: 'nb',
      phrases: [{ id: 'no', text }],
    });
  expect((await write('Nei')).phrases).toEqual({ nb: { no: 'Nei' } });
  // Emptied, it is told in the shop's own language again.
  expect((await write('  ')).phrases).toEqual({ nb: {} });
});

test('nobody but the owner changes rates', async () => {
  const dto = dtoOf(await termsOf());
  await expect(amendTerms({ ...shop.person, role: 'counter' }, dto)).rejects.toMatchObject({ status: 403 });
});
