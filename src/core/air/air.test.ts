import fc from 'fast-check';
import { toBase } from '../units/units';
import { along, fanVacuumKPa, surplusKPa, unknownAt, workingPoint, type Fan, type Section } from './airPath';
import { airPowerW, airWattsF558 } from './airPower';
import { ductLossKPa, frictionFactor } from './friction';
import { HEALTHY, healthySections } from './healthyMachines';
import { coolingOf, flowFromTrip, motorTemperatureC, recoveryMinutes, tripMinutes, USUAL_MOTOR } from './motorHeat';

describe('air power', () => {
  test('SI and ASTM F558 differ by the inch of water only: 0.17 %', () => {
    const cfm = 60;
    const inches = 50;
    const si = airPowerW(toBase('flow', cfm, 'cfm'), toBase('pressure', inches, 'inH2O'));
    expect(airWattsF558(cfm, inches)).toBeCloseTo(0.117354 * 3000, 9);
    expect(si / airWattsF558(cfm, inches)).toBeCloseTo(0.117557 / 0.117354, 4);
  });
});

describe('duct friction', () => {
  // Values of the Moody diagram: Colebrook–White, as any fluid-mechanics handbook tabulates them.
  test.each([
    [1e5, 0.001, 0.02217],
    [1e6, 0.0001, 0.01344],
    [1e4, 0, 0.03088],
    [2000, 0.01, 0.032],
  ])('Re %d, ε/D %d: f %d', (re, rough, f) => expect(frictionFactor(re, rough)).toBeCloseTo(f, 5));
  // Blasius 0.316/Re^0.25 for smooth pipes (any handbook), good to 2 % here.
  test('smooth pipes follow Blasius', () => {
    for (const re of [4e3, 1e4, 5e4]) expect(frictionFactor(re, 0) / (0.316 / re ** 0.25)).toBeCloseTo(1, 1);
  });
  test('loss grows with flow and length, and falls with the bore', () => {
    expect(ductLossKPa(0, 32, 2000, 0.05)).toBe(0);
    expect(ductLossKPa(30, 32, 4000, 0.05)).toBeCloseTo(2 * ductLossKPa(30, 32, 2000, 0.05), 12);
    expect(ductLossKPa(30, 38, 2000, 0.05)).toBeLessThan(ductLossKPa(30, 32, 2000, 0.05) / 2);
    expect(() => frictionFactor(0, 0)).toThrow(RangeError);
  });
});

const fan = HEALTHY.canister.fan;
const sections = healthySections('canister', fan);

describe('the working point', () => {
  test('a healthy machine works at its working flow, and the vacuum there is the fan’s', () => {
    const p = workingPoint(fan, sections, { from: 0, sealed: false });
    expect(p.mouthLs).toBeCloseTo(HEALTHY.canister.workingLs, 6);
    expect(p.vacuumKPa.at(-1)).toBeCloseTo(fanVacuumKPa(fan, p.motorLs), 6);
  });
  test('sealed, every station shows the sealed suction; with nothing before it the fan is nearly free', () => {
    const p = workingPoint(fan, sections, { from: 0, sealed: true });
    for (const v of p.vacuumKPa) expect(v).toBeCloseTo(fan.sealedKPa, 6);
    expect(workingPoint(fan, sections, { from: 4, sealed: false }).mouthLs).toBeGreaterThan(0.9 * fan.freeLs);
  });
  test('a fan’s curve begins at sealed suction, ends at free flow, and bends between a line and a square', () => {
    for (const shape of [0, 0.3, 1]) {
      const bent = { ...fan, shape };
      expect(fanVacuumKPa(bent, 0)).toBe(fan.sealedKPa);
      expect(fanVacuumKPa(bent, fan.freeLs)).toBeCloseTo(0, 12);
      expect(fanVacuumKPa(bent, fan.freeLs / 2)).toBeCloseTo(fan.sealedKPa * (0.5 + 0.25 * shape), 12);
    }
  });
  test('more loss, less flow and more vacuum behind it; a leak, less vacuum when sealed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4 }), fc.double({ min: 1.1, max: 50, noNaN: true }), (at, times) => {
        const worse = sections.map((s, i) => (i === at ? { ...s, loss: s.loss * times } : s));
        const [a, b] = [sections, worse].map((s) => workingPoint(fan, s, { from: 0, sealed: false }));
        expect(b!.mouthLs).toBeLessThan(a!.mouthLs);
        expect(b!.vacuumKPa.at(-1)!).toBeGreaterThan(a!.vacuumKPa.at(-1)!);
        const leaky = workingPoint(fan, sections, { from: 0, sealed: true }, { after: at, size: times });
        expect(leaky.vacuumKPa.at(-1)!).toBeLessThan(fan.sealedKPa);
      }),
      { seed: 7, numRuns: 40 },
    );
  });
});

describe('heat of the motor', () => {
  const motor = { ...USUAL_MOTOR, roomC: 22 };
  test('healthy it never trips; starved it does, and the sooner the less air', () => {
    expect(tripMinutes(motor, 1)).toBeNull();
    const times = [0.3, 0.2, 0.1, 0].map((f) => tripMinutes(motor, f)!);
    expect([...times].sort((a, b) => b - a)).toEqual(times);
    expect(motorTemperatureC(motor, 0.2, times[1]!)).toBeCloseTo(motor.opensC, 6);
  });
  test('the flow comes back from the time to the trip', () => {
    for (const flow of [0.05, 0.15, 0.3]) expect(flowFromTrip(motor, tripMinutes(motor, flow)!)!).toBeCloseTo(flow, 6);
    expect(flowFromTrip(motor, 0.5)).toBeNull();
  });
  test('cooling is whole at healthy flow; it recovers slowly, standing', () => {
    expect(coolingOf(1)).toBeCloseTo(1, 12);
    expect(recoveryMinutes(motor)).toBeGreaterThan(20);
  });
});

describe('where fan and path meet', () => {
  const anyFan = fc.record({
    sealedKPa: fc.double({ min: 2, max: 40, noNaN: true }),
    freeLs: fc.double({ min: 5, max: 120, noNaN: true }),
    shape: fc.double({ min: 0, max: 1, noNaN: true }),
  });
  const anySection = fc.record({
    id: fc.constant('part'),
    label: fc.constant('a part'),
    loss: fc.double({ min: 1e-6, max: 0.5, noNaN: true }),
    exponent: fc.constantFrom(1, 1.2, 1.75, 2),
  });
  const anyLeak = fc.option(
    fc.record({ after: fc.integer({ min: 0, max: 4 }), size: fc.double({ min: 0.01, max: 20, noNaN: true }) }),
    { nil: null },
  );
  const anySetUp = fc.record({ from: fc.integer({ min: 0, max: 4 }), sealed: fc.boolean() });

  /** Halving until nothing is left to halve: slow, and sure. */
  function halved(
    fan: Fan,
    path: Section[],
    setUp: { from: number; sealed: boolean },
    leak: { after: number; size: number } | null,
  ) {
    let [low, high] = [0, setUp.sealed ? fan.sealedKPa : fan.freeLs];
    for (let i = 0; i < 200; i++) {
      const middle = (low + high) / 2;
      if (surplusKPa(fan, along(path, setUp, leak, middle)) > 0) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  }

  test('it is where halving finds it, for any fan, path, leak and set-up', () => {
    fc.assert(
      fc.property(
        anyFan,
        fc.array(anySection, { minLength: 5, maxLength: 5 }),
        anyLeak,
        anySetUp,
        (fan, path, leak, setUp) => {
          const found = unknownAt(fan, path, setUp, leak);
          const left = surplusKPa(fan, along(path, setUp, leak, found));
          expect(Math.abs(left)).toBeLessThanOrEqual(2e-9 * fan.sealedKPa);
          const most = setUp.sealed ? fan.sealedKPa : fan.freeLs;
          expect(Math.abs(found - halved(fan, path, setUp, leak))).toBeLessThanOrEqual(1e-5 * most);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('sealed and tight, the fan’s own vacuum stands everywhere; with a leak some of it is lost', () => {
    const setUp = { from: 0, sealed: true };
    expect(workingPoint(fan, sections, setUp).vacuumKPa).toEqual(sections.map(() => fan.sealedKPa));
    const leaking = workingPoint(fan, sections, setUp, { after: 2, size: 2 });
    expect(leaking.motorLs).toBeGreaterThan(0);
    expect(leaking.vacuumKPa.at(-1)!).toBeLessThan(fan.sealedKPa);
    // What lies before the leak stands still: the same vacuum up to it.
    expect(leaking.vacuumKPa[0]).toBeCloseTo(leaking.vacuumKPa[2]!, 9);
  });

  test('what is off is told as nothing, and takes nothing', () => {
    const whole = workingPoint(fan, sections, { from: 0, sealed: false });
    const off = workingPoint(fan, sections, { from: 3, sealed: false });
    expect(off.vacuumKPa.slice(0, 3)).toEqual([NaN, NaN, NaN]);
    expect(off.motorLs).toBeGreaterThan(whole.motorLs);
  });
});
