import { perKind, type Fault, type Knowledge, type PerKind } from '@/core/diagnosis/knowledge';
import { faultById, knowledge } from '.';
import { placesOf } from './repairWork';

/** A part that was put in new, where it sits; its group is null where it is on no list. */
export interface NewPart {
  station: string;
  group: string | null;
}

/** Group of parts → the one that has such parts of its own: a new motor has new brushes, new brushes make no motor new. Common practice, no source. */
const OF_ITS_OWN: Readonly<Record<string, string>> = { carbon: 'motor' };

const partsOf = (fault: Fault) => fault.repair.parts ?? [];

const atStations: PerKind<Map<string, Fault[]>> = new WeakMap();

function byStation({ faults }: Knowledge, kindId: string): Map<string, Fault[]> {
  const stations = new Map<string, Fault[]>();
  for (const fault of faults) {
    const station = fault.kinds[kindId]?.station;
    if (station === undefined || partsOf(fault).length === 0) continue;
    stations.set(station, [...(stations.get(station) ?? []), fault]);
  }
  return stations;
}

/** The faults of a station whose repair takes a part. */
const takersAt = (kindId: string, station: string): readonly Fault[] =>
  perKind(atStations, knowledge, kindId, byStation).get(station) ?? [];

/**
 * Whether a part that was put in new is the one that a fault wears out or breaks. Of one that is on no list it is believed where
 * all that fails at its station takes a part of one group.
 */
export function isMadeNew(kindId: string, faultId: string, { station, group }: NewPart): boolean {
  const fault = faultById(faultId);
  if (!fault || !(kindId in fault.kinds)) return false;
  if (group !== null)
    return partsOf(fault).some(
      (g) => (g === group || OF_ITS_OWN[g] === group) && placesOf(kindId, faultId, g).includes(station),
    );
  const there = takersAt(kindId, station);
  return there.includes(fault) && partsOf(fault).some((g) => there.every((f) => partsOf(f).includes(g)));
}

/** Whether all that fails at a part's station fails with this part: its age stands for the station's. */
export function isStationNew(kindId: string, part: NewPart): boolean {
  return takersAt(kindId, part.station).every((f) => isMadeNew(kindId, f.id, part));
}
