import { checksOf, type Kind, type Knowledge, type LineId, type Show } from './knowledge';

/** Where a check splits a line: what lies on one side would show in it, what lies on the other would not. */
export interface LineSplit {
  line: LineId;
  /** The stations next to the cut, in the order of the flow. */
  before: string;
  after: string;
  /** Odds that lie before and behind the cut, added up. */
  beforeOdds: number;
  afterOdds: number;
  /** The side that the check speaks of. */
  tells: 'before' | 'after';
}

/** Faults that show so often are told by the check. */
const TELLING = new Set(['always', 'usually', 'often', 'sometimes']);
/** Whether a fault shows so often that a check tells of it. */
export const isTelling = ({ strength }: Pick<Show, 'strength'>): boolean => TELLING.has(strength);
/** A cut that leaves more than this part of the line's odds on the wrong side is no split. */
const CLEAN = 0.8;
/** Less than this on one side is not worth a cut. */
const MATTERS = 0.03;

/** Stations whose faults show in a check as something else than all well. */
function toldBy(knowledge: Knowledge, kind: Kind, checkId: string): Set<string> {
  const check = checksOf(knowledge, kind.id).find((c) => c.id === checkId);
  const well = new Set(check?.aspects.map((a) => a.outcomes[0]?.id));
  return new Set(
    knowledge.faults.flatMap((f) => {
      const station = f.kinds[kind.id]?.station;
      const told = f.shows.some((s) => s.check === checkId && !well.has(s.outcome) && isTelling(s));
      return station && told ? [station] : [];
    }),
  );
}

/**
 * The cut that a check makes across each line, if it makes a clean one: the place where what it tells of and what it does
 * not tell of lie best on different sides, weighed by the odds.
 * @param odds of each station, 0 to 1
 */
export function lineSplits(
  knowledge: Knowledge,
  kind: Kind,
  dropped: readonly string[],
  checkId: string,
  odds: Readonly<Record<string, number>>,
): LineSplit[] {
  const told = toldBy(knowledge, kind, checkId);
  return kind.lines.flatMap(({ line, stations }): LineSplit[] => {
    const ids = stations.map((s) => s.id).filter((id) => !dropped.includes(id));
    const of = (list: string[], which?: boolean) =>
      list.reduce((sum, id) => sum + (which === undefined || told.has(id) === which ? (odds[id] ?? 0) : 0), 0);
    const whole = of(ids);
    let best: LineSplit | null = null;
    let cleanest = CLEAN * whole;
    for (let cut = 1; cut < ids.length; cut++) {
      const [left, right] = [ids.slice(0, cut), ids.slice(cut)];
      if (of(left) < MATTERS || of(right) < MATTERS) continue;
      for (const tells of ['before', 'after'] as const) {
        const side = tells === 'before';
        const apart = of(left, side) + of(right, !side);
        if (of(side ? left : right, true) < MATTERS || apart <= cleanest + 1e-12) continue;
        cleanest = apart;
        best = {
          line,
          before: left.at(-1)!,
          after: right[0]!,
          beforeOdds: of(left),
          afterOdds: of(right),
          tells,
        };
      }
    }
    return best ? [best] : [];
  });
}
