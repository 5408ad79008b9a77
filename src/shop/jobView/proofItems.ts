import type { JobState } from '@/data/jobState';
import { UNITS } from '@/core/units/units';
import type { ProofView } from './dto';
import { checksOf, type Complaint, type Kind } from '@/core/diagnosis/knowledge';
import { knowledge } from '@/knowledge';
import { kindsWith } from '@/knowledge/where';

export interface ProofItem {
  id: string;
  label: string;
  required: boolean;
  quantity: 'pressure' | 'speed' | null;
  /** Check and condition whose reading in Find is the "before". */
  before: { check: string; condition?: string } | null;
}

const plain = { required: true, quantity: null, before: null };

/** What must be shown before a machine of this kind may leave: every complaint re-tested, free by hand, run, measured. */
export function proofItems(kind: Kind, complaints: string[]): ProofItem[] {
  const label = (id: string) => knowledge.complaints.find((c: Complaint) => c.id === id)?.label ?? id;
  const has = (...stations: string[]) => kindsWith(...stations).includes(kind.id);
  const checks = new Set(checksOf(knowledge, kind.id).map((c) => c.id));
  const items: (ProofItem | false)[] = [
    kind.supply === 'mains' && { id: 'electrical-check', label: 'Electrical check by local rules', ...plain },
    (kind.supply === 'pack' || kind.supply === 'lead-acid') && {
      id: 'pack-check',
      label: 'Pack or batteries: no damage, no heat, seated',
      ...plain,
    },
    has('roll') && { id: 'roll-free', label: 'Roll free by hand', ...plain },
    has('brush', 'brush-front') && { id: 'roll-free', label: 'Brush free by hand', ...plain },
    ...complaints.map((id) => ({ id: `complaint:${id}`, label: `Gone: ${label(id).toLowerCase()}`, ...plain })),
    { id: 'run-3-min', label: 'Three minutes’ run, sound and smell clean', ...plain },
    has('squeegee-blades') && { id: 'floor-dry', label: 'Floor dry behind it, straight and in a turn', ...plain },
    checks.has('roll-speed') && {
      id: 'roll-speed',
      label: 'Roll speed',
      required: false,
      quantity: 'speed',
      before: { check: 'roll-speed' },
    },
    checks.has('inlet-vacuum') && {
      id: 'sealed-vacuum',
      label: 'Sealed vacuum at the machine',
      required: false,
      quantity: 'pressure',
      before: { check: 'inlet-vacuum', condition: 'machine' },
    },
  ];
  return items.filter((i) => i !== false);
}

/** What must be shown, with what was shown so far; the reading made in Find stands as the "before". */
export function proofViews(kind: Kind, { complaints, proofs, findings }: JobState): ProofView[] {
  return proofItems(kind, complaints).map((item) => {
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
      quantity: item.quantity,
      unit: item.quantity ? UNITS[item.quantity].base : null,
      result: made?.result ?? null,
      before: made ? made.before_value : (earlier?.value ?? null),
      after: made?.after_value ?? null,
      note: made?.note ?? '',
    };
  });
}
