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
const request = fc.record(
  {
    kind: fc.oneof({ weight: 5, arbitrary: pick(knowledge.kinds.map((k) => k.id)) }, { weight: 1, arbitrary: junk }),
    mainsV: fc.oneof({ weight: 5, arbitrary: pick([24, 120, 230]) }, { weight: 1, arbitrary: junk }),
    complaints: fc.oneof(
      { weight: 4, arbitrary: fc.array(pick(knowledge.complaints.map((c) => c.id)), { maxLength: 3 }) },
      { weight: 1, arbitrary: junk },
    ),
    findings: fc.oneof({ weight: 4, arbitrary: fc.array(answer, { maxLength: 4 }) }, { weight: 1, arbitrary: junk }),
    openedBefore: fc.oneof(fc.boolean(), junk),
    ageYears: fc.oneof(fc.integer({ min: -5, max: 200 }), junk),
    modelId: fc.oneof(fc.integer(), junk),
    cleared: fc.oneof(fc.array(pick(knowledge.cautions.map((c) => c.id)), { maxLength: 2 }), junk),
  },
  { requiredKeys: [] },
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
  expect(answered).toBeGreaterThan(0);
  expect(refused).toBeGreaterThan(100);
  expect(await db('finding').count()).toEqual([{ count: 0 }]);
});
