import type { WayOn, Worth } from './worth';

/** What is weighed beside the screen. */
export interface WorthAsked {
  ways: WayOn[];
  /** The part on which the choice may turn, on the first way. */
  doubt: string | null;
}

export interface WorthTold {
  worth: Worth[];
  /** Mean remaining life at which the first way and the best other cost the same, years. */
  turnsAtYears: number | null;
}
