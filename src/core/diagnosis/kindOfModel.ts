import type { Kind, LineId } from './knowledge';

/** A station that a model has and its kind does not. */
export interface ExtraStation {
  line: string;
  /** Id of the station that comes before it; the end of the line when it is not there. */
  after: string;
  id: string;
  label: string;
}

/**
 * The kind as one model has it: stations added on their lines. Dropped stations stay: they are drawn as not there.
 * An added station is seen, marked and dated; no fault of the kind stands at it.
 */
export function kindOfModel(kind: Kind, added: readonly ExtraStation[]): Kind {
  if (added.length === 0) return kind;
  return {
    ...kind,
    lines: kind.lines.map((line) => {
      const stations = [...line.stations];
      for (const extra of added.filter((e) => (e.line as LineId) === line.line)) {
        const at = stations.findIndex((s) => s.id === extra.after);
        stations.splice(at < 0 ? stations.length : at + 1, 0, { id: extra.id, label: extra.label, wears: true });
      }
      return { ...line, stations };
    }),
  };
}
