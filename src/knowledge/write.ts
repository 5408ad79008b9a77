import type { Outcome, ReadingSpec, Show, Station, Strength } from '@/core/diagnosis/knowledge';
import type { AccessText, AspectText, CheckText, FaultText } from './assemble';

/** How surely → ids, with blanks between them; several may be put together. */
export type Surely = Partial<Record<Strength, string>> | Surely[];

/** Each id with how surely, in the order in which they are written. @throws Error when one is named twice */
function surely(of: string, said: Surely): [id: string, strength: Strength][] {
  const all = [said].flat(Infinity as 1).flatMap((s) => Object.entries(s)) as [Strength, string][];
  const each = all.flatMap(([strength, ids]) =>
    ids
      .trim()
      .split(/\s+/)
      .map((id): [string, Strength] => [id, strength]),
  );
  const twice = each.find(([id], i) => each.findIndex(([other]) => other === id) < i);
  if (twice) throw new Error(`${of} names ${twice[0]} twice.`);
  return each;
}

/** `label, minutes, access`, the groups of parts it takes, and whether it is run afterwards (it is, unless said). */
type Repair = [label: string, minutes: number, access: string, parts?: string[], power?: false];

/**
 * One fault in a few lines: what it is called, what is complained of, what shows at the bench (`check=outcome` or
 * `check@condition=outcome`), its repair, what brings it on. Strengths and minutes: common practice, no source.
 */
export function fault(
  [id, label]: [id: string, label: string],
  says: Surely,
  shows: Surely,
  [repairLabel, minutes, access, parts, power]: Repair,
  broughtOnBy: Surely = {},
  more: Pick<FaultText, 'symptom' | 'danger'> & {
    /** It must lie before it can be run. */
    waits?: true;
    /** Shows that are of some kinds alone. */
    only?: Record<string, string[]>;
  } = {},
): FaultText {
  const { waits, only, ...rest } = more;
  const causes = surely(id, broughtOnBy);
  return {
    id,
    label,
    complaints: surely(id, says).map(([complaint, strength]) => ({ complaint, strength })),
    shows: surely(id, shows).map(([where, strength]): Show => {
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

/** An aspect with two answers: fine, or what it proves; `leak` is how often the second shows with nothing wrong. */
export function either(
  id: string,
  label: string,
  fine: [id: string, label: string],
  [bad, badLabel, proves]: [id: string, label: string, proves: string | string[]],
  leak: number,
  more: Parameters<typeof aspect>[3] = {},
): AspectText {
  return aspect(id, label, [outcome(...fine), outcome(bad, badLabel, { proves, leak })], more);
}

/** What a check is called, its minutes, and what lies open for it. */
type Named = [id: string, label: string, minutes: number, access: string];

/** A check in a few lines. Power `no` and no cautions unless said. */
export function check(
  [id, label, minutes, access]: Named,
  how: [string, string, string],
  aspects: AspectText[],
  more: Partial<Omit<CheckText, 'id' | 'label' | 'how' | 'minutes' | 'access' | 'aspects'>> = {},
): CheckText {
  return { id, label, how, minutes, access, power: 'no', cautions: [], aspects, ...more };
}

/** A look with two answers: fine, or the one fault that it proves. */
export function look(
  name: Named,
  how: [string, string, string],
  fine: [id: string, label: string],
  bad: [id: string, label: string, proves: string | string[]],
  more: Partial<Pick<CheckText, 'power' | 'spinsRoll' | 'cautions'>> = {},
): CheckText {
  return check(name, how, [either('seen', name[1], fine, bad, 0.005)], more);
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

/**
 * Stations of a line in their order: `id`, `id: label` where its words are not its id's, `(wears)` or `(optional)` behind;
 * semicolons between them.
 * @throws Error when one is written otherwise
 */
export function stations(written: string): Station[] {
  return written.split(';').map((one) => {
    const read = /^([\w-]+)(?:: ([^()]*?))?(?: \((wears|optional)\))?$/.exec(one.trim());
    if (!read) throw new Error(`Not a station: ${one.trim()}`);
    const [, id, label, more] = read;
    return { id: id!, label: label ?? id!.replaceAll('-', ' '), ...(more ? { [more]: true as const } : {}) };
  });
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
