/** What the people who use a machine do, from what was found at its last visit. */
export interface OperatorSheetView {
  shop: string;
  phone: string;
  paper: 'A4' | 'Letter';
  machine: { tag: string; maker: string; model: string; site: string; owner: string };
  items: OperatorLine[];
  /** Still open on the machine. */
  leftOpen: string[];
  nextOn: string | null;
  /** That day is past. */
  isDue: boolean;
}

export interface OperatorLine {
  id: string;
  label: string;
  how: string;
  every: 'use' | 'day' | 'week' | 'month';
  picture: string;
  /** Why it stands first: what was found that comes of leaving it; empty for the rest. */
  because: string;
  /** How often it was done, when it was last taken down. */
  kept: { doneDays: number; ofDays: number } | null;
}
