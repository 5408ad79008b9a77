import { closingMinutes, courseCosts, reach } from './accessCosts';
import type { Answer, AssessInput, NextAction } from './assessment';
import { repairedFault, repairOf } from './doing';
import type { CompiledFinding, CompiledKind } from './compileKind';
import type { Diagnosis } from './diagnose';
import { isTurnedFree } from './rules';
import { exactCourse, type ExactInput } from './exactCourse';
import type { Prover, WeightedSet } from './finishingCourse';
import type { Check } from './knowledge';
import { aspectOf, checkById, setBy } from './observe';
import { rankActions, type Action, type RankedAction } from './rankActions';

/** Below this a repair on suspicion is not put forward. Common practice, no source. */
const WORTH_REPAIRING = 0.25;
/** Below this a fault does not take part in the course. */
const WORTH_PROVING = 5e-4;
/** A look counts as a way to prove a fault when the fault shows there at least so surely. */
const SHOWS_SURELY = 0.5;
/** Two actions are worth the same when their totals differ by less than so many minutes, or this part of the total. */
const SAME_MINUTES = 1;
const SAME_PART = 0.07;
/** A look is as good only if its answer alone saves at least this part of its minutes. */
const SPEAKS = 0.5;
const MUCH_QUICKER = 0.5;
/** A quicker look that goes before the best may cost no more than this on the way, in minutes. */
const NEAR_MINUTES = 0.4;
/** Sets of faults over which every course is tried: all of those of a few suspects. */
const MOST_TRIED_SETS = 64;
/** Minutes that hardly count. */
const QUICK = 1.5;

interface Candidate {
  id: string;
  action: Action;
  own: number;
  opening: number;
  held: string[];
  /** What it costs from any state of open parts. */
  anywhere: Pick<Prover, 'minutes' | 'opens'>;
}

/** What can be done next, best first; what is held back by a caution comes last. */
export function nextActions(
  compiled: CompiledKind,
  input: AssessInput,
  { sets, result, pins, proved, secondLooks }: Diagnosis,
  open: ReadonlySet<string>,
  cautions: string[],
  ahead = true,
): { next: NextAction[]; minutesToGo: number } {
  const { kind } = compiled;
  const costs = courseCosts(kind, compiled.faults, open);
  const answered = new Set([
    ...setBy(compiled, input.answers).map(({ check, aspect }) => `${check.id}/${aspect.id}`),
    ...input.answers.map((a) => {
      if (repairedFault(a.check) !== null) return a.check;
      const check = checkById(compiled, a.check);
      return `${check.id}/${aspectOf(check, a)!.id}`;
    }),
  ]);
  const heldBack = holdsBack(compiled, input.answers, cautions);
  const found: Candidate[] = [];
  const provers: Prover[] = [];
  for (const check of compiled.checks) {
    const findings = check.aspects
      .filter((a) => !a.neutral && !answered.has(`${check.id}/${a.id}`))
      .map((a) => compiled.findingIndex.get(`${check.id}/${a.id}`)!);
    // A check that can move nothing in this model (its station is not there) is not put forward.
    if (findings.every((f) => compiled.network.findings[f]!.effects.length === 0)) continue;
    const reached = reach(kind, open, check);
    const held = heldBack(check);
    found.push({
      id: check.id,
      action: {
        findings,
        minutes: check.minutes + reached.minutes,
        openAfter: costs.maskOf(reached.open),
        proves: (finding, level) => provesAt(compiled, finding, level),
      },
      own: check.minutes,
      opening: reached.minutes,
      held,
      anywhere: costs.check(check),
    });
    // The course counts on what can be done in the end; only what is forbidden outright is left out of it.
    const faults = held.some((h) => compiled.rules.holdsPower.has(h))
      ? []
      : findings.flatMap((f) => provenBy(compiled, f));
    if (faults.length > 0) provers.push({ faults: [...new Set(faults)], ...costs.check(check) });
  }
  compiled.faults.forEach((fault, i) => {
    const id = repairOf(fault.id);
    if (answered.has(id) || pins.has(i) || !sets.candidates.includes(i)) return;
    const held = fault.repair.power ? heldBack({ power: 'yes' }) : [];
    if (result.marginals[i]! >= WORTH_PROVING && held.length === 0)
      provers.push({
        faults: [i],
        repairs: true,
        minutes: (now) => costs.repair.minutes(i, now),
        opens: (now) => costs.repair.opens(i, now),
      });
    if (result.marginals[i]! < WORTH_PROVING) return;
    const reached = reach(kind, open, { access: fault.repair.access, power: 'no' });
    const closing = fault.repair.power ? closingMinutes(kind, open) : 0;
    found.push({
      id,
      action: {
        findings: [compiled.findingIndex.get(id)!],
        minutes: fault.repair.minutes + reached.minutes + closing,
        repairs: i,
        openAfter: costs.maskOf(reached.open),
      },
      own: fault.repair.minutes,
      opening: reached.minutes + closing,
      held,
      anywhere: {
        minutes: (now) => costs.repair.minutes(i, now),
        opens: (now) => costs.repair.opens(i, now),
      },
    });
  });
  const shared = {
    network: compiled.network,
    marginals: result.marginals,
    repair: costs.repair,
    proved: new Set(pins.keys()),
    openNow: costs.openNow,
    groupsOf: groupsFor(compiled, input.complaints, proved),
  };
  const tried = tryThrough(
    compiled,
    shared,
    sets.list.slice(0, MOST_TRIED_SETS),
    found.filter(({ id }) => !input.answers.some((a) => a.check === id)),
  );
  // On suspicion a repair is put forward only when it is likely, or when trying every course shows what it is worth.
  const candidates = found.filter(
    ({ id, action }) =>
      tried?.has(id) || (action.repairs ?? -1) < 0 || result.marginals[action.repairs!]! >= WORTH_REPAIRING,
  );
  const { now, ranked } = rankActions({
    ...shared,
    sets: sets.list,
    candidates: sets.candidates,
    actions: candidates.map((c) => c.action),
    provers,
    ahead,
  });
  const weighed = tried ? byTrial(ranked, candidates, tried) : ranked;
  const rows = weighed.map((r): NextAction => {
    const c = candidates[r.action]!;
    return {
      check: c.id,
      minutes: c.own,
      openingMinutes: c.opening,
      saving: r.saving,
      total: r.total,
      informs: r.informs,
      asGood: false,
      why: r.leads.slice(0, 4).map((lead) => ({
        outcomes: lead.levels.map((l) => outcomeId(compiled.findings[l.finding]!, l.level)),
        probability: lead.probability,
        topFault: lead.topFault < 0 ? null : compiled.faults[lead.topFault]!.id,
        topProbability: lead.topProbability,
        minutesToGo: lead.minutesToGo,
        ...(lead.then === undefined || lead.then < 0 ? {} : { then: candidates[lead.then]!.id }),
      })),
      heldBackBy: c.held,
    };
  });
  const ordered = secondLooks.length > 0 ? secondFirst(secondLooks, rows) : turnFirst(compiled, input, rows);
  const safe = safetyFirst(compiled, cautions, answered, ordered);
  const { rows: sorted, behind } = enablersFirst(compiled, safe?.rows ?? ordered);
  const free = sorted.filter((r) => r.heldBackBy.length === 0);
  const first = free[0];
  const same = first ? Math.max(SAME_MINUTES, SAME_PART * first.total) : 0;
  const effort = (row: NextAction) =>
    row.minutes + row.openingMinutes + (row.check === compiled.rules.turn?.check.id ? behind : 0);
  for (const row of free)
    row.asGood = row === first || (row.informs > SPEAKS * row.minutes && row.total - first!.total <= same);
  // Of those worth the same one that is much quicker goes first: it is done before the others are begun.
  const [level, rest] = [free.filter((r) => r.asGood), free.filter((r) => !r.asGood)];
  const quick = level
    .filter(
      (r) => effort(r) <= Math.min(QUICK, MUCH_QUICKER * effort(first!)) && r.total - first!.total <= NEAR_MINUTES,
    )
    .sort((a, b) => a.total - b.total)[0];
  if (quick && !safe) level.unshift(...level.splice(level.indexOf(quick), 1));
  return {
    next: [...level, ...rest, ...rows.filter((r) => r.heldBackBy.length > 0)],
    minutesToGo: Math.min(now, first?.total ?? now),
  };
}

/** When few suspects are left, every order of what can tell of them is tried: minutes to the end by action, or null. */
function tryThrough(
  compiled: CompiledKind,
  shared: Omit<ExactInput, 'sets' | 'actions'>,
  sets: WeightedSet[],
  candidates: Candidate[],
): Map<string, number> | null {
  const suspects = new Set(sets.flatMap((s) => s.faults));
  const telling = candidates.filter(({ action }) =>
    action.findings.some((f) => compiled.network.findings[f]!.effects.some((e) => suspects.has(e.fault))),
  );
  // What waits only for the roll to be turned belongs to the course, but not to what can be tried now.
  if (telling.some((c) => c.held.length > 0 && c.held.every((h) => h === compiled.rules.turn?.caution))) return null;
  const free = telling.filter((c) => c.held.length === 0);
  const totals = exactCourse({
    ...shared,
    sets,
    actions: free.map(({ action, anywhere }) => ({
      findings: action.findings,
      ...anywhere,
      ...(action.repairs === undefined ? {} : { repairs: action.repairs }),
      proves: (finding, level) => provesAt(compiled, finding, level),
    })),
  });
  return totals && new Map(totals.map((total, i) => [free[i]!.id, total]));
}

/** What was tried through comes first, by its exact minutes; the rest tells nothing of the suspects and only takes time. */
function byTrial(ranked: RankedAction[], candidates: Candidate[], tried: Map<string, number>): RankedAction[] {
  const best = Math.min(...tried.values());
  return ranked
    .map((row) => {
      const { id, action } = candidates[row.action]!;
      const total = tried.get(id) ?? best + action.minutes;
      return { ...row, total, saving: row.saving + row.total - total, isTried: tried.has(id) };
    })
    .sort((a, b) => Number(b.isTried) - Number(a.isTried) || a.total - b.total);
}

/**
 * A roll that is complained of is turned by hand before anything is opened or run: it takes seconds, and nothing may be
 * powered before it. Common practice, no source (the sums alone would now and then go straight to the plate).
 */
function turnFirst(compiled: CompiledKind, { complaints }: AssessInput, rows: NextAction[]): NextAction[] {
  const turn = rows.find((r) => r.check === compiled.rules.turn?.check.id);
  const best = rows[0];
  if (!turn || !best || best.minutes + best.openingMinutes <= QUICK) return rows;
  const isTurned = complaints.some((c) => compiled.complaints.find((x) => x.id === c)?.turnedByHand);
  if (!isTurned) return rows;
  const total = Math.min(turn.total, best.total + turn.minutes);
  return [{ ...turn, total, saving: turn.saving + turn.total - total }, ...rows.filter((r) => r !== turn)];
}

/**
 * While a caution holds power back, what tells whether the machine is safe goes before what tells of its complaint: the
 * quickest look without power that is not made yet and can itself raise that caution.
 */
function safetyFirst(
  compiled: CompiledKind,
  cautions: readonly string[],
  answered: ReadonlySet<string>,
  rows: NextAction[],
): { rows: NextAction[] } | null {
  const holds = cautions.filter((c) => compiled.rules.holdsPower.has(c));
  const tells = (row: NextAction) =>
    compiled.checks
      .find((c) => c.id === row.check)
      ?.aspects.some(
        (a) =>
          !answered.has(`${row.check}/${a.id}`) && a.outcomes.some((o) => o.raises?.some((r) => holds.includes(r))),
      );
  const looks = rows
    .filter((r) => r.heldBackBy.length === 0 && tells(r))
    .sort((a, b) => a.minutes + a.openingMinutes - b.minutes - b.openingMinutes);
  if (holds.length === 0 || !looks[0]) return null;
  const total = Math.min(...rows.map((r) => r.total));
  const first = { ...looks[0], total: Math.min(looks[0].total, total) };
  return { rows: [first, ...rows.filter((r) => r.check !== first.check)] };
}

/** A cause is proved: what is looked at next is what a second one would show at, by what it spares of a comeback. */
function secondFirst(looks: Diagnosis['secondLooks'], rows: NextAction[]): NextAction[] {
  const best = Math.min(...rows.map((r) => r.total));
  const first = looks.flatMap((look, i) => {
    const row = rows.find((r) => r.check === look.check);
    return row ? [{ ...row, saving: look.gain, informs: look.gain, total: best + i / 1000 }] : [];
  });
  return [...first, ...rows.filter((r) => !first.some((f) => f.check === r.check))];
}

/** When the best of all waits only for the roll to be turned by hand, turning it is the next step, with that behind it. */
function enablersFirst({ rules }: CompiledKind, rows: NextAction[]): { rows: NextAction[]; behind: number } {
  const best = rows.find((r) => r.heldBackBy.every((h) => h === rules.turn?.caution));
  const turn = rows.find((r) => r.check === rules.turn?.check.id);
  if (!best || best.heldBackBy.length === 0 || !turn) return { rows, behind: 0 };
  const total = Math.min(turn.total, best.total + turn.minutes + turn.openingMinutes);
  const raised = { ...turn, total, saving: turn.saving + turn.total - total };
  return {
    rows: [raised, ...rows.filter((r) => r !== turn)],
    behind: total < turn.total ? best.minutes + best.openingMinutes : 0,
  };
}

/** Which cautions forbid something now. */
function holdsBack(compiled: CompiledKind, answers: Answer[], cautions: string[]) {
  const { turn, holdsPower } = compiled.rules;
  const held = cautions.filter((c) => holdsPower.has(c));
  const mayRun = !turn || isTurnedFree(turn, answers);
  return (check: { power: Check['power']; spinsRoll?: true | undefined }): string[] => {
    if (check.power === 'no') return [];
    return check.spinsRoll && !mayRun ? [...held, turn.caution] : held;
  };
}

/** Faults that a level of a finding shows directly. */
function provesAt(compiled: CompiledKind, finding: number, level: number): number[] {
  const { aspect } = compiled.findings[finding]!;
  return (aspect?.outcomes[level]?.proves ?? []).flatMap((id) => compiled.faultIndex.get(id) ?? []);
}

/** Faults that a finding will most likely prove if they are there. */
function provenBy(compiled: CompiledKind, finding: number): number[] {
  const node = compiled.network.findings[finding]!;
  return node.effects
    .filter(
      (e) =>
        e.levels.reduce((sum, p, level) => sum + (provesAt(compiled, finding, level).includes(e.fault) ? p : 0), 0) >=
        SHOWS_SURELY,
    )
    .map((e) => e.fault);
}

/**
 * Who must be proved of a set of faults: for each complaint that has no proved cause yet, one of those that explain it;
 * for one that is only a symptom, what brought it on.
 */
function groupsFor(compiled: CompiledKind, complaints: string[], proved: ReadonlySet<string>) {
  const explains = complaints.map((complaint) => {
    const linked = (rarely: boolean) =>
      new Set(
        compiled.faults.flatMap((f, i) => {
          const link = f.complaints.find((c) => c.complaint === complaint);
          return link && link.strength !== 'never' && (link.strength === 'rarely') === rarely ? [i] : [];
        }),
      );
    return { well: linked(false), rarely: linked(true) };
  });
  const roots = (i: number, set: number[]): number[] => {
    const fault = compiled.faults[i]!;
    if (!fault.symptom) return [i];
    return (fault.broughtOnBy ?? []).flatMap((c) => {
      const cause = compiled.faultIndex.get(c.fault);
      return cause !== undefined && set.includes(cause) ? [cause] : [];
    });
  };
  const isProved = (i: number) => proved.has(compiled.faults[i]!.id) && !compiled.faults[i]!.symptom;
  const seen = compiled.faults.flatMap((f, i) => (f.symptom && proved.has(f.id) ? [i] : []));
  return (set: number[]) =>
    [
      ...explains.map(({ well, rarely }) => {
        // What shows as the complaint only rarely explains it when nothing better does.
        const better = set.filter((i) => well.has(i));
        const who = better.length > 0 ? better : set.filter((i) => rarely.has(i));
        return [...new Set(who.flatMap((i) => roots(i, set)))];
      }),
      // What tripped did so for a reason, whatever else explains the complaint.
      ...seen.map((i) => roots(i, set)).filter((group) => group.length > 0),
    ].filter((group) => !group.some(isProved));
}

function outcomeId(finding: CompiledFinding, level: number): string {
  if (finding.aspect) return finding.aspect.outcomes[level]!.id;
  return level === 0 ? 'gone' : 'remains';
}
