import { openedFrom, type GaugeDoor } from '@/core/gauges/door';
import type { JobFacts } from '@/shop/jobView/dto';

/**
 * Where a gauge is opened for a job: as what is asked there chooses, and with the machine's own mains where it wants them.
 * @param from a check, or `part/` and a group of parts
 */
export function gaugeAddress(gauge: GaugeDoor, job: JobFacts, from: string, condition?: string): string {
  const chosen = Object.entries(openedFrom(gauge, from, condition)).map(([name, value]) => [name, String(value)]);
  const mains = gauge.asksMains ? [['mains', `${job.machine.mainsV} V`]] : [];
  return `/gauges/${gauge.id}?${new URLSearchParams([['job', String(job.id)], ...chosen, ...mains]).toString()}`;
}
