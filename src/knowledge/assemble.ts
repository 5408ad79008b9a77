import {
  stationsOf,
  type Access,
  type Aspect,
  type Check,
  type Commonness,
  type Complaint,
  type Fault,
  type Kind,
  type Knowledge,
  type Outcome,
  type Caution,
  type OwedProof,
  type Repair,
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
  const indexed = books.map((b) => ({
    ...b,
    stations: stationsOf(b.kind),
    made: new Set(b.checks),
  }));
  const where = (has: (book: Indexed) => boolean) => indexed.filter(has).map((b) => b.kind.id);
  const { explaining, showing } = bySign(parts.faults);
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
          hasOneOf(b, onlyWith) &&
          (explaining.get(complaint.id) ?? []).some(
            (e) => e.fault in b.faults && (e.kinds?.includes(b.kind.id) ?? true),
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
      const ofCheck = indexed.filter((b) => b.made.has(check.id));
      const kinds = ofCheck.map((b) => b.kind.id);
      return {
        ...check,
        kinds,
        aspects: check.aspects.map(({ onlyWith, notWith, outcomes, ...aspect }): Aspect => {
          const seen = outcomes.map((o) => ({
            outcome: o,
            kinds: ofCheck.filter((b) => !o.proves || o.proves.some((f) => f in b.faults)).map((b) => b.kind.id),
          }));
          const shown = ofCheck
            .filter((b) => hasOneOf(b, onlyWith) && !(notWith && hasOneOf(b, notWith)))
            .filter((b) =>
              seen
                .slice(1)
                .some(
                  (s) =>
                    s.kinds.includes(b.kind.id) &&
                    (aspect.neutral ||
                      s.outcome.raises ||
                      (showing.get(`${check.id}/${s.outcome.id}`) ?? []).some((f) => f in b.faults)),
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

/** A book with what is asked of it again and again. */
type Indexed = KindBook & { stations: ReadonlySet<string>; made: ReadonlySet<string> };

function hasOneOf({ stations }: Indexed, wanted: string[] | undefined): boolean {
  return !wanted || wanted.some((s) => stations.has(s));
}

/** Complaint → faults that explain it, with the kinds in which they do; `check/outcome` → faults that show so. */
function bySign(faults: FaultText[]) {
  const explaining = new Map<string, { fault: string; kinds: string[] | undefined }[]>();
  const showing = new Map<string, string[]>();
  const into = <T>(map: Map<string, T[]>, key: string, one: T) => {
    const list = map.get(key);
    if (list) list.push(one);
    else map.set(key, [one]);
  };
  for (const fault of faults) {
    for (const c of fault.complaints)
      if (c.strength !== 'never') into(explaining, c.complaint, { fault: fault.id, kinds: c.kinds });
    for (const s of fault.shows) into(showing, `${s.check}/${s.outcome}`, fault.id);
  }
  return { explaining, showing };
}
