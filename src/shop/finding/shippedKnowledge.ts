import { UNITS } from '@/core/units/units';
import { knowledge } from '@/knowledge';

/** The knowledge as it is published, with the units that readings may be given in. */
export function shippedKnowledge() {
  return {
    ...knowledge,
    units: Object.fromEntries(
      Object.entries(UNITS).map(([quantity, { base, units }]) => [quantity, { base, accepted: Object.keys(units) }]),
    ),
  };
}
