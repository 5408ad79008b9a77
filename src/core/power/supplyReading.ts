import { normalDensity } from '../stats/normal';

export type SupplyClass = 'none' | 'ghost' | 'low' | 'supply' | 'over';

/**
 * What a voltage at the end of a line is, with odds. A supply is normal about the nominal voltage (IEC 60038 allows ±10 %:
 * here a standard deviation of 5 %); low lies anywhere from 50 to 90 %; over, up to 125 %; a ghost anywhere from 2 to 70 %,
 * where a meter of high impedance reads what an open conductor picks up from its neighbour: one of low impedance pulls it
 * down. All but the ±10 % is common practice, no source.
 * @param sigmaV standard uncertainty of the meter at this reading, V
 */
export function supplyOdds(
  volts: number,
  nominalV: number,
  sigmaV: number,
  lowImpedance: boolean,
): { is: SupplyClass; probability: number }[] {
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
    { is: 'low' as const, weight: 0.08 * wide(0.5, 0.9) },
    { is: 'supply' as const, weight: 0.4 * normalDensity(volts, nominalV, Math.hypot(sigmaV, 0.05 * nominalV)) },
    { is: 'over' as const, weight: 0.02 * wide(1.1, 1.25) },
  ];
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  if (!(total > 0)) return [{ is: volts > nominalV ? 'over' : 'none', probability: 1 }];
  return weighed
    .map(({ is, weight }) => ({ is, probability: weight / total }))
    .sort((a, b) => b.probability - a.probability);
}
