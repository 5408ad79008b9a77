import type { Fields, RawValues } from './fields';
import type { Gauge, GaugeAnswer, Surroundings } from './gauge';
import { GaugeError, readFields, type GaugeProblem } from './readFields';

/** A gauge whose own fields are not known to the caller: values come from `readFields` of the same gauge. */
export type AnyGauge = Omit<Gauge, 'reckon'> & { reckon(values: never, around: Surroundings): GaugeAnswer };

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
