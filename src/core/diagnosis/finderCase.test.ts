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
