import { kindById } from '@/knowledge';
import { kindOfModel } from './kindOfModel';

const kind = kindById('upright-shaft-belt');
const ids = (k: typeof kind, line: string) => k.lines.find((l) => l.line === line)!.stations.map((s) => s.id);

test('a model without extras is its kind', () => {
  expect(kindOfModel(kind, [])).toBe(kind);
});

test('an added station stands after the one it names, else at the end, and the kind stays as it was', () => {
  const before = ids(kind, 'power');
  const made = kindOfModel(kind, [
    { line: 'power', after: 'cord', id: 'rcd', label: 'leakage switch' },
    { line: 'air', after: 'nowhere', id: 'scent', label: 'scent tray' },
  ]);
  const power = ids(made, 'power');
  expect(power.indexOf('rcd')).toBe(power.indexOf('cord') + 1);
  expect(ids(made, 'air').at(-1)).toBe('scent');
  expect(ids(kind, 'power')).toEqual(before);
});
