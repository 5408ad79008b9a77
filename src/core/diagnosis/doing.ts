const PREFIX = 'repair:';

/**
 * What can be done to a machine: a check is made, or a fault is repaired on suspicion and the machine run. In answers, in the
 * book and over the service both are one text; here is the only place that knows how it is written.
 */
export type Doing = { look: string } | { repair: string };

/**
 * @example doingOf('finger-turn') // → { look: 'finger-turn' }
 * @example doingOf('repair:belt-broken') // → { repair: 'belt-broken' }
 */
export function doingOf(text: string): Doing {
  return text.startsWith(PREFIX) ? { repair: text.slice(PREFIX.length) } : { look: text };
}

/** The fault that is repaired, or null for a check. */
export function repairedFault(text: string): string | null {
  const doing = doingOf(text);
  return 'repair' in doing ? doing.repair : null;
}

/** @example repairOf('belt-broken') // → 'repair:belt-broken' */
export function repairOf(fault: string): string {
  return PREFIX + fault;
}
