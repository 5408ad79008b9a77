import { HEALTHY, healthySections, type MachineSort } from '../src/core/air/healthyMachines';
import { locateBlockage, type AirFinding } from '../src/core/air/locateBlockage';
import {
  otherMachine,
  readAll,
  withClog,
  withHole,
  withWeakFan,
  type OtherMachine,
  type Random,
} from '../src/core/air/machinesOfAnotherHand.fixture';
import { seededRandom } from '../src/core/diagnosis/seededRandom';

const METER_KPA = 0.15;
const SURE = 0.8;

type Case = (random: Random, i: number, sort: MachineSort) => [OtherMachine, string];

/** What the machines have: every part and every sort in turn. */
const CASES: Record<string, Case> = {
  healthy: (random, _, sort) => [otherMachine(random, sort), 'nothing'],
  'a clog': (random, i, sort) => [withClog(otherMachine(random, sort), i % 5, 0.4 + 0.35 * random()), `clog ${i % 5}`],
  'two clogs': (random, i, sort) => {
    const [a, b] = [i % 5, (i + 1 + ((i >> 3) % 4)) % 5].sort((x, y) => x - y) as [number, number];
    const one = withClog(otherMachine(random, sort), a, 0.5 + 0.25 * random());
    return [withClog(one, b, 0.55 + 0.2 * random()), `clog ${a} and clog ${b}`];
  },
  'a clog and a leak': (random, i, sort) => {
    const [a, b] = [i % 5, (i >> 2) % 4];
    const one = withClog(otherMachine(random, sort), a, 0.45 + 0.25 * random());
    return [withHole(one, b, 0.55 + 0.2 * random()), `clog ${a} and leak ${b}`];
  },
  'a leak': (random, i, sort) => [withHole(otherMachine(random, sort), i % 4, 0.4 + 0.35 * random()), `leak ${i % 4}`],
  'a weak fan': (random, _, sort) => [withWeakFan(otherMachine(random, sort), 0.45 + 0.25 * random()), 'fan'],
};

const told = ({ faults }: AirFinding) =>
  faults.map(({ fault }) => (fault.sort === 'fan' ? 'fan' : `${fault.sort} ${fault.section}`)).join(' and ') ||
  'nothing';

/**
 * The clog finder on machines of another hand than its own model: 2 % of each reading, parts of 15 %, fans whose curve bends.
 * @param machines of each case
 */
export function benchClogs(machines: number): void {
  const random = seededRandom(20_261_127);
  console.log(`\nClog finder, ${machines} machines of each case, in per cent`);
  console.log(`  ${'what they have'.padEnd(20)} named rightly  wrong and sure  not sure  do not fit`);
  for (const [name, make] of Object.entries(CASES)) {
    const count = { right: 0, wrongAndSure: 0, notSure: 0, misfit: 0 };
    for (let i = 0; i < machines; i++) {
      const sort = (Object.keys(HEALTHY) as MachineSort[])[(i * 7) % 5]!;
      const [machine, truth] = make(random, i, sort);
      const { fan } = HEALTHY[sort];
      const { findings, isMisfit } = locateBlockage(
        fan,
        healthySections(sort, fan),
        readAll(random, machine),
        METER_KPA,
      );
      const first = findings[0]!;
      const sure = first.probability > SURE && !isMisfit;
      if (told(first) === truth) count.right++;
      else if (sure) count.wrongAndSure++;
      if (!sure) count.notSure++;
      if (isMisfit) count.misfit++;
    }
    const share = (n: number) => ((100 * n) / machines).toFixed(1).padStart(12);
    console.log(
      `  ${name.padEnd(20)}${share(count.right)}${share(count.wrongAndSure)}${share(count.notSure)}${share(count.misfit)}`,
    );
  }
}
