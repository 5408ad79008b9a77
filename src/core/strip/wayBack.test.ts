import type { ClosingCheck, Procedure, StripStep } from './procedure';
import { stepsToOpen } from './reach';
import { replay, wayBack, type RepairWork } from './wayBack';

const check = (id: string): ClosingCheck => ({ id, label: id, stations: [], cautions: [] });
const step = (
  id: string,
  access: string,
  needs: string[] = [],
  more: Partial<StripStep> & { checks?: string[]; trial?: string } = {},
): StripStep => {
  const { checks, trial, ...rest } = more;
  return {
    id,
    access,
    label: id,
    lie: null,
    tool: '',
    minutes: 1,
    needs,
    fasteners: [{ count: 1, what: 'screw', drive: 't15', where: 'there' }],
    stays: '',
    carried: '',
    note: '',
    cautions: [],
    photograph: '',
    optional: false,
    instead: [],
    back: {
      label: `${id} back`,
      minutes: 1,
      checks: (checks ?? []).map(check),
      trial: trial ?? '',
      trialCautions: trial ? ['turn-it'] : [],
    },
    ...rest,
  };
};
const plate = step('plate', 'head', [], { checks: ['seal'] });
const cover = step('cover', 'bay', ['plate'], { checks: ['seal', 'wires'], trial: 'run it' });
const motor = step('motor', 'bay', ['cover']);
const procedure: Procedure = { kind: 'k', steps: [plate, cover, motor], finals: [check('wires'), check('last')] };
const accesses = [{ id: 'head' }, { id: 'bay', needs: 'head' }];
const repair = (fault: string, access: string): RepairWork => ({
  fault,
  access,
  steps: [{ id: '1', label: fault, minutes: 1, cautions: [], stations: [] }],
});

test('steps to open are all that stands before them, less what is done or done in another way', () => {
  expect(stepsToOpen(procedure, accesses, ['bay']).map((s) => s.id)).toEqual(['plate', 'cover', 'motor']);
  expect(stepsToOpen(procedure, accesses, ['bay'], new Set(['plate'])).map((s) => s.id)).toEqual(['cover', 'motor']);
  expect(stepsToOpen(procedure, accesses, ['outside'])).toEqual([]);
  const hood = step('hood', 'head', [], { instead: ['plate'] });
  const two: Procedure = { ...procedure, steps: [plate, hood, cover, motor] };
  expect(stepsToOpen(two, accesses, ['head']).map((s) => s.id)).toEqual(['plate']);
  // What needed the one that is left out needs the one that stands in for it.
  const lamp = step('lamp', 'head', ['hood']);
  const three: Procedure = { ...procedure, steps: [plate, hood, lamp] };
  expect(stepsToOpen(three, accesses, ['head']).map((s) => [s.id, s.needs])).toEqual([
    ['plate', []],
    ['lamp', ['plate']],
  ]);
});

test('a step that is needed and is not there is an error, not an opening left out', () => {
  const broken: Procedure = { ...procedure, steps: [step('a', 'head', ['gone'])] };
  expect(() => stepsToOpen(broken, accesses, ['head'])).toThrow(RangeError);
});

test('back in reverse, repairs while their access lies open, a shared check once and last, the trial before its cover', () => {
  const lines = wayBack(
    procedure,
    [plate, cover, motor],
    [repair('f-head', 'head'), repair('f-bay', 'bay'), repair('f-out', 'outside')],
  );
  expect(lines.map((l) => l.id)).toEqual([
    'work.f-out.1',
    'work.f-bay.1',
    'close.motor',
    'trial.cover',
    'close.cover',
    'wires',
    'work.f-head.1',
    'close.plate',
    'seal',
    'last',
  ]);
  expect(replay([plate, cover, motor], lines)).toEqual({ open: [], full: [], untimely: [] });
});

test('what a step hides is looked at before it is closed, and the replay tells when it was not', () => {
  const hides: StripStep = {
    ...cover,
    back: {
      ...cover.back,
      checks: [{ id: 'faces', label: 'faces', stations: [], cautions: [], before: true }, ...cover.back.checks],
    },
  };
  const lines = wayBack(procedure, [plate, hides], []);
  expect(lines.map((l) => l.id)).toEqual([
    'trial.cover',
    'faces',
    'close.cover',
    'wires',
    'close.plate',
    'seal',
    'last',
  ]);
  expect(replay([plate, hides], lines).untimely).toEqual([]);
  const late = [...lines.filter((l) => l.id !== 'faces'), lines.find((l) => l.id === 'faces')!];
  expect(replay([plate, hides], late).untimely).toEqual(['faces']);
});

test('opened out of turn, it is closed where it can be', () => {
  const lines = wayBack(procedure, [motor, plate, cover], []);
  expect(lines.filter((l) => l.sort === 'close').map((l) => l.step)).toEqual(['motor', 'cover', 'plate']);
});

test('the replay tells a wrong way back: closed under what is open, checked before it is closed, left open', () => {
  const lines = wayBack(procedure, [plate, cover, motor], []);
  const wrong = [...lines].reverse();
  const told = replay([plate, cover, motor], wrong);
  expect(told.untimely).toEqual(expect.arrayContaining(['seal', 'close.plate']));
  const short = lines.filter((l) => l.id !== 'close.plate');
  expect(replay([plate, cover, motor], short)).toMatchObject({ open: ['plate'], full: ['plate'] });
});
