import { repairOf } from './doing';
import {
  checksOf,
  repairAccess,
  perKind,
  COMMONNESS,
  STRENGTHS,
  type Aspect,
  type Check,
  type Complaint,
  type Fault,
  type Kind,
  type Knowledge,
  type PerKind,
} from './knowledge';
import { rulesOf, type Rules } from './rules';
import type { FindingNode, Network } from './network';

/** No fault is taken for granted before anything is known. */
const HIGHEST_PRIOR = 0.4;
/** So much less common is what wears out in what is not yet old enough for it. Common practice, no source. */
const YOUNG_FACTOR = 0.3;
const DEFAULT_LEAK = 0.02;
const COMPLAINT_LEAK = 0.01;

export interface CompiledFinding {
  /** `complaint:id`, `check/aspect`, or `repair:fault`. */
  id: string;
  complaint?: Complaint;
  check?: Check;
  aspect?: Aspect;
  repairOf?: Fault;
  /** Level → the faults that it shows directly, by index. */
  proves: readonly (readonly number[])[];
}

/** A kind's knowledge as a network, with the way back from indices to ids. */
export interface CompiledKind {
  kind: Kind;
  network: Network;
  faults: Fault[];
  faultIndex: Map<string, number>;
  findings: CompiledFinding[];
  findingIndex: Map<string, number>;
  checks: Check[];
  complaints: Complaint[];
  rules: Rules;
  /** Group of parts → what one usually costs, in minutes of the bench. */
  partMinutes: Readonly<Record<string, number>>;
}

export interface PriorOptions {
  /** Somebody has had it open lately: the faults of rebuilding weigh more. */
  openedBefore?: boolean;
  /** Age of the machine in years, if known: worn-out faults weigh less in a young machine. */
  ageYears?: number;
  /** Faults of parts that were made new lately: as in a young machine, however old this one is. */
  madeNew?: readonly string[];
  /** Stations that this model does not have: nothing there can be at fault. */
  droppedStations?: readonly string[];
  /** Fault id → multiplier of the prior odds, from the shop's own jobs or a hint. */
  oddsFactor?: ReadonlyMap<string, number>;
  /** Fault id → prior in any machine of the kind, learned; it goes before the shipped one. What is known of this machine moves it as much. */
  learned?: ReadonlyMap<string, number>;
}

/** The shipped prior of every fault of a kind: its weight, scaled so that a machine has `expectedFaults` of them. */
export function shippedPriors(knowledge: Knowledge, kind: Kind, options: PriorOptions = {}): Map<string, number> {
  const faults = faultsOf(knowledge, kind);
  const madeNew = new Set(options.madeNew);
  const isYoung = (fault: string, fromAgeYears = 0) =>
    madeNew.has(fault) || (options.ageYears !== undefined && options.ageYears < fromAgeYears);
  const total = faults.reduce((sum, f) => sum + COMMONNESS[f.kinds[kind.id]!.common], 0);
  return new Map(
    faults.map((f) => {
      const own = f.kinds[kind.id]!;
      const common = options.openedBefore && own.afterRepair ? own.afterRepair : own.common;
      const young = isYoung(f.id, own.fromAgeYears) ? YOUNG_FACTOR : 1;
      return [f.id, Math.min(HIGHEST_PRIOR, ((COMMONNESS[common] * young) / total) * kind.expectedFaults)];
    }),
  );
}

const kindFaults: PerKind<Fault[]> = new WeakMap();

/** The faults of a kind, each mended by the access that it has there; made once. */
export function faultsOf(knowledge: Knowledge, kind: Kind): readonly Fault[] {
  return perKind(kindFaults, knowledge, kind.id, () =>
    knowledge.faults
      .filter((f) => kind.id in f.kinds)
      .map((f) => {
        const access = repairAccess(kind, f);
        return access === f.repair.access ? f : { ...f, repair: { ...f.repair, access } };
      }),
  );
}

/** Everything about a kind that no prior changes; kept, because it takes longer than the odds of a simple machine. */
const skeletons = new WeakMap<Knowledge, WeakMap<Kind, Map<string, CompiledKind>>>();

/**
 * Turns the knowledge about one kind into a network. Repairs become findings of their own: "it ran after that".
 * What does not depend on the priors is made once for a kind and its dropped stations, and shared.
 */
export function compileKind(knowledge: Knowledge, kind: Kind, options: PriorOptions = {}): CompiledKind {
  const skeleton = skeletonOf(knowledge, kind, options.droppedStations ?? []);
  const priors = shippedPriors(knowledge, kind, options);
  const usual = options.learned && shippedPriors(knowledge, kind);
  const prior = (id: string) => {
    const learned = options.learned?.get(id);
    const here =
      learned === undefined ? priors.get(id)! : withOdds(learned, oddsOf(priors.get(id)!) / oddsOf(usual!.get(id)!));
    return clampPrior(withOdds(here, options.oddsFactor?.get(id) ?? 1));
  };
  const { network } = skeleton;
  return {
    ...skeleton,
    network: { ...network, faults: network.faults.map((f) => ({ ...f, prior: prior(f.id) })) },
  };
}

/**
 * All of a kind that no prior changes, its faults with a prior of 0; made once for a kind and its dropped stations. It is enough
 * for what is open, proved or held back.
 */
export function skeletonOf(knowledge: Knowledge, kind: Kind, dropped: readonly string[]): CompiledKind {
  let kinds = skeletons.get(knowledge);
  if (!kinds) skeletons.set(knowledge, (kinds = new WeakMap()));
  let models = kinds.get(kind);
  if (!models) kinds.set(kind, (models = new Map()));
  const key = [...new Set(dropped)].sort().join(' ');
  let skeleton = models.get(key);
  if (!skeleton) models.set(key, (skeleton = buildSkeleton(knowledge, kind, new Set(dropped))));
  return skeleton;
}

function buildSkeleton(knowledge: Knowledge, kind: Kind, dropped: ReadonlySet<string>): CompiledKind {
  const faults = faultsOf(knowledge, kind).filter((f) => !dropped.has(f.kinds[kind.id]!.station));
  const faultIndex = new Map(faults.map((f, i) => [f.id, i]));
  const checks = checksOf(knowledge, kind.id);
  const complaints = knowledge.complaints.filter((c) => c.kinds.includes(kind.id));

  const findings: CompiledFinding[] = [];
  const nodes: FindingNode[] = [];
  const put = (finding: CompiledFinding, node: Omit<FindingNode, 'id'>) => {
    findings.push(finding);
    nodes.push({ id: finding.id, ...node });
  };

  for (const complaint of complaints) {
    const leak = complaint.leak ?? COMPLAINT_LEAK;
    put(
      { id: `complaint:${complaint.id}`, complaint, proves: [] },
      { leak: [1 - leak, leak], effects: complaintEffects(complaint) },
    );
  }
  function complaintEffects(complaint: Complaint) {
    return faults.flatMap((f, fault) => {
      const link = f.complaints.find((c) => c.complaint === complaint.id && (!c.kinds || c.kinds.includes(kind.id)));
      if (!link) return [];
      const s = STRENGTHS[link.strength];
      return [{ fault, levels: [1 - s, s] }];
    });
  }

  for (const check of checks)
    for (const aspect of check.aspects) {
      const leak = leakOf(aspect);
      const effects = aspect.neutral
        ? []
        : faults.flatMap((f, fault) => {
            const levels = effectOf(f, kind, check, aspect);
            return levels ? [{ fault, levels }] : [];
          });
      const proves = aspect.outcomes.map((o) => (o.proves ?? []).flatMap((id) => faultIndex.get(id) ?? []));
      put({ id: `${check.id}/${aspect.id}`, check, aspect, proves }, { leak, effects });
    }

  // After repairing fault i, the trouble remains if another fault with the same complaint is there.
  faults.forEach((fault, i) => {
    const effects = faults.flatMap((other, j) => {
      if (j === i) return [];
      const shared = other.complaints.filter((c) => fault.complaints.some((d) => d.complaint === c.complaint));
      if (shared.length === 0) return [];
      const s = Math.max(...shared.map((c) => STRENGTHS[c.strength]));
      return [{ fault: j, levels: [1 - s, s] }];
    });
    put(
      { id: repairOf(fault.id), repairOf: fault, proves: [] },
      { leak: [1 - COMPLAINT_LEAK, COMPLAINT_LEAK], effects },
    );
  });

  const network: Network = {
    faults: faults.map((f) => ({
      id: f.id,
      prior: 0,
      causes: (f.broughtOnBy ?? []).flatMap((c) => {
        const cause = faultIndex.get(c.fault);
        return cause === undefined ? [] : [{ fault: cause, strength: STRENGTHS[c.strength] }];
      }),
    })),
    findings: nodes,
    exclusive: knowledge.oneState
      .map((states) => states.flatMap((id) => faultIndex.get(id) ?? []))
      .filter((states) => states.length > 1),
  };
  return {
    kind,
    network,
    faults,
    faultIndex,
    findings,
    findingIndex: new Map(findings.map((f, i) => [f.id, i])),
    checks,
    complaints,
    rules: rulesOf(knowledge, checks),
    partMinutes: knowledge.partMinutes ?? {},
  };
}

/** An outcome that shows a fault directly is hardly ever seen without it. */
const MOST_PROVING_LEAK = 0.003;

function leakOf(aspect: Aspect): number[] {
  const abnormal = aspect.outcomes.slice(1).map((o) => {
    const leak = aspect.leak?.[o.id] ?? DEFAULT_LEAK / (aspect.outcomes.length - 1);
    return o.proves ? Math.min(leak, MOST_PROVING_LEAK) : leak;
  });
  return [1 - abnormal.reduce((a, b) => a + b, 0), ...abnormal];
}

/** Where a fault pushes an aspect: the stated strengths, the rest stays normal; null when it says nothing. */
function effectOf(fault: Fault, kind: Kind, check: Check, aspect: Aspect): number[] | null {
  const shows = fault.shows.filter(
    (s) =>
      s.check === check.id &&
      (!s.kinds || s.kinds.includes(kind.id)) &&
      (!s.condition || s.condition === aspect.condition) &&
      aspect.outcomes.some((o) => o.id === s.outcome),
  );
  if (shows.length === 0) return null;
  const levels = aspect.outcomes.map((o) =>
    shows.filter((s) => s.outcome === o.id).reduce((sum, s) => sum + STRENGTHS[s.strength], 0),
  );
  const stated = levels.slice(1).reduce((a, b) => a + b, 0);
  // Two strong outcomes of one fault share what there is.
  const scale = stated > 0.97 ? 0.97 / stated : 1;
  const abnormal = levels.slice(1).map((l) => l * scale);
  return [1 - abnormal.reduce((a, b) => a + b, 0), ...abnormal];
}

const oddsOf = (p: number): number => p / (1 - p);

function withOdds(p: number, factor: number): number {
  const odds = oddsOf(p) * factor;
  return odds / (1 + odds);
}

function clampPrior(p: number): number {
  return Math.min(HIGHEST_PRIOR, Math.max(1e-4, p));
}
