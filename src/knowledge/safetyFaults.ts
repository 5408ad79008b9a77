import { faultById } from '.';

/**
 * What can hurt somebody when it is left as it is. A repair that owes a proof is another matter: a transmission that is worn hurts
 * nobody, one that is put together wrongly may. Common practice, no source.
 */
const NAMED = new Set([
  'plug-damaged',
  'cord-damaged',
  'cord-broken-at-grip',
  'hose-conductor-open',
  'tilt-switch-failed',
  'tilt-switch-stuck-closed',
  'seat-switch-failed',
  'trigger-failed',
  'thermal-cutout-open',
  'guard-missing',
  'belt-cover-off',
  'roll-mouldy',
  'water-in-head',
  'motor-wet',
  'nozzle-base-cracked',
  'housing-cracked',
  'battery-cable-loose',
  'brush-holder-loose',
  'commutator-worn',
  'field-failed',
  'armature-bad',
  'clutch-stuck-engaged',
  'neutral-out',
  'head-breaker-tripped',
  'contactor-failed',
]);

/** Whether a fault that is left open is a danger: it is never put off without a warning that the owner signs. */
export function isSafetyFault(id: string): boolean {
  const fault = faultById(id);
  return NAMED.has(id) || fault?.danger !== undefined;
}
