import fc from 'fast-check';
import type { Knex } from 'knex';
import { openTestShop } from '../testShop.fixture';
import { knowledge } from '@/knowledge';
import { ProblemError } from '../problem';
import { readDto } from '../readDto';
import { FindingRequestDto } from '../finding/dto';
import { finding } from './finding';

let db: Knex;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
});
afterAll(() => close());

const pick = <T>(list: readonly T[]) => fc.constantFrom(...list);
const junk = fc.oneof(
  fc.string(),
  fc.integer(),
  fc.double(),
  fc.boolean(),
  fc.constant(null),
  fc.array(fc.string(), { maxLength: 3 }),
  fc.dictionary(fc.string(), fc.string(), { maxKeys: 3 }),
  pick(['__proto__', 'constructor', '\u0000', '🧹', 'drop table job', '-1', 'NaN']),
);
const checks = knowledge.checks.map((c) => c.id);
const outcomes = knowledge.checks.flatMap((c) => c.aspects.flatMap((a) => a.outcomes.map((o) => o.id)));
const answer = fc.oneof(
  fc.record({ check: fc.oneof(pick(checks), junk), outcome: fc.oneof(pick(outcomes), junk) }),
  fc.record({
    check: fc.oneof(pick(checks), junk),
    value: fc.oneof(fc.double(), junk),
    unit: fc.oneof(pick(['V', 'Ω', 'mm', 'kPa', 'A', '%', 'min']), junk),
    condition: fc.oneof(pick(['roll-on', 'machine', 'pressed']), junk),
  }),
  junk,
);
const mostly = <T>(good: fc.Arbitrary<T>) =>
  fc.oneof<fc.MaybeWeightedArbitrary<unknown>[]>({ weight: 5, arbitrary: good }, { weight: 1, arbitrary: junk });
const needed = {
  kind: mostly(pick(knowledge.kinds.map((k) => k.id))),
  mainsV: mostly(pick([24, 120, 230])),
  complaints: mostly(fc.array(pick(knowledge.complaints.map((c) => c.id)), { maxLength: 3 })),
  findings: mostly(fc.array(answer, { maxLength: 4 })),
};
const besides = {
  openedBefore: mostly(fc.boolean()),
  ageYears: mostly(fc.integer({ min: -5, max: 200 })),
  modelId: mostly(fc.integer()),
  madeNew: mostly(fc.array(pick(knowledge.faults.map((f) => f.id)), { maxLength: 2 })),
  cleared: mostly(fc.array(pick(knowledge.cautions.map((c) => c.id)), { maxLength: 2 })),
};
/** What one kind has; one field of it may still be anything. */
const sensible = pick(knowledge.kinds.map((k) => k.id)).chain((kind) => {
  const complaints = knowledge.complaints.filter((c) => c.kinds.includes(kind)).map((c) => c.id);
  const faults = knowledge.faults.filter((f) => kind in f.kinds).map((f) => f.id);
  return fc
    .tuple(
      fc.record({
        kind: fc.constant(kind),
        mainsV: pick([120, 230]),
        complaints: fc.uniqueArray(pick(complaints), { maxLength: 3 }),
        findings: fc.constant([]),
        ageYears: fc.integer({ min: 0, max: 60 }),
        madeNew: fc.uniqueArray(pick(faults), { maxLength: 3 }),
      }),
      fc.oneof({ weight: 2, arbitrary: fc.constant({}) }, fc.record(besides, { requiredKeys: [] })),
    )
    .map(([own, other]) => ({ ...own, ...other }));
});
const request = fc.oneof(
  sensible,
  fc.record({ ...needed, ...besides }, { requiredKeys: ['kind', 'mainsV', 'complaints', 'findings'] }),
  fc.record({ ...needed, ...besides }, { requiredKeys: [] }),
);

test('whatever is asked, the answer is odds or a refusal that names its fields, never a fault of the server', async () => {
  let [answered, refused] = [0, 0];
  await fc.assert(
    fc.asyncProperty(fc.oneof(request, junk), async (given) => {
      try {
        const answer = await finding(await readDto(FindingRequestDto, given));
        expect(answer.faults.length).toBeGreaterThan(0);
        answered++;
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        expect(error.status).toBe(400);
        expect(error.title).not.toBe('');
        refused++;
      }
    }),
    { numRuns: 400, seed: 11 },
  );
  // Both sorts were met, and nothing was kept of either.
  expect(answered).toBeGreaterThan(30);
  expect(refused).toBeGreaterThan(100);
  expect(await db('finding').count()).toEqual([{ count: 0 }]);
});
