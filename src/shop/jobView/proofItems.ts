import type { Complaint } from '@/core/diagnosis/knowledge';
import { knowledge } from '@/knowledge';

export interface ProofItem {
  id: string;
  label: string;
  required: boolean;
  quantity: 'pressure' | 'speed' | null;
  /** Check and condition whose reading in Find is the "before". */
  before: { check: string; condition?: string } | null;
}

/** What must be shown before a machine may leave: every complaint re-tested, roll free, run, electrical check. */
export function proofItems(complaints: string[]): ProofItem[] {
  const label = (id: string) => knowledge.complaints.find((c: Complaint) => c.id === id)?.label ?? id;
  return [
    { id: 'electrical-check', label: 'Electrical check by local rules', required: true, quantity: null, before: null },
    { id: 'roll-free', label: 'Roll free by hand', required: true, quantity: null, before: null },
    ...complaints.map((id) => ({
      id: `complaint:${id}`,
      label: `Gone: ${label(id).toLowerCase()}`,
      required: true,
      quantity: null,
      before: null,
    })),
    {
      id: 'run-3-min',
      label: 'Three minutes’ run, sound and smell clean',
      required: true,
      quantity: null,
      before: null,
    },
    { id: 'roll-speed', label: 'Roll speed', required: false, quantity: 'speed', before: { check: 'roll-speed' } },
    {
      id: 'sealed-vacuum',
      label: 'Sealed vacuum at the machine',
      required: false,
      quantity: 'pressure',
      before: { check: 'inlet-vacuum', condition: 'machine' },
    },
  ];
}
