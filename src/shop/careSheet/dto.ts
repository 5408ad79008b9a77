import type { JobFacts } from '../jobView/dto';

/** What stands on the sheet that goes home with the machine. */
export interface CareSheetView {
  shop: string;
  paper: 'A4' | 'Letter';
  today: string;
  job: JobFacts;
  found: string[];
  fitted: string[];
  proved: { label: string; text: string }[];
  advice: string;
  care: string[];
  due: { label: string; dueOn: string }[];
  customerGuess: { said: string; right: boolean } | null;
}
