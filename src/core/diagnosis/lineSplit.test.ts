import { knowledge } from '@/knowledge';
import { lineSplits } from './lineSplit';

const kind = knowledge.kinds.find((k) => k.id === 'upright-brush-motor')!;
const power = kind.lines.find((l) => l.line === 'power')!.stations.map((s) => s.id);

test('volts at the head split the power line at the head: what feeds it before, what it feeds behind', () => {
  const odds = {
    'brush-switch': 0.2,
    'hose-conductors': 0.2,
    'wand-contacts': 0.1,
    'tilt-switch': 0.3,
    'brush-motor': 0.2,
  };
  const [split] = lineSplits(knowledge, kind, [], 'head-socket-volts', odds);
  expect(split).toMatchObject({ line: 'power', before: 'wand-contacts', after: 'head-socket', tells: 'before' });
  expect(split!.beforeOdds).toBeCloseTo(0.5, 9);
  expect(split!.afterOdds).toBeCloseTo(0.5, 9);
});

test('no cut where all the odds lie on one side, or nothing is told', () => {
  expect(lineSplits(knowledge, kind, [], 'head-socket-volts', { [power[0]!]: 0.9 })).toEqual([]);
  expect(lineSplits(knowledge, kind, [], 'no-such-check', Object.fromEntries(power.map((id) => [id, 0.1])))).toEqual(
    [],
  );
});

test('every cut of every check lies between neighbours that are there', () => {
  for (const k of knowledge.kinds) {
    const ids = k.lines.flatMap((l) => l.stations.map((s) => s.id));
    const odds = Object.fromEntries(ids.map((id, i) => [id, 0.05 + 0.01 * (i % 5)]));
    const dropped = [ids[2]!];
    for (const c of knowledge.checks)
      for (const s of lineSplits(knowledge, k, dropped, c.id, odds)) {
        const line = k.lines
          .find((l) => l.line === s.line)!
          .stations.map((x) => x.id)
          .filter((id) => !dropped.includes(id));
        expect(line.indexOf(s.after)).toBe(line.indexOf(s.before) + 1);
      }
  }
});
