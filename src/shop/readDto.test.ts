import fc from 'fast-check';
import { SignInDto } from './access/dto';
import { FindingRequestDto } from './finding/dto';
import { readFindings } from './finding/readFindings';
import { kindById } from '@/knowledge';
import { knowledge } from '@/knowledge';
import { ProblemError } from './problem';
import { readDto } from './readDto';
import { TakeInDto } from './takeIn/dto';

describe('a body of any shape', () => {
  // Whatever is sent, the answer is a DTO or a refusal that names fields; never another error.
  test.each([SignInDto, TakeInDto, FindingRequestDto])(
    'is read or refused, never a fault: %p',
    async (type: new () => object) => {
      await fc.assert(
        fc.asyncProperty(
          fc.oneof(
            fc.jsonValue(),
            fc.dictionary(
              fc.constantFrom('kind', 'findings', 'complaints', 'key', 'words', '__proto__', 'constructor', 'signIn'),
              fc.jsonValue(),
            ),
          ),
          async (body) => {
            const result = await readDto(type, body).catch((e: unknown) => e);
            if (result instanceof Error) {
              expect(result).toBeInstanceOf(ProblemError);
              expect((result as ProblemError).fields.length).toBeGreaterThan(0);
            }
          },
        ),
        { numRuns: 300, seed: 2 },
      );
    },
  );

  test('nested fields are named by their way in', async () => {
    const error = (await readDto(FindingRequestDto, {
      kind: 'x',
      mainsV: 120,
      complaints: [],
      findings: [
        { check: 'a', outcome: 'b' },
        { check: 7, value: 'much' },
      ],
    }).catch((e: unknown) => e)) as ProblemError;
    expect(error.fields.map((f) => f.field)).toEqual(
      expect.arrayContaining(['findings[1].check', 'findings[1].value', 'findings[1].unit']),
    );
    expect(error.fields.every((f) => f.field.startsWith('findings[1].'))).toBe(true);
  });
});

describe('findings as they are sent', () => {
  const kind = kindById('upright-brush-motor');
  test('any id, unit and number is an answer or a named problem', () => {
    const id = fc.oneof(
      fc.string(),
      fc.constantFrom(...knowledge.checks.map((c) => c.id), 'repair:belt-broken', '__proto__'),
    );
    const finding = fc.record({
      check: id,
      outcome: fc.option(fc.string(), { nil: undefined }),
      value: fc.option(fc.double(), { nil: undefined }),
      unit: fc.constantFrom('V', 'Ω', 'kPa', 'mm', 'furlong'),
      condition: fc.option(fc.string(), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(finding, { maxLength: 6 }), (list) => {
        const usable = list.filter((f) => f.outcome !== undefined || f.value !== undefined);
        const { answers, problems } = readFindings(kind, 120, usable as Parameters<typeof readFindings>[2]);
        expect(answers.length + new Set(problems.map((p) => p.field.split('.')[0])).size).toBe(usable.length);
      }),
      { numRuns: 300, seed: 6 },
    );
  });

  test('a reading without a condition is taken under the first', () => {
    const { answers } = readFindings(kind, 120, [{ check: 'tilt-switch-ohms', value: 0.3, unit: 'ohm' }]);
    expect(answers).toEqual([{ check: 'tilt-switch-ohms', value: 0.3 }]);
  });

  test('the same check under two conditions is two answers; twice under one is refused', () => {
    const volts = (condition: string) => ({ check: 'head-socket-volts', value: 5, unit: 'V', condition });
    expect(readFindings(kind, 120, [volts('roll-on'), volts('roll-off')]).problems).toEqual([]);
    expect(readFindings(kind, 120, [volts('roll-on'), volts('roll-on')]).problems).toMatchObject([
      { field: 'findings[1].check' },
    ]);
  });
});

test('what is nested beyond reason is refused, not a fault of the server', async () => {
  const deep = (levels: number) => {
    let body: object = {};
    for (let i = 0; i < levels; i++) body = i % 2 ? { inner: body } : { inner: [body] };
    return body;
  };
  for (const levels of [13, 100_000])
    await expect(readDto(FindingRequestDto, deep(levels))).rejects.toMatchObject({
      status: 400,
      fields: [{ field: '', message: 'It is nested too deeply.' }],
    });
});
