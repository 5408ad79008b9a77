import { IsIn, IsInt, IsOptional, IsString, Length, Matches, Min } from 'class-validator';
import type { DueBy } from '@/core/service/planDue';
import { DeedDto } from '../deed/dto';
import { JobDeedDto } from '../jobDeed/dto';

/** What a letter can name: the owner, what falls due machine by machine, the shop and its telephone, the day. */
export const LETTER_FIELDS = ['owner', 'machines', 'shop', 'phone', 'date'] as const;

export class AmendLettersDto extends JobDeedDto {
  @Matches(/^[^\r\n]{1,200}$/, { message: 'One line, 200 characters at most.' })
  subject!: string;

  @IsString()
  @Length(1, 5000, { message: 'Some words, 5,000 characters at most.' })
  words!: string;
}

export interface LettersView {
  version: number;
  subject: string;
  words: string;
  fields: string[];
}

/** What a customer answered: the day on which somebody comes; none takes it back. */
export class AgreeVisitDto extends JobDeedDto {
  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A day.' })
  day?: string | null;

  @IsString()
  @Length(0, 500, { message: 'At most 500 characters.' })
  words!: string;
}

/** A part that is likely wanted for what falls due. */
export interface PartWanted {
  code: string;
  label: string;
  /** On the average, and between what with four chances in five. */
  expected: number;
  low: number;
  high: number;
  stock: number;
  /** For how many services. */
  services: number;
}

export interface PartsWanted {
  until: string;
  parts: PartWanted[];
  /** Of what fell due lately, the share that was done: nobody comes for all of it. */
  doneShare: number;
}

export class RenewFeedDto extends DeedDto {
  @IsIn(['shop', 'customer', 'person'], { message: 'Of the shop, of one customer, or of one’s own jobs.' })
  scope!: 'shop' | 'customer' | 'person';

  @IsOptional()
  @IsInt()
  @Min(1)
  customer?: number | null;
}

export interface RenewedFeed {
  /** Of the calendar, from the server’s own address on; shown once. */
  path: string;
}

/** A letter about what falls due. */
export class SendDueDto extends JobDeedDto {
  @Matches(/^[^\r\n]{1,200}$/, { message: 'One line, 200 characters at most.' })
  subject!: string;

  @IsString()
  @Length(1, 10_000, { message: 'Some words, 10,000 characters at most.' })
  words!: string;
}

export interface DueLine {
  machine: number;
  tag: string;
  model: string;
  kind: string;
  site: string | null;
  item: string;
  label: string;
  dueOn: string;
  /** Between these, as far as is known; the later one null when it may never come. */
  early: string | null;
  late: string | null;
  by: DueBy;
  lastDoneOn: string | null;
  /** Days past due; below nought for days to come. */
  pastDays: number;
  /** What another week costs on the average, smallest units; null where nobody knows its life. */
  weekMinor: number | null;
  openJob: number | null;
}

export interface RoundGroup {
  customer: {
    id: number;
    name: string;
    phone: string;
    email: string;
    business: boolean;
    noLetters: boolean;
    visitOn: string | null;
    visitWords: string;
  };
  lines: DueLine[];
  /** Of all its lines together, smallest units. */
  weekMinor: number;
}

export interface RoundsView {
  today: string;
  until: string;
  groups: RoundGroup[];
  /** Where the next page begins; null at the end. */
  after: string | null;
  currency: string;
  /** The shop’s words for a letter, with their fields. */
  letter: { subject: string; words: string; shop: string; phone: string };
  locale: string;
}

/** What of the rounds is asked for. */
export interface RoundsAsked {
  /** Days ahead. */
  ahead: number;
  kind?: string;
  customer?: number;
  site?: number;
  /** By the day, or by what another week costs. */
  order?: 'day' | 'cost';
  /** The day, or the cost, and the machine with which the page before ended. */
  after?: { due: string; machine: number };
}
