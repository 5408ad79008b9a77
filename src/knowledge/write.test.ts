import { either, fault, look, stations } from './write';

const repair = ['Fit a new belt', 6, 'roll-out', ['belt']] as Parameters<typeof fault>[3];

test('what a fault shows is read from ids under how surely, several put together', () => {
  const made = fault(
    ['belt-x', 'Belt x'],
    { rarely: 'squeal', always: 'roll-slow dead' },
    [{ often: 'run-seconds=roll-slow\n  ohms@on=open' }, { usually: 'roll-speed=speed-low' }],
    repair,
    { sometimes: 'bearing-rough' },
  );
  expect(made.complaints).toEqual([
    { complaint: 'squeal', strength: 'rarely' },
    { complaint: 'roll-slow', strength: 'always' },
    { complaint: 'dead', strength: 'always' },
  ]);
  expect(made.shows).toEqual([
    { check: 'run-seconds', outcome: 'roll-slow', strength: 'often' },
    { check: 'ohms', condition: 'on', outcome: 'open', strength: 'often' },
    { check: 'roll-speed', outcome: 'speed-low', strength: 'usually' },
  ]);
  expect(made.broughtOnBy).toEqual([{ fault: 'bearing-rough', strength: 'sometimes' }]);
  expect(made.repair).toEqual({
    label: 'Fit a new belt',
    minutes: 6,
    access: 'roll-out',
    parts: ['belt'],
    power: true,
  });
});

test('an id that is named under two strengths, or in two groups, is refused', () => {
  expect(() => fault(['x', 'X'], { always: 'dead', rarely: 'dead' }, {}, repair)).toThrow('x names dead twice.');
  expect(() => fault(['x', 'X'], {}, [{ often: 'a=b' }, { often: 'a=b' }], repair)).toThrow('x names a=b twice.');
});

test('stations are told by id, their words and what they are', () => {
  expect(stations('cord; end-caps: cap, fixed; hose (wears);\n  head-board: board (optional)')).toEqual([
    { id: 'cord', label: 'cord' },
    { id: 'end-caps', label: 'cap, fixed' },
    { id: 'hose', label: 'hose', wears: true },
    { id: 'head-board', label: 'board', optional: true },
  ]);
  expect(() => stations('cord; (wears)')).toThrow('(wears)');
  expect(() => stations('hose (worn)')).toThrow('hose (worn)');
});

test('two answers are the fine one and one that proves, with how often it shows for nothing', () => {
  const aspect = either('feel', 'Feel', ['good', 'good'], ['rough', 'rough', ['bearing-rough', 'bearing-dry']], 0.02);
  expect(aspect.outcomes.map((o) => [o.id, o.proves])).toEqual([
    ['good', undefined],
    ['rough', ['bearing-rough', 'bearing-dry']],
  ]);
  expect(aspect.leak).toEqual({ rough: 0.02 });
  const short = look(['feel', 'Feel it', 1, 'outside'], ['a', 'b', 'c'], ['good', 'good'], ['bad', 'bad', 'worn']);
  expect(short).toMatchObject({ id: 'feel', label: 'Feel it', minutes: 1, access: 'outside', power: 'no' });
  expect(short.aspects[0]!.outcomes[1]).toEqual({ id: 'bad', label: 'bad', proves: ['worn'] });
});
