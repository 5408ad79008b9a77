import { knowledge, kindById } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { isAirOpened, proofItems } from './proofItems';

const plain = { procedure: [] };
const opened = (kind: string, ...steps: string[]) =>
  isAirOpened(
    kindById(kind),
    plain,
    steps.map((id) => ({ id })),
  );
const labelOf = (kind: string, airOpened: boolean) =>
  proofItems(kindById(kind), [], new Set(), [], [], airOpened).find((i) => i.id === 'suction-back')?.label;

test('where the air’s way was taken apart it is shown that it draws again, stood upright too where that is another way', () => {
  // The bend at the back of a clutch upright comes off for its clutch: left off, it shows only stood upright.
  expect(opened('upright-clutch', 'plate-lugs', 'roll-lift')).toBe(false);
  expect(opened('upright-clutch', 'plate-lugs', 'u-bend-off')).toBe(true);
  expect(labelOf('upright-clutch', true)).toBe('Suction there again: at the floor, and stood upright');
  expect(labelOf('wet-dry-tub', true)).toBe('Suction there again');
  expect(labelOf('upright-clutch', false)).toBeUndefined();
  // The floor behind a scrubber, dry or not, shows it better.
  expect(labelOf('scrubber-walk-behind', true)).toBeUndefined();
});

test('every kind that draws air has a step that opens its way, and one that does not', () => {
  for (const kind of knowledge.kinds.filter((k) => k.lines.some((l) => l.line === 'air'))) {
    const told = procedures[kind.id]!.steps.map((s) => opened(kind.id, s.id));
    expect([kind.id, new Set(told)]).toEqual([kind.id, new Set([true, false])]);
  }
});

test('it is shown under power, before the machine may leave', () => {
  const item = proofItems(kindById('upright-clutch'), [], new Set(), [], [], true).find((i) => i.id === 'suction-back');
  expect(item).toMatchObject({ power: true, required: true, gone: null });
});
