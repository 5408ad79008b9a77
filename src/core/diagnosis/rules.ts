import type { Caution, Check, Knowledge } from './knowledge';

/** What holds back what on one kind of machine, as its knowledge says. */
export interface Rules {
  /** Cautions that hold back everything that needs power, until somebody clears them by name. */
  holdsPower: ReadonlySet<string>;
  /** Cautions of what is done at live parts. */
  live: ReadonlySet<string>;
  /** The check that must show the roll free before anything spins it, and the caution that says so; null without such a check. */
  turn: TurnRule | null;
}

export interface TurnRule {
  check: Check;
  caution: string;
}

/** The rules of one kind, from its checks. */
export function rulesOf({ cautions }: Pick<Knowledge, 'cautions'>, checks: readonly Check[]): Rules {
  const check = checks.find((c) => c.freesRoll);
  const caution = cautions.find((c) => c.holds === 'spin');
  const live = new Set(cautions.filter((c) => c.atLiveParts).map((c) => c.id));
  return { holdsPower: holdingPower(cautions), live, turn: check && caution ? { check, caution: caution.id } : null };
}

/** Ids of the cautions that hold back power. */
export function holdingPower(cautions: readonly Caution[]): ReadonlySet<string> {
  return new Set(cautions.filter((c) => c.holds === 'power').map((c) => c.id));
}

/** Whether the newest answer to the turning check says that the roll may be run. */
export function isTurnedFree({ check }: TurnRule, answers: readonly { check: string; outcome?: string }[]): boolean {
  const turned = answers.filter((a) => a.check === check.id).at(-1);
  if (turned === undefined) return false;
  return turned.outcome === undefined || !check.freesRoll!.butNot.includes(turned.outcome);
}
