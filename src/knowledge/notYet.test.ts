import { notYet } from './notYet';

const clock = (kind: string, what = '', endedAt: string | null = null) => ({ kind, what, endedAt });

test.each([
  [
    'a trial waits for all that dries or cures',
    { sort: 'trial' },
    [clock('drying', 'head'), clock('glue')],
    'Not run yet: head, glue or sealant are still waiting.',
  ],
  ['not for an answer, a part or penetrant', { sort: 'trial' }, [clock('answer'), clock('part'), clock('soaking')], ''],
  [
    'a look at what must be dry waits for what dries',
    { sort: 'check', lies: 'drying' },
    [clock('drying')],
    'Not yet: drying is still waiting.',
  ],
  ['not for what cures', { sort: 'check', lies: 'drying' }, [clock('glue', 'joint')], ''],
  [
    'a clock that was ended is over',
    { sort: 'check', lies: 'glue' },
    [clock('glue', 'joint', '2026-01-05T10:00:00Z')],
    '',
  ],
  ['what is only put on waits for nothing', { sort: 'close' }, [clock('drying'), clock('glue')], ''],
] as const)('%s', (_, line, waits, says) => {
  expect(notYet(line, waits)).toBe(says);
});
