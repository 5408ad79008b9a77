import { faultById, knowledge } from '.';
import { placesOf, takenBy } from './repairWork';

/** A part of the shop’s list, where it sits. */
interface Part {
  code: string;
  group: string;
  station: string;
  /** The model's list names this size. */
  own: boolean;
}

/**
 * The parts that some repairs take on this kind: of a group that the repair names, at the station where the fault is, or where the
 * repair says; of a group that has nothing there, from the same line. The model's own come first; what is fitted is left out, and what would be
 * one too many of its group in its place.
 */
export function offeredParts<P extends Part>(
  parts: readonly P[],
  kindId: string,
  faults: readonly string[],
  fitted: readonly { code: string | null; station: string; quantity: number }[] = [],
): P[] {
  const kind = knowledge.kinds.find((k) => k.id === kindId)!;
  const lineOf = (station: string) => kind.lines.find((l) => l.stations.some((s) => s.id === station))?.line;
  const offered = faults.flatMap((id) => {
    const fault = faultById(id);
    const station = fault?.kinds[kindId]?.station;
    if (!fault?.repair.parts || station === undefined) return [];
    return fault.repair.parts.flatMap((group) => {
      const ofGroup = parts.filter((p) => p.group === group);
      const places = placesOf(kindId, id, group);
      const there = ofGroup.filter((p) => places.includes(p.station));
      return there.length > 0 ? there : ofGroup.filter((p) => lineOf(p.station) === lineOf(station));
    });
  });
  const groupOf = new Map(parts.map((p) => [p.code, p.group]));
  const isFull = ({ group, station }: P) =>
    fitted
      .filter((f) => f.station === station && f.code !== null && groupOf.get(f.code) === group)
      .reduce((sum, f) => sum + f.quantity, 0) >= takenBy(faults, group);
  return [...new Set(offered)]
    .filter((p) => !isFull(p) && !fitted.some((f) => f.code === p.code && f.station === p.station))
    .sort((a, b) => Number(b.own) - Number(a.own));
}
