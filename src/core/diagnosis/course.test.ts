import { knowledge } from '@/knowledge';
import { assess, type Answer } from './assess';
import { compileKind, type CompiledKind } from './compileKind';
import { levelsGiven } from './joint';
import type { Kind } from './knowledge';
import { seededRandom } from './seededRandom';

type Random = () => number;

/** Faults drawn from the priors, with at least one complaint that they cause. */
function drawMachine(random: Random, { network, complaints, findings }: CompiledKind) {
  for (;;) {
    const present = new Set<number>();
    network.faults.forEach((fault, i) => {
      let absent = 1 - fault.prior;
      for (const c of fault.causes) if (present.has(c.fault)) absent *= 1 - c.strength;
      if (random() > absent) present.add(i);
    });
    const said = complaints.filter((c) => {
      const at = findings.findIndex((f) => f.complaint?.id === c.id);
      const shown = network.findings[at]!.effects.filter((e) => present.has(e.fault));
      return shown.some((e) => random() < e.levels[1]!);
    });
    if (said.length > 0) return { present, complaints: said.slice(0, 2).map((c) => c.id) };
  }
}

/** What this machine answers to a check: an outcome for each of its aspects; readings are answered by their outcome. */
function answer(random: Random, compiled: CompiledKind, present: Set<number>, check: string): Answer[] {
  const isPresent = (f: number) => present.has(f);
  const level = (finding: number) => {
    let u = random();
    const p = levelsGiven(compiled.network.findings[finding]!, isPresent);
    return Math.max(
      0,
      p.findIndex((x) => (u -= x) < 0),
    );
  };
  if (check.startsWith('repair:')) {
    const fault = compiled.faultIndex.get(check.slice('repair:'.length))!;
    const rest = compiled.findingIndex.get(check)!;
    const gone = present.has(fault) && level(rest) === 0;
    return [{ check, outcome: gone ? 'gone' : 'remains' }];
  }
  return compiled.checks
    .find((c) => c.id === check)!
    .aspects.filter((a) => !a.neutral)
    .map((a) => ({ check, outcome: a.outcomes[level(compiled.findingIndex.get(`${check}/${a.id}`)!)]!.id }));
}

function follow(random: Random, kind: Kind) {
  const compiled = compileKind(knowledge, kind);
  const machine = drawMachine(random, compiled);
  const cleared = knowledge.cautions.map((c) => c.id);
  let answers: Answer[] = [];
  for (let step = 0; step < 30; step++) {
    const result = assess(knowledge, { kind, mainsV: 120, complaints: machine.complaints, answers, cleared });
    const real = [...machine.present].map((i) => compiled.faults[i]!.id);
    const next = result.next.find((n) => n.heldBackBy.length === 0);
    if (result.finished || !next) return { result, real, steps: step, machine };
    // A course never asks again what it knows.
    expect(answers.some((a) => a.check === next.check && next.check.startsWith('repair:'))).toBe(false);
    answers = [...answers, ...answer(random, compiled, machine.present, next.check)];
  }
  const result = assess(knowledge, { kind, mainsV: 120, complaints: machine.complaints, answers, cleared });
  return { result, real: [...machine.present].map((i) => compiled.faults[i]!.id), steps: 30, machine };
}

describe.each(knowledge.kinds.map((k) => [k.id, k] as const))(
  'the proposed course on machines drawn from %s',
  (_, kind) => {
    const random = seededRandom(kind.number);
    const runs = Array.from({ length: 20 }, () => follow(random, kind));

    test('ends with a proved cause, in a handful of checks', () => {
      const finished = runs.filter((r) => r.result.finished);
      expect(finished.length / runs.length).toBeGreaterThan(0.85);
      expect(finished.reduce((sum, r) => sum + r.steps, 0) / finished.length).toBeLessThan(9);
    });

    test('what it proves is really there', () => {
      const proved = runs.flatMap((r) => r.result.proved.map((id) => r.real.includes(id)));
      expect(proved.filter(Boolean).length / proved.length).toBeGreaterThan(0.9);
    });
  },
);
