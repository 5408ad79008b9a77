import { IsIn, IsInt, IsOptional, IsString, Length, Matches, Max, Min } from 'class-validator';
import type { Bill } from '@/core/money/bill';
import { DeedDto } from '../deed/dto';
import { JobDeedDto } from '../jobDeed/dto';

const MOST_MINOR = 100_000_000;
const amount = { message: 'An amount, such as 12.50; above nought.' };

export const ISSUED = ['estimate', 'order', 'invoice', 'unrepaired', 'consent', 'label', 'credit'] as const;

export class IssueDocumentDto extends JobDeedDto {
  @IsIn(ISSUED, { message: `One of ${ISSUED.join(', ')}.` })
  kind!: (typeof ISSUED)[number];

  /** The invoice that a credit note takes back. */
  @IsOptional()
  @IsInt()
  @Min(1)
  corrects?: number;

  /** Why it is taken back. */
  @IsOptional()
  @IsString()
  @Length(0, 300)
  why?: string;
}

export class TakePaymentDto extends JobDeedDto {
  @IsIn(['cash', 'card', 'transfer'], { message: 'Cash, card or transfer.' })
  how!: 'cash' | 'card' | 'transfer';

  @IsInt(amount)
  @Min(1, amount)
  @Max(MOST_MINOR, amount)
  amountMinor!: number;

  /** What was handed over, for the change. */
  @IsOptional()
  @IsInt(amount)
  @Min(1, amount)
  @Max(MOST_MINOR, amount)
  givenMinor?: number | null;

  @IsOptional()
  @IsString()
  @Length(0, 200)
  note?: string;
}

export class CloseDayDto extends DeedDto {
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A date.' })
  day!: string;

  /** What lies in the drawer, without what it began with. */
  @IsInt({ message: 'An amount, such as 212.40.' })
  @Min(0)
  @Max(MOST_MINOR)
  countedMinor!: number;

  @IsString()
  @Length(0, 500)
  note!: string;
}

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
}

export interface TakingsView {
  day: string;
  currency: string;
  locale: string;
  taken: { how: string; minor: number; count: number }[];
  closed: { expectedMinor: number; countedMinor: number; note: string; at: string } | null;
}
