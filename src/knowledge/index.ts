import type { Kind, Knowledge } from '@/core/diagnosis/knowledge';
import { problemsIn } from '@/core/diagnosis/validateKnowledge';
import { cautions } from './cautions';
import { checksAir } from './checksAir';
import { checksInside } from './checksInside';
import { checksMeter } from './checksMeter';
import { checksOutside } from './checksOutside';
import { complaints } from './complaints';
import { faultsAir } from './faultsAir';
import { faultsDrive } from './faultsDrive';
import { faultsPower } from './faultsPower';
import { kinds } from './kinds';

/** Everything that the trade knows, checked when loaded: knowledge with dead ends does not start. */
export const knowledge: Knowledge = {
  kinds,
  complaints,
  checks: [...checksOutside, ...checksInside, ...checksMeter, ...checksAir],
  faults: [...faultsDrive, ...faultsPower, ...faultsAir],
  cautions,
};

const problems = problemsIn(knowledge);
if (problems.length > 0) throw new Error(`The shipped knowledge has dead ends:\n${problems.join('\n')}`);

/** @throws RangeError for a kind that is not known */
export function kindById(id: string): Kind {
  const kind = kinds.find((k) => k.id === id);
  if (!kind) throw new RangeError(`There is no kind ${id}.`);
  return kind;
}
