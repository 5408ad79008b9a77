import { kindOf, type Fault, type Kind, type Knowledge } from '@/core/diagnosis/knowledge';
import { holdingPower } from '@/core/diagnosis/rules';
import { problemsIn } from '@/core/diagnosis/validateKnowledge';
import { assemble } from './assemble';
import { raisedAtTheBench } from './bench';
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
import { oneState } from './oneState';
import { partMinutes } from './partMinutes';
import { owedProofs, repairCautions } from './workCautions';

/** Everything that the trade knows; a server does not start on knowledge with dead ends (`checkKnowledge`). */
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
  repairCautions,
  owedProofs,
  oneState,
  partMinutes,
});

const faults = new Map(knowledge.faults.map((f) => [f.id, f]));

export const faultById = (id: string): Fault | undefined => faults.get(id);

const placeOf = new Map(knowledge.faults.map((f, place) => [f.id, place]));

/** Faults by their ids, in the order of the knowledge; what is not known any more is left out. */
export function inOrder(ids: Iterable<string>): Fault[] {
  return [...ids].flatMap((id) => faults.get(id) ?? []).sort((a, b) => placeOf.get(a.id)! - placeOf.get(b.id)!);
}

/** What a fault is called; the id of one that was once known. */
export const faultLabel = (id: string): string => faults.get(id)?.label ?? id;

/** @throws RangeError for a kind that is not known */
export function kindById(id: string): Kind {
  return kindOf(knowledge, id);
}

/** Whether a caution holds back everything that needs power. */
export function holdsBackPower(caution: string): boolean {
  return holdingPower(knowledge.cautions).has(caution);
}

/** @throws Error when the shipped knowledge has dead ends; asked when a server starts, and by a test */
export function checkKnowledge(): void {
  const problems = problemsIn(knowledge, raisedAtTheBench);
  if (problems.length > 0) throw new Error(`The shipped knowledge has dead ends:\n${problems.join('\n')}`);
}
