import { cautionsFor, type Kind } from '@/core/diagnosis/knowledge';
import type { StripStep } from '@/core/strip/procedure';
import { knowledge } from '.';

/** One step as the screens show it. */
export function stepView(kind: Kind, s: StripStep) {
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
