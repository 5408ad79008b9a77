import type { RawValues } from '@/core/gauges/fields';
import type { AnyGauge } from '@/core/gauges/reckon';
import { GaugeScreen, type GaugeProps } from '../GaugeScreen';
import type { Place } from '../places/marks';

type PlaceOf = (typed: RawValues) => Place | undefined;

/** The screen of one gauge, with where to hold what. */
export function screenOf(gauge: AnyGauge, placeOf: PlaceOf) {
  return function OneGauge(props: GaugeProps) {
    return <GaugeScreen gauge={gauge} placeOf={placeOf} {...props} />;
  };
}

/** The place by what is chosen in a field. */
export const by =
  (field: string, places: Record<string, Place | undefined>): PlaceOf =>
  (typed) =>
    places[String(typed[field])];
