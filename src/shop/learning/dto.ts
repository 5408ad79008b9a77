import { ArrayMaxSize, Equals, IsArray, IsInt, IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { DeedDto } from '../deed/dto';
import { Nested } from '../nested';
import type { CalibrationBin } from '@/core/diagnosis/calibration';

/** Name of the form in every exported learning; raised when a field changes its meaning. */
export const LEARNING_FORM = 'grit-keeper/finder-learning/1';

const WHOLE = { message: 'A whole number, 0 or more.' };

export class LentFaultDto {
  @IsString()
  @Length(1, 80, { message: 'Id of a fault.' })
  fault!: string;

  @IsInt(WHOLE)
  @Min(0, WHOLE)
  @Max(1e6, WHOLE)
  confirmed!: number;
}

export class LentKindDto {
  @IsString()
  @Length(1, 80, { message: 'Id of a kind.' })
  kind!: string;

  @IsInt(WHOLE)
  @Min(0, WHOLE)
  @Max(1e6, WHOLE)
  jobs!: number;

  @IsArray({ message: 'A list of faults.' })
  @ArrayMaxSize(500, { message: 'At most 500 faults.' })
  @Nested(() => LentFaultDto, { each: true })
  faults!: LentFaultDto[];
}

/** What one shop's finder has learned, as it is handed to another. */
export class LearningBookDto {
  @Equals(LEARNING_FORM, { message: `A file of the form ${LEARNING_FORM}.` })
  form!: string;

  @IsString()
  exportedAt!: string;

  @IsString()
  @Length(1, 200, { message: 'The shop it comes from.' })
  shop!: string;

  @IsArray({ message: 'A list of kinds.' })
  @ArrayMaxSize(100, { message: 'At most 100 kinds.' })
  @Nested(() => LentKindDto, { each: true })
  kinds!: LentKindDto[];
}

const PART = { message: 'Between 0 (not at all) and 1 (as much as ours).' };

export class LendInDto extends DeedDto {
  @IsNumber({}, PART)
  @Min(0, PART)
  @Max(1, PART)
  weight!: number;

  @Nested(() => LearningBookDto, { message: 'The other shop’s exported file.' })
  book!: LearningBookDto;
}

export class WeighLentDto extends DeedDto {
  @IsInt({ message: 'Version that was seen.' })
  @Min(1)
  version!: number;

  @IsNumber({}, PART)
  @Min(0, PART)
  @Max(1, PART)
  weight!: number;
}

export interface LearningView {
  /** Forecasts behind the figures. */
  forecasts: number;
  bins: CalibrationBin[];
  /** Mean log score in bits, month by month. */
  score: { at: string; bits: number; forecasts: number }[];
  guesses: { made: number; right: number };
  kinds: {
    kind: string;
    label: string;
    jobs: number;
    lentJobs: number;
    faults: { fault: string; label: string; shipped: number; learned: number; confirmed: number }[];
  }[];
  lent: { id: number; shop: string; weight: number; jobs: number; at: string; version: number }[];
}
