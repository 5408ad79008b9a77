import { accessPath } from '@/core/diagnosis/accessCosts';
import { repairedFault } from '@/core/diagnosis/doing';
import { cautionsFor, checksOf, repairAccess, type Kind } from '@/core/diagnosis/knowledge';
import { bestOrder } from '@/core/strip/bestOrder';
import type { Procedure, StripStep } from '@/core/strip/procedure';
import { stepsToOpen } from '@/core/strip/reach';
import { trayOf } from '@/core/strip/tray';
import { closingOf, inReverse, wayBack } from '@/core/strip/wayBack';
import type { JobState } from '@/data/jobState';
import { faultById, knowledge } from '@/knowledge';
import { worksOf } from '@/knowledge/repairWork';
import type { JobFacts, ServiceLine } from './dto';
import { changesOf, procedureOf } from './procedureOf';
import { opensFor, visitOrder, withNeeds } from './visitOrder';
import { stepView } from '@/knowledge/stepView';

/** The access by which a fault is mended on a kind. */
function mendedBy(kind: Kind, faultId: string): string | undefined {
  const fault = faultById(faultId);
  return fault && repairAccess(kind, fault);
}

/** The access by which a check is made, or a repair on suspicion. A check and a fault may have the same name. */
function madeBy(kind: Kind, check: string): string | undefined {
  const fault = repairedFault(check);
  return fault === null ? checksOf(knowledge, kind.id).find((c) => c.id === check)?.access : mendedBy(kind, fault);
}

/** What this job mends and what of it is mended; open: accesses that Find left open. */
interface Found {
  toMend: readonly string[];
  repaired: readonly string[];
  open: readonly string[];
}

/** The way in and the way back of one job, as they stand. */
export function stripOf(
  kind: Kind,
  state: JobState,
  found: Found,
  service: readonly ServiceLine[],
): Pick<JobFacts, 'strip' | 'rebuild' | 'visitOrder'> {
  const procedure = procedureOf(kind, state);
  const dropped = new Set(state.model.dropped_stations);
  const absent = new Set(state.stripped.filter((s) => s.state === 'not-here').map((s) => s.step));
  const opened = openedSteps(procedure, kind, state, { ...found, service }, absent);
  const ticks = new Set(state.ticks);
  const closed = new Set(opened.filter((s) => ticks.has(closingOf(s.id))).map((s) => s.id));
  // What is back in place must be opened again if something behind it is still to be mended.
  const inside = new Set([...opened.filter((s) => !closed.has(s.id)).map((s) => s.id), ...absent]);
  const mended = new Set(found.repaired);
  const still = found.toMend.filter((f) => !mended.has(f));
  const pressed = new Set(state.stripped.map((s) => s.step));
  // What is to be mended, and what somebody has begun to open to look.
  const forOthers = doneForOthers(procedure, kind, state, opened, service);
  const begun = [
    ...new Set(opened.filter((s) => pressed.has(s.id) && !forOthers.has(s.id)).map((s) => s.access)),
  ].filter((access) => !opened.some((s) => s.access === access && closed.has(s.id)));
  const wanted = [...still.map((f) => mendedBy(kind, f)!), ...begun];
  const ahead = stepsToOpen(procedure, kind.access, wanted, inside);
  const last = opened.at(-1);
  const order = bestOrder(ahead, last ? { lie: last.lie, tool: last.tool } : undefined);
  const tray = trayOf(opened, closed, state.losses);
  const viewOf = (s: StripStep) => ({ ...stepView(knowledge, kind, s), pressed: pressed.has(s.id) });
  const has = (stations: readonly string[]) => stations.length === 0 || stations.some((s) => !dropped.has(s));
  return {
    strip: {
      done: opened.map(viewOf),
      ahead: order.steps.map(viewOf),
      absent: procedure.steps.filter((s) => absent.has(s.id)).map(viewOf),
      turnings: order.turnings,
      toolChanges: order.toolChanges,
      minutes: order.minutes,
      exact: order.exact,
      cups: tray.cups,
      losses: state.losses,
      changes: changesOf(state),
      pictures: state.modelPhotographs,
    },
    visitOrder: state.job.visit !== '' ? visitOrder(kind, procedure, service, opened, absent) : null,
    rebuild: wayBack(procedure, opened, worksOf(kind.id, found.toMend, state.complaints, state.fitted))
      .filter((line) => line.sort !== 'check' || has(line.stations))
      .map(({ stations: _, ...line }) => ({
        ...line,
        done: ticks.has(line.id) || (line.fault !== null && mended.has(line.fault)),
        cautions: cautionsFor(knowledge, kind.id, line.cautions),
      })),
  };
}

/**
 * Steps that were done to reach something else: what lies behind another cover, or an item of the service. Of these nobody
 * began to open their own access.
 */
function doneForOthers(
  procedure: Procedure,
  kind: Kind,
  { job }: JobState,
  opened: readonly StripStep[],
  service: readonly ServiceLine[],
): ReadonlySet<string> {
  const before = opened.flatMap((s) => withNeeds(procedure, s).filter((n) => n.access !== s.access));
  const ofVisit = job.visit === '' ? [] : service.flatMap((l) => opensFor(kind, procedure, l));
  return new Set([...before, ...ofVisit].map((s) => s.id));
}

/**
 * Steps that are behind us: those of what Find, a repair, a fitted part or an item of the service opened, as the procedure has them,
 * then those that were pressed.
 */
function openedSteps(
  procedure: Procedure,
  kind: Kind,
  state: JobState,
  { repaired, open, service }: Found & { service: readonly ServiceLine[] },
  absent: ReadonlySet<string>,
): StripStep[] {
  const paths = (access: string | undefined) => (access ? accessPath(kind, access) : []);
  const accesses = new Set([
    ...open,
    ...state.findings.filter((f) => f.revoked_at === null).flatMap((f) => paths(madeBy(kind, f.check_id))),
    ...repaired.flatMap((f) => paths(mendedBy(kind, f))),
    ...state.fitted.flatMap((f) =>
      kind.access.filter((a) => a.bares.includes(f.station)).flatMap((a) => accessPath(kind, a.id)),
    ),
  ]);
  // Nobody cleans a roll that is not out, whether each screw was said or not.
  const served = new Set(
    service
      .filter((l) => l.said === 'done' || l.said === 'worn')
      .flatMap((l) => opensFor(kind, procedure, l).map((s) => s.id)),
  );
  const reached = stepsToOpen(procedure, kind.access, accesses, absent);
  const there = new Set([...reached.map((s) => s.id), ...state.stripped.map((s) => s.step)]);
  const behind = procedure.steps.filter((s) => served.has(s.id) && !there.has(s.id));
  // Of two ways to the same place one was gone.
  const ways = new Set([...there, ...served].filter((id) => !absent.has(id)));
  const place = (s: StripStep) => procedure.steps.findIndex((p) => p.id === s.id);
  const implied = [...reached, ...behind]
    .filter((s) => !s.instead.some((i) => ways.has(i)))
    .sort((a, b) => place(a) - place(b));
  const pressed = state.stripped
    .filter((s) => s.state === 'done' && !implied.some((i) => i.id === s.step))
    .flatMap((s) => procedure.steps.filter((p) => p.id === s.step));
  // What was pressed may be the cover of what was only said.
  return inReverse([...implied, ...pressed]).reverse();
}
