import { IsIn, IsInt, IsOptional, IsString, Length, Matches, Max, Min } from 'class-validator';
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

export interface TakingsView {
  day: string;
  currency: string;
  locale: string;
  taken: { how: string; minor: number; count: number }[];
  closed: { expectedMinor: number; countedMinor: number; note: string; at: string } | null;
}

/** Papers that were given, newest first. */
export interface DocumentsView {
  documents: {
    id: number;
    name: string;
    kind: string;
    job: number;
    tag: string;
    customer: string;
    totalMinor: number;
    currency: string;
    at: string;
    isCorrected: boolean;
  }[];
  /** The next page begins before this one; null at the end. */
  before: number | null;
  locale: string;
}
