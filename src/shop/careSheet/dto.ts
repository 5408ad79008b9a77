import type { JobFacts } from '../jobView/dto';

/** What stands on the sheet that goes home with the machine. */
export interface CareSheetView {
  shop: string;
  paper: 'A4' | 'Letter';
  today: string;
  job: JobFacts;
  found: string[];
  /** How the visit ended; a machine that was not tested goes home with that word. */
  ending: { says: string; tested: boolean };
  /** Found and not mended. */
  leftOpen: string[];
  /** Which of these the owner, asked, did not want mended, in a sentence; empty when none. */
  notWanted: string;
  ownersWord: string;
  /** Cautions that still hold back power: not to be used. */
  notToBeUsed: string[];
  /** What was seen on arrival and is told again. */
  onArrival: string[];
  /** What was done about it. */
  mended: string[];
  fitted: string[];
  proved: { label: string; text: string }[];
  advice: string;
  care: string[];
  /** Of its service: left at this visit, and why. */
  leftUndone: { label: string; why: string }[];
  /** Who does it: its people between visits, or the shop. */
  due: { label: string; dueOn: string; byYou: boolean }[];
  customerGuess: { said: string; right: boolean } | null;
}
