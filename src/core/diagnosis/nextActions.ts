import { closingMinutes, courseCosts, reach } from './accessCosts';
import type { Answer, AssessInput, NextAction } from './assessment';
import { repairedFault, repairOf } from './doing';
import type { CompiledFinding, CompiledKind } from './compileKind';
import type { Diagnosis } from './diagnose';
import { isTurnedFree } from './rules';
import { exactCourse, type ExactInput } from './exactCourse';
import type { Prover, WeightedSet } from './finishingCourse';
import { STRENGTHS, type Check } from './knowledge';
import { aspectOf, checkById, setBy } from './observe';
import { rankActions, type Action, type RankedAction } from './rankActions';

/** Below this a repair on suspicion is not put forward. Common practice, no source. */
const WORTH_REPAIRING = 0.25;
/** From this on nobody looks first: as good as seen. Common practice, no source. */
const AS_GOOD_AS_SEEN = 0.99;
/** From this on a repair is done before its run may show that it was right. Common practice, no source. */
const SURE_WITHOUT_POWER = 0.95;
/** The same where nothing is left to look at. */
const LIKELIEST_WITHOUT_POWER = 0.8;
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
/** Less than this is no quicker, in minutes. */
const LEAST_EFFORT = 0.2;
/** What a complaint asks for first may cost so much more on the way, in minutes. */
const ASKED_MINUTES = 2;
/** From so many minutes on it is no quick look. */
const MUCH_EFFORT = 6;
/** Minutes that hardly count. */
const QUICK = 1.5;
/** So likely a quick look must be to show the cause, or a quick repair to mend it, to go before a measurement at live parts. */
const LIKELY_ENOUGH = 0.15;

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
  whole: CompiledKind,
  input: AssessInput,
  { sets, result, pins, proved, notIt, mended, causes, secondLooks }: Diagnosis,
  open: ReadonlySet<string>,
  cautions: string[],
  ahead = true,
): { next: NextAction[]; minutesToGo: number } {
  const compiled = asMended(whole, mended);
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
    // If it is not this, its parts are spent for nothing, and it is closed for the run and opened again.
    const unlikely = 1 - result.marginals[i]!;
    const wasted = unlikely * partMinutesOf(compiled, input, i);
    if (result.marginals[i]! >= WORTH_PROVING && held.length === 0)
      provers.push({
        faults: [i],
        repairs: true,
        minutes: (now) => costs.repair.minutes(i, now) + wasted,
        opens: (now) => costs.repair.opens(i, now),
      });
    if (result.marginals[i]! < WORTH_PROVING) return;
    const reached = reach(kind, open, { access: fault.repair.access, power: 'no' });
    const closing = fault.repair.power ? closingMinutes(kind, new Set(reached.open)) : 0;
    found.push({
      id,
      action: {
        findings: [compiled.findingIndex.get(id)!],
        minutes: fault.repair.minutes + reached.minutes + unlikely * closing + wasted,
        repairs: i,
        openAfter: costs.maskOf(reached.open),
      },
      own: fault.repair.minutes,
      opening: reached.minutes + closing,
      held,
      anywhere: {
        minutes: (now) => costs.repair.minutes(i, now) + wasted,
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
    groupsOf: groupsFor(compiled, input.complaints, proved, notIt),
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
        ...(lead.topFault >= 0 && lead.topProbability < result.marginals[lead.topFault]!
          ? { falls: true as const }
          : {}),
        minutesToGo: lead.minutesToGo,
        ...(lead.then === undefined || lead.then < 0 ? {} : { then: candidates[lead.then]!.id }),
      })),
      heldBackBy: c.held,
    };
  });
  const ordered = secondLooks.length > 0 ? secondFirst(secondLooks, rows) : turnFirst(compiled, input, rows);
  const safe = safetyFirst(compiled, cautions, answered, ordered);
  const { rows: sorted, behind, waiting } = enablersFirst(compiled, safe?.rows ?? ordered);
  const free = sorted.filter((r) => r.heldBackBy.length === 0);
  const first = free[0];
  const same = first ? Math.max(SAME_MINUTES, SAME_PART * first.total) : 0;
  const effort = (row: NextAction) =>
    row.minutes + row.openingMinutes + (row.check === compiled.rules.turn?.check.id ? behind : 0);
  /**
   * Of those worth the same the one goes first that is likeliest to show the cause for its minutes, the order in which
   * troubleshooting by single looks is quickest (Heckerman, Breese, Rommelse 1995); before turning by hand only what is much
   * quicker.
   */
  const likeliestPerMinute = (rows: NextAction[]): NextAction | undefined => {
    const shows = showsCause(compiled, input.complaints, result.marginals, answered);
    const index = (row: NextAction) => shows(row.check) / Math.max(effort(row), LEAST_EFFORT);
    const turning = first?.check === compiled.rules.turn?.check.id;
    return rows
      .filter((r) => r.total - first!.total <= NEAR_MINUTES)
      .filter(
        (r) =>
          !turning ||
          r === first ||
          (effort(r) <= Math.min(QUICK, MUCH_QUICKER * effort(first!)) && shows(r.check) > 0),
      )
      .sort((a, b) => (turning ? a.total - b.total : index(b) - index(a)))
      .find((r) => !turning || r !== first);
  };
  for (const row of free)
    row.asGood = row === first || (row.informs > SPEAKS * row.minutes && row.total - first!.total <= same);
  const [level, rest] = [free.filter((r) => r.asGood), free.filter((r) => !r.asGood)];
  /** What must have been looked at before what stands first, or before what the roll is turned for. */
  const made = ([first, ...others]: NextAction[]) => {
    const wanted = first?.check === compiled.rules.turn?.check.id ? (waiting ?? first?.check) : first?.check;
    const after = compiled.checks.find((c) => c.id === wanted)?.madeAfter;
    return after === undefined ? undefined : others.find((r) => r.check === after);
  };
  /** Turning by hand, before anything else is opened or run because of a roll. */
  const turned = ([first, ...others]: NextAction[]) =>
    first && secondLooks.length === 0 && effort(first) > QUICK && isTurnedFirst(compiled, input)
      ? others.find((r) => r.check === compiled.rules.turn?.check.id)
      : undefined;
  const toFront = (row: NextAction | undefined) => {
    if (!row) return;
    row.asGood = true;
    const from = level.includes(row) ? level : rest;
    level.unshift(...from.splice(from.indexOf(row), 1));
  };
  // Each rule sees what the one before it has put first; what makes the machine safe goes before all of them.
  if (!safe) {
    toFront(likeliestPerMinute(level));
    if (causes.length === 0) toFront(askedFirst(compiled, input.complaints, [...level, ...rest]));
    toFront(lookBeforePurchase(compiled, input, result.marginals, level[0], free));
    toFront(
      quickBeforeLive(
        compiled,
        [...level, ...rest],
        showsCause(compiled, input.complaints, result.marginals, answered),
      ),
    );
    toFront(made([...level, ...rest]));
    toFront(turned([...level, ...rest]));
  }
  const held = rows.filter((r) => r.heldBackBy.length > 0);
  const known = safe ? undefined : held.find((r) => isSureWithoutPower(compiled, r, result.marginals, first));
  // Here too what surely shows whether its parts are needed goes before they are bought, however sure it is: what is shown can be
  // put to the owner at once, what is only sure has no run to show it.
  const look = lookBeforePurchase(compiled, input, result.marginals, known, free, Infinity);
  toFront(look);
  const sure = look ? undefined : known;
  if (sure) sure.asGood = true;
  return {
    next: [...(sure ? [sure] : []), ...level, ...rest, ...held.filter((r) => r !== sure)],
    minutesToGo: Math.min(now, first?.total ?? now, sure?.total ?? now),
  };
}

/**
 * Whether a repair is what comes next although its run is held back: what is wrong is as good as known, and whatever can still be
 * looked at without power would cost more than it saves. It is fitted, made safe, then run. Common practice, no source.
 */
function isSureWithoutPower(
  compiled: CompiledKind,
  row: NextAction,
  marginals: Float64Array,
  free: NextAction | undefined,
): boolean {
  const repaired = repairedFault(row.check);
  if (repaired === null || row.heldBackBy.some((c) => !compiled.rules.holdsPower.has(c))) return false;
  const odds = marginals[compiled.faultIndex.get(repaired)!]!;
  return free ? odds >= SURE_WITHOUT_POWER && row.total <= free.total : odds >= LIKELIEST_WITHOUT_POWER;
}

/** What is repaired or reset shows in nothing that is looked at from now on. */
function asMended(compiled: CompiledKind, mended: ReadonlySet<number>): CompiledKind {
  if (mended.size === 0) return compiled;
  const findings = compiled.network.findings.map((node) =>
    node.effects.some((e) => mended.has(e.fault))
      ? { ...node, effects: node.effects.filter((e) => !mended.has(e.fault)) }
      : node,
  );
  return { ...compiled, network: { ...compiled.network, findings } };
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
function turnFirst(compiled: CompiledKind, input: AssessInput, rows: NextAction[]): NextAction[] {
  const turn = rows.find((r) => r.check === compiled.rules.turn?.check.id);
  const best = rows[0];
  if (!turn || !best || best.minutes + best.openingMinutes <= QUICK) return rows;
  if (!isTurnedFirst(compiled, input)) return rows;
  const total = Math.min(turn.total, best.total + turn.minutes);
  return [{ ...turn, total, saving: turn.saving + turn.total - total }, ...rows.filter((r) => r !== turn)];
}

const isTurnedFirst = ({ complaints }: CompiledKind, said: AssessInput): boolean =>
  said.complaints.some((c) => complaints.find((x) => x.id === c)?.turnedByHand);

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
function enablersFirst(
  { rules }: CompiledKind,
  rows: NextAction[],
): { rows: NextAction[]; behind: number; waiting: string | null } {
  const best = rows.find((r) => r.heldBackBy.every((h) => h === rules.turn?.caution));
  const turn = rows.find((r) => r.check === rules.turn?.check.id);
  if (!best || best.heldBackBy.length === 0 || !turn) return { rows, behind: 0, waiting: null };
  const total = Math.min(turn.total, best.total + turn.minutes + turn.openingMinutes);
  const raised = { ...turn, total, saving: turn.saving + turn.total - total };
  return {
    rows: [raised, ...rows.filter((r) => r !== turn)],
    behind: total < turn.total ? best.minutes + best.openingMinutes : 0,
    waiting: best.check,
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

/** What a complaint asks for first, when it tells something and costs hardly more on the way than the best. */
function askedFirst({ complaints }: CompiledKind, said: readonly string[], rows: NextAction[]): NextAction | undefined {
  const asks = new Set(complaints.filter((c) => said.includes(c.id)).flatMap((c) => c.asksFirst ?? []));
  const first = rows[0];
  if (!first || asks.has(first.check)) return undefined;
  // Before something is opened or bought whatever costs a minute and tells of it is asked.
  const opens = first.minutes + first.openingMinutes > MUCH_EFFORT;
  return rows
    .filter(
      (r) => asks.has(r.check) && (opens || r.informs > SPEAKS * r.minutes) && r.total - first.total <= ASKED_MINUTES,
    )
    .sort((a, b) => a.total - b.total)[0];
}

/**
 * Before anything is measured at live parts, what takes a minute without that and may well be the end of it: a setting, a lever,
 * a plug. Common practice, no source; that dead work goes before live work is the rule of EN 50110-1 too, from memory.
 */
function quickBeforeLive(
  { checks, faults, rules }: CompiledKind,
  [first, ...others]: NextAction[],
  shows: (check: string) => number,
): NextAction | undefined {
  const takesParts = ({ check }: NextAction) =>
    (faults.find((f) => f.id === repairedFault(check))?.repair.parts ?? []).length > 0;
  const isLive = ({ check }: NextAction) =>
    checks.find((c) => c.id === check)?.cautions?.some((c) => rules.live.has(c)) ?? false;
  if (!first || !isLive(first)) return undefined;
  const effort = (r: NextAction) => r.minutes + r.openingMinutes;
  return others
    .filter((r) => effort(r) <= QUICK && !isLive(r) && r.heldBackBy.length === 0)
    .filter((r) => shows(r.check) >= LIKELY_ENOUGH && r.total - first.total <= ASKED_MINUTES && !takesParts(r))
    .sort((a, b) => shows(b.check) / effort(b) - shows(a.check) / effort(a))[0];
}

/**
 * Before parts are bought on suspicion, the look that shows whether they are needed: the cheapest that surely shows it and takes
 * no longer than fitting them. Common practice, no source.
 * @param enough odds from which on nobody looks first
 */
function lookBeforePurchase(
  compiled: CompiledKind,
  input: AssessInput,
  marginals: Float64Array,
  first: NextAction | undefined,
  free: NextAction[],
  enough = AS_GOOD_AS_SEEN,
): NextAction | undefined {
  const mended = first ? repairedFault(first.check) : null;
  if (!first || mended === null) return undefined;
  const fault = compiled.faultIndex.get(mended)!;
  if (partMinutesOf(compiled, input, fault) === 0 || marginals[fault]! >= enough) return undefined;
  const effort = (r: NextAction) => r.minutes + r.openingMinutes;
  return free
    .filter((r) => repairedFault(r.check) === null && effort(r) <= effort(first))
    .filter((r) =>
      checkById(compiled, r.check).aspects.some((a) =>
        provenBy(compiled, compiled.findingIndex.get(`${r.check}/${a.id}`)!).includes(fault),
      ),
    )
    .sort((a, b) => effort(a) - effort(b))[0];
}

/** What the parts of a repair cost, in minutes of the bench: by the shop's prices, else as they usually do. */
function partMinutesOf(compiled: CompiledKind, { partMinutes }: AssessInput, fault: number): number {
  const groups = compiled.faults[fault]!.repair.parts ?? [];
  return groups.reduce((sum, g) => sum + (partMinutes?.[g] ?? compiled.partMinutes[g] ?? 0), 0);
}

/** For a check or a repair: how likely it is to show, or to mend, what is complained of. */
function showsCause(
  compiled: CompiledKind,
  complaints: readonly string[],
  marginals: Float64Array,
  answered: ReadonlySet<string>,
): (check: string) => number {
  const accounts = compiled.faults.map((fault, i) =>
    fault.symptom
      ? 0
      : marginals[i]! *
        Math.max(
          0,
          ...fault.complaints.filter((c) => complaints.includes(c.complaint)).map((c) => STRENGTHS[c.strength]),
        ),
  );
  return (id) => {
    const mended = repairedFault(id);
    if (mended !== null) return accounts[compiled.faultIndex.get(mended)!]!;
    const shown = new Map<number, number>();
    for (const aspect of checkById(compiled, id).aspects) {
      if (answered.has(`${id}/${aspect.id}`)) continue;
      const finding = compiled.findingIndex.get(`${id}/${aspect.id}`)!;
      for (const { fault, levels } of compiled.network.findings[finding]!.effects) {
        const surely = levels.reduce(
          (sum, p, level) => sum + (provesAt(compiled, finding, level).includes(fault) ? p : 0),
          0,
        );
        shown.set(fault, Math.max(shown.get(fault) ?? 0, surely));
      }
    }
    return 1 - [...shown].reduce((none, [fault, surely]) => none * (1 - accounts[fault]! * surely), 1);
  };
}

const NONE: readonly number[] = [];

/** Faults that a level of a finding shows directly. */
function provesAt(compiled: CompiledKind, finding: number, level: number): readonly number[] {
  return compiled.findings[finding]!.proves[level] ?? NONE;
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
function groupsFor(
  compiled: CompiledKind,
  complaints: string[],
  proved: ReadonlySet<string>,
  notIt: ReadonlySet<string>,
) {
  const explains = complaints.map((complaint) => {
    const linked = (rarely: boolean) =>
      new Set(
        compiled.faults.flatMap((f, i) => {
          const link = f.complaints.find((c) => c.complaint === complaint);
          if (!link || link.strength === 'never' || notIt.has(f.id)) return [];
          return (link.strength === 'rarely') === rarely ? [i] : [];
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
