import { closingMinutes, reach, repairCosts } from './accessCosts';
import { classifyReading, referencesOf, type References } from './classifyReading';
import { compileKind, type CompiledFinding, type CompiledKind, type PriorOptions } from './compileKind';
import { evidenceFor } from './evidenceFor';
import { explanations } from './explanations';
import type { Aspect, Check, Kind, Knowledge } from './knowledge';
import type { Observation } from './network';
import { posterior } from './posterior';
import type { Posterior } from './posteriorResult';
import { rankActions, type Action } from './rankActions';

/** A check's answer: an outcome by id, or a reading in the aspect's own unit. `check` may be `repair:<fault>`. */
export type Answer =
  { check: string; outcome: string } | { check: string; value: number; condition?: string | undefined };

export interface AssessInput extends PriorOptions {
  kind: Kind;
  mainsV: number;
  complaints: string[];
  answers: Answer[];
  /** Cautions in force for other reasons (arrival checks). */
  raised?: string[];
  /** Cautions cleared by somebody's name. */
  cleared?: string[];
}

export interface ReadAs {
  outcome: string;
  probability: number;
}

export interface Assessment {
  faults: {
    id: string;
    probability: number;
    prior: number;
    proved: boolean;
    /** It can explain a complaint, or the findings have made it likelier than it was. */
    suspect: boolean;
    evidence: { finding: string; logOdds: number }[];
  }[];
  explanations: { faults: string[]; probability: number }[];
  next: NextAction[];
  /** Faults shown directly by a finding. */
  proved: string[];
  /** For each reading: which outcomes it may be, with odds in the light of everything else. */
  readings: { check: string; condition?: string | undefined; value: number; readAs: ReadAs[] }[];
  /** Complaint → proved faults that explain it. */
  explained: { complaint: string; by: string[] }[];
  /** True when every complaint has a proved cause that is not itself only a symptom. */
  finished: boolean;
  /** What is open after the answers so far. */
  open: string[];
  minutesSpent: number;
  cautions: string[];
  basis: { method: Posterior['method']; standardError: number; covered: number };
}

export interface NextAction {
  /** Check id, or `repair:<fault>`. */
  check: string;
  minutes: number;
  openingMinutes: number;
  saving: number;
  why: { outcomes: string[]; probability: number; topFault: string | null; topProbability: number }[];
  /** Cautions that forbid it now. */
  heldBackBy: string[];
}

/** Below this a repair on suspicion is not put forward. Common practice, no source. */
const WORTH_REPAIRING = 0.25;

/** Cautions that hold back everything that needs power. */
export const POWER_CAUTIONS: ReadonlySet<string> = new Set([
  'wet-signs',
  'burnt-smell',
  'damaged-cord',
  'lithium-pack',
]);

/** The aspect of a check that an answer belongs to. */
export function aspectOf(check: Check, answer: Answer): Aspect | undefined {
  if ('outcome' in answer) return check.aspects.find((a) => a.outcomes.some((o) => o.id === answer.outcome));
  const withReading = check.aspects.filter((a) => a.reading);
  if (answer.condition !== undefined) return withReading.find((a) => a.condition === answer.condition);
  return withReading[0];
}

/**
 * Everything that Find shows, from what is known of one machine: odds of every fault, the sets of faults that explain
 * the findings, the next actions by their worth, what is proved, what is held back and why.
 *
 * The answers stand in the order in which they were made: the order decides what is open.
 *
 * @throws RangeError for ids that the kind does not have; ImpossibleReadingError; ImpossibleEvidenceError
 */
export function assess(knowledge: Knowledge, input: AssessInput): Assessment {
  const compiled = compileKind(knowledge, input.kind, input);
  const references = referencesOf(input.kind, input.mainsV);
  const { observations, proved, labels } = observe(compiled, input, references);
  const pins = new Map([...proved].map((id) => [compiled.faultIndex.get(id)!, true] as const));
  const result = posterior(compiled.network, observations, pins);
  const sets = explanations(compiled.network, observations, pins, result.logEvidence);
  const untouched = posterior(compiled.network, []).marginals;
  const evidence = evidenceFor(compiled.network, observations, pins, result.marginals);
  // A proved fault is certain whatever one leaves out: why it is, is told without taking it for granted.
  const why =
    pins.size === 0
      ? evidence
      : evidenceFor(compiled.network, observations, new Map(), posterior(compiled.network, observations).marginals);
  const state = replay(compiled, input.answers);
  const cautions = cautionsInForce(compiled, input);
  const explained = input.complaints.map((complaint) => ({
    complaint,
    by: provedFor(compiled, proved, complaint, result.marginals),
  }));
  const rootProved = (id: string) => {
    const fault = compiled.faults[compiled.faultIndex.get(id)!]!;
    return !fault.broughtOnBy || fault.broughtOnBy.some((c) => proved.has(c.fault));
  };
  return {
    faults: compiled.faults
      .map((fault, i) => ({
        id: fault.id,
        probability: result.marginals[i]!,
        prior: compiled.network.faults[i]!.prior,
        proved: proved.has(fault.id),
        suspect:
          proved.has(fault.id) ||
          fault.complaints.some((c) => input.complaints.includes(c.complaint)) ||
          result.marginals[i]! > 1.5 * untouched[i]!,
        evidence: labels
          .map((finding, o) => ({ finding, logOdds: (pins.has(i) ? why : evidence)[o]![i]! }))
          .filter((e) => Math.abs(e.logOdds) > 0.05)
          .sort((a, b) => Math.abs(b.logOdds) - Math.abs(a.logOdds)),
      }))
      .sort(
        (a, b) =>
          Number(b.proved) - Number(a.proved) || Number(b.suspect) - Number(a.suspect) || b.probability - a.probability,
      ),
    explanations: sets.list
      .filter((s) => s.probability > 0.005)
      .slice(0, 12)
      .map((s) => ({ faults: s.faults.map((f) => compiled.faults[f]!.id), probability: s.probability })),
    next: nextActions(compiled, input, sets, result, pins, state.open, cautions),
    proved: [...proved],
    readings: readingOdds(compiled, input, references, pins),
    explained,
    finished: explained.length > 0 && explained.every((e) => e.by.some(rootProved)),
    open: [...state.open],
    minutesSpent: state.minutes,
    cautions,
    basis: { method: result.method, standardError: result.standardError, covered: sets.covered },
  };
}

/** Below this no unproved fault is a serious rival for a complaint. Common practice, no source. */
const NO_RIVAL = 0.1;

/**
 * Proved faults that account for a complaint: those that show as it at least sometimes; one that does so only rarely
 * counts when nothing unproved is a serious rival.
 */
function provedFor(
  compiled: CompiledKind,
  proved: ReadonlySet<string>,
  complaint: string,
  odds: Float64Array,
): string[] {
  const linked = compiled.faults.flatMap((fault, i) => {
    const link = fault.complaints.find((c) => c.complaint === complaint);
    return link && link.strength !== 'never' ? [{ id: fault.id, strength: link.strength, odds: odds[i]! }] : [];
  });
  const rival = linked.some((l) => !proved.has(l.id) && l.odds >= NO_RIVAL);
  return linked.filter((l) => proved.has(l.id) && (l.strength !== 'rarely' || !rival)).map((l) => l.id);
}

function checkById(compiled: CompiledKind, id: string): Check {
  const check = compiled.checks.find((c) => c.id === id);
  if (!check) throw new RangeError(`${compiled.kind.id} has no check ${id}.`);
  return check;
}

function observe(compiled: CompiledKind, input: AssessInput, references: References) {
  const observations: Observation[] = [];
  const labels: string[] = [];
  const proved = new Set<string>();
  const add = (finding: string, label: string, likelihood: number[]) => {
    observations.push({ finding: compiled.findingIndex.get(finding)!, likelihood });
    labels.push(label);
  };
  for (const id of input.complaints) {
    if (!compiled.complaints.some((c) => c.id === id))
      throw new RangeError(`${compiled.kind.id} has no complaint ${id}.`);
    add(`complaint:${id}`, id, [0, 1]);
  }
  for (const answer of input.answers) {
    if (answer.check.startsWith('repair:')) {
      const gone = 'outcome' in answer && answer.outcome === 'gone';
      add(answer.check, answer.check, gone ? [1, 0] : [0, 1]);
      if (gone) proved.add(answer.check.slice('repair:'.length));
      continue;
    }
    const check = checkById(compiled, answer.check);
    const aspect = aspectOf(check, answer);
    if (!aspect) throw new RangeError(`${check.id} has no such outcome or condition.`);
    const likelihood =
      'outcome' in answer
        ? aspect.outcomes.map((o) => (o.id === answer.outcome ? 1 : 0))
        : classifyReading(aspect, answer.value, references);
    add(`${check.id}/${aspect.id}`, labelOf(check, answer), likelihood);
    const sure = aspect.outcomes[likelihood.indexOf(1)];
    const share = 1 / likelihood.reduce((a, b) => a + b, 0);
    if (sure && share > 0.95) for (const id of sure.proves ?? []) if (compiled.faultIndex.has(id)) proved.add(id);
  }
  // Water seen on arrival counts as some sign of water until the check itself is made.
  const water = compiled.findingIndex.get('wet-signs/water');
  const looked = input.answers.some((a) => a.check === 'wet-signs');
  if (water !== undefined && !looked && input.raised?.includes('wet-signs'))
    add(
      'wet-signs/water',
      'arrival:wet-signs',
      compiled.network.findings[water]!.leak.map((_, k) => (k === 0 ? 0 : 1)),
    );
  return { observations, proved, labels };
}

function labelOf(check: Check, answer: Answer): string {
  if ('outcome' in answer) return `${check.id}=${answer.outcome}`;
  return answer.condition ? `${check.id}@${answer.condition}` : check.id;
}

function replay(compiled: CompiledKind, answers: Answer[]) {
  let open: ReadonlySet<string> = new Set<string>();
  let minutes = 0;
  let previous = '';
  for (const answer of answers) {
    const step = actionOf(compiled, answer.check);
    const reached = reach(compiled.kind, open, step);
    open = reached.open;
    // The aspects of one check are answered in one go.
    minutes += reached.minutes + (answer.check === previous ? 0 : step.minutes);
    previous = answer.check;
  }
  return { open, minutes };
}

function actionOf(compiled: CompiledKind, id: string): { access: string; power: Check['power']; minutes: number } {
  if (!id.startsWith('repair:')) return checkById(compiled, id);
  const fault = compiled.faults.find((f) => `repair:${f.id}` === id);
  if (!fault) throw new RangeError(`${compiled.kind.id} has no fault for ${id}.`);
  return { access: fault.repair.access, power: 'no', minutes: fault.repair.minutes };
}

/** Cautions raised by complaints, answers and arrival, less those cleared by name. */
function cautionsInForce(compiled: CompiledKind, input: AssessInput): string[] {
  const raised = new Set(input.raised ?? []);
  for (const id of input.complaints)
    for (const c of compiled.complaints.find((x) => x.id === id)?.raises ?? []) raised.add(c);
  for (const answer of input.answers) {
    if (answer.check.startsWith('repair:') || !('outcome' in answer)) continue;
    const aspect = aspectOf(checkById(compiled, answer.check), answer);
    for (const c of aspect?.outcomes.find((o) => o.id === answer.outcome)?.raises ?? []) raised.add(c);
  }
  for (const c of input.cleared ?? []) raised.delete(c);
  return [...raised];
}

function nextActions(
  compiled: CompiledKind,
  input: AssessInput,
  sets: ReturnType<typeof explanations>,
  result: Posterior,
  pins: ReadonlyMap<number, boolean>,
  open: ReadonlySet<string>,
  cautions: string[],
): NextAction[] {
  const { kind } = compiled;
  const costs = repairCosts(kind, compiled.faults, open);
  const answered = new Set(
    input.answers.map((a) => {
      if (a.check.startsWith('repair:')) return a.check;
      const check = checkById(compiled, a.check);
      return `${check.id}/${aspectOf(check, a)!.id}`;
    }),
  );
  const rolled = lastOutcome(input.answers, 'finger-turn');
  const heldBack = (check: { power: Check['power']; spinsRoll?: true | undefined }): string[] => {
    if (check.power === 'no') return [];
    const held: string[] = cautions.filter((c) => POWER_CAUTIONS.has(c));
    const mustTurn = check.spinsRoll && compiled.checks.some((c) => c.id === 'finger-turn');
    if (mustTurn && (rolled === undefined || rolled === 'stuck')) held.push('roll-free-before-power');
    return held;
  };
  type Candidate = { id: string; action: Action; own: number; opening: number; held: string[] };
  const candidates: Candidate[] = [];
  for (const check of compiled.checks) {
    const findings = check.aspects
      .filter((a) => !a.neutral && !answered.has(`${check.id}/${a.id}`))
      .map((a) => compiled.findingIndex.get(`${check.id}/${a.id}`)!);
    // A check that can move nothing in this model (its station is not there) is not put forward.
    if (findings.every((f) => compiled.network.findings[f]!.effects.length === 0)) continue;
    const reached = reach(kind, open, check);
    const opening = reached.minutes;
    const action = { findings, minutes: check.minutes + opening, openAfter: costs.maskOf(reached.open) };
    candidates.push({ id: check.id, action, own: check.minutes, opening, held: heldBack(check) });
  }
  compiled.faults.forEach((fault, i) => {
    const id = `repair:${fault.id}`;
    if (answered.has(id) || pins.has(i) || result.marginals[i]! < WORTH_REPAIRING || !sets.candidates.includes(i))
      return;
    const reached = reach(kind, open, { access: fault.repair.access, power: 'no' });
    const opening = reached.minutes;
    const closing = fault.repair.power ? closingMinutes(kind, open) : 0;
    const minutes = fault.repair.minutes + opening + closing;
    const action = {
      findings: [compiled.findingIndex.get(id)!],
      minutes,
      repairs: i,
      openAfter: costs.maskOf(reached.open),
    };
    const held = fault.repair.power ? heldBack({ power: 'yes' }) : [];
    candidates.push({ id, action, own: fault.repair.minutes, opening: opening + closing, held });
  });
  const ranked = rankActions(
    compiled.network,
    sets.list,
    sets.candidates,
    result.marginals,
    candidates.map((c) => c.action),
    costs.costs,
    new Set(pins.keys()),
    costs.openNow,
  );
  const rows = ranked.map((r): NextAction => {
    const c = candidates[r.action]!;
    return {
      check: c.id,
      minutes: c.own,
      openingMinutes: c.opening,
      saving: r.saving,
      why: r.leads.slice(0, 4).map((lead) => ({
        outcomes: lead.levels.map((l) => outcomeId(compiled.findings[l.finding]!, l.level)),
        probability: lead.probability,
        topFault: lead.topFault < 0 ? null : compiled.faults[lead.topFault]!.id,
        topProbability: lead.topProbability,
      })),
      heldBackBy: c.held,
    };
  });
  return [...rows.filter((r) => r.heldBackBy.length === 0), ...rows.filter((r) => r.heldBackBy.length > 0)];
}

function lastOutcome(answers: Answer[], check: string): string | undefined {
  const found = answers.filter((a) => a.check === check).at(-1);
  return found && 'outcome' in found ? found.outcome : undefined;
}

function outcomeId(finding: CompiledFinding, level: number): string {
  if (finding.aspect) return finding.aspect.outcomes[level]!.id;
  return level === 0 ? 'gone' : 'remains';
}

/** Odds of the outcomes of every reading: its likelihoods weighed by what all the other findings lead one to expect. */
function readingOdds(
  compiled: CompiledKind,
  input: AssessInput,
  references: References,
  pins: ReadonlyMap<number, boolean>,
): Assessment['readings'] {
  return input.answers.flatMap((answer, at) => {
    if ('outcome' in answer) return [];
    const check = checkById(compiled, answer.check);
    const aspect = aspectOf(check, answer)!;
    const finding = compiled.findingIndex.get(`${check.id}/${aspect.id}`)!;
    const others = observe(compiled, { ...input, answers: input.answers.filter((_, i) => i !== at) }, references);
    const likelihood = classifyReading(aspect, answer.value, references);
    const logs = aspect.outcomes.map((_, k) => {
      const hard = aspect.outcomes.map((_, j) => (j === k ? 1 : 0));
      return posterior(compiled.network, [...others.observations, { finding, likelihood: hard }], pins).logEvidence;
    });
    const top = Math.max(...logs);
    const weights = logs.map((log, k) => Math.exp(log - top) * likelihood[k]!);
    const sum = weights.reduce((a, b) => a + b, 0);
    const readAs = aspect.outcomes
      .map((o, k) => ({ outcome: o.id, probability: weights[k]! / sum }))
      .sort((a, b) => b.probability - a.probability);
    return [{ check: check.id, condition: answer.condition, value: answer.value, readAs }];
  });
}
