import { knowledge } from '@/knowledge';
import { benchStateOf, reckonCase, trulyDropped, type FinderCase } from './finderCase';

const nobody = { kindJobs: 0, modelJobs: 0, lentJobs: 0, lentFaults: {}, faults: {} };
const asked = (more: Partial<FinderCase>): FinderCase => ({
  kind: 'upright-shaft-belt',
  mainsV: 120,
  complaints: [],
  answers: [],
  openedBefore: false,
  droppedStations: [],
  raised: [],
  cleared: [],
  ...more,
});

const explains = (kind: string, complaint: string) =>
  knowledge.faults.filter(
    (f) => kind in f.kinds && f.complaints.some((c) => c.complaint === complaint && c.strength !== 'never'),
  );

test('a machine that cuts out and comes back has a cut-out, whatever its list says', () => {
  const model = asked({ complaints: ['stops-after-minutes'], droppedStations: ['cut-out', 'belt-cover'] });
  const answers = [{ check: 'breaker-reset', outcome: 'came-back' }];
  expect(benchStateOf(knowledge, { ...model, answers }).proved).toEqual(['thermal-cutout-open']);
  const { assessment } = reckonCase(knowledge, { ...model, answers }, nobody);
  expect(assessment!.explained[0]).toMatchObject({ complaint: 'stops-after-minutes', by: ['thermal-cutout-open'] });
  // What the complaint does not speak of stays left out.
  expect(assessment!.faults.some((f) => f.id === 'belt-cover-off')).toBe(false);
});

test('no complaint of any kind is left without what explains it, whatever stations a model lacks', () => {
  for (const kind of knowledge.kinds) {
    const all = kind.lines.flatMap((l) => l.stations.map((s) => s.id));
    for (const complaint of knowledge.complaints.filter((c) => c.kinds.includes(kind.id))) {
      const causes = explains(kind.id, complaint.id);
      const dropped = trulyDropped(knowledge, kind, { complaints: [complaint.id], droppedStations: all });
      expect([kind.id, complaint.id, causes.some((f) => !dropped.includes(f.kinds[kind.id]!.station))]).toEqual([
        kind.id,
        complaint.id,
        true,
      ]);
      // As long as something explains it nothing is taken in again.
      const [first, ...rest] = [...new Set(causes.map((f) => f.kinds[kind.id]!.station))];
      if (rest.length > 0)
        expect(trulyDropped(knowledge, kind, { complaints: [complaint.id], droppedStations: [first!] })).toEqual([
          first,
        ]);
    }
  }
});

describe('what is known of this machine and what the shop learned of all', () => {
  const priorsOf = (more: Partial<FinderCase>, tallies = nobody) =>
    new Map(reckonCase(knowledge, asked(more), tallies).assessment!.faults.map((f) => [f.id, f.prior]));
  const many = { ...nobody, kindJobs: 150, faults: { 'belt-slipping': { kind: 45, model: 0 } } };
  const odds = (p: number) => p / (1 - p);

  test('a hundred jobs drown neither its age, nor a new part, nor that somebody had it open', () => {
    const any = priorsOf({}, many);
    const moved = (more: Partial<FinderCase>, fault: string) =>
      odds(priorsOf(more, many).get(fault)!) / odds(any.get(fault)!);
    const shipped = (more: Partial<FinderCase>, fault: string) =>
      odds(priorsOf(more).get(fault)!) / odds(priorsOf({}).get(fault)!);
    const known: [Partial<FinderCase>, string][] = [
      [{ madeNew: ['belt-slipping'] }, 'belt-slipping'],
      [{ ageYears: 0 }, 'belt-slipping'],
      [{ ageYears: 0 }, 'suction-motor-worn'],
      [{ openedBefore: true }, 'belt-cover-off'],
    ];
    for (const [more, fault] of known) {
      expect(Math.abs(Math.log(shipped(more, fault)))).toBeGreaterThan(0.7);
      expect(moved(more, fault)).toBeCloseTo(shipped(more, fault), 6);
    }
    expect(moved({ ageYears: 0 }, 'belt-broken')).toBe(1);
  });

  test('a shop without jobs has the shipped figures', () => {
    const [plain, young] = [priorsOf({ ageYears: 30 }), priorsOf({ ageYears: 0 })];
    expect(priorsOf({})).toEqual(plain);
    expect(young.get('belt-slipping')! / plain.get('belt-slipping')!).toBeCloseTo(0.3, 9);
  });
});
