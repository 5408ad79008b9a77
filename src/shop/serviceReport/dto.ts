/** A report as it stands on the screen, on paper and in a file: made once, drawn three times. */
export interface ServiceReportView {
  shop: string;
  paper: 'A4' | 'Letter';
  job: number;
  tag: string;
  /** Which machine, whose, where. */
  of: string[];
  /** When, which job, hours on the meter, minutes. */
  facts: string[];
  /** It must not be used; empty when it may. */
  warning: string;
  sections: ReportSection[];
  photographs: { id: number; caption: string }[];
}

export interface ReportSection {
  title: string;
  /** Cell by cell; the first column is the narrowest when there are several. */
  rows: string[][];
}
