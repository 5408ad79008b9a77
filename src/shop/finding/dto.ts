import 'reflect-metadata';
import type { Assessment } from '@/core/diagnosis/assessment';
import { SUPPLY_VOLTS } from '@/core/units/supplyVolts';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateIf,
} from 'class-validator';
import { Nested } from '../nested';

/** One finding: either an outcome by id, or a reading with its unit. */
export class FindingDto {
  @IsString()
  @Length(1, 80)
  check!: string;

  @ValidateIf((f: FindingDto) => f.value === undefined)
  @IsString({ message: 'An outcome, or a value with its unit.' })
  outcome?: string;

  @ValidateIf((f: FindingDto) => f.outcome === undefined)
  @IsNumber({}, { message: 'A number.' })
  value?: number;

  @ValidateIf((f: FindingDto) => f.outcome === undefined)
  @IsString({ message: 'The unit of the value.' })
  unit?: string;

  @IsOptional()
  @IsString()
  @Length(1, 40)
  condition?: string;
}

export class FindingRequestDto {
  @IsString()
  kind!: string;

  @IsIn(SUPPLY_VOLTS, { message: `One of ${SUPPLY_VOLTS.join(', ')} V.` })
  mainsV!: number;

  @IsOptional()
  @IsBoolean()
  openedBefore?: boolean;

  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  complaints!: string[];

  @IsArray()
  @ArrayMaxSize(120)
  @Nested(() => FindingDto, { each: true })
  findings!: FindingDto[];

  /** Cautions cleared by somebody’s name, such as `wet-signs`. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  cleared?: string[];

  @IsOptional()
  @IsNumber()
  @Min(0)
  @Max(200)
  ageYears?: number;

  /** Faults of parts that were made new lately, such as `belt-slipping` after a new belt. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(100)
  @IsString({ each: true })
  madeNew?: string[];

  /** Model of the shop's own list, to lean on its own jobs. */
  @IsOptional()
  @IsInt()
  modelId?: number;
}

export class EvidenceDto {
  @IsString()
  finding!: string;
  @IsNumber()
  logOdds!: number;
}

export class FaultOddsDto {
  @IsString()
  id!: string;
  @IsNumber()
  probability!: number;
  /** For a danger while its caution is in force: its odds as if nothing else showed its signs. */
  @IsOptional()
  @IsNumber()
  atLeast?: number;
  @IsNumber()
  prior!: number;
  @IsBoolean()
  proved!: boolean;
  @IsBoolean()
  suspect!: boolean;
  @Nested(() => EvidenceDto, { each: true })
  evidence!: EvidenceDto[];
}

export class ExplanationDto {
  @IsString({ each: true })
  faults!: string[];
  @IsNumber()
  probability!: number;
}

export class LeadDto {
  @IsString({ each: true })
  outcomes!: string[];
  @IsNumber()
  probability!: number;
  @IsOptional()
  @IsString()
  topFault!: string | null;
  @IsNumber()
  topProbability!: number;
  /** The answer speaks against the fault: it is less likely then than now. */
  @IsOptional()
  @IsBoolean()
  falls?: true;
  /** Expected minutes from this answer to the machine repaired. */
  @IsNumber()
  minutesToGo!: number;
  /** The best step after this answer. */
  @IsOptional()
  @IsString()
  then?: string;
}

export class NextActionDto {
  @IsString()
  check!: string;
  @IsNumber()
  minutes!: number;
  @IsNumber()
  openingMinutes!: number;
  @IsNumber()
  saving!: number;
  /** Expected minutes to the machine repaired when this is done next. */
  @IsNumber()
  total!: number;
  /** Minutes that its answer alone is expected to save. */
  @IsNumber()
  informs!: number;
  /** Worth the same as the first. */
  @IsBoolean()
  asGood!: boolean;
  @Nested(() => LeadDto, { each: true })
  why!: LeadDto[];
  @IsString({ each: true })
  heldBackBy!: string[];
}

export class BasisDto {
  @IsIn(['exact', 'sampled'])
  method!: 'exact' | 'sampled';
  @IsNumber()
  standardError!: number;
  /** Share of the probability that the listed explanations were chosen from. */
  @IsNumber()
  covered!: number;
  /** Finished jobs of the kind, and of the model, on which the priors stand beside the shipped figures. */
  @IsInt()
  kindJobs!: number;
  @IsInt()
  modelJobs!: number;
}

export class ReadAsDto {
  @IsString()
  outcome!: string;
  @IsNumber()
  probability!: number;
}

export class ReadingOddsDto {
  @IsString()
  check!: string;
  @IsOptional()
  @IsString()
  condition?: string;
  @IsNumber()
  value!: number;
  @Nested(() => ReadAsDto, { each: true })
  readAs!: ReadAsDto[];
}

export class ExplainedDto {
  @IsString()
  complaint!: string;
  /** Proved faults that account for it. */
  @IsString({ each: true })
  by!: string[];
  /** How likely it is gone when they are repaired, 0 to 1. */
  @IsNumber()
  gone!: number;
}

export class FindingAnswerDto {
  @Nested(() => FaultOddsDto, { each: true })
  faults!: FaultOddsDto[];
  @Nested(() => ExplanationDto, { each: true })
  explanations!: ExplanationDto[];
  @Nested(() => NextActionDto, { each: true })
  next!: NextActionDto[];
  @Nested(() => ReadingOddsDto, { each: true })
  readings!: ReadingOddsDto[];
  @IsString({ each: true })
  proved!: string[];
  @Nested(() => ExplainedDto, { each: true })
  explained!: ExplainedDto[];
  /** Proved faults that account for all complaints; empty while some complaint has none but a symptom. */
  @IsString({ each: true })
  causes!: string[];
  @IsBoolean()
  finished!: boolean;
  @IsNumber()
  minutesSpent!: number;
  @IsNumber()
  minutesToGo!: number;
  @IsString({ each: true })
  cautions!: string[];
  @Nested(() => BasisDto)
  basis!: BasisDto;
}

/** The odds as they stand, with how many of the shop's own jobs stand behind them. */
export type AssessmentView = Omit<Assessment, 'basis'> & {
  basis: Assessment['basis'] & { kindJobs: number; modelJobs: number };
};

/** The odds of one job. */
export interface OddsView {
  /** Of what they depend on (`JobFacts.oddsKey`). */
  key: string;
  /** Null when the findings cannot all be true: `problem` says so. */
  assessment: AssessmentView | null;
  problem: string | null;
}
