import { assess } from '@/core/diagnosis/assess';
import { knowledge } from '@/knowledge';
import type { AssessmentView } from '@/shop/finding/dto';
import '../job/everyKind';
import { isAnyLookWorth, TELLS_LITTLE, waitsForTurning, whatIsNext } from './whatIsNext';

type Step = AssessmentView['next'][number];
const step = (check: string, informs: number) => ({ check, informs, heldBackBy: [], asGood: false }) as unknown as Step;
const odds = (next: Step[], finished = false) => ({ next, finished }) as unknown as AssessmentView;
const job = { firstChecks: [], complaints: [{}], proved: [] } as unknown as Parameters<typeof whatIsNext>[0];

test('the best look stands first, also one that tells little, where something is complained of', () => {
  expect(whatIsNext(job, odds([step('a', 0.4), step('b', 0.5)]))).toEqual({ proposed: 'a', finished: false });
  expect(whatIsNext(job, odds([step('a', 0.001)]))).toEqual({ proposed: 'a', finished: false });
});

test('without a complaint a look that tells next to nothing is not asked for; what is proved ends it then', () => {
  const quiet = { ...job, complaints: [] };
  expect(whatIsNext(quiet, odds([step('a', 0.001)]))).toEqual({ proposed: null, finished: false });
  expect(whatIsNext({ ...quiet, proved: ['belt-worn'] }, odds([step('a', 0.001)]))).toEqual({
    proposed: null,
    finished: true,
  });
  // But for what comes first because of how it arrived.
  expect(whatIsNext({ ...quiet, firstChecks: ['a'] }, odds([step('a', 0.001)])).proposed).toBe('a');
});

test('nothing left: nothing proposed; and the finder’s own end is the end', () => {
  expect(whatIsNext(job, odds([]))).toEqual({ proposed: null, finished: false });
  expect(whatIsNext(job, odds([step('a', 0.4)], true)).finished).toBe(true);
});

const asked = (kind: string, complaints: string[], answers: { check: string; outcome: string }[] = []) =>
  assess(knowledge, {
    kind: knowledge.kinds.find((k) => k.id === kind)!,
    mainsV: kind.startsWith('scrubber') ? 36 : 120,
    complaints,
    answers,
  }) as unknown as AssessmentView;
const fresh = (kind: string, ...complaints: string[]) => asked(kind, complaints);

// Walk 3: finger turn, caps, first-belt pulley; nobody buys a clutch for a noise that was told at the counter.
test('a slow roll that ratchets is turned by hand and looked at, not repaired on suspicion', () => {
  const told = fresh('upright-clutch', 'roll-slow', 'ratchet-noise');
  expect(whatIsNext(job, told).proposed).toBe('finger-turn');
  expect(isAnyLookWorth(told)).toBe(true);
});

test('a roll that is turned by hand only because something is to be run says what that is; a cord is looked along before it is bent under power', () => {
  expect(whatIsNext(job, fresh('upright-shaft-belt', 'dead-intermittent')).proposed).toBe('cord-look');
  const whole = ['fine', 'plug-sound'].map((outcome) => ({ check: 'cord-look', outcome }));
  const told = asked('upright-shaft-belt', ['dead-intermittent'], whole);
  expect(whatIsNext(job, told).proposed).toBe('finger-turn');
  expect(waitsForTurning('upright-shaft-belt', 'finger-turn', told)).toBe('run-seconds');
  // Another look is no turning, whatever waits.
  expect(waitsForTurning('upright-shaft-belt', 'floor-setting', told)).toBeNull();
  // Where turning it tells by itself, that is the reason.
  const bound = fresh('upright-shaft-belt', 'roll-not-turning');
  expect(whatIsNext(job, bound).proposed).toBe('finger-turn');
  expect(waitsForTurning('upright-shaft-belt', 'finger-turn', bound)).toBeNull();
});

test('on a fresh job the finder is hardly ever at its end: a look is proposed that tells, or that something worth it waits for', () => {
  const ended = knowledge.complaints.flatMap(({ id, kinds }) =>
    kinds.flatMap((kind) => {
      const told = fresh(kind, id);
      const { proposed } = whatIsNext(job, told);
      const step = told.next.find((n) => n.check === proposed);
      return step && (step.informs > TELLS_LITTLE || isAnyLookWorth(told)) ? [] : [`${kind} ${id}`];
    }),
  );
  // Here no look shows the likeliest fault: dry bushes, a wet motor, a bar are mended and tried.
  expect(ended.sort()).toEqual(['handheld-mains squeal', 'robot harsh-motor', 'upright-auto takes-in-rugs']);
});
