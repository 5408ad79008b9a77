import type { Network, Observation } from './network';
import { seededRandom } from './seededRandom';

/** A random network and evidence for tests and benchmarks. */
export function randomNetwork(
  seed: number,
  size: { faults: number; findings: number; density: number; positive?: number; levels?: number; causes?: number },
): { network: Network; observations: Observation[] } {
  const random = seededRandom(seed);
  const levelsOf = () => {
    const count = size.levels ?? 2 + Math.floor(random() * 3);
    return Array.from({ length: count }, () => 0.05 + random());
  };
  const distribution = (raw: number[]) => {
    const sum = raw.reduce((a, b) => a + b, 0);
    return raw.map((x) => x / sum);
  };
  const faults = Array.from({ length: size.faults }, (_, i) => ({
    id: `f${i}`,
    prior: 0.01 + 0.3 * random(),
    causes:
      i > 1 && random() < (size.causes ?? 0)
        ? [{ fault: Math.floor(random() * i), strength: 0.2 + 0.7 * random() }]
        : [],
  }));
  const findings = Array.from({ length: size.findings }, (_, j) => {
    const leak = levelsOf();
    leak[0] = 20;
    const effects = faults.flatMap((_, fault) =>
      random() < size.density ? [{ fault, levels: distribution(leak.map(() => 0.05 + random())) }] : [],
    );
    return { id: `s${j}`, leak: distribution(leak), effects };
  });
  const observations = findings.map((node, finding): Observation => {
    const positive = size.positive === undefined ? random() < 0.4 : finding < size.positive;
    const level = positive ? 1 + Math.floor(random() * (node.leak.length - 1)) : 0;
    const soft = size.positive === undefined && random() < 0.3;
    return { finding, likelihood: node.leak.map((_, k) => (soft ? 0.01 + random() : k === level ? 1 : 0)) };
  });
  return { network: { faults, findings }, observations };
}
