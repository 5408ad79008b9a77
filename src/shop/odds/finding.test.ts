import type { Knex } from 'knex';
import { openTestShop } from '../testShop.fixture';
import { openapi } from '../openapi/openapi';
import { ProblemError } from '../problem';
import { readDto } from '../readDto';
import { FindingRequestDto } from '../finding/dto';
import { finding } from './finding';
import { shippedKnowledge } from '../finding/shippedKnowledge';

let close: () => Promise<void>;
let db: Knex;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
});
afterAll(() => close());

const ask = async (body: unknown) => finding(await readDto(FindingRequestDto, body));
const fieldsOf = async (body: unknown) => {
  const error = await ask(body).catch((e: unknown) => e);
  expect(error).toBeInstanceOf(ProblemError);
  expect((error as ProblemError).status).toBe(400);
  return (error as ProblemError).fields.map((f) => f.field).sort();
};
const dead = { kind: 'upright-brush-motor', mainsV: 120, openedBefore: false, complaints: ['roll-not-turning'] };

test('answers with odds, explanations, next checks and what they stand on', async () => {
  const answer = await ask({
    ...dead,
    findings: [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'head-socket-volts', value: 0.117, unit: 'kV', condition: 'roll-on' },
    ],
  });
  expect(answer.faults[0]!.id).toBe('tilt-switch-failed');
  expect(answer.faults[0]!.evidence.length).toBeGreaterThan(0);
  expect(answer.explanations[0]!.probability).toBeGreaterThan(0);
  expect(answer.next[0]).toMatchObject({
    minutes: expect.any(Number),
    openingMinutes: expect.any(Number),
    saving: expect.any(Number),
    heldBackBy: [],
  });
  expect(answer.basis).toMatchObject({ method: 'exact', kindJobs: 0 });
  expect(answer.readings[0]!.readAs[0]).toMatchObject({ outcome: 'supply' });
  expect(await db('finding').count()).toEqual([{ count: 0 }]);
});

describe('what cannot be used is refused field by field', () => {
  test('shapes', async () => {
    expect(await fieldsOf({ kind: 3, mainsV: 119, complaints: 'dead', findings: [{ outcome: 'x' }], wish: 1 })).toEqual(
      expect.arrayContaining(['complaints', 'findings[0].check', 'kind', 'mainsV', 'wish']),
    );
    expect(await fieldsOf([])).toEqual(['']);
  });
  test('ids', async () => {
    expect(await fieldsOf({ ...dead, kind: 'teapot', findings: [] })).toEqual(['kind']);
    expect(
      await fieldsOf({
        ...dead,
        complaints: ['sings', 'dead', 'dead'],
        cleared: ['fear'],
        madeNew: ['belt-broken', 'gremlins'],
        findings: [
          { check: 'belt-against-new', value: 1, unit: '%' },
          { check: 'finger-turn', outcome: 'purple' },
        ],
      }),
    ).toEqual([
      'cleared[0]',
      'complaints[0]',
      'complaints[2]',
      'findings[0].check',
      'findings[1].outcome',
      'madeNew[1]',
    ]);
  });
  test('units, numbers, conditions, answers given twice', async () => {
    expect(
      await fieldsOf({
        ...dead,
        findings: [
          { check: 'head-socket-volts', value: 5, unit: 'kPa' },
          { check: 'head-socket-volts', value: 4000, unit: 'V' },
          { check: 'head-socket-volts', value: 5, unit: 'V', condition: 'under-water' },
          { check: 'finger-turn', value: 5, unit: 'V' },
          { check: 'finger-turn', outcome: 'stuck' },
          { check: 'finger-turn', outcome: 'stiff' },
          { check: 'repair:gremlins', outcome: 'gone' },
          { check: 'repair:belt-broken', outcome: 'maybe' },
        ],
      }),
    ).toEqual([
      'findings[0].unit',
      'findings[1].value',
      'findings[2].condition',
      'findings[3].value',
      'findings[5].check',
      'findings[6].check',
      'findings[7].outcome',
    ]);
  });
  test('numbers that are none', async () => {
    expect(await fieldsOf({ ...dead, findings: [{ check: 'head-socket-volts', value: 'NaN', unit: 'V' }] })).toEqual([
      'findings[0].value',
    ]);
  });
});

test('the published knowledge names every unit that a reading takes', () => {
  const { checks, units } = shippedKnowledge();
  for (const check of checks)
    for (const aspect of check.aspects)
      if (aspect.reading) expect(units[aspect.reading.quantity]!.accepted).toContain(aspect.reading.unit);
});

test('the OpenAPI document is made from the classes and leaves no reference open', () => {
  const document = openapi();
  expect(document.openapi).toBe('3.1.0');
  const names = Object.keys(document.components.schemas);
  expect(names).toEqual(expect.arrayContaining(['FindingRequestDto', 'FindingAnswerDto', 'TakeInDto', 'HandBackDto']));
  const references = [...JSON.stringify(document).matchAll(/#\/components\/schemas\/(\w+)/g)].map((m) => m[1]!);
  expect(references.filter((r) => !names.includes(r))).toEqual([]);
  const request = (document.components.schemas as Record<string, unknown>).FindingRequestDto as {
    required: string[];
    properties: Record<string, unknown>;
  };
  expect(request.required).toEqual(expect.arrayContaining(['kind', 'mainsV', 'complaints', 'findings']));
  expect(request.properties.findings).toMatchObject({
    type: 'array',
    items: { $ref: '#/components/schemas/FindingDto' },
  });
});
