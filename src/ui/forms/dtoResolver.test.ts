import { IsIn, IsNumber, IsString, Length, Min } from 'class-validator';
import fc from 'fast-check';
import { dtoResolver, errorsAt, isAt, type Values } from './dtoResolver';

class WaitDto {
  @IsIn(['drying', 'glue'], { message: 'What it waits for.' })
  kind!: string;

  @IsString()
  @Length(0, 5, { message: 'At most 5 characters.' })
  what!: string;

  @IsNumber({}, { message: 'Hours.' })
  @Min(0.1, { message: 'At least 0.1 h.' })
  hours!: number;
}
const judge = (values: Values, before?: (v: Values) => { field: string; message: string }[]) =>
  dtoResolver<Values>(
    async () => WaitDto,
    (v) => ({ ...v, hours: Number(v.hours) }),
    before,
  )(values, undefined, { fields: {}, shouldUseNativeValidation: false });

test('what is right goes through as it was typed, not as it is sent', async () => {
  expect(await judge({ kind: 'drying', what: '', hours: '24' })).toEqual({
    values: { kind: 'drying', what: '', hours: '24' },
    errors: {},
  });
});

test('every field that is wrong is named, each with the first thing that is wrong with it', async () => {
  const { errors } = await judge({ kind: 'tea', what: 'longer', hours: '0' });
  expect(Object.fromEntries(Object.entries(errors).map(([name, e]) => [name, e!.message]))).toEqual({
    kind: 'What it waits for.',
    what: 'At most 5 characters.',
    hours: 'At least 0.1 h.',
  });
});

test('what is no number at all is told before anything else is asked', async () => {
  const before = () => [{ field: 'hours', message: 'Hours, such as 24.' }];
  const { errors } = await judge({ kind: 'tea', what: '', hours: 'x' }, before);
  expect(Object.keys(errors)).toEqual(['hours']);
});

test('a member that no field shows is wrong with the form as a whole', async () => {
  const { errors } = await judge({ kind: 'drying', what: '', hours: '24', colour: 'brick' });
  // It is shown by its own field where there is one; the class knows none of it.
  expect(errors.colour?.message).toBe('This field is not known.');
  expect(errorsAt(['kind'], [{ field: 'machine.tag', message: 'No such machine.' }]).root?.message).toBe(
    'No such machine.',
  );
});

test.each([
  ['name', 'name', true],
  ['sites[2].label', 'sites', true],
  ['letterhead.phone', 'phone', true],
  ['phones', 'phone', false],
  ['telephone', 'phone', false],
])('%s stands at %s: %s', (problem, name, stands) => expect(isAt(problem, name)).toBe(stands));

test('whatever is typed, it is judged and never thrown back as a fault', () =>
  fc.assert(
    fc.asyncProperty(
      fc.record({ kind: fc.string(), what: fc.string({ unit: 'grapheme' }), hours: fc.anything() }),
      async (typed) => {
        const { errors } = await judge(typed, (v) =>
          typeof v.hours === 'string' ? [] : [{ field: 'hours', message: 'x' }],
        );
        for (const name of Object.keys(errors)) expect(['kind', 'what', 'hours', 'root']).toContain(name);
      },
    ),
    { numRuns: 60 },
  ));
