/** One line of the book of the door. */
export interface DoorLine {
  id: number;
  at: string;
  /** What happened, in words. */
  what: string;
  /** Who, or the name that was typed. */
  who: string;
  isKnown: boolean;
  address: string;
  detail: string;
}
