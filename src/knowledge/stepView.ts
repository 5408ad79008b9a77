import { cautionsFor, type Kind, type Knowledge } from '@/core/diagnosis/knowledge';
import type { StripStep } from '@/core/strip/procedure';

/** One step as the screens show it. */
export function stepView(knowledge: Knowledge, kind: Kind, s: StripStep) {
  return {
    id: s.id,
    access: s.access,
    label: s.label,
    lie: s.lie,
    tool: s.tool,
    minutes: s.minutes,
    fasteners: s.fasteners,
    stays: s.stays,
    carried: s.carried,
    note: s.note,
    cautions: cautionsFor(knowledge, kind.id, s.cautions),
    photograph: s.photograph,
    optional: s.optional,
  };
}
