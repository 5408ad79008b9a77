import type { Aspect, Kind, Scatter } from '../diagnosis/knowledge';
import { referencesOf } from '../diagnosis/classifyReading';
import type { CompiledKind } from '../diagnosis/compileKind';
import { seededRandom } from '../diagnosis/seededRandom';
import { hash, hiddenState } from './hiddenState';

/** What the simulated instruments add to the true value, relative. Common practice, no source. */
const NOISE = 0.004;

/**
 * What an instrument shows on a machine with hidden faults: the state of the thing measured is the machine's own and
 * stays, the last digits differ from reading to reading.
 *
 * @param present indices of the faults that are there
 * @param seed of the machine
 * @param turn how often it was read already
 * @returns the value in the aspect's own unit
 * @throws RangeError for an aspect that takes no reading
 */
export function simulatedReading(
  compiled: CompiledKind,
  mainsV: number,
  present: ReadonlySet<number>,
  { check, aspect }: { check: string; aspect: Aspect },
  seed: number,
  turn: number,
): number {
  const spec = aspect.reading;
  if (!spec) throw new RangeError(`${check} takes no reading.`);
  const { outcome, own } = hiddenState(compiled, present, { check, aspect }, seed);
  const { scatter } = spec.classes.find((c) => c.outcome === outcome)!;
  const scale = spec.relativeTo ? referencesOf(compiled.kind, mainsV)[spec.relativeTo] : 1;
  const truth = within(own, scatter, spec.logScale === true);
  const noise = seededRandom(hash(`${seed} ${check} ${aspect.id} ${turn}`));
  const shown = truth * (1 + NOISE * (2 * noise() - 1));
  return Number((Math.min(spec.max, Math.max(spec.min, shown)) * scale).toPrecision(4));
}

/** A number well inside a scatter: what the instrument shows is read as what it is. */
function within(random: () => number, scatter: Scatter, logScale: boolean): number {
  const u = 0.25 + 0.5 * random();
  if (scatter.shape === 'normal') return scatter.mean + scatter.sd * (u - 0.5);
  if (scatter.shape === 'logNormal') return scatter.median * Math.exp(scatter.spread * (u - 0.5));
  if (logScale) return Math.exp(Math.log(scatter.from) + u * (Math.log(scatter.to) - Math.log(scatter.from)));
  return scatter.from + u * (scatter.to - scatter.from);
}

/** The instrument of the bench that measures it. */
export function instrumentFor(quantity: NonNullable<Aspect['reading']>['quantity'], kind: Kind): string {
  const names = {
    voltage: kind.supply === 'mains' ? 'multimeter, volts AC' : 'multimeter, volts DC',
    resistance: 'multimeter, ohms',
    current: 'clamp meter',
    speed: 'tachometer',
    pressure: 'manometer',
    length: 'caliper',
    time: 'stopwatch',
    percent: 'reckoned',
  } as const;
  return names[quantity];
}
