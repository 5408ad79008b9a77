import { accessPath } from '@/core/diagnosis/accessCosts';
import { repairAccess } from '@/core/diagnosis/knowledge';
import { stepsToOpen } from '@/core/strip/reach';
import { kindById, knowledge } from '.';
import { procedures } from './kinds';

/** Mended from another side than the one from which the part is seen, and why. Common practice, no source. */
const FROM_ELSEWHERE: Record<string, string> = {
  'upright-shaft-belt seal-leaking': 'the seal of the filter’s door leaks before that of the motor',
  'upright-clutch seal-leaking': 'the same',
  'upright-clutch spindle-worn': 'it goes with the motor',
  'upright-auto spindle-worn': 'the same',
  'upright-brush-motor motor-sprocket-worn': 'it sits on the motor in the head, and is seen with the roll out',
  'canister-power-nozzle motor-sprocket-worn': 'the same',
  'scrubber-ride-on deck-bearing-rusted': 'pressed out of the deck when that is off, and felt with the brush out',
};

test.each(knowledge.kinds.map((k) => [k.id, k] as const))(
  '%s: what is renewed lies behind a cover that its repair takes off',
  (id, kind) => {
    const bared = (station: string) => kind.access.filter((a) => a.bares.includes(station)).map((a) => a.id);
    const elsewhere = knowledge.faults
      .filter((f) => f.kinds[id] && f.repair.parts?.length && bared(f.kinds[id].station).length > 0)
      .filter((f) => !accessPath(kind, repairAccess(kind, f)).some((a) => bared(f.kinds[id]!.station).includes(a)))
      .map((f) => `${id} ${f.id}`);
    expect(elsewhere).toEqual(Object.keys(FROM_ELSEWHERE).filter((e) => e.startsWith(`${id} `)));
  },
);

// What walks of such machines say is taken off on the way.
test.each([
  ['upright-self-propelled', 'fan-broken', /left-hand/i],
  ['upright-self-propelled', 'fan-rubbing', /left-hand/i],
  ['upright-direct-air', 'fan-broken', /clockwise/i],
  ['stick-cordless', 'exhaust-filter-clogged', /screws.*pack/i],
])('%s: the way in to %s passes what must be known there', (id, fault, said) => {
  const kind = kindById(id);
  const access = repairAccess(
    kind,
    knowledge.faults.find((f) => f.id === fault)!,
  );
  const steps = stepsToOpen(procedures[id]!, kind.access, [access]);
  expect(steps.map((s) => [s.label, s.stays, s.back.label, s.back.trial].join(' ')).join('\n')).toMatch(said);
});
