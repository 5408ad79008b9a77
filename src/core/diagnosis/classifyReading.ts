import type { Aspect, Kind, ReadingSpec, Reference, Scatter } from './knowledge';

/** Figures of the machine on the bench that readings are compared with. */
export type References = Record<Reference, number>;

export function referencesOf(kind: Kind, mainsV: number): References {
  return {
    mainsV,
    healthyVacuumKpa: kind.healthyVacuumKpa,
    rollRpm: kind.rollRpm,
    ratedCurrentA: kind.ratedWatts / mainsV,
  };
}

/** A reading outside what the machine or the instrument can show. `field` is always the value. */
export class ImpossibleReadingError extends RangeError {}

/** Standard normal distribution function, |error| < 1.5e-7 (Abramowitz & Stegun 7.1.26). */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const half = 0.5 * poly * Math.exp(-x * x);
  return z >= 0 ? 1 - half : half;
}

/** Relative error of the instrument, and the smallest it can be. Figures: common practice, no source. */
const METER_CLASS = 0.015;

/** The reading in multiples of what it is relative to. @throws ImpossibleReadingError outside the aspect's limits */
export function checkReading(aspect: Aspect, value: number, references: References): number {
  const spec = aspect.reading;
  if (!spec) throw new RangeError(`${aspect.id} takes no reading.`);
  const unit = spec.relativeTo ? references[spec.relativeTo] : 1;
  const x = value / unit;
  if (!Number.isFinite(value) || x < spec.min || x > spec.max)
    throw new ImpossibleReadingError(
      `${value} ${spec.unit} cannot be: between ${spec.min * unit} and ${round3(spec.max * unit)} ${spec.unit} is possible.`,
    );
  return x;
}

/**
 * How well each outcome of the aspect explains the reading: the density of the reading under each outcome's scatter,
 * with the instrument's own error folded in, scaled so that the best is 1. No outcome falls below 1e-5: the shipped
 * scatters are not known well enough to rule one out by a reading alone.
 *
 * @param value in the aspect's own unit
 * @param references figures of the machine, for readings that are relative to one
 * @throws ImpossibleReadingError when the value is outside the aspect's limits
 */
export function classifyReading(aspect: Aspect, value: number, references: References): number[] {
  const x = checkReading(aspect, value, references);
  const spec = aspect.reading!;
  const densities = aspect.outcomes.map((outcome) =>
    spec.classes.filter((c) => c.outcome === outcome.id).reduce((sum, c) => sum + density(spec, c.scatter, x), 0),
  );
  const best = Math.max(...densities, 1e-12);
  return densities.map((d) => Math.max(1e-5, d / best));
}

function density(spec: ReadingSpec, scatter: Scatter, x: number): number {
  if (spec.logScale) {
    const y = Math.log(Math.max(x, 1e-3));
    if (scatter.shape === 'uniform') return smoothUniform(y, Math.log(scatter.from), Math.log(scatter.to), 0.1);
    if (scatter.shape === 'logNormal') return gauss(y, Math.log(scatter.median), scatter.spread);
    return gauss(y, Math.log(scatter.mean), scatter.sd / scatter.mean);
  }
  const instrument = METER_CLASS * Math.abs(x) + 0.001;
  if (scatter.shape === 'normal') return gauss(x, scatter.mean, Math.hypot(scatter.sd, instrument));
  if (scatter.shape === 'uniform') return smoothUniform(x, scatter.from, scatter.to, instrument);
  return x <= 0 ? 0 : gauss(Math.log(x), Math.log(scatter.median), scatter.spread) / x;
}

function gauss(x: number, mean: number, sd: number): number {
  return Math.exp(-0.5 * ((x - mean) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
}

function smoothUniform(x: number, from: number, to: number, blur: number): number {
  return (normalCdf((x - from) / blur) - normalCdf((x - to) / blur)) / (to - from);
}

function round3(x: number): number {
  return Number(x.toPrecision(3));
}
