import { airPath } from './airPath';
import { bearing } from './bearing';
import { belt } from './belt';
import { dryAndWait } from './dryAndWait';
import { pack } from './pack';
import type { AnyGauge } from './reckon';
import { roll } from './roll';
import { safetyTest } from './safetyTest';
import { scrubber } from './scrubber';
import { shims } from './shims';
import { supplyAndCord } from './supplyAndCord';
import { winding } from './winding';

/** All gauges, in the order of their groups. */
export const gauges: readonly AnyGauge[] = [
  belt,
  bearing,
  roll,
  supplyAndCord,
  safetyTest,
  winding,
  shims,
  airPath,
  pack,
  scrubber,
  dryAndWait,
];

export function gaugeById(id: string): AnyGauge | undefined {
  return gauges.find((g) => g.id === id);
}
