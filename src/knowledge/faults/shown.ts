import type { Surely } from '../write';

/** The sealed vacuum from the lossy piece on: `before` is still good. */
export function losesFrom(piece: 'hose' | 'wand' | 'head', outcome: 'weak' | 'none'): Surely {
  const from = { hose: ['hose', 'wand', 'head'], wand: ['wand', 'head'], head: ['head'] }[piece];
  return { usually: from.map((at) => `inlet-vacuum=${at}-${outcome}`).join(' ') };
}

/** Weak from the machine's own inlet on. */
export const weakEverywhere: Surely = [{ usually: 'inlet-vacuum=machine-weak' }, losesFrom('hose', 'weak')];
