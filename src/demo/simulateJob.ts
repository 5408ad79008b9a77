import { compileKind } from '@/core/diagnosis/compileKind';
import { referencesOf } from '@/core/diagnosis/classifyReading';
import { checksOf, STRENGTHS, type Fault, type Kind, type Scatter } from '@/core/diagnosis/knowledge';
import { knowledge } from '@/knowledge';
import { shippedParts } from '@/knowledge/parts';

export interface SimulatedJob {
  faults: Fault[];
  complaints: string[];
  findings: { check: string; outcome?: string; value?: number; unit?: string; condition?: string }[];
  parts: { code: string; station: string }[];
}

type Random = () => number;

/**
 * A believable past job: faults drawn from the knowledge for the machine's age, what they show as, the checks that
 * proved them, the parts that were fitted.
 */
export function simulateJob(
  random: Random,
  kind: Kind,
  mainsV: number,
  ageYears: number,
  dropped: string[],
): SimulatedJob {
  const { network, faults } = compileKind(knowledge, kind, { ageYears, droppedStations: dropped });
  const said = new Set(knowledge.complaints.filter((c) => c.kinds.includes(kind.id)).map((c) => c.id));
  for (;;) {
    const present = faults.filter((_, i) => random() < network.faults[i]!.prior);
    const roots = present.filter((f) => !f.symptom && f.complaints.length > 0);
    if (roots.length === 0 || roots.length > 3) continue;
    const complaints = new Set<string>();
    for (const fault of roots)
      for (const c of inOrder(fault.complaints, (x) => x.complaint))
        if (said.has(c.complaint) && random() < STRENGTHS[c.strength] && complaints.size < 3)
          complaints.add(c.complaint);
    if (complaints.size === 0) continue;
    const explained = roots.filter((f) => f.complaints.some((c) => complaints.has(c.complaint)));
    const turned = checksOf(knowledge, kind.id).some((c) => c.id === 'finger-turn') ? turn(random, roots) : null;
    const findings = [turned, ...explained.map((f) => proof(random, kind, mainsV, f))].filter((f) => f !== null);
    return {
      faults: explained,
      complaints: [...complaints],
      findings: unique(findings),
      parts: partsFor(random, kind, explained),
    };
  }
}

/** By name: what is drawn from a seed does not hang on how the knowledge is written down. */
const inOrder = <T>(all: readonly T[], name: (one: T) => string): T[] =>
  [...all].sort((a, b) => (name(a) < name(b) ? -1 : 1));

function turn(random: Random, faults: Fault[]): SimulatedJob['findings'][number] {
  const shown = faults
    .flatMap((f) => inOrder(f.shows, (s) => s.outcome))
    .find((s) => s.check === 'finger-turn' && random() < STRENGTHS[s.strength]);
  return { check: 'finger-turn', outcome: shown?.outcome ?? 'normal-drag' };
}

/** A check whose outcome proves the fault, as it would have been seen or read. */
function proof(random: Random, kind: Kind, mainsV: number, fault: Fault): SimulatedJob['findings'][number] | null {
  const ways = checksOf(knowledge, kind.id).flatMap((check) =>
    check.aspects.flatMap((aspect) =>
      aspect.outcomes
        .filter(
          (o) => o.proves?.includes(fault.id) && fault.shows.some((s) => s.check === check.id && s.outcome === o.id),
        )
        .map((outcome) => ({ check, aspect, outcome })),
    ),
  );
  const way = ways[Math.floor(random() * ways.length)];
  if (!way) return null;
  const spec = way.aspect.reading;
  if (!spec) return { check: way.check.id, outcome: way.outcome.id };
  const scatter = spec.classes.find((c) => c.outcome === way.outcome.id)!.scatter;
  const scale = spec.relativeTo ? referencesOf(kind, mainsV)[spec.relativeTo] : 1;
  const value = Number((within(random, scatter, spec.logScale === true) * scale).toPrecision(3));
  return {
    check: way.check.id,
    value,
    unit: spec.unit,
    ...(way.aspect.condition ? { condition: way.aspect.condition } : {}),
  };
}

/** A number from the middle of a scatter. */
function within(random: Random, scatter: Scatter, logScale: boolean): number {
  const u = 0.3 + 0.4 * random();
  if (scatter.shape === 'normal') return scatter.mean + scatter.sd * (u - 0.5);
  if (scatter.shape === 'logNormal') return scatter.median * Math.exp(scatter.spread * (u - 0.5));
  if (logScale) return Math.exp(Math.log(scatter.from) + u * (Math.log(scatter.to) - Math.log(scatter.from)));
  return scatter.from + u * (scatter.to - scatter.from);
}

function partsFor(random: Random, kind: Kind, faults: Fault[]): SimulatedJob['parts'] {
  const parts = faults.flatMap((fault) => {
    const station = fault.kinds[kind.id]!.station;
    const fits = shippedParts.filter(
      (p) => p.stations[kind.id]?.includes(station) && fault.repair.parts?.includes(p.group),
    );
    const part = fits[Math.floor(random() * fits.length)];
    return part ? [{ code: part.code, station }] : [];
  });
  return parts.filter((p, i) => parts.findIndex((q) => q.station === p.station) === i);
}

function unique(findings: SimulatedJob['findings']) {
  return findings.filter(
    (f, i) =>
      findings.findIndex((g) => g.check === f.check && g.outcome === f.outcome && g.condition === f.condition) === i,
  );
}
