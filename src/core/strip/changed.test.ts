import fc from 'fast-check';
import { procedures } from '@/knowledge/kinds';
import { kindById, knowledge } from '@/knowledge';
import { bestOrder } from './bestOrder';
import { changedBy, type Change } from './changed';
import { stepsToOpen } from './reach';
import { replay, wayBack } from './wayBack';

const K1 = 'upright-shaft-belt';
const steps = (changes: Change[]) => changedBy(procedures[K1]!, changes).procedure.steps;
const needsOf = (changes: Change[], id: string) => steps(changes).find((s) => s.id === id)!.needs;
const ADDED: Change = {
  sort: 'add',
  step: 'own-badge',
  after: 'knob-off',
  label: 'Badge pried off, a screw is under it',
  lie: 'back',
  tool: 'pry',
  minutes: 0.5,
  back: 'Badge on',
  backMinutes: 0.5,
};

test('a dropped step is not missed: what needed it needs what stood before it', () => {
  expect(needsOf([], 'plate-lift')).toEqual(['plate-screws']);
  expect(needsOf([{ sort: 'drop', step: 'plate-screws' }], 'plate-lift')).toEqual(['knob-off']);
  expect(steps([{ sort: 'drop', step: 'plate-screws' }]).some((s) => s.id === 'plate-screws')).toBe(false);
});

test('an added step stands between its neighbours, a moved one leaves its place', () => {
  expect(needsOf([ADDED], 'own-badge')).toEqual(['knob-off']);
  expect(needsOf([ADDED], 'plate-screws')).toEqual(['own-badge']);
  const moved: Change = { sort: 'move', step: 'knob-off', after: 'plate-screws' };
  expect(needsOf([moved], 'plate-screws')).toEqual([]);
  expect(needsOf([moved], 'knob-off')).toEqual(['plate-screws']);
  expect(needsOf([moved], 'plate-lift')).toEqual(['knob-off']);
});

test('what fits nothing is told by its number and changes nothing else', () => {
  const changes: Change[] = [
    { sort: 'note', step: 'gone', text: 'x' },
    { sort: 'note', step: 'plate-screws', text: 'One is under the rear wheel.' },
    { ...ADDED, after: 'nowhere' },
    { ...ADDED, step: 'plate-lift' },
    { sort: 'move', step: 'plate-lift', after: 'bay-cover' },
  ];
  const { procedure, problems } = changedBy(procedures[K1]!, changes);
  expect(problems.map((p) => p.change)).toEqual([0, 2, 3, 4]);
  expect(procedure.steps.find((s) => s.id === 'plate-screws')!.note).toBe('One is under the rear wheel.');
  expect(procedure.steps).toHaveLength(procedures[K1]!.steps.length);
});

test('whatever a shop changes, the machine can be opened and put back', () => {
  const anyChange = (kind: string): fc.Arbitrary<Change> => {
    const id = fc.constantFrom(...procedures[kind]!.steps.map((s) => s.id), 'own-1', 'own-2');
    return fc.oneof(
      fc.record({ sort: fc.constant('drop' as const), step: id }),
      fc.record({ sort: fc.constant('move' as const), step: id, after: id }),
      fc.record({ sort: fc.constant('note' as const), step: id, text: fc.string() }),
      fc.record({ step: fc.constantFrom('own-1', 'own-2'), after: id }).map((more): Change => ({ ...ADDED, ...more })),
    );
  };
  const changed = fc
    .constantFrom(...knowledge.kinds.map((k) => k.id))
    .chain((kind) => fc.tuple(fc.constant(kind), fc.array(anyChange(kind), { maxLength: 12 })));
  fc.assert(
    fc.property(changed, ([kind, changes]) => {
      const { procedure } = changedBy(procedures[kind]!, changes);
      const all = stepsToOpen(
        procedure,
        kindById(kind).access,
        kindById(kind).access.map((a) => a.id),
      );
      const opened = bestOrder(all).steps;
      expect(replay(opened, wayBack(procedure, opened, []))).toEqual({ open: [], full: [], untimely: [] });
    }),
    { seed: 20_261_127, numRuns: 400 },
  );
});
