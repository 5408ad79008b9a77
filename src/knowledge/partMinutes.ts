import type { ShippedPart } from './parts';

/**
 * Group of parts → what one usually costs, in minutes of a technician's time, for shops that have not said what an hour costs:
 * what a repair on suspicion risks. Common practice, no source.
 */
export const partMinutes: Record<ShippedPart['group'], number> = {
  belt: 8,
  drive: 40,
  bearing: 10,
  roll: 30,
  filter: 12,
  switch: 12,
  cord: 15,
  motor: 90,
  carbon: 10,
  hose: 35,
  seal: 8,
  board: 60,
  battery: 90,
  squeegee: 30,
};
