import { knowledge } from '@/knowledge';
import { practitionersOrder } from '@/knowledge/practitionersOrder';
import { compileKind } from './compileKind';
import { fixedOrder, followCourse, proposedCourse, randomOrder, type Policy } from './followCourse';
import { seededRandom } from './seededRandom';
import { drawMachine } from './simulate';

const MACHINES = 25;

function runs(kindId: string, policy: Policy) {
  const compiled = compileKind(
    knowledge,
    knowledge.kinds.find((k) => k.id === kindId)!,
  );
  const memory = new Map();
  return Array.from({ length: MACHINES }, (_, i) => {
    const random = seededRandom(1000 * compiled.kind.number + i);
    return followCourse(compiled, drawMachine(random, compiled), policy, random, memory);
  });
}

const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;

/** Of each kind, the share of machines in which a fault was left that shows as the complaint. */
const living: number[] = [];

/** Of each kind, what the proposed course did; followed once. */
const proposed = new Map(knowledge.kinds.map((k) => [k.id, runs(k.id, proposedCourse())]));

describe.each(knowledge.kinds.map((k) => k.id))('the proposed course on machines drawn from %s', (kind) => {
  const followed = proposed.get(kind)!;

  test('ends with a proved cause, in a handful of checks', () => {
    expect(mean(followed.map((r) => Number(r.finished)))).toBeGreaterThan(0.85);
    // One or two of them look for a second cause, where a comeback would cost more.
    expect(mean(followed.map((r) => r.steps))).toBeLessThan(10);
    living.push(mean(followed.map((r) => Number(r.living))));
  });

  test('what it proves is really there', () => {
    expect(mean(followed.map((r) => Number(r.right)))).toBeGreaterThan(0.85);
    expect(mean(followed.map((r) => Number(r.topRight)))).toBeGreaterThan(0.85);
  });
});

test('over all kinds hardly one machine in ten is left with a living cause, before the run that tries the repair', () => {
  expect(living).toHaveLength(knowledge.kinds.length);
  // Ending at the first proved cause leaves about one in six.
  expect(mean(living)).toBeLessThan(0.14);
});

test('over all kinds it needs at least a quarter fewer minutes than the practitioners’ order, which beats a random one', () => {
  const minutes = (follow: (kind: string) => ReturnType<typeof runs>) =>
    mean(
      ['upright-shaft-belt', 'upright-brush-motor', 'central-turbine-brush', 'scrubber-ride-on'].flatMap((k) =>
        follow(k).map((r) => r.minutes),
      ),
    );
  const [ours, fixed, random] = [
    minutes((k) => proposed.get(k)!),
    minutes((k) => runs(k, fixedOrder(practitionersOrder))),
    minutes((k) => runs(k, randomOrder())),
  ];
  expect(ours).toBeLessThan(0.75 * fixed);
  expect(fixed).toBeLessThan(random);
});

test('the practitioners’ order names every check, once', () => {
  expect([...practitionersOrder].sort()).toEqual(knowledge.checks.map((c) => c.id).sort());
});
