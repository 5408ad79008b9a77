import type { Kind, Knowledge } from '@/core/diagnosis/knowledge';
import { problemsIn } from '@/core/diagnosis/validateKnowledge';
import { assemble } from './assemble';
import { cautions } from './cautions';
import { airChecks } from './checks/air';
import { electricChecks } from './checks/electric';
import { gearChecks } from './checks/gear';
import { insideChecks } from './checks/inside';
import { meterChecks } from './checks/meter';
import { outsideChecks } from './checks/outside';
import { pathChecks } from './checks/paths';
import { complaints } from './complaints';
import { airFaults } from './faults/air';
import { driveFaults } from './faults/drive';
import { electricFaults } from './faults/electric';
import { gearFaults } from './faults/gear';
import { pathFaults } from './faults/paths';
import { powerFaults } from './faults/power';
import { waterFaults } from './faults/water';
import { kindBooks } from './kinds';

/** Everything that the trade knows, checked when loaded: knowledge with dead ends does not start. */
export const knowledge: Knowledge = assemble({
  books: kindBooks,
  complaints,
  checks: [
    ...outsideChecks,
    ...insideChecks,
    ...meterChecks,
    ...airChecks,
    ...gearChecks,
    ...electricChecks,
    ...pathChecks,
  ],
  faults: [
    ...driveFaults,
    ...powerFaults,
    ...airFaults,
    ...gearFaults,
    ...electricFaults,
    ...pathFaults,
    ...waterFaults,
  ],
  cautions,
});

const problems = problemsIn(knowledge);
if (problems.length > 0) throw new Error(`The shipped knowledge has dead ends:\n${problems.join('\n')}`);

/** @throws RangeError for a kind that is not known */
export function kindById(id: string): Kind {
  const kind = knowledge.kinds.find((k) => k.id === id);
  if (!kind) throw new RangeError(`There is no kind ${id}.`);
  return kind;
}
