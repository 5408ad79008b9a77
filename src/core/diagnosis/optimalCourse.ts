import { reach } from './accessCosts';
import type { Answer, AssessInput } from './assessment';
import { actionOf, cautionsInForce, replay } from './benchState';
import { referencesOf } from './classifyReading';
import { compileKind, type CompiledKind } from './compileKind';
import { diagnose, type Diagnosis } from './diagnose';
import type { Kind, Knowledge } from './knowledge';
import { nextActions } from './nextActions';
import { repairedFault, repairOf } from './doing';
import { ImpossibleEvidenceError } from './network';
import { posterior } from './posterior';

const MOST_FAULTS = 4;
const MOST_CHECKS = 3;
/** Minutes for what nothing in the small network proves. */
const UNPROVED = 60;

/**
 * The part of a kind around one complaint that is small enough for every course to be tried: its commonest causes and
 * the checks that tell most about them, each with the one aspect that does.
 */
export function smallKind(knowledge: Knowledge, kind: Kind, complaint: string): Knowledge | null {
  const compiled = compileKind(knowledge, kind);
  const causes = compiled.faults
    .map((f, i) => ({ f, prior: compiled.network.faults[i]!.prior }))
    .filter(({ f }) => !f.symptom && f.complaints.some((c) => c.complaint === complaint && c.strength !== 'rarely'))
    .sort((a, b) => b.prior - a.prior)
    .slice(0, MOST_FAULTS)
    .map(({ f }) => ({ ...f, broughtOnBy: [] }));
  if (causes.length < 2) return null;
  const told = compiled.checks.flatMap((check) => {
    const aspects = check.aspects
      .filter((a) => !a.neutral && !a.reading)
      .map((aspect) => {
        const shown = causes.filter((f) =>
          f.shows.some((s) => s.check === check.id && aspect.outcomes.some((o) => o.id === s.outcome)),
        );
        return { aspect, shown: shown.length };
      })
      .sort((a, b) => b.shown - a.shown);
    const best = aspects[0];
    return best && best.shown > 0 && !check.spinsRoll ? [{ check, ...best }] : [];
  });
  const checks = told
    .sort((a, b) => b.shown - a.shown || a.check.minutes - b.check.minutes)
    .slice(0, MOST_CHECKS)
    .map(({ check, aspect }) => ({ ...check, aspects: [aspect] }));
  if (checks.length < 2) return null;
  return {
    kinds: [kind],
    cautions: knowledge.cautions,
    oneState: knowledge.oneState,
    complaints: knowledge.complaints.filter((c) => c.id === complaint),
    checks,
    faults: causes,
  };
}

/** A course on a small network: which action after these answers. */
type Choose = (compiled: CompiledKind, input: AssessInput, diagnosis: Diagnosis) => string | null;

const proposed: Choose = (compiled, input, diagnosis) => {
  const { open } = replay(compiled, input);
  const { next } = nextActions(compiled, input, diagnosis, open, cautionsInForce(compiled, input), false);
  return next.find((n) => n.heldBackBy.length === 0)?.check ?? null;
};

/**
 * Expected minutes to the machine repaired, exactly: by a given course, or (without one) by the best of all courses,
 * found by trying every action after every sequence of answers.
 */
function expectedMinutes(compiled: CompiledKind, complaint: string, choose?: Choose): number {
  const references = referencesOf(compiled.kind, 120);
  const memory = new Map<string, number>();
  // The best of all courses counts minutes alone: so does the one that is held against it.
  const partMinutes = Object.fromEntries(Object.keys(compiled.partMinutes).map((group) => [group, 0]));
  const inputOf = (answers: Answer[]): AssessInput => ({
    kind: compiled.kind,
    mainsV: 120,
    complaints: [complaint],
    answers,
    cleared: [...compiled.rules.holdsPower],
    partMinutes,
  });
  const look = (answers: Answer[]) => {
    try {
      return diagnose(compiled, inputOf(answers), references);
    } catch (error) {
      if (!(error instanceof ImpossibleEvidenceError)) throw error;
      return null;
    }
  };
  const actionsAfter = (answers: Answer[]): string[] => {
    const made = new Set(answers.map((a) => a.check));
    return [...compiled.checks.map((c) => c.id), ...compiled.faults.map((f) => repairOf(f.id))].filter(
      (id) => !made.has(id),
    );
  };
  const outcomesOf = (check: string): Answer[] =>
    repairedFault(check) !== null
      ? ['gone', 'remains'].map((outcome) => ({ check, outcome }))
      : compiled.checks.find((c) => c.id === check)!.aspects[0]!.outcomes.map((o) => ({ check, outcome: o.id }));

  const after = (answers: Answer[]): number => {
    const opened = [...replay(compiled, { answers }).open].sort();
    const key = JSON.stringify([answers.map((a) => JSON.stringify(a)).sort(), opened]);
    const known = memory.get(key);
    if (known !== undefined) return known;
    const diagnosis = look(answers);
    let value: number;
    if (diagnosis === null) value = 0;
    else if (diagnosis.causes.length > 0) value = owed(answers, diagnosis);
    else {
      const givesUp = () => proposed(compiled, inputOf(answers), diagnosis) === null;
      const actions = choose ? [choose(compiled, inputOf(answers), diagnosis)] : actionsAfter(answers);
      const costs = actions.filter((id) => id !== null).map((id) => minutesOf(answers, id, diagnosis));
      value = Math.min(...costs);
      // Both courses may give up at the same places only: else the best would be not to begin on a long repair.
      if (value > UNPROVED && (costs.length === 0 || (!choose && givesUp()))) value = UNPROVED;
    }
    memory.set(key, value);
    return value;
  };
  const minutesOf = (answers: Answer[], id: string, now: Diagnosis): number => {
    const step = actionOf(compiled, id);
    const reached = reach(compiled.kind, replay(compiled, { answers }).open, step);
    let expected = reached.minutes + step.minutes;
    const evidence = now.result.logEvidence;
    for (const answer of outcomesOf(id)) {
      const next = look([...answers, answer]);
      if (!next) continue;
      const unpinned = posterior(compiled.network, next.observations, now.pins).logEvidence;
      const probability = Math.exp(unpinned - evidence);
      if (probability > 1e-6) expected += probability * after([...answers, answer]);
    }
    return expected;
  };
  const owed = (answers: Answer[], diagnosis: Diagnosis): number => {
    let { open } = replay(compiled, { answers });
    let minutes = 0;
    for (const id of diagnosis.proved) {
      if (answers.some((a) => a.check === repairOf(id))) continue;
      const step = actionOf(compiled, repairOf(id));
      const reached = reach(compiled.kind, open, step);
      open = reached.open;
      minutes += reached.minutes + step.minutes;
    }
    return minutes;
  };
  return after([]);
}

/** Mean minutes over the small networks of a kind, one per complaint: by the proposed course, and by the best of all. */
export function smallNetworks(knowledge: Knowledge, kind: Kind) {
  const rows = knowledge.complaints
    .filter((c) => c.kinds.includes(kind.id))
    .flatMap((c) => {
      const small = smallKind(knowledge, kind, c.id);
      if (!small) return [];
      const compiled = compileKind(small, kind);
      return [{ proposed: expectedMinutes(compiled, c.id, proposed), best: expectedMinutes(compiled, c.id) }];
    });
  const mean = (pick: (r: (typeof rows)[number]) => number) =>
    rows.length === 0 ? 0 : rows.reduce((sum, r) => sum + pick(r), 0) / rows.length;
  return { cases: rows.length, proposed: mean((r) => r.proposed), best: mean((r) => r.best) };
}
