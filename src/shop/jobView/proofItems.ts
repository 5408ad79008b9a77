import type { JobState } from '@/data/jobState';
import type { StripStep } from '@/core/strip/procedure';
import { UNITS } from '@/core/units/units';
import type { ProofAsk, ProofView } from './dto';
import { cautionsFor, checksOf, type Complaint, type Kind } from '@/core/diagnosis/knowledge';
import { inOrder, knowledge } from '@/knowledge';
import { hasStation } from '@/knowledge/where';
import { procedureOf } from './procedureOf';

export interface ProofItem {
  id: string;
  label: string;
  required: boolean;
  /** It can be shown only with power on: not while a caution holds power back. */
  power: boolean;
  /** What is shown to be gone; null for what is tried otherwise. */
  gone: string | null;
  /** Where it can hurt someone. */
  cautions: string[];
  /** What must be said with it; without an answer it is not passed. */
  asks: ProofAsk[];
  quantity: 'pressure' | 'speed' | null;
  /** Check and condition whose reading in Find is the "before". */
  before: { check: string; condition?: string } | null;
}

const byHand = { required: true, power: false, gone: null, cautions: [], asks: [], quantity: null, before: null };
const run = { ...byHand, power: true };

/**
 * What must be shown before a machine of this kind may leave: every complaint re-tested, free by hand, run, measured, and
 * each protection that was repaired.
 * @param repaired faults that were proved, and those of the stations where a part was fitted
 * @param bridged faults of protections that are bridged: what they protected is not shown, but that everybody can see it
 * @param airOpened something that the air goes through was taken apart: it is shown that it draws again
 */
export function proofItems(
  kind: Kind,
  complaints: string[],
  repaired: ReadonlySet<string>,
  findings: JobState['findings'] = [],
  bridged: readonly string[] = [],
  airOpened = false,
): ProofItem[] {
  const has = (...stations: string[]) => hasStation(kind.id, ...stations);
  const checks = new Set(checksOf(knowledge, kind.id).map((c) => c.id));
  const turned = cautionsFor(
    knowledge,
    kind.id,
    knowledge.cautions.filter((c) => c.holds === 'spin').map((c) => c.id),
  );
  const items: (ProofItem | false)[] = [
    kind.supply === 'mains' && {
      ...byHand,
      id: 'electrical-check',
      label: 'Electrical check by local rules',
      cautions: ['earth-first'],
      asks: ['rules', 'readings', 'tester'],
    },
    (kind.supply === 'pack' || kind.supply === 'lead-acid') && {
      ...byHand,
      id: 'pack-check',
      label: 'Pack or batteries: no damage, no heat, seated',
      cautions: cautionsFor(knowledge, kind.id, ['lithium-care', 'lead-acid']),
    },
    has('roll') && { ...byHand, id: 'roll-free', label: 'Roll free by hand', cautions: turned },
    has('brush', 'brush-front') && { ...byHand, id: 'roll-free', label: 'Brush free by hand', cautions: turned },
    ...owedBy(kind, new Set([...repaired].filter((f) => !bridged.includes(f)))),
    bridged.length > 0 && {
      ...run,
      id: 'bridged-labelled',
      label: 'Bridged: it does not stop by itself, the label is on, the owner was shown',
      cautions: ['interlock-bypass'],
    },
    ...complaints.map((id) => retest(id, findings)),
    airOpened && !has('squeegee-blades') && { ...run, id: 'suction-back', label: drawsAgain(kind) },
    { ...run, id: 'run-3-min', label: 'Three minutes’ run, sound and smell clean' },
    has('squeegee-blades') && { ...run, id: 'floor-dry', label: 'Floor dry behind it, straight and in a turn' },
    checks.has('roll-speed') && {
      ...run,
      id: 'roll-speed',
      label: 'Roll speed',
      required: false,
      quantity: 'speed',
      before: { check: 'roll-speed' },
    },
    checks.has('inlet-vacuum') && {
      ...run,
      id: 'sealed-vacuum',
      label: 'Sealed vacuum at the machine',
      required: false,
      quantity: 'pressure',
      before: { check: 'inlet-vacuum', condition: 'machine' },
    },
  ];
  return items.filter((i) => i !== false);
}

/** An upright draws by another way stood up than at the floor: a bend that is left off shows there alone. */
function drawsAgain(kind: Kind): string {
  const standsUp = knowledge.complaints.some((c) => c.id === 'weak-only-upright' && c.kinds.includes(kind.id));
  return standsUp ? 'Suction there again: at the floor, and stood upright' : 'Suction there again';
}

/** How it is shown that a complaint is gone; longer than it took before, where that was measured. */
function retest(id: string, findings: JobState['findings']): ProofItem {
  const complaint = knowledge.complaints.find((c: Complaint) => c.id === id);
  const took = findings.find((f) => f.revoked_at === null && f.value !== null && f.check_id === complaint?.longerThan);
  const how = complaint?.retest ? `: ${complaint.retest}` : '';
  const before = took ? ` (it took ${took.value} ${took.unit})` : '';
  const gone = `${complaint?.label ?? id}${how}${before}`;
  const label = `Gone: ${gone.charAt(0).toLowerCase()}${gone.slice(1)}`;
  return { ...(complaint?.shownUnpowered ? byHand : run), id: `complaint:${id}`, label, gone };
}

/** Proofs of the protections that were repaired, each once. */
function owedBy(kind: Kind, repaired: ReadonlySet<string>): ProofItem[] {
  const owed = inOrder(repaired)
    .flatMap((f) => f.repair.owes ?? [])
    .filter((p) => p.kinds?.includes(kind.id) ?? true);
  return [...new Map(owed.map((p) => [p.id, p])).values()].map((p) => ({
    ...byHand,
    id: p.id,
    label: p.label,
    power: p.power,
  }));
}

/** Faults that were proved, and those of the stations where a part was fitted. */
function repairedOf(kind: Kind, fitted: readonly { station: string }[], proved: readonly string[]): Set<string> {
  if (fitted.length === 0) return new Set(proved);
  const stations = new Set(fitted.map((f) => f.station));
  return new Set([
    ...proved,
    ...knowledge.faults.filter((f) => stations.has(f.kinds[kind.id]?.station ?? '')).map((f) => f.id),
  ]);
}

/**
 * Whether something that the air goes through was taken apart: what is looked at on its way back belongs to the air.
 * @param opened steps that are behind us
 */
export function isAirOpened(
  kind: Kind,
  state: Pick<JobState, 'procedure'>,
  opened: readonly Pick<StripStep, 'id'>[],
): boolean {
  const air = new Set(kind.lines.filter((l) => l.line === 'air').flatMap((l) => l.stations.map((s) => s.id)));
  const steps = new Set(opened.map((s) => s.id));
  return procedureOf(kind, state).steps.some(
    (s) => steps.has(s.id) && s.back.checks.some((c) => c.stations.some((station) => air.has(station))),
  );
}

/** What must be shown, with what was shown so far; the reading made in Find stands as the "before". */
export function proofViews(
  kind: Kind,
  { complaints, proofs, findings, fitted }: JobState,
  proved: readonly string[],
  bridged: readonly string[],
  airOpened: boolean,
): ProofView[] {
  return proofItems(kind, complaints, repairedOf(kind, fitted, proved), findings, bridged, airOpened).map((item) => {
    const made = proofs.find((p) => p.item === item.id);
    const earlier = findings.find(
      (f) =>
        f.revoked_at === null &&
        item.before !== null &&
        f.check_id === item.before.check &&
        (f.condition ?? undefined) === item.before.condition,
    );
    return {
      item: item.id,
      label: item.label,
      required: item.required,
      power: item.power,
      gone: item.gone,
      cautions: item.cautions,
      asks: item.asks,
      quantity: item.quantity,
      unit: item.quantity ? UNITS[item.quantity].base : null,
      result: made?.result ?? null,
      before: made ? made.before_value : (earlier?.value ?? null),
      after: made?.after_value ?? null,
      note: made?.note ?? '',
      details: made?.details ?? {},
    };
  });
}
