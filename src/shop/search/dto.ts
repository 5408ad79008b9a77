import type { MachineListView } from '../machines/dto';

/** One answer of the one search box. */
export type SearchRow =
  | ({ sort: 'machine' } & MachineListView)
  | { sort: 'customer'; id: number; name: string; phone: string; machines: number; standing: string };
