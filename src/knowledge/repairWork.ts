import { repairAccess, stationsOf } from '@/core/diagnosis/knowledge';
import { ofStations } from '@/core/diagnosis/ofStations';
import type { StepWait } from '@/core/strip/procedure';
import type { RepairWork } from '@/core/strip/wayBack';
import { kindById, knowledge } from '.';
import { repairTexts, type RepairText } from './strip/repairs';

const faultById = new Map(knowledge.faults.map((f) => [f.id, f]));

/** What a machine that smells is asked besides, where the cause of the smell is mended: washed is not clean. Common practice, no source. */
const SMELLS = 'bad-smell';
const DISINFECTED = {
  id: 'disinfect',
  label: 'Where it smelled: disinfected, wiped clear',
  minutes: 2,
  cautions: ['chemicals', 'dry-before-run'],
};

/**
 * What the repair of a fault does on a kind, once its access lies open, in words of the parts that it
 * has: its own steps share its minutes evenly.
 * @param complaints what the machine is here for: a smell asks for more than its cause
 * @param fitted what was fitted at this visit: a new filter is not washed
 * @throws RangeError for a fault that the kind does not have
 */
export function repairWorkOf(
  kindId: string,
  faultId: string,
  complaints: readonly string[] = [],
  fitted: readonly FittedHere[] = [],
): RepairWork {
  const fault = faultById.get(faultId);
  const placed = fault?.kinds[kindId];
  if (!fault || !placed) throw new RangeError(`${kindId} has no fault named ${faultId}.`);
  const text = repairTexts[faultId]!;
  const steps = text.renewed && isRenewed(kindId, faultId, fitted) ? text.renewed : text.steps;
  const kind = kindById(kindId);
  const stations = stationsOf(kind);
  const smelled = complaints.includes(SMELLS) && fault.complaints.some((c) => c.complaint === SMELLS);
  const own = steps.map((label, i) => ({
    id: `${steps === text.renewed ? 'new' : ''}${i + 1}`,
    label: ofStations(label, stations),
    minutes: Math.round((10 * fault.repair.minutes) / steps.length) / 10,
    cautions: [] as string[],
    stations: [placed.station],
  }));
  if (smelled) own.splice(text.cleanAfter ?? own.length, 0, { ...DISINFECTED, stations: [placed.station] });
  // Where it can hurt stands at the first step: it is read before anything is touched.
  own[0]!.cautions = [...new Set([...(fault.repair.cautions ?? []), ...own[0]!.cautions])];
  return { fault: faultId, access: repairAccess(kind, fault), steps: own };
}

/** Behind the same cover: what carries other parts after what is made new in it, what runs over both last. Common practice, no source. */
const CARRIES = ['roll', 'motor'];
const RUNS_OVER = ['belt'];

function turnOf(faultId: string): number {
  const parts = faultById.get(faultId)?.repair.parts ?? [];
  return parts.some((p) => RUNS_OVER.includes(p)) ? 2 : parts.some((p) => CARRIES.includes(p)) ? 1 : 0;
}

/**
 * What several repairs do, in the order in which they can be done behind the same cover: bearings, then the roll that sits in
 * them, then the belt that runs over it.
 * @throws RangeError for a fault that the kind does not have
 */
export function worksOf(
  kindId: string,
  faultIds: readonly string[],
  complaints: readonly string[] = [],
  fitted: readonly FittedHere[] = [],
): RepairWork[] {
  return [...faultIds].sort((a, b) => turnOf(a) - turnOf(b)).map((f) => repairWorkOf(kindId, f, complaints, fitted));
}

/** What a repair needs besides its steps, and what it must wait for; nothing for a fault that is not known. */
export function repairNeeds(faultId: string): Omit<RepairText, 'steps'> {
  const { steps: _, ...needs } = repairTexts[faultId] ?? { steps: [] };
  return needs;
}

/** A part that was fitted at this visit, with its group; null for one that is on no list. */
export interface FittedHere {
  station: string;
  group: string | null;
}

/** Whether a new part of the repair was fitted where its fault stands. */
export function isRenewed(kindId: string, faultId: string, fitted: readonly FittedHere[]): boolean {
  const { kinds, repair } = faultById.get(faultId)!;
  return fitted.some(
    (p) => p.station === kinds[kindId]?.station && p.group !== null && repair.parts?.includes(p.group),
  );
}

/**
 * What was done of a repair, in words. One that may be done with a new part or without says which it was: a filter that was
 * washed is not new.
 */
export function doneWords(kindId: string, faultId: string, fitted: readonly FittedHere[]): string {
  const { did } = repairNeeds(faultId);
  return did ? did[isRenewed(kindId, faultId, fitted) ? 0 : 1] : faultById.get(faultId)!.repair.label;
}

/** The clock that a repair starts when it is done; none where a new part stands for what would dry. */
export function waitAfter(kindId: string, faultId: string, fitted: readonly FittedHere[]): StepWait | undefined {
  const { renewed, waits } = repairNeeds(faultId);
  return renewed && isRenewed(kindId, faultId, fitted) ? undefined : waits;
}

/** The clock that the first step of a repair starts. */
export const soakOf = (faultId: string): StepWait | undefined => repairNeeds(faultId).soaks;

/** The stations at which a repair takes parts of a group: where its fault stands, unless it says more. */
export function placesOf(kindId: string, faultId: string, group: string): string[] {
  const said = repairNeeds(faultId).sits?.[group];
  const own = said && stationsOf(kindById(kindId));
  return own ? said.filter((s) => own.has(s)) : [faultById.get(faultId)!.kinds[kindId]!.station];
}

/** How many parts of a group these repairs take together at each place; one when none of them says. */
export function takenBy(faultIds: readonly string[], group: string): number {
  return Math.max(1, ...faultIds.map((id) => repairNeeds(id).takes?.[group] ?? 1));
}

/** Whether these repairs cannot do without a part of a group: a must of one is a must. */
export function roleOf(faultIds: readonly string[], group: string): 'must' | 'usual' | 'choice' {
  const roles = faultIds
    .filter((id) => faultById.get(id)?.repair.parts?.includes(group))
    .map((id) => repairNeeds(id).roles?.[group] ?? 'must');
  return roles.includes('must') || roles.length === 0 ? 'must' : roles.includes('usual') ? 'usual' : 'choice';
}
