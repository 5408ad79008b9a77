import { SignInDto } from './access/dto';
import { FindingRequestDto } from './finding/dto';
import { problemsOfBody } from './plainBody';
import { readDto } from './readDto';

const fieldsOf = async (type: new () => object, body: unknown) => {
  const error = await readDto(type, body).then(
    () => null,
    (e: { status: number; fields: { field: string; message: string }[] }) => e,
  );
  return error?.fields ?? [];
};

test('what an attacker sends costs no more than the limits say, and its answer is short', async () => {
  const keys = Object.fromEntries(Array.from({ length: 300_000 }, (_, i) => [`k${i}`, 1]));
  const zeros = Object.fromEntries(Array.from({ length: 3000 }, (_, i) => [`\0`.repeat(9000) + i, '\0'.repeat(50)]));
  const items = { kind: 'x', mainsV: 120, complaints: [], findings: Array.from({ length: 200_000 }, () => ({})) };
  let deep: object = {};
  for (let i = 0; i < 100_000; i++) deep = { deep };
  for (const body of [keys, zeros, items, deep]) {
    const fields = await fieldsOf(SignInDto, body);
    expect(fields.length).toBeGreaterThan(0);
    expect(fields.length).toBeLessThanOrEqual(100);
    expect(JSON.stringify(fields).length).toBeLessThan(20_000);
  }
  // More than a list takes: told of the list, and none of its items is looked at.
  const findings = (length: number) => ({
    kind: 'x',
    mainsV: 120,
    complaints: [],
    findings: Array.from({ length }, () => ({})),
  });
  expect((await fieldsOf(FindingRequestDto, findings(3900))).map((f) => f.field)).toEqual(['findings']);
  // As many as it takes, all of them wrong: a hundred problems and no more.
  expect((await fieldsOf(FindingRequestDto, findings(120))).length).toBe(100);
});

test.each([
  ['the character zero', '{"signIn":"de\\u0000mo","passphrase":"x"}', 'signIn'],
  ['half of a letter', '{"signIn":"de\\ud83dmo","passphrase":"x"}', 'signIn'],
  ['a number without end', '{"signIn":1e999,"passphrase":"x"}', 'signIn'],
  ['a number that is not exact', '{"signIn":1e308,"passphrase":"x"}', 'signIn'],
  ['beyond 2^53', '{"signIn":9007199254740993,"passphrase":"x"}', 'signIn'],
  ['a name of the language', '{"__proto__":{"signIn":"demo"},"passphrase":"x"}', '__proto__'],
  ['another', '{"constructor":{"prototype":{}},"signIn":"demo","passphrase":"x"}', 'constructor'],
])('%s is named at its field', async (_what, text, field) => {
  expect((await fieldsOf(SignInDto, JSON.parse(text))).map((f) => f.field)).toContain(field);
});

test('numbers and words of a shop pass', () => {
  const body = { ohm: 1e9, mm: 0.0004, at: -273.15, words: 'Łukasz 🧹 Ω', list: [1, 2, null, true] };
  expect(problemsOfBody(body)).toEqual([]);
});
