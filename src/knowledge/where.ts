import { stationsOf, type Supply } from '@/core/diagnosis/knowledge';
import { kinds } from './kinds';

const ownStations = new Map(kinds.map((k) => [k.id, stationsOf(k)]));

/** Whether a kind has one of these stations. */
export function hasStation(kindId: string, ...stations: string[]): boolean {
  const own = ownStations.get(kindId);
  return own !== undefined && stations.some((s) => own.has(s));
}

/** Kinds that have one of these stations. */
export function kindsWith(...stations: string[]): string[] {
  return kinds.filter((k) => hasStation(k.id, ...stations)).map((k) => k.id);
}

/** Kind id → those of these stations that the kind has; kinds with none are left out. */
export function everywhere(...stations: string[]): Record<string, string[]> {
  return Object.fromEntries(
    kindsWith(...stations).map((id) => [id, stations.filter((s) => ownStations.get(id)!.has(s))]),
  );
}

/** Kind id → the first of these stations that the kind has. */
export function firstOf(...stations: string[]): Record<string, string> {
  return Object.fromEntries(Object.entries(everywhere(...stations)).map(([id, [first]]) => [id, first!]));
}

/** Kinds that are fed so. */
export function kindsFed(supply: Supply): string[] {
  return kinds.filter((k) => k.supply === supply).map((k) => k.id);
}
