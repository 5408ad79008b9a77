import { knowledge } from '.';
import { isMadeNew, isStationNew } from './madeNew';
import { shippedParts } from './parts';
import { wearLives } from './wearLives';

/** Every part of the list in every place of every kind. */
const placed = knowledge.kinds.flatMap((kind) =>
  shippedParts.flatMap((p) =>
    (p.stations[kind.id] ?? []).map((station) => ({ kind: kind.id, station, group: p.group })),
  ),
);

test('all that the list sells makes its station new; only carbon brushes sit in what stays as it is', () => {
  const leaves = placed.filter(({ kind, ...part }) => !isStationNew(kind, part));
  expect(new Set(leaves.map((p) => `${p.group} at ${p.station}`))).toEqual(new Set(['carbon at suction-motor']));
});

test('what wears by years is made new by some part of the list, wherever its repair takes one that is sold', () => {
  for (const { fault: id } of wearLives) {
    const fault = knowledge.faults.find((f) => f.id === id)!;
    for (const [kind, { station }] of Object.entries(fault.kinds)) {
      const here = placed.filter((p) => p.kind === kind && p.station === station);
      const sold = here.filter((p) => fault.repair.parts?.includes(p.group));
      expect(sold.every((part) => isMadeNew(kind, id, part))).toBe(true);
    }
  }
});

test('a part of another station, of another kind, or for a fault that nobody knows makes nothing new', () => {
  const belt = { station: 'flat-belt', group: 'belt' };
  expect(isMadeNew('upright-shaft-belt', 'belt-slipping', belt)).toBe(true);
  expect(isMadeNew('upright-shaft-belt', 'belt-slipping', { ...belt, station: 'cord-grip' })).toBe(false);
  expect(isMadeNew('upright-shaft-belt', 'belt-slipping', { ...belt, group: 'filter' })).toBe(false);
  expect(isMadeNew('robot', 'squeegee-worn', belt)).toBe(false);
  expect(isMadeNew('upright-shaft-belt', 'no-such-fault', belt)).toBe(false);
});
