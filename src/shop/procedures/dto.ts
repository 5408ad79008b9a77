import 'reflect-metadata';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import type { Change } from '@/core/strip/changed';
import { DeedDto } from '../deed/dto';
import { JobDeedDto } from '../jobDeed/dto';
import { Nested } from '../nested';
import type { StepView } from '../jobView/dto';

/** How long a step takes on a model: the median between two presses, and how many stand behind it. */
export interface StepTime {
  step: string;
  minutes: number;
  presses: number;
}

export const PROCEDURE_FORM = 'grit-keeper/procedure/1';
const LIES = ['standing', 'back', 'side', 'upside-down'] as const;
const STEP = /^[a-z][a-z0-9-]{1,59}$/;

export class FastenerDto {
  @IsInt()
  @Min(1)
  @Max(99)
  count!: number;

  @IsString()
  @Length(1, 40)
  what!: string;

  @IsString()
  @Length(0, 20)
  drive!: string;

  @IsOptional()
  @IsIn(['short', 'medium', 'long'], { message: 'Short, medium or long.' })
  length?: 'short' | 'medium' | 'long';

  @IsOptional()
  @IsIn([true])
  leftHand?: true;

  @IsOptional()
  @IsString()
  @Length(1, 40)
  shape?: string;

  @IsOptional()
  @IsIn([true])
  hidden?: true;

  @IsString()
  @Length(1, 120)
  where!: string;
}

/** One change, as the file has it; which of its fields are asked for follows from its sort. */
export class ChangeDto {
  @IsIn(['drop', 'note', 'fasteners', 'move', 'add'], { message: 'Drop, note, fasteners, move or add.' })
  sort!: Change['sort'];

  @Matches(STEP, { message: 'The id of a step: small letters, digits and dashes.' })
  step!: string;

  @IsOptional()
  @IsString()
  @Length(1, 500)
  text?: string;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @Nested(() => FastenerDto)
  fasteners?: FastenerDto[];

  @IsOptional()
  @Matches(STEP, { message: 'The id of a step: small letters, digits and dashes.' })
  after?: string;

  @IsOptional()
  @IsString()
  @Length(1, 200)
  label?: string;

  @IsOptional()
  @IsIn(LIES, { message: `One of ${LIES.join(', ')}.` })
  lie?: (typeof LIES)[number];

  @IsOptional()
  @IsString()
  @Length(0, 40)
  tool?: string;

  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 2 })
  @Min(0.05)
  @Max(240)
  minutes?: number;

  @IsOptional()
  @IsString()
  @Length(1, 200)
  back?: string;

  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 2 })
  @Min(0.05)
  @Max(240)
  backMinutes?: number;
}

/** The whole of how a model differs, as it should be from now on. */
export class PutProcedureDto extends DeedDto {
  /** The version that was looked at; 0 when there was none. */
  @IsInt()
  @Min(0)
  version!: number;

  @IsArray()
  @ArrayMaxSize(200, { message: 'At most 200 changes.' })
  @Nested(() => ChangeDto)
  changes!: ChangeDto[];

  @IsString()
  @Length(0, 300, { message: 'At most 300 characters.' })
  why!: string;
}

const REMEMBERED = ['drop', 'note', 'count', 'move', 'add', 'photograph', 'as-its-kind'] as const;

/** One press on a step: this model is like that. */
export class RememberStepDto extends JobDeedDto {
  @Matches(STEP, { message: 'The id of a step.' })
  step!: string;

  /** As its kind: what was remembered of the step is forgotten. */
  @IsIn(REMEMBERED, { message: `One of ${REMEMBERED.join(', ')}.` })
  sort!: (typeof REMEMBERED)[number];

  @IsOptional()
  @IsString()
  @Length(1, 500, { message: 'From 1 to 500 characters.' })
  text?: string;

  /** How many there are of each sort of loose piece, in the order of the step. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(99, { each: true })
  counts?: number[];

  /** How long each sort is, in the same order; empty where it does not matter. As before, when absent. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @IsIn(['', 'short', 'medium', 'long'], { each: true, message: 'Short, medium, long, or empty.' })
  lengths?: ('' | 'short' | 'medium' | 'long')[];

  /** Move: the step that it comes after. */
  @IsOptional()
  @Matches(STEP, { message: 'The id of a step.' })
  after?: string;

  /** Add: what is done there, after `step`. */
  @IsOptional()
  @IsString()
  @Length(3, 200, { message: 'What is done: 3 to 200 characters.' })
  label?: string;

  @IsOptional()
  @IsString()
  @Length(0, 40, { message: 'At most 40 characters.' })
  tool?: string;

  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 2 }, { message: 'Minutes.' })
  @Min(0.05, { message: 'Above nought.' })
  @Max(240, { message: 'At most 240 minutes.' })
  minutes?: number;

  /** Add: what is done on the way back. */
  @IsOptional()
  @IsString()
  @Length(3, 200, { message: 'What is done on the way back: 3 to 200 characters.' })
  back?: string;

  /** One of the job that shows it. */
  @IsOptional()
  @IsInt()
  photograph?: number;
}

/** A model’s procedure: what changes, and the steps that come of it. */
export interface ProcedureBook {
  form: typeof PROCEDURE_FORM;
  kind: string;
  model: { id: number; maker: string; name: string } | null;
  version: number;
  /** Who wrote this version, when and why; empty for the kind’s own. */
  by: string;
  at: string | null;
  why: string;
  /** Every version that was written, newest first. */
  versions: { version: number; by: string; at: string; why: string; changes: number }[];
  changes: Change[];
  /** Changes that fit nothing any more, by their number. */
  problems: { change: number; message: string }[];
  steps: (Omit<StepView, 'pressed'> & {
    needs: string[];
    back: { label: string; minutes: number; checks: string[]; trial: string };
  })[];
}
