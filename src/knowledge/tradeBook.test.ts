import { cautionsFor, checksOf } from '@/core/diagnosis/knowledge';
import { lineSplits } from '@/core/diagnosis/lineSplit';
import { kindById, knowledge } from '.';
import { tradeBook, writtenBook } from './tradeBook';

const kinds = knowledge.kinds.map((k) => k.id);

describe.each(kinds)('what a page is told of the kind %s', (kind) => {
  const told = JSON.parse(writtenBook(kind).text) as ReturnType<typeof tradeBook>;

  test('has its checks word for word', () => {
    expect(checksOf(told.knowledge, kind)).toEqual(
      checksOf(knowledge, kind).map((c) => ({
        ...c,
        kinds: [kind],
        aspects: c.aspects.map(({ kinds: _, ...a }) => ({
          ...a,
          outcomes: a.outcomes.map(({ kinds: _, ...o }) => o),
        })),
      })),
    );
    expect(checksOf(told.knowledge, kind).length).toBeGreaterThan(10);
  });

  test('says the same cautions, and splits its lines at the same places', () => {
    const all = knowledge.cautions.map((c) => c.id);
    expect(cautionsFor(told.knowledge, kind, all)).toEqual(cautionsFor(knowledge, kind, all));
    // Odds that differ from station to station, so that a cut has two sides.
    const stations = kindById(kind).lines.flatMap((l) => l.stations.map((s) => s.id));
    const odds = Object.fromEntries(stations.map((s, i) => [s, ((7 * i) % 5) / 10]));
    for (const check of checksOf(knowledge, kind))
      expect(lineSplits(told.knowledge, toldKind(told), [], check.id, odds)).toEqual(
        lineSplits(knowledge, kindById(kind), [], check.id, odds),
      );
  });

  test('names every fault there is, and knows its own with what is done about them', () => {
    for (const fault of knowledge.faults) {
      const own = told.knowledge.faults.find((f) => f.id === fault.id);
      expect(own?.label ?? told.otherFaults[fault.id]).toBe(fault.label);
      expect(own?.kinds[kind]).toEqual(fault.kinds[kind]);
      if (!own) continue;
      expect(own.repair).toEqual(fault.repair);
      expect(own.complaints).toEqual(fault.complaints);
      expect(told.repairSteps[fault.id]!.length).toBeGreaterThan(0);
    }
  });

  test('is less than half of the whole', () => {
    expect(2 * writtenBook(kind).text.length).toBeLessThan(JSON.stringify(knowledge).length);
  });
});

const toldKind = (told: ReturnType<typeof tradeBook>) => told.knowledge.kinds[0]!;

test('a sum tells one book from another', () => {
  expect(new Set(kinds.map((k) => writtenBook(k).sum)).size).toBe(kinds.length);
});

test('of what is no kind nothing is told', () => {
  expect(() => tradeBook('no-such-kind')).toThrow('There is no kind no-such-kind.');
});
