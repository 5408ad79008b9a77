import { normalDensity } from '../stats/normal';

export type SupplyClass = 'none' | 'ghost' | 'low' | 'supply' | 'over';

/** Most of the mains that is still the mains: ±10 % (EN 50160, IEC 60038). Beyond it nothing is well. */
export const MOST_OF_MAINS = 1.1;
/** ANSI C84.1, range B, lets 120 V be 110 to 127 V at the outlet (from memory). */
export const RANGE_B_MOST = 127 / 120;

/**
 * What a voltage at the end of a line is, with odds. A supply is normal about the nominal voltage (a standard deviation of 5 %,
 * so that two of them are the tolerance); low lies anywhere from 50 to 90 %; a ghost anywhere from 2 to 70 %, where a meter of
 * high impedance reads what an open conductor picks up from its neighbour. One of low impedance pulls a ghost down: what it
 * still reads is a live line through resistance, however little it is. Above the tolerance, less what the meter cannot tell, it
 * is over the mains, at any multiple: a lost neutral gives up to twice. All but the ±10 % is common practice, no source.
 * @param sigmaV standard uncertainty of the meter at this reading, V
 * @returns likeliest first; they add up to one
 */
export function supplyOdds(
  volts: number,
  nominalV: number,
  sigmaV: number,
  lowImpedance: boolean,
): { is: SupplyClass; probability: number }[] {
  if (volts > MOST_OF_MAINS * nominalV + 2 * sigmaV) return [{ is: 'over', probability: 1 }];
  const wide = (from: number, to: number) => {
    // Uniform between the two, blurred by the meter.
    const steps = 40;
    let sum = 0;
    for (let i = 0; i < steps; i++)
      sum += normalDensity(
        volts,
        nominalV * (from + ((i + 0.5) / steps) * (to - from)),
        Math.max(sigmaV, nominalV * 0.01),
      );
    return sum / steps;
  };
  const weighed = [
    { is: 'none' as const, weight: 0.3 * normalDensity(volts, 0, Math.hypot(sigmaV, 0.005 * nominalV)) },
    { is: 'ghost' as const, weight: (lowImpedance ? 0.003 : 0.2) * wide(0.02, 0.7) },
    { is: 'low' as const, weight: 0.08 * (lowImpedance ? wide(0.02, 0.9) : wide(0.5, 0.9)) },
    { is: 'supply' as const, weight: 0.4 * normalDensity(volts, nominalV, Math.hypot(sigmaV, 0.05 * nominalV)) },
    { is: 'over' as const, weight: 0.02 * wide(MOST_OF_MAINS, 2) },
  ];
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  return weighed
    .map(({ is, weight }) => ({ is, probability: weight / total }))
    .sort((a, b) => b.probability - a.probability);
}
