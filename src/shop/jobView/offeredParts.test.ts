import { knowledge } from '@/knowledge';
import { shippedParts } from '@/knowledge/parts';
import { isOwnPart } from './ownPart';
import { offeredParts } from '@/knowledge/offeredParts';

const partsOf = (kind: string, own: string[] = []) =>
  shippedParts.flatMap((p) =>
    (p.stations[kind] ?? []).map((station) => ({
      code: p.code,
      label: p.label,
      group: p.group,
      priceMinor: p.priceMinor,
      stock: 5,
      station,
      own: isOwnPart(p.label, own),
    })),
  );

describe.each(knowledge.kinds.map((k) => [k.id, k] as const))('%s', (id, kind) => {
  const stations = new Set(kind.lines.flatMap((l) => l.stations.map((s) => s.id)));
  const faults = knowledge.faults.filter((f) => f.kinds[id] && f.repair.parts);

  test('every repair that takes a part is offered one that somebody stocks', () => {
    expect(faults.filter((f) => offeredParts(partsOf(id), id, [f.id]).length === 0).map((f) => f.id)).toEqual([]);
  });

  test('nothing of another kind of machine is offered', () => {
    const labels = faults.flatMap((f) => offeredParts(partsOf(id), id, [f.id]).map((p) => p.label)).join('; ');
    if (!stations.has('primary-belt') && !stations.has('belt-1')) expect(labels).not.toMatch(/clutch/i);
    expect(/with wires/.test(labels)).toBe(stations.has('hose-conductors'));
    if (kind.supply === 'lead-acid')
      expect(labels).not.toMatch(/Suction motor(?! for batteries)|Rocker|Brush roll|Cord/);
    if (kind.supply !== 'lead-acid') expect(labels).not.toMatch(/Deck motor|Squeegee|Key switch|Contactor/);
    if (kind.supply !== 'mains') expect(labels).not.toMatch(/Cord 8 m/);
  });

  test('a repair takes what sits where the fault is, but for both belts where both are made new', () => {
    for (const f of faults) {
      const at = f.kinds[id]!.station;
      const offered = offeredParts(partsOf(id), id, [f.id]);
      if (['clutch-worn-or-melted', 'primary-belt-broken', 'primary-belt-stretched'].includes(f.id)) {
        const belts = offered.filter((p) => p.group === 'belt').map((p) => p.station);
        expect(belts.sort()).toEqual(id === 'upright-auto' ? ['belt-1', 'belt-2'] : ['primary-belt', 'roll-belt']);
        continue;
      }
      const groups = new Set(offered.filter((p) => p.station === at).map((p) => p.group));
      expect([f.id, offered.filter((p) => p.station !== at && groups.has(p.group))]).toEqual([f.id, []]);
    }
  });
});

test('the model’s own belt comes first, what is fitted leaves the list', () => {
  const parts = partsOf('upright-shaft-belt', ['flat, 10 mm × 340 mm']);
  const offered = offeredParts(parts, 'upright-shaft-belt', ['belt-broken']);
  expect(offered[0]).toMatchObject({ code: 'FB-10-340', own: true });
  expect(offered).toHaveLength(4);
  const after = offeredParts(
    parts,
    'upright-shaft-belt',
    ['belt-broken'],
    [{ code: 'FB-10-340', station: 'flat-belt', quantity: 1 }],
  );
  // One belt runs there: another size is one too many.
  expect(after).toEqual([]);
});

test('of two bearings that a roll takes the second may be of another size', () => {
  const parts = partsOf('upright-shaft-belt');
  const fitted = (quantity: number) => {
    const first = offeredParts(parts, 'upright-shaft-belt', ['bearing-rough'])[0]!;
    const { code, station } = first;
    return offeredParts(parts, 'upright-shaft-belt', ['bearing-rough'], [{ code, station, quantity }]).map(
      (p) => p.code,
    );
  };
  expect(fitted(1)).toEqual(['BB-625']);
  expect(fitted(2)).toEqual([]);
});

test.each([
  ['Flat belt 10 × 300 mm', 'flat, 10 mm × 300 mm', true],
  ['Flat belt 10 × 340 mm', 'flat, 10 mm × 300 mm', false],
  ['Ball bearing 608, 8 × 22 × 7 mm', '608-2RS', true],
  ['Ball bearing 625, 5 × 16 × 5 mm', '608-2RS', false],
  ['Toothed belt 3 mm pitch, 90 teeth', 'toothed, 90 teeth', true],
  ['Toothed belt 3 mm pitch, 90 teeth', 'flat, 90 mm', false],
  ['Pre-motor foam', 'grey foam', false],
])('%s is named by "%s": %s', (label, line, own) => expect(isOwnPart(label, [line])).toBe(own));
