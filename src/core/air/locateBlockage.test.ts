import { seededRandom } from '../diagnosis/seededRandom';
import { sizeMove } from './airFaults';
import { HEALTHY, healthySections, type MachineSort } from './healthyMachines';
import { locateBlockage, type AirFinding } from './locateBlockage';
import {
  otherMachine,
  readAll,
  STATIONS,
  withClog,
  withHole,
  withWeakFan,
  type OtherMachine,
  type Random,
} from './machinesOfAnotherHand.fixture';
import { differencesOf, movedSlightly, predictKPa, shownAt } from './ownMachine';

const { fan } = HEALTHY.canister;
const sections = healthySections('canister', fan);
const METER = 0.15;
const told = ({ faults }: AirFinding) =>
  faults.map(({ fault }) => (fault.sort === 'fan' ? 'fan' : `${fault.sort} ${fault.section}`)).join(' and ') ||
  'nothing';

/** So many machines of every sort, of another hand than the finder's: what it says of them, against what they have. */
function tried(
  seed: number,
  runs: number,
  make: (random: Random, i: number, sort: MachineSort) => [OtherMachine, string],
) {
  const random = seededRandom(seed);
  let [right, sureAndWrong, misfit] = [0, 0, 0];
  for (let i = 0; i < runs; i++) {
    const sort = (Object.keys(HEALTHY) as MachineSort[])[(i * 7) % 5]!;
    const [machine, truth] = make(random, i, sort);
    const { fan } = HEALTHY[sort];
    const { findings, isMisfit } = locateBlockage(fan, healthySections(sort, fan), readAll(random, machine), METER);
    if (told(findings[0]!) === truth) right++;
    else if (findings[0]!.probability > 0.8 && !isMisfit) sureAndWrong++;
    if (isMisfit) misfit++;
  }
  return { right: right / runs, sureAndWrong: sureAndWrong / runs, misfit: misfit / runs };
}

describe('where is the clog, on machines of another hand', () => {
  test('a healthy one is called so', () => {
    const { right, misfit } = tried(21, 12, (random, _, sort) => [otherMachine(random, sort), 'nothing']);
    expect(right).toBeGreaterThanOrEqual(0.95);
    expect(misfit).toBeLessThanOrEqual(0.05);
  });

  test('a clog that takes a quarter to six tenths of the flow is named', () => {
    const { right, sureAndWrong } = tried(22, 15, (random, i, sort) => [
      withClog(otherMachine(random, sort), i % 5, 0.4 + 0.35 * random()),
      `clog ${i % 5}`,
    ]);
    expect(right).toBeGreaterThanOrEqual(0.95);
    expect(sureAndWrong).toBeLessThanOrEqual(0.02);
  });

  test('of two clogs both are named', () => {
    const { right, sureAndWrong } = tried(23, 10, (random, i, sort) => {
      const [a, b] = [i % 5, (i + 1 + ((i >> 3) % 4)) % 5].sort((x, y) => x - y) as [number, number];
      const one = withClog(otherMachine(random, sort), a, 0.5 + 0.25 * random());
      return [withClog(one, b, 0.55 + 0.2 * random()), `clog ${a} and clog ${b}`];
    });
    expect(right).toBeGreaterThanOrEqual(0.8);
    expect(sureAndWrong).toBeLessThanOrEqual(0.05);
  });

  test('of a clog and a leak both are named', () => {
    const { right, sureAndWrong } = tried(24, 12, (random, i, sort) => {
      const [a, b] = [i % 5, (i >> 2) % 4];
      const one = withClog(otherMachine(random, sort), a, 0.45 + 0.25 * random());
      return [withHole(one, b, 0.55 + 0.2 * random()), `clog ${a} and leak ${b}`];
    });
    expect(right).toBeGreaterThanOrEqual(0.75);
    expect(sureAndWrong).toBeLessThanOrEqual(0.05);
  });

  test('a weak fan is one, and a hole before the motor is a leak', () => {
    const weak = tried(25, 5, (random, _, sort) => [
      withWeakFan(otherMachine(random, sort), 0.45 + 0.25 * random()),
      'fan',
    ]);
    expect(weak.right).toBeGreaterThanOrEqual(0.95);
    const holes = tried(26, 8, (random, i, sort) => [
      withHole(otherMachine(random, sort), i % 4, 0.4 + 0.35 * random()),
      `leak ${i % 4}`,
    ]);
    expect(holes.right).toBeGreaterThanOrEqual(0.85);
  });

  test('a clog that nobody would notice is nothing', () => {
    const { right } = tried(27, 5, (random, i, sort) => [withClog(otherMachine(random, sort), i % 5, 0.97), 'nothing']);
    expect(right).toBeGreaterThanOrEqual(0.95);
  });
});

describe('what the clog finder says besides', () => {
  test('readings of two machines do not fit one', () => {
    const random = seededRandom(31);
    const [one, other] = [otherMachine(random, 'canister'), withClog(otherMachine(random, 'canister'), 2, 0.3)];
    const [a, b] = [readAll(random, one), readAll(random, other)];
    const mixed = a.map((reading, i) => (i % 2 === 0 ? reading : b[i]!));
    expect(locateBlockage(fan, sections, a, METER).isMisfit).toBe(false);
    expect(locateBlockage(fan, sections, b, METER).isMisfit).toBe(false);
    expect(locateBlockage(fan, sections, mixed, METER).isMisfit).toBe(true);
  });

  test('the station that it proposes next tells more than any other, on the average over machines', () => {
    const random = seededRandom(32);
    const few = [STATIONS[4]!, STATIONS[6]!];
    const rest = STATIONS.filter((s) => !few.includes(s));
    const gained = rest.map(() => 0);
    let proposed = 0;
    const runs = 3;
    for (let i = 0; i < runs; i++) {
      const all = readAll(random, withClog(otherMachine(random, 'upright'), i % 5, 0.55));
      const own = HEALTHY.upright.fan;
      const path = healthySections('upright', own);
      const at = (stations: typeof STATIONS) =>
        all.filter((r) => stations.some((s) => s.after === r.after && s.setUp === r.setUp));
      const { next } = locateBlockage(own, path, at(few), METER, { stations: rest });
      const truth = `clog ${i % 5}`;
      const odds = (stations: typeof STATIONS) =>
        locateBlockage(own, path, at(stations), METER).findings.find((f) => told(f) === truth)!.probability;
      const each = rest.map((s) => odds([...few, s]));
      each.forEach((p, k) => (gained[k]! += p / runs));
      proposed += each[rest.indexOf(next!.station)]! / runs;
    }
    expect(proposed).toBeGreaterThan(gained.reduce((a, b) => a + b, 0) / gained.length);
  });

  test('what it says of each part’s loss holds in about 95 of 100 machines', () => {
    const random = seededRandom(33);
    let [inside, all] = [0, 0];
    for (let i = 0; i < 16; i++) {
      const sort = (Object.keys(HEALTHY) as MachineSort[])[i % 5]!;
      const { fan, workingLs } = HEALTHY[sort];
      const usual = healthySections(sort, fan);
      const own = otherMachine(random, sort);
      const machine = i % 2 ? withClog(own, i % 5, 0.5 + 0.2 * random()) : own;
      locateBlockage(fan, usual, readAll(random, machine), METER).losses.forEach(({ ratio, sigma }, part) => {
        const { loss, exponent } = machine.parts[part]!;
        const truth = (loss * workingLs ** exponent) / (usual[part]!.loss * workingLs ** usual[part]!.exponent);
        all++;
        if (Math.abs(ratio - truth) <= 1.96 * sigma) inside++;
      });
    }
    expect(inside / all).toBeGreaterThanOrEqual(0.9);
    expect(inside / all).toBeLessThanOrEqual(0.99);
  });

  test('how a reading moves with the machine agrees with moving the machine', () => {
    const moves = [
      ...differencesOf(sections, { sealed: 'usual', free: 'measured' }),
      sizeMove({ sort: 'leak', section: 2 }, 0.4),
    ];
    const machine = { fan, sections, leak: { after: 2, size: 3 } };
    for (const { setUp, after } of STATIONS) {
      const { kPa, slopes } = shownAt(machine, { setUp, after: [after] }, movedSlightly(machine, moves));
      expect(kPa[0]).toBeCloseTo(predictKPa(machine, { setUp, after }), 7);
      moves.forEach((move, i) => {
        const [up, down] = [0.01, -0.01].map((by) => predictKPa(move(machine, by), { setUp, after }));
        expect(slopes[0]![i]).toBeCloseTo((up! - down!) / 0.02, 3);
      });
    }
  });
});
