import { airPath } from './airPath';
import { bearing } from './bearing';
import { belt } from './belt';
import { dryAndWait } from './dryAndWait';
import type { Fields, RawValues } from './fields';
import type { Gauge, GaugeAnswer, Surroundings } from './gauge';
import { pack } from './pack';
import { GaugeError, readFields, type GaugeProblem } from './readFields';
import { roll } from './roll';
import { safetyTest } from './safetyTest';
import { scrubber } from './scrubber';
import { shims } from './shims';
import { supplyAndCord } from './supplyAndCord';
import { winding } from './winding';

/** A gauge whose own fields are not known to the caller: values come from `readFields` of the same gauge. */
export type AnyGauge = Omit<Gauge, 'reckon'> & { reckon(values: never, around: Surroundings): GaugeAnswer };

/** All gauges, in the order of their groups. */
export const gauges: readonly AnyGauge[] = [
  belt,
  bearing,
  roll,
  supplyAndCord,
  safetyTest,
  winding,
  shims,
  airPath,
  pack,
  scrubber,
  dryAndWait,
];

export function gaugeById(id: string): AnyGauge | undefined {
  return gauges.find((g) => g.id === id);
}

export type Reckoned = { answer: GaugeAnswer; problems?: undefined } | { answer?: undefined; problems: GaugeProblem[] };

/** Reads the fields and reckons; what is wrong comes back field by field. */
export function reckon(gauge: AnyGauge, raw: RawValues, around: Surroundings): Reckoned {
  const { values, problems } = readFields<Fields>(gauge.fields, raw);
  if (!values) return { problems };
  try {
    return { answer: gauge.reckon(values as never, around) };
  } catch (error) {
    if (!(error instanceof GaugeError)) throw error;
    return { problems: error.fields };
  }
}
