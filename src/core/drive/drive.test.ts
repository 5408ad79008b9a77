import fc from 'fast-check';
import { BALL_BEARINGS, bearingOdds, ratingLifeHours } from './ballBearings';
import { beltLengthMm, centreForLengthMm, senseOf, twistStrain, wrapAngles, type BeltRun } from './beltLength';
import { shaftLoadN, slipTorqueNm, stretchOf, tensionN } from './elasticBelt';
import { rollSpeedRpm, slipOf } from './rollSpeed';
import { pitchDiameterMm, pitchOdds, teethInMesh, TOOTH_PITCHES } from './toothedBelt';

const pair = { driveMm: 12, drivenMm: 40, centreMm: 150 };
const runs: BeltRun[] = ['open', 'crossed', 'half-twist', 'quarter-turn'];
const geometry = fc
  .record({
    driveMm: fc.double({ min: 5, max: 60, noNaN: true }),
    drivenMm: fc.double({ min: 5, max: 90, noNaN: true }),
    slack: fc.double({ min: 1.05, max: 8, noNaN: true }),
  })
  .map(({ driveMm, drivenMm, slack }) => ({ driveMm, drivenMm, centreMm: ((driveMm + drivenMm) / 2) * slack }));

/** Belt length by the handbook approximation, mm: `2C + π(D+d)/2 + (D∓d)²/4C`. Good to 0.01 % for small angles. */
function handbookLengthMm(run: 'open' | 'crossed', { driveMm, drivenMm, centreMm }: typeof pair): number {
  const across = run === 'open' ? drivenMm - driveMm : drivenMm + driveMm;
  return 2 * centreMm + (Math.PI / 2) * (drivenMm + driveMm) + across ** 2 / (4 * centreMm);
}

type Point = readonly [number, number, number];

/**
 * The path of a quarter turn, found by trying: the drive turns about x at the origin, the driven pulley about y, so set that each
 * belt leaves in the plane of the other; where it arrives is the point from which the pulley is seen under its edge.
 * @returns points along it, and by how much it bends where it arrives, in radians
 */
function quarterTurnPath({ driveMm, drivenMm, centreMm: C }: typeof pair): { points: Point[]; kinks: number[] } {
  const [r, R] = [driveMm / 2, drivenMm / 2];
  // Circle of the drive in x = 0, of the driven pulley in y = r about (R, r, C); angles from the point where the belt leaves.
  const drive = (a: number): Point => [0, r * Math.cos(a), -r * Math.sin(a)];
  const driven = (a: number): Point => [R - R * Math.cos(a), r, C + R * Math.sin(a)];
  /** The angle, walked back from where it leaves, at which a straight run from a point comes in along the rim. */
  const arrival = (circle: (a: number) => Point, from: Point) => {
    let best = { a: 0, kink: Infinity };
    for (let a = 2; a < 2 * Math.PI - 0.05; a += 2e-4) {
      const [p, q] = [circle(a), circle(a - 1e-5)];
      const run = p.map((x, i) => x - from[i]!);
      const rim = q.map((x, i) => x - p[i]!);
      const dot = run.reduce((sum, x, i) => sum + x * rim[i]!, 0);
      const kink = Math.acos(Math.min(1, dot / Math.hypot(...run) / Math.hypot(...rim)));
      if (kink < best.kink) best = { a, kink };
    }
    return best;
  };
  const [onDriven, onDrive] = [arrival(driven, drive(0)), arrival(drive, driven(0))];
  const arc = (circle: (a: number) => Point, from: number) =>
    Array.from({ length: 1001 }, (_, i) => circle(from * (1 - i / 1000)));
  return { points: [...arc(driven, onDriven.a), ...arc(drive, onDrive.a)], kinks: [onDriven.kink, onDrive.kink] };
}

describe('belt length', () => {
  // The project's own check values, derived independently; the approximation is in any machine-design handbook.
  test('check values: 382.989 mm open, 386.199 mm crossed, 382.988 mm by the handbook', () => {
    expect(beltLengthMm('open', pair)).toBeCloseTo(382.989, 3);
    expect(beltLengthMm('crossed', pair)).toBeCloseTo(386.199, 3);
    expect(handbookLengthMm('open', pair)).toBeCloseTo(382.988, 3);
    expect(handbookLengthMm('crossed', pair)).toBeCloseTo(386.199, 0);
  });

  test('equal pulleys: two straight runs and one circumference (geometry)', () => {
    expect(beltLengthMm('open', { driveMm: 20, drivenMm: 20, centreMm: 100 })).toBeCloseTo(200 + 20 * Math.PI, 9);
  });

  test('a quarter turn against its path in space, walked in small straight pieces', () => {
    fc.assert(
      fc.property(geometry, (g) => {
        const { points, kinks } = quarterTurnPath(g);
        let walked = 0;
        points.forEach((p, i) => {
          const q = points[(i + 1) % points.length]!;
          walked += Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
        });
        // Where the belt arrives it does not bend: that is what keeps it on.
        for (const kink of kinks) expect(kink).toBeLessThan(0.01);
        expect(beltLengthMm('quarter-turn', g) / walked).toBeCloseTo(1, 5);
      }),
      { seed: 9, numRuns: 12 },
    );
  });

  // Any machine-design handbook, from memory: shafts well apart.
  test('a quarter turn against the handbook’s approximation', () => {
    for (const [d, D, C] of [
      [12, 40, 150],
      [20, 60, 300],
      [10, 30, 100],
    ] as const) {
      const handbook = (Math.PI / 2) * (D + d) + Math.hypot(C, D) + Math.hypot(C, d);
      expect(beltLengthMm('quarter-turn', { driveMm: d, drivenMm: D, centreMm: C }) / handbook).toBeCloseTo(1, 3);
    }
  });

  test.each(runs)('%s: the centre distance gives the length back, and the pulleys may be exchanged', (run) => {
    fc.assert(
      fc.property(geometry, (g) => {
        const length = beltLengthMm(run, g);
        expect(centreForLengthMm(run, length, g.driveMm, g.drivenMm)).toBeCloseTo(g.centreMm, 5);
        expect(beltLengthMm(run, { ...g, driveMm: g.drivenMm, drivenMm: g.driveMm })).toBeCloseTo(length, 9);
        expect(length).toBeGreaterThan(2 * g.centreMm);
        expect(Math.min(...Object.values(wrapAngles(run, g)))).toBeGreaterThan(0);
      }),
      { seed: 5 },
    );
  });

  test('a crossed belt is longer than an open one, and turns the roll round', () => {
    fc.assert(
      fc.property(geometry, (g) => expect(beltLengthMm('crossed', g)).toBeGreaterThan(beltLengthMm('open', g))),
      { seed: 6 },
    );
    expect(runs.map(senseOf)).toEqual([1, -1, -1, 1]);
  });

  test('the wraps of an open belt make one turn together; a twist lengthens only the edges', () => {
    const { drive, driven } = wrapAngles('open', pair);
    expect(drive + driven).toBeCloseTo(2 * Math.PI, 12);
    expect(twistStrain(0, 100)).toBe(0);
    expect(twistStrain(10, 100)).toBeCloseTo(Math.sqrt(1 + (Math.PI / 20) ** 2) - 1, 12);
  });

  test('pulleys that touch and belts that are too short are refused', () => {
    expect(() => beltLengthMm('open', { driveMm: 40, drivenMm: 40, centreMm: 40 })).toThrow(RangeError);
    expect(() => centreForLengthMm('open', 100, 40, 40)).toThrow(/too short/);
  });
});

describe('a flat belt pulls', () => {
  const belt = { freeLengthMm: 350, widthMm: 10, thicknessMm: 2, modulusMPa: 4 };
  // Hooke's law by hand: 4 MPa · 20 mm² · 9.42 % = 7.5 N.
  test('by Hooke, and not at all when it hangs loose', () => {
    expect(tensionN(belt, 383)).toBeCloseTo(4 * 20 * (383 / 350 - 1), 9);
    expect(tensionN(belt, 349)).toBe(0);
    expect(stretchOf(350, 383)).toBeCloseTo(0.0943, 4);
  });
  test('at the shaft: both runs at half a turn of wrap, no more beyond', () => {
    expect(shaftLoadN(10, Math.PI)).toBeCloseTo(20, 9);
    expect(shaftLoadN(10, 4)).toBeCloseTo(20, 9);
    expect(shaftLoadN(10, Math.PI / 3)).toBeCloseTo(10, 9);
  });
  // Euler's belt equation: T1/T2 = e^{μφ} with T1 + T2 = 2T.
  test('until it slips, with the ratio of tensions that Euler gives', () => {
    const [t, r, wrap, mu] = [10, 6, 2.95, 0.6];
    const torque = slipTorqueNm(t, 2 * r, { drive: wrap, driven: wrap + 0.4 }, mu);
    // Whichever pulley is wrapped less gives way.
    expect(slipTorqueNm(t, 2 * r, { drive: wrap + 0.4, driven: wrap }, mu)).toBe(torque);
    const half = torque / (r / 1000) / 2;
    expect((t + half) / (t - half)).toBeCloseTo(Math.exp(mu * wrap), 9);
  });
  test('speed and slip undo each other', () => {
    expect(rollSpeedRpm(12000, 12, 40)).toBe(3600);
    expect(slipOf(3200, 3600)).toBeCloseTo(0.111, 3);
  });
});

describe('toothed belts', () => {
  test('each standard pitch is found from ten of it with a caliper', () => {
    for (const { pitchMm, profile, id } of TOOTH_PITCHES)
      expect(pitchOdds(10 * pitchMm, 10, 0.05, profile)[0]!.pitch.id).toBe(id);
  });
  // XL 5.080 and a 5 mm pitch: over one pitch 0.08 mm apart, over ten 0.8 mm (arithmetic).
  test('neighbours cannot be told over one pitch and can over ten', () => {
    const one = pitchOdds(5.04, 1, 0.1, 'trapezoidal');
    expect(one[0]!.probability).toBeLessThan(0.6);
    const ten = pitchOdds(50.8, 10, 0.1, 'trapezoidal');
    expect(ten[0]!.pitch.id).toBe('XL');
    expect(ten[0]!.probability).toBeGreaterThan(0.99);
  });
  test('nothing near is nothing', () => expect(pitchOdds(70, 10, 0.05)).toEqual([]));
  test('pitch circle and mesh', () => {
    expect(pitchDiameterMm(20, 5.08) * Math.PI).toBeCloseTo(101.6, 9);
    expect(teethInMesh(20, Math.PI)).toBe(10);
  });
});

describe('ball bearings', () => {
  // ISO 15 bore codes: 00 is 10 mm, 01 12, 02 15, 03 17, from 04 on five times the code; one digit is the bore itself.
  test('bores follow the codes of the designations; all sizes differ', () => {
    for (const { designation, boreMm } of BALL_BEARINGS) {
      const code = /^6\d(\d\d)$/.exec(designation)?.[1];
      if (code !== undefined) expect(boreMm).toBe({ '00': 10, '01': 12, '02': 15, '03': 17 }[code] ?? 5 * Number(code));
      if (/^6\d\d$/.test(designation)) expect(boreMm).toBe(Number(designation.at(-1)));
    }
    expect(BALL_BEARINGS.length).toBeGreaterThanOrEqual(60);
    const keys = BALL_BEARINGS.map((b) => [b.boreMm, b.outerMm, b.widthMm].join());
    expect(new Set(keys).size).toBe(keys.length);
  });

  // Sizes named in the project's own check list.
  test.each([
    ['623', 3, 10, 4],
    ['624', 4, 13, 5],
    ['625', 5, 16, 5],
    ['626', 6, 19, 6],
    ['607', 7, 19, 6],
    ['608', 8, 22, 7],
    ['688', 8, 16, 5],
    ['6000', 10, 26, 8],
    ['6001', 12, 28, 8],
    ['6200', 10, 30, 9],
    ['6201', 12, 32, 10],
    ['6202', 15, 35, 11],
  ])('%s is %d × %d × %d', (designation, boreMm, outerMm, widthMm) => {
    const [first] = bearingOdds({ boreMm: boreMm + 0.04, outerMm: outerMm - 0.05, widthMm: widthMm - 0.03 }, 0.05);
    expect(first!.bearing.designation).toBe(designation);
    expect(first!.probability).toBeGreaterThan(0.95);
  });

  test('a rough rule cannot tell 608 from its neighbours for sure; nonsense is none', () => {
    const rough = bearingOdds({ boreMm: 8, outerMm: 23, widthMm: 7.5 }, 0.7);
    expect(rough.map((r) => r.bearing.designation)).toEqual(expect.arrayContaining(['608', '628']));
    expect(rough.reduce((s, r) => s + r.probability, 0)).toBeCloseTo(1, 12);
    expect(bearingOdds({ boreMm: 8, outerMm: 60, widthMm: 7 }, 0.05)).toEqual([]);
  });

  // Sizes of the inch series in sixty-fourths, from memory: bore and outer of R3, R4, R4A, R8, R10.
  test.each([
    ['R3', 12 / 64, 32 / 64],
    ['R4', 16 / 64, 40 / 64],
    ['R4A', 16 / 64, 48 / 64],
    ['R6', 24 / 64, 56 / 64],
    ['R8', 32 / 64, 72 / 64],
    ['R10', 40 / 64, 88 / 64],
  ])('%s is %f × %f inch', (designation, bore, outer) => {
    const b = BALL_BEARINGS.find((one) => one.designation === designation)!;
    expect(b.boreMm).toBeCloseTo(bore * 25.4, 2);
    expect(b.outerMm).toBeCloseTo(outer * 25.4, 2);
  });

  test('a bearing that is a quarter of a millimetre off in all three sizes is nothing standard; worn rings still are', () => {
    expect(bearingOdds({ boreMm: 8.24, outerMm: 22.24, widthMm: 7.24 }, 0.05)).toEqual([]);
    expect(bearingOdds({ boreMm: 8.1, outerMm: 21.9, widthMm: 6.95 }, 0.05)[0]!.bearing.designation).toBe('608');
  });

  // Arithmetic of ISO 281: C 1730 N, P 60 N, 4000 rpm.
  test('rating life: 99 879 h, by the cube of the load', () => {
    expect(ratingLifeHours(1730, 60, 4000)).toBeCloseTo(99_879, 0);
    expect(ratingLifeHours(1730, 120, 4000) * 8).toBeCloseTo(ratingLifeHours(1730, 60, 4000), 6);
    expect(() => ratingLifeHours(1730, 0, 4000)).toThrow(RangeError);
  });
});
