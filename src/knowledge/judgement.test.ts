import { assess } from '@/core/diagnosis/assess';
import type { Answer, AssessInput } from '@/core/diagnosis/assessment';
import { checksOf } from '@/core/diagnosis/knowledge';
import { faultById, kindById, knowledge } from '.';

const K1 = 'upright-shaft-belt';

function find(kind: string, complaints: string[], answers: Answer[] = [], more: Partial<AssessInput> = {}) {
  return assess(knowledge, { kind: kindById(kind), mainsV: 120, complaints, answers, ...more });
}
const of = (result: ReturnType<typeof find>, fault: string) => result.faults.find((f) => f.id === fault)!;

describe('adjust before replace', () => {
  test.each([
    ['upright-self-propelled', 'roll-slow', 'bristle-height=short-step-left', 'roll-set-low', /one step on/],
    ['upright-self-propelled', 'roll-slow', 'bristle-height=short-on-last', 'bristles-worn', /new roll/],
    ['upright-self-propelled', 'hard-to-push', 'bristle-height=too-proud', 'height-wrong', /height/],
    ['upright-shaft-belt', 'weak-suction', 'filter-look=filter-grey', 'filter-dirty', /Wash/],
    ['upright-shaft-belt', 'hard-to-push', 'bristle-height=face-caked', 'sole-plate-caked', /Scrub/],
    ['upright-shaft-belt', 'roll-slow', 'sole-plate-look=belt-cracked', 'belt-brittle', /new belt/],
    ['upright-clutch', 'roll-slow', 'second-belt-and-clutch=pulley-stiff', 'clutch-worn-or-melted', /as a whole/],
    [
      'upright-clutch',
      'roll-slow',
      'second-belt-and-clutch=primary-stretched',
      'primary-belt-stretched',
      /belts alone/,
    ],
    ['stick-cordless', 'weak-suction', 'cyclone-look=cyclone-some', 'cones-some-plugged', /plugged cones/],
    ['scrubber-ride-on', 'squeal', 'deck-belts=deck-belt-slack', 'deck-belt-loose', /Tighten/],
    ['scrubber-ride-on', 'squeal', 'deck-belts=belt-dust', 'deck-belt-slipping', /new deck belts/],
    ['scrubber-ride-on', 'short-run-time', 'deck-belts=deck-belt-taut', 'deck-belt-tight', /Slacken/],
    ['scrubber-walk-behind', 'squeal', 'deck-debris=brush-stuck-in', 'brush-left-in', /Soak it free/],
    ['scrubber-ride-on', 'wears-one-side', 'operator-ask=ramps-straight', 'driven-over-ramps', /sideways/],
    ['upright-brush-motor', 'bad-smell', 'sole-plate-look=roll-mildewed', 'roll-mouldy', /new roll/],
    ['upright-clutch', 'blows-dust', 'exhaust-filter-look=exhaust-apart', 'exhaust-filter-apart', /crumbs/],
    ['upright-shaft-belt', 'stops-after-minutes', 'breaker-reset=came-back', 'thermal-cutout-open', /./],
    ['upright-auto', 'rattle', 'frame-look=screw-missing', 'screws-missing', /screws/],
  ])('%s, %s, %s: %s', (kind, complaint, found, fault, repair) => {
    const [check, outcome] = found.split('=') as [string, string];
    expect(find(kind, [complaint], [{ check, outcome }]).proved).toContain(fault);
    expect(knowledge.faults.find((f) => f.id === fault)!.repair.label).toMatch(repair);
  });

  test('too proud is not too short, and a step that is left is no worn roll', () => {
    for (const outcome of ['stands-right', 'too-proud', 'short-step-left']) {
      const result = find('upright-self-propelled', ['roll-slow'], [{ check: 'bristle-height', outcome }]);
      expect(result.proved).not.toContain('bristles-worn');
      expect(of(result, 'bristles-worn').probability).toBeLessThan(0.02);
    }
  });

  test('a bearing in doubt is an answer and no proof', () => {
    const result = find(K1, ['squeal'], [{ check: 'bearing-feel', outcome: 'bearing-doubt' }]);
    const before = find(K1, ['squeal']);
    expect(result.proved).toEqual([]);
    expect(of(result, 'bearing-rough').probability).toBeGreaterThan(of(before, 'bearing-rough').probability * 0.7);
  });

  test('rebuilding a drive that clicks takes its belt along', () => {
    for (const id of ['transmission-worn', 'drive-sprocket-worn'])
      expect(knowledge.faults.find((f) => f.id === id)!.repair.parts).toContain('belt');
  });

  test('tanks that are not rinsed and ramps taken straight bring on what they foul and tear', () => {
    const odds = (fault: string, answers: Answer[]) =>
      of(find('scrubber-ride-on', ['leaves-water'], answers), fault).probability;
    const straight = [{ check: 'operator-ask', outcome: 'ramps-straight' }];
    for (const fault of ['squeegee-tilted', 'skirts-worn'])
      expect(odds(fault, straight)).toBeGreaterThan(odds(fault, []));
    const stale = [{ check: 'tank-look', outcome: 'solution-stale' }];
    for (const fault of ['float-fouled', 'solution-filter-blocked'])
      expect(odds(fault, stale)).toBeGreaterThan(odds(fault, []));
  });
});

describe('when it ends', () => {
  test('a filter that must be washed and dried does not end a weak suction: other looks are quicker', () => {
    const grey = find(
      K1,
      ['weak-suction'],
      [
        { check: 'bag-or-bin', outcome: 'below-line' },
        { check: 'filter-look', outcome: 'filter-grey' },
      ],
    );
    expect(grey.proved).toContain('filter-dirty');
    expect(grey.finished).toBe(false);
  });

  test('a cut-out that came back by itself is an answer, and the clog behind it ends the finding', () => {
    const back = [{ check: 'breaker-reset', outcome: 'came-back' }];
    const tripped = find(K1, ['stops-after-minutes'], back);
    expect(tripped.finished).toBe(false);
    expect(tripped.next[0]!.check).not.toBe('breaker-reset');
    const clog = find(K1, ['stops-after-minutes'], [...back, { check: 'hose-drop', outcome: 'held' }]);
    expect(clog.finished).toBe(true);
  });

  test('what a comeback costs the shop decides how long is looked', () => {
    const answers = [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'sole-plate-look', outcome: 'belt-glazed' },
    ];
    const cheap = find(K1, ['roll-slow'], answers, { comebackMinutes: 10 });
    const dear = find(K1, ['roll-slow'], answers, { comebackMinutes: 600 });
    expect(cheap.finished).toBe(true);
    expect(dear.finished).toBe(false);
  });
});

test('a check of which only a part was answered is still a second look', () => {
  const answers = [
    { check: 'finger-turn', outcome: 'stiff' },
    { check: 'sole-plate-look', outcome: 'belt-glazed' },
  ];
  const { proved, finished, next } = find(K1, ['roll-slow'], answers);
  expect(proved).toEqual(['belt-slipping']);
  // Stiff is no belt: the hair was not looked at yet, and the plate is off.
  expect(finished).toBe(false);
  expect(next[0]!.check).toBe('sole-plate-look');
});

describe('a repair on suspicion carries its whole cost', () => {
  const rattling = (partMinutes?: Record<string, number>) =>
    find('upright-direct-air', ['harsh-motor', 'rattle'], [], partMinutes ? { partMinutes } : {});
  const suspicion = (result: ReturnType<typeof find>) => result.next.find((n) => n.check === 'repair:fan-broken')!;

  test('a look that shows whether parts are needed goes before they are bought', () => {
    const { next } = rattling();
    expect(next[0]!.check).toBe('fan-look');
    expect(next.findIndex((n) => n.check === 'fan-look')).toBeLessThan(
      next.findIndex((n) => n.check === 'repair:fan-broken'),
    );
  });

  test('dearer parts make it dearer by what they cost when it was not that', () => {
    const group = knowledge.faults.find((f) => f.id === 'fan-broken')!.repair.parts![0]!;
    const cheap = suspicion(rattling({ [group]: 0 }));
    const dear = suspicion(rattling({ [group]: 600 }));
    expect(dear.total - cheap.total).toBeGreaterThan(10);
    expect(dear.minutes).toBe(cheap.minutes);
  });

  test('opening and closing again are counted', () => {
    const repair = suspicion(rattling());
    expect(repair.openingMinutes).toBeGreaterThan(10);
  });
});

describe('what is asked first', () => {
  test.each(knowledge.complaints.find((c) => c.id === 'dead')!.kinds)(
    '%s, dead: supply before bags and tanks',
    (kind) => {
      const asks = knowledge.complaints.find((c) => c.id === 'dead')!.asksFirst!;
      const [first] = find(kind, ['dead']).next.filter((n) => n.heldBackBy.length === 0);
      expect(asks).toContain(first!.check);
    },
  );

  test('a cord is flexed under power only after it was looked along', () => {
    for (const kind of knowledge.checks.find((c) => c.id === 'cord-flex')!.kinds) {
      const turned = [{ check: 'finger-turn', outcome: 'normal-drag' }].filter(() =>
        knowledge.checks.find((c) => c.id === 'finger-turn')!.kinds.includes(kind),
      );
      const [first] = find(kind, ['dead-intermittent'], turned).next.filter((n) => n.heldBackBy.length === 0);
      expect(first!.check).not.toBe('cord-flex');
    }
  });
});

const isLive = (check: string) =>
  knowledge.checks.find((c) => c.id === check)?.cautions.includes('live-measurement') ?? false;

test('a setting that is likely is tried before anybody measures at live parts', () => {
  const found = [
    ['finger-turn', 'normal-drag'],
    ['brush-switch-position', 'on'],
    ['head-lamp-look', 'lamp-lit'],
    ['run-seconds', 'roll-none'],
    ['run-seconds', 'sound-even'],
    ['run-seconds', 'smell-clean'],
  ].map(([check, outcome]) => ({ check: check!, outcome: outcome! }));
  const of = (factor: number) => {
    const { next, faults } = assess(knowledge, {
      kind: kindById('upright-brush-motor'),
      mainsV: 120,
      complaints: ['roll-not-turning'],
      answers: found,
      ageYears: 11,
      oddsFactor: new Map([
        ['floor-setting-wrong', factor],
        ['wand-contacts-dirty', 0.5],
        ['tilt-switch-failed', 0.6],
      ]),
    });
    const first = next.find((n) => n.heldBackBy.length === 0)!.check;
    return { first, likely: faults.find((f) => f.id === 'floor-setting-wrong')!.probability };
  };
  // The likelier it is that it was left there, for instance because it was before.
  for (const factor of [1, 1.5, 2, 2.5, 3, 4, 6]) {
    const { first, likely } = of(factor);
    if (likely >= 0.25) expect(isLive(first)).toBe(false);
  }
  const never = of(0.05);
  expect(never.likely).toBeLessThan(0.1);
  expect(isLive(never.first)).toBe(true);
});

const righted = knowledge.kinds.flatMap((kind) =>
  checksOf(knowledge, kind.id).flatMap((check) =>
    (check.putsRight ?? [])
      .filter((fault) => faultById(fault)?.kinds[kind.id])
      .map((fault) => [kind.id, check.id, fault] as const),
  ),
);

test.each(righted)('%s: once %s is made, what is seen later does not point to “%s” any more', (kind, check, fault) => {
  const looked = { check, outcome: checksOf(knowledge, kind).find((c) => c.id === check)!.aspects[0]!.outcomes[0]!.id };
  const complaint = faultById(fault)!.complaints.find((c) =>
    knowledge.complaints.find((k) => k.id === c.complaint)!.kinds.includes(kind),
  )!.complaint;
  const odds = (answers: Answer[]) => of(find(kind, [complaint], answers), fault).probability;
  const seen = odds([looked]);
  expect(seen).toBeLessThan(0.05);
  const signs = faultById(fault)!.shows.filter(
    (s) =>
      s.check !== check &&
      checksOf(knowledge, kind).some(
        (c) => c.id === s.check && c.aspects.some((a) => a.outcomes.some((o) => o.id === s.outcome)),
      ),
  );
  // A little, because the complaint was made before.
  for (const { check: later, outcome } of signs)
    expect([later, odds([looked, { check: later, outcome }]) < seen * 1.5]).toEqual([later, true]);
});

test('what was tried in vain is no suspect any more, as long as it was in vain', () => {
  const tried = (outcome: string) => [
    { check: 'finger-turn', outcome: 'normal-drag' },
    { check: 'repair:floor-setting-wrong', outcome },
  ];
  const isSuspect = (answers: Answer[]) =>
    of(find('upright-brush-motor', ['roll-not-turning'], answers), 'floor-setting-wrong').suspect;
  expect(isSuspect([])).toBe(true);
  expect(isSuspect(tried('remains'))).toBe(false);
  expect(isSuspect(tried('gone'))).toBe(true);
});
