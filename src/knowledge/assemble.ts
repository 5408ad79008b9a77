import type {
  Access,
  Aspect,
  Check,
  Commonness,
  Complaint,
  Fault,
  Kind,
  Knowledge,
  Outcome,
  Caution,
  OwedProof,
  Repair,
} from '@/core/diagnosis/knowledge';

/** A fault as the trade describes it, wherever it occurs. */
export type FaultText = Omit<Fault, 'kinds' | 'repair'> & { repair: Omit<Repair, 'cautions' | 'owes'> };
export type ComplaintText = Omit<Complaint, 'kinds'> & {
  /** It can only be said of a kind with one of these stations. */
  onlyWith?: string[];
};

export type AspectText = Omit<Aspect, 'kinds' | 'outcomes'> & {
  outcomes: Omit<Outcome, 'kinds'>[];
  /** There is something to see only in a kind with one of these stations. */
  onlyWith?: string[];
  /** It is seen otherwise in a kind with one of these stations. */
  notWith?: string[];
};

/** A check as it is done, wherever it is done. */
export type CheckText = Omit<Check, 'kinds' | 'aspects'> & { aspects: AspectText[] };

/** Where a fault stands in a kind, how common it is there, and how common after somebody else's repair or from what age. */
export type Placement = [
  station: string,
  common: Commonness,
  more?: { afterRepair?: Commonness; fromAgeYears?: number },
];

/** How long an access takes is the sum of its steps. */
export type AccessText = Omit<Access, 'openMinutes' | 'closeMinutes'>;
export type KindText = Omit<Kind, 'access'> & { access: AccessText[] };
/** A kind as it is written down. */
export type KindBookText = Omit<KindBook, 'kind'> & { kind: KindText };

/** What belongs to one kind: its stations, the faults that occur there, the checks that are made on it. */
export interface KindBook {
  kind: Kind;
  faults: Record<string, Placement>;
  checks: string[];
}

/**
 * Puts the kinds' books, the shared faults and the shared checks together.
 *
 * A complaint belongs to the kinds in which a fault explains it. An outcome that would prove only faults that a kind
 * does not have is not seen there; an aspect whose abnormal outcomes neither come from a fault of the kind nor raise a
 * caution is not looked at.
 *
 * @throws Error when a book names a fault or a check that is not there
 */
export function assemble(parts: {
  books: KindBook[];
  faults: FaultText[];
  checks: CheckText[];
  complaints: ComplaintText[];
  cautions: Caution[];
  /** Caution → faults whose repair needs it. */
  repairCautions: Record<string, string[]>;
  /** Fault → what its repair owes. */
  owedProofs: Record<string, OwedProof[]>;
  oneState: string[][];
  partMinutes: Record<string, number>;
}): Knowledge {
  const { books } = parts;
  const ids = (list: { id: string }[]) => new Set(list.map((x) => x.id));
  const [faultIds, checkIds] = [ids(parts.faults), ids(parts.checks)];
  for (const book of books) {
    for (const id of Object.keys(book.faults))
      if (!faultIds.has(id)) throw new Error(`${book.kind.id} names fault ${id}, which is not there.`);
    for (const id of book.checks)
      if (!checkIds.has(id)) throw new Error(`${book.kind.id} names check ${id}, which is not there.`);
  }
  for (const id of [...Object.values(parts.repairCautions).flat(), ...Object.keys(parts.owedProofs)])
    if (!faultIds.has(id)) throw new Error(`A repair of ${id} is spoken of, which is not there.`);
  const where = (has: (book: KindBook) => boolean) => books.filter(has).map((b) => b.kind.id);
  const only = (kinds: string[], all: string[]) => (kinds.length === all.length ? {} : { kinds });
  return {
    kinds: books.map((b) => b.kind),
    cautions: parts.cautions,
    oneState: parts.oneState,
    partMinutes: parts.partMinutes,
    complaints: parts.complaints.map(({ onlyWith, ...complaint }) => ({
      ...complaint,
      kinds: where(
        (b) =>
          hasOneOf(b.kind, onlyWith) &&
          parts.faults.some(
            (f) =>
              f.id in b.faults &&
              f.complaints.some(
                (c) => c.complaint === complaint.id && c.strength !== 'never' && (c.kinds?.includes(b.kind.id) ?? true),
              ),
          ),
      ),
    })),
    faults: parts.faults.map((fault) => ({
      ...fault,
      repair: withCare(fault, parts),
      kinds: Object.fromEntries(
        books
          .filter((b) => fault.id in b.faults)
          .map((b) => {
            const [station, common, more] = b.faults[fault.id]!;
            return [b.kind.id, { station, common, ...more }];
          }),
      ),
    })),
    checks: parts.checks.map((check): Check => {
      const kinds = where((b) => b.checks.includes(check.id));
      const ofCheck = books.filter((b) => kinds.includes(b.kind.id));
      return {
        ...check,
        kinds,
        aspects: check.aspects.map(({ onlyWith, notWith, outcomes, ...aspect }): Aspect => {
          const seen = outcomes.map((o) => ({
            outcome: o,
            kinds: ofCheck.filter((b) => !o.proves || o.proves.some((f) => f in b.faults)).map((b) => b.kind.id),
          }));
          const shown = ofCheck
            .filter((b) => hasOneOf(b.kind, onlyWith) && !(notWith && hasOneOf(b.kind, notWith)))
            .filter((b) =>
              seen
                .slice(1)
                .some(
                  (s) =>
                    s.kinds.includes(b.kind.id) &&
                    (aspect.neutral || s.outcome.raises || comesFrom(b, parts.faults, check.id, s.outcome.id)),
                ),
            )
            .map((b) => b.kind.id);
          return {
            ...aspect,
            ...only(shown, kinds),
            outcomes: seen.map((s) => ({ ...s.outcome, ...only(s.kinds, kinds) })),
          };
        }),
      };
    }),
  };
}

/** A repair with where it can hurt and what it owes. */
function withCare(
  { id, repair }: FaultText,
  { repairCautions, owedProofs }: Pick<Parameters<typeof assemble>[0], 'repairCautions' | 'owedProofs'>,
): Repair {
  const cautions = Object.keys(repairCautions).filter((c) => repairCautions[c]!.includes(id));
  const owes = owedProofs[id];
  return { ...repair, ...(cautions.length ? { cautions } : {}), ...(owes ? { owes } : {}) };
}

function hasOneOf(kind: Kind, stations: string[] | undefined): boolean {
  return !stations || kind.lines.some((l) => l.stations.some((s) => stations.includes(s.id)));
}

function comesFrom(book: KindBook, faults: FaultText[], check: string, outcome: string): boolean {
  return faults.some((f) => f.id in book.faults && f.shows.some((s) => s.check === check && s.outcome === outcome));
}
