import type { JobFacts } from '../jobView/dto';

export interface JobSheetView {
  shop: string;
  paper: 'A4' | 'Letter';
  job: JobFacts;
  bar: string;
  /** Marks with the part's own name. */
  marks: { part: string; text: string }[];
}
