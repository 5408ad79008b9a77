import type { Bill } from '@/core/money/bill';

/** A paper as it was given: everything on it, so that it can be shown again as it was. */
export interface PaperContent {
  kind: string;
  title: string;
  shop: {
    name: string;
    address: string;
    phone: string;
    taxNumber: string;
    iban: string;
    bic: string;
    country: string;
    footer: string;
  };
  customer: { name: string; address: string; business: boolean; exempt: boolean };
  machine: { tag: string; maker: string; model: string; serial: string };
  job: number;
  /** Calendar date in the shop's zone. */
  date: string;
  locale: string;
  currency: string;
  said: { title: string; texts: string[] }[];
  /** Photographs of what was found; absent of papers of before they could be shown. */
  pictures?: { id: number; caption: string }[];
  /** Offers side by side; one for everything else. */
  columns: string[];
  groups: { title: string; rows: { label: string; detail: string; minor: (number | null)[] }[] }[];
  totals: { label: string; minor: number[]; strong: boolean }[];
  terms: string[];
  /** What somebody signs, and in which words. */
  signs: { text: string; danger: boolean }[];
  /** What stands in a box of its own. */
  box: { title: string; texts: string[] } | null;
  /** For files: what was billed; absent where nothing is. */
  bill: { lines: { label: string; sort: string; thousandths: number; eachMinor: number }[]; bill: Bill } | null;
  pay: { dueOn: string; minor: number; paidMinor: number } | null;
}

export interface PaperView {
  id: number;
  name: string;
  content: PaperContent;
  paper: 'A4' | 'Letter';
  corrects: string | null;
  correctedBy: string | null;
  /** EPC069-12, as SVG; null where it cannot be paid so. */
  qr: string | null;
  /** Those of its photographs that may be seen still. */
  pictures: { id: number; caption: string }[];
}

/** A paper with what is drawn into its file. */
export interface PaperOrder {
  view: PaperView;
  pictures: { caption: string; jpegBase64: string }[];
}

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
