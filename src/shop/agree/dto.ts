import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import {
  LINE_GROUPS,
  OFFERS,
  type LineGroup,
  type OfferId,
  type OfferLine,
  type OfferPromise,
} from '@/core/agree/offers';
import { LINE_SORTS, type LineSort, type TaxRules } from '@/core/money/bill';
import type { Charges } from '@/core/money/terms';
import type { WearNow } from '@/knowledge/waysOn';
import type { School } from '@/knowledge/schools';
import { JobDeedDto } from '../jobDeed/dto';
import { Nested } from '../nested';
import { ANSWERS, ANSWER_WAYS } from '../standing/dto';
import { SchoolChoiceDto } from '../terms/dto';

const MOST_MINOR = 100_000_000;
const DAY = /^\d{4}-\d{2}-\d{2}$/;
const amount = { message: 'An amount, such as 12.50; nought to a million.' };

export class OfferLineDto implements Omit<OfferLine, 'safety'> {
  @Matches(/^[A-Za-z0-9-]{1,60}$/, { message: 'Letters, figures and dashes.' })
  id!: string;

  @IsIn(LINE_GROUPS, { message: 'Must, now, can wait or not worth it.' })
  group!: LineGroup;

  @IsIn(LINE_SORTS, { message: `One of ${LINE_SORTS.join(', ')}.` })
  sort!: LineSort;

  @IsString()
  @Length(1, 160, { message: 'What it is, 160 characters at most.' })
  label!: string;

  /** Work at the shop’s rate; null for what has a price of its own. */
  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 1 }, { message: 'Minutes, to a tenth.' })
  @Min(0)
  @Max(6000, { message: 'At most 6000 minutes.' })
  minutes!: number | null;

  @IsInt({ message: 'Thousandths of one.' })
  @Min(0)
  @Max(1_000_000, { message: 'At most a thousand of it.' })
  thousandths!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  eachMinor!: number;

  @IsInt()
  @Min(0)
  @Max(100_000, { message: 'At most all of it.' })
  off100k!: number;

  @IsOptional()
  @IsString()
  @Length(1, 60)
  fault!: string | null;

  @IsOptional()
  @IsString()
  @Length(1, 60)
  code!: string | null;

  @IsString()
  @Length(0, 300, { message: 'At most 300 characters.' })
  reason!: string;

  @IsString()
  @Length(0, 60, { message: 'At most 60 characters.' })
  until!: string;
}

export class ReplacementDto {
  /** What a comparable new machine costs, smallest units. */
  @IsOptional()
  @IsInt(amount)
  @Min(1, amount)
  @Max(MOST_MINOR, amount)
  newMinor!: number | null;

  /** What another used one costs. */
  @IsOptional()
  @IsInt(amount)
  @Min(1, amount)
  @Max(MOST_MINOR, amount)
  usedMinor!: number | null;

  /** A second weakness that was seen on the way. */
  @IsOptional()
  @IsString()
  @Length(1, 60)
  doubtFault!: string | null;

  /** How long it still lasts by what was heard or measured, months. */
  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 1 }, { message: 'Months.' })
  @Min(0.5)
  @Max(240)
  doubtMonths!: number | null;
}

/** One offer is ready on another day, or stood for longer or shorter, than the rest. */
export class OfferPromiseDto implements OfferPromise {
  @IsIn(OFFERS.map((o) => o.id))
  offer!: OfferId;

  @Matches(DAY, { message: 'A date.' })
  @IsISO8601({ strict: true }, { message: 'There is no such day.' })
  readyOn!: string;

  @IsInt({ message: 'Whole days.' })
  @Min(0, { message: 'From nought.' })
  @Max(3650, { message: 'Ten years at most.' })
  warrantyDays!: number;
}

/** What is put before the owner. The one that was made before stands in the history. */
export class MakeEstimateDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1, { message: 'Nothing is offered yet.' })
  @ArrayMaxSize(80, { message: 'Eighty lines at most.' })
  @Nested(() => OfferLineDto, { each: true })
  lines!: OfferLineDto[];

  @IsInt()
  @Min(0)
  @Max(100_000, { message: 'At most all of it.' })
  off100k!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  offMinor!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  depositMinor!: number;

  /** When it is ready, if the answer comes in time. */
  @Matches(DAY, { message: 'A date.' })
  @IsISO8601({ strict: true }, { message: 'There is no such day.' })
  readyOn!: string;

  @IsInt()
  @Min(0)
  @Max(3650)
  warrantyDays!: number;

  /** Offers that are promised otherwise. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(3)
  @Nested(() => OfferPromiseDto, { each: true })
  each?: OfferPromiseDto[];

  /** For the owner: what else is to be said, and what they asked for. */
  @IsString()
  @Length(0, 1000, { message: 'At most 1000 characters.' })
  words!: string;

  @Nested(() => ReplacementDto)
  replacement!: ReplacementDto;
}

/** What the owner said, who said it, when and in what words. */
export class RecordAnswerDto extends JobDeedDto {
  @IsIn(ANSWERS, { message: `One of ${ANSWERS.join(', ')}.` })
  says!: (typeof ANSWERS)[number];

  /** Which offer a yes is to; null when it was agreed in words only. */
  @IsOptional()
  @IsIn(['minimum', 'recommended', 'all'])
  offer?: OfferId | null;

  @IsIn(ANSWER_WAYS, { message: 'How it came.' })
  way!: (typeof ANSWER_WAYS)[number];

  @IsString()
  @Length(1, 120, { message: 'Who answered.' })
  who!: string;

  @IsString()
  @Length(0, 2000, { message: 'At most 2000 characters.' })
  words!: string;

  /** Go ahead up to this, smallest units. */
  @IsOptional()
  @IsInt(amount)
  @Min(1, amount)
  @Max(MOST_MINOR, amount)
  limitMinor?: number | null;

  @IsOptional()
  @Matches(DAY, { message: 'A date.' })
  @IsISO8601({ strict: true }, { message: 'There is no such day.' })
  askOn?: string | null;

  /** Who signed that something dangerous is left as it is. */
  @IsOptional()
  @IsString()
  @Length(0, 120)
  signed?: string;
}

/** Which schools this job follows, otherwise than the shop. */
export class ChooseSchoolsDto extends JobDeedDto {
  @IsArray()
  @ArrayMaxSize(40)
  @Nested(() => SchoolChoiceDto, { each: true })
  schools!: SchoolChoiceDto[];
}

/** A protection that failed is bridged: only with the owner’s words, and never where a rule forbids it. */
export class BridgeDto extends JobDeedDto {
  @IsString()
  @Length(1, 60)
  fault!: string;

  @IsString()
  @Length(2, 120, { message: 'Who agreed to it.' })
  who!: string;

  @IsString()
  @Length(10, 2000, { message: 'What they said, in their words: ten characters at least.' })
  words!: string;

  /** Which local rule was looked at, and what it says. */
  @IsString()
  @Length(3, 500, { message: 'Which rule was looked at: three characters at least.' })
  rule!: string;

  @IsBoolean()
  allowedHere!: boolean;

  @IsBoolean()
  labelPrinted!: boolean;
}

/** One extra job that was looked at. */
export interface ExtraView {
  fault: string;
  label: string;
  /** The chance that it is needed within a year, 0 to 1. */
  chance: number;
  /** What it costs now, with its own share of the way in; and later, by itself. */
  nowMinor: number;
  thenMinor: number;
  /** What doing it now saves on the average, less what it costs. */
  worthMinor: number;
  pays: boolean;
}

/** What would be offered, from what was found. */
export interface ProposalView {
  lines: (Omit<OfferLine, 'eachMinor'> & { eachMinor: number | null })[];
  extras: ExtraView[];
  /** What the extras that pay are worth together. */
  bundleWorthMinor: number;
  wear: WearNow[];
  /** A second weakness that was found: what it does to the worth is said first. */
  doubt: string | null;
  machineAgeYears: number | null;
  replacement: { newMinor: number | null; usedMinor: number | null };
  schools: { school: School; shop: 'a' | 'b'; job: 'a' | 'b' | null }[];
  /** The owner’s own idea and what was found instead; null when they had none. */
  ownersIdea: { label: string; right: boolean; found: string[] } | null;
  warrantyInForce: boolean;
  labourMinor: number | null;
  charges: Charges;
  taxes: TaxRules;
  currency: string;
  locale: string;
  exempt: boolean;
  readyOn: string;
}
