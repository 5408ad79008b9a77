import type { Outcome, ReadingSpec, Show, Station, Strength } from '@/core/diagnosis/knowledge';
import type { AccessText, AspectText, CheckText, FaultText } from './assemble';

/** `check=outcome` or `check@condition=outcome` → how surely it shows. */
export type Shows = Record<string, Strength>;

/** `label, minutes, access`, the groups of parts it takes, and whether it is run afterwards (it is, unless said). */
type Repair = [label: string, minutes: number, access: string, parts?: string[], power?: false];

/** One fault in a few lines. Strengths and minutes: common practice, no source. */
export function fault(
  id: string,
  label: string,
  says: Record<string, Strength>,
  shows: Shows,
  [repairLabel, minutes, access, parts, power]: Repair,
  broughtOnBy: Record<string, Strength> = {},
  more: Pick<FaultText, 'symptom' | 'danger'> & {
    /** It must lie before it can be run. */
    waits?: true;
    /** Shows that are of some kinds alone. */
    only?: Record<string, string[]>;
  } = {},
): FaultText {
  const { waits, only, ...rest } = more;
  const causes = Object.entries(broughtOnBy);
  return {
    id,
    label,
    complaints: Object.entries(says).map(([complaint, strength]) => ({ complaint, strength })),
    shows: Object.entries(shows).map(([where, strength]): Show => {
      const [check, outcome] = where.split('=') as [string, string];
      const [name, condition] = check.split('@') as [string, string?];
      const kinds = only?.[where];
      return { check: name, outcome, ...(condition ? { condition } : {}), strength, ...(kinds ? { kinds } : {}) };
    }),
    ...(causes.length ? { broughtOnBy: causes.map(([f, strength]) => ({ fault: f, strength })) } : {}),
    repair: {
      label: repairLabel,
      minutes,
      access,
      ...(parts?.length ? { parts } : {}),
      power: power ?? true,
      ...(waits ? { waits } : {}),
    },
    ...rest,
    basis: 'common practice, no source',
  };
}

/** An outcome; what it proves; how often it shows with nothing wrong (the shared default when absent). */
export function outcome(
  id: string,
  label: string,
  more: { proves?: string | string[]; raises?: string[]; resets?: true; leak?: number } = {},
): Omit<Outcome, 'kinds'> & { leak?: number } {
  const { proves, raises, resets, leak } = more;
  return {
    id,
    label,
    ...(proves ? { proves: [proves].flat() } : {}),
    ...(raises ? { raises } : {}),
    ...(resets ? { resets } : {}),
    ...(leak === undefined ? {} : { leak }),
  };
}

/** One thing looked at in a check: the normal outcome first, a later one hides an earlier one. */
export function aspect(
  id: string,
  label: string,
  outcomes: ReturnType<typeof outcome>[],
  more: Omit<AspectText, 'id' | 'label' | 'outcomes' | 'leak'> = {},
): AspectText {
  const leaks = outcomes.filter((o) => o.leak !== undefined);
  return {
    id,
    label,
    ...more,
    outcomes: outcomes.map(({ leak: _, ...o }) => o),
    ...(leaks.length ? { leak: Object.fromEntries(leaks.map((o) => [o.id, o.leak!])) } : {}),
  };
}

/** A check in a few lines. Power `no` and no cautions unless said. */
export function check(
  id: string,
  label: string,
  minutes: number,
  access: string,
  how: [string, string, string],
  aspects: AspectText[],
  more: Partial<Omit<CheckText, 'id' | 'label' | 'how' | 'minutes' | 'access' | 'aspects'>> = {},
): CheckText {
  return { id, label, how, minutes, access, power: 'no', cautions: [], aspects, ...more };
}

/** A look with two answers: fine, or the one fault that it proves. */
export function look(
  id: string,
  label: string,
  minutes: number,
  access: string,
  how: [string, string, string],
  fine: [id: string, label: string],
  bad: [id: string, label: string, proves: string | string[]],
  more: Partial<Pick<CheckText, 'power' | 'spinsRoll' | 'cautions'>> = {},
): CheckText {
  return check(
    id,
    label,
    minutes,
    access,
    how,
    [aspect('seen', label, [outcome(...fine), outcome(bad[0], bad[1], { proves: bad[2], leak: 0.005 })])],
    more,
  );
}

/** A reading whose outcomes lie in ranges; common practice, no source. */
export function ranges(
  quantity: ReadingSpec['quantity'],
  unit: string,
  [min, max]: [number, number],
  classes: Record<string, [from: number, to: number]>,
  more: Partial<Pick<ReadingSpec, 'relativeTo' | 'logScale'>> = {},
): ReadingSpec {
  return {
    quantity,
    unit,
    min,
    max,
    ...more,
    classes: Object.entries(classes).map(([o, [from, to]]) => ({
      outcome: o,
      scatter: { shape: 'uniform' as const, from, to },
    })),
    basis: 'common practice, no source',
  };
}

export function station(id: string, label = id.replaceAll('-', ' '), more?: 'wears' | 'optional'): Station {
  return { id, label, ...(more ? { [more]: true as const } : {}) };
}

/** Something that is opened, and what it lays bare; its minutes are the sums of its steps. */
export function access(
  id: string,
  label: string,
  bares: string[],
  more: Pick<AccessText, 'needs' | 'closedForPower'> = {},
): AccessText {
  return { id, label, ...more, bares };
}
