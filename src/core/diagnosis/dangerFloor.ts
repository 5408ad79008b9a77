import type { CompiledKind } from './compileKind';
import type { Diagnosis } from './diagnose';
import { posterior } from './posterior';

/**
 * The least odds of faults that are a danger while their caution is in force: by their own signs and measurements alone, as
 * if nothing else were there that shows the same. A broken belt that is found does not dry a head in which mud was seen.
 * @returns fault index → probability
 */
export function dangerFloor(
  compiled: CompiledKind,
  { observations, pins }: Diagnosis,
  cautions: readonly string[],
): Map<number, number> {
  const { network } = compiled;
  const dangers = compiled.faults.flatMap((f, i) =>
    f.danger && cautions.includes(f.danger) && !pins.has(i) ? [i] : [],
  );
  return new Map(
    dangers.map((i) => {
      // Its own signs and measurements; what was complained of may have many causes.
      const own = observations.filter(({ finding }) => {
        const isLook = compiled.findings[finding]!.check !== undefined;
        return isLook && network.findings[finding]!.effects.some((e) => e.fault === i);
      });
      const rivals = own
        .filter((o) => o.likelihood[0] === 0)
        .flatMap((o) => network.findings[o.finding]!.effects.map((e) => e.fault))
        .filter((j) => j !== i);
      const without = new Map(rivals.map((j) => [j, false] as const));
      return [i, posterior(network, own, without).marginals[i]!] as const;
    }),
  );
}
