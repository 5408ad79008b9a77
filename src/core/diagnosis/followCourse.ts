import { reach } from './accessCosts';
import type { Answer, AssessInput } from './assessment';
import { actionOf, cautionsInForce, replay } from './benchState';
import { referencesOf } from './classifyReading';
import type { CompiledKind } from './compileKind';
import { repairedFault, repairOf } from './doing';
import { diagnose, type Diagnosis } from './diagnose';
import { ImpossibleEvidenceError } from './network';
import { isTurnedFree } from './rules';
import { nextActions } from './nextActions';
import { answerOf, type HiddenMachine, type Random } from './simulate';

/** Chooses what is done next: a check, `repair:<fault>`, or null when nothing is left. */
export interface Policy {
  choose(scene: Scene): string | null;
  /** It draws lots: the same scene may be answered otherwise. */
  drawsLots?: true;
}

export interface Scene {
  compiled: CompiledKind;
  input: AssessInput;
  diagnosis: Diagnosis;
  /** Checks not made yet that may tell something about the complaints, in the order of the knowledge. */
  relevant: string[];
  random: Random;
}

export interface Followed {
  finished: boolean;
  /** A fault that shows as the complaint was left in the machine. */
  living: boolean;
  /** Of what was proved, all is really there. */
  right: boolean;
  /** The fault that stood first at the end is really there. */
  topRight: boolean;
  steps: number;
  /** Minutes of everything done until the cause was proved; the minutes of a repair that cured it were owed anyway. */
  minutes: number;
  /** The same with the repairs that were then still owed. */
  minutesToRepaired: number;
  /** How it would have ended at the first proved cause; itself when it ended there. */
  atFirstCause?: Followed;
}

const MOST_STEPS = 40;

/** What is known after each sequence of answers is the same for all machines: it is worked out once. */
export type Memory = Map<string, { diagnosis: Diagnosis; choice?: string | null }>;

/** Follows a policy on one machine until every complaint has a proved cause, or nothing is left to do. */
export function followCourse(
  compiled: CompiledKind,
  machine: HiddenMachine,
  policy: Policy,
  random: Random,
  memory: Memory,
): Followed {
  const references = referencesOf(compiled.kind, 120);
  const cleared = [...compiled.rules.holdsPower];
  let answers: Answer[] = [];
  let steps = 0;
  let first: Followed | undefined;
  for (;;) {
    const input: AssessInput = { kind: compiled.kind, mainsV: 120, complaints: machine.complaints, answers, cleared };
    const key = JSON.stringify([machine.complaints, answers]);
    let known = memory.get(key);
    if (!known) {
      try {
        known = { diagnosis: diagnose(compiled, input, references) };
      } catch (error) {
        if (!(error instanceof ImpossibleEvidenceError)) throw error;
        return conclude(false, null);
      }
      memory.set(key, known);
    }
    const { diagnosis } = known;
    if (diagnosis.causes.length > 0) first ??= conclude(true, diagnosis);
    if (diagnosis.finished || steps >= MOST_STEPS)
      return { ...conclude(diagnosis.finished, diagnosis), ...(first ? { atFirstCause: first } : {}) };
    if (known.choice === undefined || policy.drawsLots)
      known.choice = policy.choose({ compiled, input, diagnosis, relevant: relevantChecks(compiled, input), random });
    if (known.choice === null) return conclude(false, diagnosis);
    answers = [...answers, ...answerOf(random, compiled, machine, known.choice)];
    steps++;
  }

  function conclude(finished: boolean, diagnosis: Diagnosis | null): Followed {
    const state = replay(compiled, { answers });
    let { open } = state;
    let owed = 0;
    const cured = answers
      .filter((a) => repairedFault(a.check) !== null && 'outcome' in a && a.outcome === 'gone')
      .reduce((sum, a) => sum + actionOf(compiled, a.check).minutes, 0);
    const proved = [...(diagnosis?.proved ?? [])];
    for (const id of proved) {
      if (answers.some((a) => a.check === repairOf(id))) continue;
      const step = actionOf(compiled, repairOf(id));
      const reached = reach(compiled.kind, open, step);
      open = reached.open;
      owed += reached.minutes + step.minutes;
    }
    const isThere = (id: string) => machine.present.has(compiled.faultIndex.get(id)!);
    const marginals = diagnosis?.result.marginals ?? new Float64Array(0);
    const top = marginals.indexOf(Math.max(...marginals));
    const told = new Set(proved);
    const left = compiled.faults.filter((f, i) => machine.present.has(i) && !told.has(f.id) && !f.symptom);
    return {
      finished,
      living: left.some((f) =>
        f.complaints.some(
          (c) => machine.complaints.includes(c.complaint) && c.strength !== 'never' && c.strength !== 'rarely',
        ),
      ),
      right: proved.every(isThere),
      topRight: machine.present.has(top),
      steps,
      minutes: state.minutes - cured,
      minutesToRepaired: state.minutes + owed,
    };
  }
}

function relevantChecks(compiled: CompiledKind, { complaints, answers }: AssessInput): string[] {
  const suspects = new Set(
    compiled.faults.flatMap((f, i) => (f.complaints.some((c) => complaints.includes(c.complaint)) ? [i] : [])),
  );
  const made = new Set(answers.map((a) => a.check));
  return compiled.checks
    .filter((c) => !made.has(c.id))
    .filter((c) =>
      c.aspects.some((a) =>
        compiled.network.findings[compiled.findingIndex.get(`${c.id}/${a.id}`)!]!.effects.some((e) =>
          suspects.has(e.fault),
        ),
      ),
    )
    .map((c) => c.id);
}

/** The course that the finder proposes. */
export function proposedCourse(): Policy {
  return {
    choose({ compiled, input, diagnosis }) {
      const { open } = replay(compiled, input);
      const { next } = nextActions(compiled, input, diagnosis, open, cautionsInForce(compiled, input), false);
      return next.find((n) => n.heldBackBy.length === 0)?.check ?? null;
    },
  };
}

/** May this check be made now? The roll is turned by hand before anything turns it under power. */
function isLegal({ compiled, input }: Scene, id: string): boolean {
  const check = compiled.checks.find((c) => c.id === id)!;
  const { turn } = compiled.rules;
  return check.power === 'no' || !check.spinsRoll || !turn || isTurnedFree(turn, input.answers);
}

/** When looking has told nothing more: repairs of what may be behind the complaint, the commonest first. */
function repairByHabit({ compiled, input }: Scene): string | null {
  const made = new Set(input.answers.map((a) => a.check));
  const left = compiled.faults
    .map((f, i) => ({ id: repairOf(f.id), f, prior: compiled.network.faults[i]!.prior }))
    .filter(({ id, f }) => !made.has(id) && f.complaints.some((c) => input.complaints.includes(c.complaint)))
    .sort((a, b) => b.prior - a.prior);
  return left[0]?.id ?? null;
}

/** A fixed order of checks, those that can tell something about the complaint, then repairs by how common they are. */
export function fixedOrder(order: readonly string[]): Policy {
  const place = new Map(order.map((id, i) => [id, i]));
  return {
    choose(scene) {
      const legal = scene.relevant.filter((id) => isLegal(scene, id));
      legal.sort((a, b) => (place.get(a) ?? order.length) - (place.get(b) ?? order.length));
      return legal[0] ?? repairByHabit(scene);
    },
  };
}

/** Any check that can tell something about the complaint, by lot. */
export function randomOrder(): Policy {
  return {
    drawsLots: true,
    choose(scene) {
      const legal = scene.relevant.filter((id) => isLegal(scene, id));
      return legal[Math.floor(scene.random() * legal.length)] ?? repairByHabit(scene);
    },
  };
}
