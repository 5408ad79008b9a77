import { repairedFault } from '@/core/diagnosis/doing';
import { cautionsFor, checksOf, type Aspect, type Check, repairAccess } from '@/core/diagnosis/knowledge';
import { ideaBecame } from '@/core/diagnosis/ownersIdea';
import { formatQuantity, type Quantity } from '@/core/units/units';
import type { JobFacts } from '@/shop/jobView/dto';
import { bookOf, cautionOf, complaintOf, faultLabel, faultOf, toldKind } from './trade';

export { cautionOf, faultLabel, faultOf } from './trade';
export const repairLabel = (fault: string) => faultOf(fault)?.repair.label ?? faultLabel(fault);
export const complaintLabel = (id: string) => complaintOf(id)?.label ?? id;

/** The name of a station of a machine, one of its model's own too. */
export function stationLabel({ machine }: Pick<JobFacts, 'machine'>, id: string): string {
  const ours = toldKind(machine.kind).lines.flatMap((l) => l.stations);
  return [...ours, ...machine.addedStations].find((s) => s.id === id)?.label ?? id;
}

/** What became of the owner's own idea. */
export const ideaAnswered = (idea: string, found: readonly string[], complaints: readonly string[]) =>
  ideaBecame(faultOf, idea, found, complaints);

/** Cautions in force that hold back everything that needs power, in words; empty when there are none. */
export function heldPower(job: Pick<JobFacts, 'cautions'>): string {
  return job.cautions
    .map(cautionOf)
    .filter((c) => c.holds === 'power')
    .map((c) => c.label.toLowerCase())
    .join(', ');
}

/** Cautions of the repairs of some faults, each once, where they bite on this kind. */
export function repairCautions(kindId: string, faultIds: readonly string[]): string[] {
  const { knowledge } = bookOf(kindId);
  return [...new Set(faultIds.flatMap((id) => cautionsFor(knowledge, kindId, faultOf(id)?.repair.cautions ?? [])))];
}

/** What can be done next, a check or a repair, in one shape for the screen. */
export interface Doing {
  id: string;
  label: string;
  how: string[];
  minutes: number;
  access: string;
  cautions: string[];
  power: Check['power'];
  aspects: Aspect[];
  repairs: string | null;
}

/** The caution that asks for the roll to be turned by hand before it is run, where there is a roll. */
function spinCautions(kindId: string): string[] {
  const { knowledge } = bookOf(kindId);
  return cautionsFor(
    knowledge,
    kindId,
    knowledge.cautions.filter((c) => c.holds === 'spin').map((c) => c.id),
  );
}

/** A check of the kind, or a repair and a run (`repair:<fault>`), or null. */
export function doingOf(kindId: string, id: string): Doing | null {
  const repaired = repairedFault(id);
  if (repaired !== null) {
    const fault = faultOf(repaired);
    if (!fault) return null;
    return {
      id,
      label: fault.repair.power ? `${fault.repair.label}, run it` : fault.repair.label,
      how: [
        'Do the repair on suspicion: it is the best next step.',
        ...(bookOf(kindId).repairSteps[fault.id] ?? []),
        fault.repair.power ? 'Turn by hand what can be turned, then run it for seconds.' : 'Try it by hand.',
        'Is the complaint gone?',
      ],
      minutes: fault.repair.minutes,
      access: repairAccess(toldKind(kindId), fault),
      power: fault.repair.power ? 'yes' : 'no',
      cautions: [
        ...new Set([...repairCautions(kindId, [fault.id]), ...(fault.repair.power ? spinCautions(kindId) : [])]),
      ],
      aspects: [
        {
          id: 'after',
          label: 'After it',
          outcomes: [
            { id: 'gone', label: 'complaint gone' },
            { id: 'remains', label: 'still there' },
          ],
        },
      ],
      repairs: fault.id,
    };
  }
  const check = checksOf(bookOf(kindId).knowledge, kindId).find((c) => c.id === id);
  return check ? { ...check, repairs: null } : null;
}

export function allDoings(kindId: string): Check[] {
  return checksOf(bookOf(kindId).knowledge, kindId);
}

/** Whether a check is that by which the roll is turned by hand before anything is run. */
export const freesRoll = (kindId: string, check: string): boolean =>
  bookOf(kindId).knowledge.checks.some((c) => c.id === check && c.freesRoll !== undefined);

/** Whether the roll was turned by hand in this job, and was free. */
export function isRollTurned(job: Pick<JobFacts, 'machine' | 'findings'>): boolean {
  const turning = allDoings(job.machine.kind).find((c) => c.freesRoll);
  return job.findings.some(
    (f) => !f.revoked && f.check === turning?.id && !turning.freesRoll!.butNot.includes(f.outcome ?? ''),
  );
}

/** Plain words for a finding, whatever form it has. */
export function findingWords(
  kindId: string,
  f: { check: string; outcome: string | null; value: number | null; condition: string | null },
): { what: string; answer: string } {
  const doing = doingOf(kindId, f.check);
  if (!doing) return { what: f.check, answer: f.outcome ?? String(f.value) };
  const aspect = aspectFor(doing, f);
  const what = doing.aspects.length > 1 && aspect ? `${doing.label}, ${aspect.label.toLowerCase()}` : doing.label;
  if (f.outcome !== null) return { what, answer: aspect?.outcomes.find((o) => o.id === f.outcome)?.label ?? f.outcome };
  const quantity = aspect?.reading?.quantity as Quantity | undefined;
  return { what, answer: quantity ? formatQuantity(quantity, f.value!) : String(f.value) };
}

export function aspectFor(doing: Doing, f: { outcome: string | null; condition: string | null }): Aspect | undefined {
  if (f.outcome !== null) return doing.aspects.find((a) => a.outcomes.some((o) => o.id === f.outcome));
  const readings = doing.aspects.filter((a) => a.reading);
  return f.condition ? readings.find((a) => a.condition === f.condition) : readings[0];
}

export function outcomeLabel(kindId: string, checkId: string, outcome: string): string {
  const doing = doingOf(kindId, checkId);
  return doing?.aspects.flatMap((a) => a.outcomes).find((o) => o.id === outcome)?.label ?? outcome;
}

/** Evidence ids of the engine in words: a complaint, `check=outcome`, `check@condition`, `check`, `repair:fault`. */
export function evidenceWords(kindId: string, finding: string): string {
  if (complaintOf(finding)) return `Complaint: ${complaintLabel(finding).toLowerCase()}`;
  if (finding.startsWith('arrival:'))
    return `On arrival: ${cautionOf(finding.slice('arrival:'.length)).label.toLowerCase()}`;
  const [check, outcome] = finding.split('=');
  if (outcome) {
    const words = findingWords(kindId, { check: check!, outcome, value: null, condition: null });
    return `${words.what}: ${words.answer}`;
  }
  const [id, condition] = finding.split('@');
  const doing = doingOf(kindId, id!);
  const aspect = doing && aspectFor(doing, { outcome: null, condition: condition ?? null });
  return doing
    ? `${doing.label}${aspect && doing.aspects.length > 1 ? `, ${aspect.label.toLowerCase()}` : ''}: the reading`
    : finding;
}
