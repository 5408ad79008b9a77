import type { JobState } from '@/data/jobState';
import { repairAccess } from '@/core/diagnosis/knowledge';
import { stepOf } from '@/core/strip/procedure';
import { stepsToOpen } from '@/core/strip/reach';
import { kindById, knowledge } from '@/knowledge';
import { planItemsOn } from '@/knowledge/plans';
import { procedures } from '@/knowledge/kinds';
import type { ServiceLine } from './dto';
import { stripOf } from './stripOf';
import { opensFor, visitOrder } from './visitOrder';

const KINDS = knowledge.kinds.map((k) => [k.id, k] as const);
const NOTHING = { toMend: [], repaired: [], open: [] };

/** A job of which nothing is known but what was pressed. */
function pressed(steps: readonly string[], visit: string): JobState {
  return {
    job: { visit },
    model: { dropped_stations: [] },
    stripped: steps.map((step) => ({ step, state: 'done' })),
    ticks: [],
    losses: [],
    findings: [],
    fitted: [],
    procedure: [],
    modelPhotographs: [],
  } as unknown as JobState;
}

const serviceOf = (kind: string): ServiceLine[] =>
  planItemsOn(kind).map(
    (i) => ({ item: i.id, station: i.stations[kind]!, said: null, state: 'unknown' }) as ServiceLine,
  );

describe.each(KINDS)('%s', (id, kind) => {
  test('what a visit opened for its list is no look of its own: with nothing to mend nothing more is opened', () => {
    const service = serviceOf(id);
    const order = visitOrder(kind, procedures[id]!, service, [], new Set()).lines;
    const steps = order.flatMap((l) => (l.sort === 'step' ? [l.step.id] : []));
    for (let n = 0; n <= steps.length; n++)
      expect(stripOf(kind, pressed(steps.slice(0, n), 'service'), NOTHING, service).strip.ahead).toEqual([]);
  });

  test('a step that was done for another cover does not open its own; the last cover that was begun is opened to its end', () => {
    for (const access of kind.access) {
      const way = stripOf(kind, pressed([], ''), { ...NOTHING, toMend: faultsBehind(id, access.id) }, []).strip.ahead;
      // Before the first step of its own nobody can know what was begun.
      for (let n = 1 + way.findIndex((s) => s.access === access.id); n <= way.length; n++) {
        const done = way.slice(0, n).map((s) => s.id);
        const left = stripOf(kind, pressed(done, ''), NOTHING, []).strip.ahead.map((s) => s.id);
        expect(way.slice(n).map((s) => s.id)).toEqual(expect.arrayContaining(left));
      }
    }
  });
});

test.each(KINDS)(
  '%s: what is to be mended is opened by the access of its repair, whatever check has its name',
  (id, kind) => {
    for (const fault of knowledge.faults.filter((f) => id in f.kinds)) {
      const { strip } = stripOf(kind, pressed([], ''), { ...NOTHING, toMend: [fault.id] }, []);
      const wanted = stepsToOpen(procedures[id]!, kind.access, [repairAccess(kind, fault)]);
      expect([fault.id, strip.ahead.map((s) => s.id).sort()]).toEqual([fault.id, wanted.map((s) => s.id).sort()]);
    }
  },
);

test.each(KINDS)(
  '%s: what an item of the service lies behind was opened when it is said, and goes back',
  (id, kind) => {
    const service = serviceOf(id);
    for (const line of service) {
      const inside = (said: ServiceLine['said']) => {
        const told = service.map((l) => (l === line ? { ...l, said } : l));
        return stripOf(kind, pressed([], 'service'), NOTHING, told);
      };
      const opens = opensFor(kind, procedures[id]!, line).map((s) => s.id);
      const open = (said: ServiceLine['said']) => inside(said).strip.done.map((s) => s.id);
      expect([line.item, open('done').sort()]).toEqual([line.item, [...opens].sort()]);
      expect(open('worn')).toEqual(open('done'));
      for (const said of ['left', null] as const) expect(inside(said).strip.done).toEqual([]);
      const back = (said: ReturnType<typeof inside>) => said.rebuild.map((l) => l.id);
      expect(back(inside('done'))).toEqual(back(stripOf(kind, pressed(opens, 'service'), NOTHING, service)));
      // What was pressed before is not opened twice, and lies outside what was only said.
      for (let n = 1; n <= opens.length; n++) {
        const told = service.map((l) => (l === line ? { ...l, said: 'done' as const } : l));
        const { done } = stripOf(kind, pressed(opens.slice(0, n), 'service'), NOTHING, told).strip;
        expect(done.map((s) => s.id).sort()).toEqual([...opens].sort());
        for (const [i, s] of done.entries()) expect(needsOf(id, s.id).filter((need) => at(done, need) > i)).toEqual([]);
      }
    }
    // With the whole list said, of two ways to the same place one was gone.
    const { done } = stripOf(
      kind,
      pressed([], 'service'),
      NOTHING,
      service.map((l) => ({ ...l, said: 'done' })),
    ).strip;
    for (const s of done) expect(stepOf(procedures[id]!, s.id).instead.filter((i) => at(done, i) >= 0)).toEqual([]);
  },
);

const needsOf = (kind: string, step: string) => stepOf(procedures[kind]!, step).needs;
const at = (steps: readonly { id: string }[], id: string) => steps.findIndex((s) => s.id === id);

test('what smelled is disinfected where the cause of the smell is mended, and nowhere else', () => {
  const kind = kindById('stick-cordless');
  const linesOf = (complaints: string[], fault: string) =>
    stripOf(kind, { ...pressed([], ''), complaints } as JobState, { ...NOTHING, toMend: [fault] }, []).rebuild;
  const smelling = linesOf(['bad-smell', 'weak-suction'], 'filter-clogged').filter((l) => l.fault);
  // Before it is put to dry: afterwards it would be wet again.
  expect(smelling.map((l) => l.id)).toEqual(['1', 'disinfect', '2'].map((s) => `work.filter-clogged.${s}`));
  expect(smelling[1]!.cautions).toEqual(['chemicals', 'dry-before-run']);
  for (const quiet of [linesOf(['weak-suction'], 'filter-clogged'), linesOf(['bad-smell'], 'head-board-failed')]) {
    expect(quiet.length).toBeGreaterThan(0);
    expect(quiet.filter((l) => l.id.endsWith('.disinfect'))).toEqual([]);
  }
});

test('where a new filter is fitted none is washed', () => {
  const kind = kindById('stick-cordless');
  const linesWith = (fitted: { station: string; group: string }[]) =>
    stripOf(kind, { ...pressed([], ''), fitted } as JobState, { ...NOTHING, toMend: ['filter-clogged'] }, [])
      .rebuild.filter((l) => l.fault)
      .map((l) => l.label)
      .join(' ');
  expect(linesWith([])).toMatch(/washed.*dry/);
  expect(linesWith([{ station: 'pre-filter', group: 'filter' }])).toMatch(
    /^Motor inlet looked into: clean New filter in/,
  );
  expect(linesWith([{ station: 'exhaust-foam', group: 'filter' }])).toMatch(/washed.*dry/);
});

/** A fault that is mended behind a cover. */
function faultsBehind(kind: string, access: string): string[] {
  return knowledge.faults
    .filter((f) => kind in f.kinds && f.repair.access === access)
    .slice(0, 1)
    .map((f) => f.id);
}
