import { knowledge } from '.';
import { isSafetyFault } from './safetyFaults';
import { followed, schools, schoolsOf } from './schools';
import { placesOf } from './repairWork';
import { repairTexts } from './strip/repairs';
import { broughtWith, lifeInUse, wearLives } from './wearLives';

const known = new Set(knowledge.faults.map((f) => f.id));

test('every life, every repair that brings a part, every school speaks of faults that there are', () => {
  for (const { fault } of wearLives) expect(known).toContain(fault);
  for (const { id } of knowledge.faults) for (const brought of broughtWith([id])) expect(known).toContain(brought);
  for (const school of schools) for (const fault of school.faults ?? []) expect(known).toContain(fault);
});

test('each fault has one life, of a shape that can be', () => {
  expect(new Set(wearLives.map((w) => w.fault)).size).toBe(wearLives.length);
  for (const { life } of wearLives) {
    expect(life.shape).toBeGreaterThanOrEqual(1);
    expect(life.shape).toBeLessThanOrEqual(4);
    expect(life.scaleYears).toBeGreaterThan(0.2);
    expect(life.scaleYears).toBeLessThanOrEqual(30);
  }
});

test('what runs more wears sooner, what perishes does not; a machine that rarely runs is no younger than half', () => {
  const belt = wearLives.find((w) => w.fault === 'belt-broken')!;
  const seal = wearLives.find((w) => w.fault === 'seal-leaking')!;
  expect(lifeInUse(belt, 'upright-shaft-belt', 15).scaleYears).toBeLessThan(
    lifeInUse(belt, 'upright-shaft-belt', 1.5).scaleYears,
  );
  expect(lifeInUse(seal, 'upright-shaft-belt', 15)).toEqual(seal.life);
  // Ten hours a week are much at home, and what a scrubber is made for.
  expect(lifeInUse(belt, 'scrubber-walk-behind', 10)).toEqual(belt.life);
  expect(lifeInUse(belt, 'upright-shaft-belt', 0)).toEqual(lifeInUse(belt, 'upright-shaft-belt', 0.75));
});

test('what hurts when it is left is named: a bare conductor, a bridged switch; not a worn transmission', () => {
  for (const id of ['cord-damaged', 'plug-damaged', 'tilt-switch-stuck-closed', 'guard-missing', 'neutral-out'])
    expect([id, isSafetyFault(id)]).toEqual([id, true]);
  for (const id of ['transmission-worn', 'clutch-worn-or-melted', 'belt-broken', 'filter-clogged'])
    expect([id, isSafetyFault(id)]).toEqual([id, false]);
});

test('a job’s school goes before the shop’s, and that before the usual', () => {
  const interlock = schools.find((s) => s.id === 'interlock')!;
  expect(interlock.usual).toBe('a');
  expect(followed(interlock, {})).toBe('a');
  expect(followed(interlock, { interlock: 'b' })).toBe('b');
  expect(followed(interlock, { interlock: 'b' }, { interlock: 'a' })).toBe('a');
  expect(schoolsOf(['tilt-switch-failed']).map((s) => s.id)).toEqual(['interlock']);
});

test('a repair that makes both belts new takes one at each of two places, and no belt is sold besides', () => {
  const both = knowledge.faults.filter((f) => repairTexts[f.id]!.steps.some((s) => /\b[Bb]oth belts\b/.test(s)));
  expect(both.length).toBeGreaterThan(2);
  for (const fault of both)
    for (const kind of Object.keys(fault.kinds)) {
      const places = placesOf(kind, fault.id, 'belt');
      expect([fault.id, kind, new Set(places).size]).toEqual([fault.id, kind, 2]);
      const worn = knowledge.faults.filter(
        (f) =>
          f.id !== fault.id &&
          f.repair.parts?.includes('belt') &&
          wearLives.some((w) => w.fault === f.id) &&
          places.includes(f.kinds[kind]?.station ?? ''),
      );
      expect(broughtWith([fault.id])).toEqual(expect.arrayContaining(worn.map((f) => f.id)));
    }
  // Every other part goes where its fault stands.
  expect(placesOf('upright-clutch', 'clutch-worn-or-melted', 'drive')).toEqual(['clutch-pulleys']);
});
