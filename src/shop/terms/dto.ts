import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { LINE_SORTS, type LineSort, type TaxRules } from '@/core/money/bill';
import type { Rounding } from '@/core/money/rounded';
import type { Charges } from '@/core/money/terms';
import { OWNERS_PHRASES, type OwnersPhrase, type OwnersWords } from '@/knowledge/ownersPhrases';
import type { SchoolChoices } from '@/knowledge/schools';
import { JobDeedDto } from '../jobDeed/dto';
import { Nested } from '../nested';

const MOST_MINOR = 100_000_000;
const amount = { message: 'Whole smallest units, nought to a hundred million.' };

export class ChargesDto implements Charges {
  @IsInt({ message: 'Whole minutes.' })
  @Min(1, { message: 'At least 1.' })
  @Max(60, { message: 'At most 60.' })
  stepMinutes!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  diagnosisMinor!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  leastMinor!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  materialsMinor!: number;

  @IsInt(amount)
  @Min(0, amount)
  @Max(MOST_MINOR, amount)
  callOutMinor!: number;

  @IsInt({ message: 'Hundred-thousandths.' })
  @Min(0)
  @Max(100_000, { message: 'At most all of it.' })
  deposit100k!: number;

  @IsInt()
  @Min(0)
  @Max(3650, { message: 'At most ten years.' })
  warrantyDays!: number;

  @IsInt()
  @Min(1)
  @Max(365, { message: 'At most a year.' })
  offerDays!: number;

  @IsInt()
  @Min(1)
  @Max(60, { message: 'At most 60 days.' })
  askAgainDays!: number;
}

export class TaxDto {
  @Matches(/^[a-z0-9-]{1,20}$/, { message: 'Small letters, figures and dashes.' })
  id!: string;

  @IsString()
  @Length(1, 40, { message: 'Its name on paper, 40 characters at most.' })
  label!: string;

  @IsInt({ message: 'Hundred-thousandths: 8.875 % is 8875.' })
  @Min(0)
  @Max(100_000, { message: 'At most 100 %.' })
  per100k!: number;

  @IsArray()
  @ArrayMinSize(1, { message: 'It is on something.' })
  @IsIn(LINE_SORTS, { each: true, message: `On ${LINE_SORTS.join(', ')}.` })
  on!: LineSort[];
}

export class TaxRulesDto implements TaxRules {
  @IsArray()
  @ArrayMaxSize(6, { message: 'Six taxes at most.' })
  @Nested(() => TaxDto, { each: true })
  taxes!: TaxDto[];

  @IsBoolean()
  included!: boolean;

  @IsBoolean()
  perLine!: boolean;

  @IsIn(['half-even', 'half-up'])
  rounding!: Rounding;
}

export class LetterheadDto {
  @IsString()
  @Length(0, 300)
  address!: string;

  @IsString()
  @Length(0, 60)
  phone!: string;

  @IsString()
  @Length(0, 60)
  taxNumber!: string;

  /** ISO 13616. */
  @Matches(/^([A-Z]{2}\d{2}[A-Z0-9]{11,30})?$/, { message: 'An IBAN without spaces, or nothing.' })
  iban!: string;

  @Matches(/^([A-Z]{6}[A-Z0-9]{2}([A-Z0-9]{3})?)?$/, { message: 'A BIC of 8 or 11 characters, or nothing.' })
  bic!: string;

  /** ISO 3166-1, for files. */
  @Matches(/^([A-Z]{2})?$/, { message: 'Two letters, or nothing.' })
  country!: string;

  @IsInt()
  @Min(0)
  @Max(120)
  payDays!: number;

  @IsString()
  @Length(0, 300)
  footer!: string;
}

/** What is charged and taxed, and what stands at the head of every paper. */
export class AmendTermsDto extends JobDeedDto {
  @IsString()
  @Length(2, 35)
  locale!: string;

  @Matches(/^[A-Z]{3}$/, { message: 'Three letters, such as EUR.' })
  currency!: string;

  @IsOptional()
  @IsInt({ message: 'Whole smallest units.' })
  @Min(1)
  @Max(MOST_MINOR)
  labourMinor?: number | null;

  @IsBoolean()
  agreeFirst!: boolean;

  @Nested(() => ChargesDto)
  charges!: ChargesDto;

  @Nested(() => TaxRulesDto)
  taxes!: TaxRulesDto;

  @Nested(() => LetterheadDto)
  letterhead!: LetterheadDto;
}

export class SchoolChoiceDto {
  @Matches(/^[a-z0-9-]{1,40}$/, { message: 'A question by its name.' })
  id!: string;

  @IsIn(['a', 'b'], { message: 'a or b.' })
  side!: 'a' | 'b';
}

/** Which side is taken where good practitioners differ. */
export class AmendSchoolsDto extends JobDeedDto {
  @IsArray()
  @ArrayMaxSize(40)
  @Nested(() => SchoolChoiceDto, { each: true })
  schools!: SchoolChoiceDto[];
}

export class PhraseDto {
  @IsIn(Object.keys(OWNERS_PHRASES), { message: 'There is no such phrase.' })
  id!: OwnersPhrase;

  @IsString()
  @Length(0, 300, { message: 'At most 300 characters.' })
  text!: string;
}

/** What owners are told in one language. */
export class AmendPhrasesDto extends JobDeedDto {
  @Matches(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/, { message: 'A language such as nb.' })
  @Length(2, 35)
  language!: string;

  @IsArray()
  @ArrayMaxSize(60)
  @Nested(() => PhraseDto, { each: true })
  phrases!: PhraseDto[];
}

export interface TermsView {
  version: number;
  locale: string;
  currency: string;
  labourMinor: number | null;
  agreeFirst: boolean;
  charges: Charges;
  taxes: TaxRules;
  letterhead: Letterhead;
  schools: SchoolChoices;
  /** Language → what was written in it. */
  phrases: Record<string, Partial<OwnersWords>>;
}

export type Letterhead = Omit<LetterheadDto, never>;
