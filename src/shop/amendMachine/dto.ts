import 'reflect-metadata';
import {
  IsBoolean,
  IsInt,
  IsISO8601,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
  ValidateIf,
} from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** The machine's card as it should be, whole. */
export class AmendMachineDto extends JobDeedDto {
  @IsInt({ message: 'Choose the model.' })
  modelId!: number;

  @ValidateIf((dto: AmendMachineDto) => dto.siteId !== null)
  @IsInt()
  siteId!: number | null;

  @IsString()
  @Length(0, 60, { message: 'At most 60 characters.' })
  serial!: string;

  @ValidateIf((dto: AmendMachineDto) => dto.madeYear !== null)
  @IsInt({ message: 'A year, such as 2019.' })
  @Min(1950, { message: 'A year from 1950.' })
  @Max(2200, { message: 'A year, such as 2019.' })
  madeYear!: number | null;

  @ValidateIf((dto: AmendMachineDto) => dto.purchasedOn !== null)
  @IsISO8601({ strict: true }, { message: 'A date.' })
  @Matches(DAY, { message: 'A date.' })
  purchasedOn!: string | null;

  /** Null: computed from the purchase and the model. */
  @ValidateIf((dto: AmendMachineDto) => dto.warrantyUntil !== null)
  @IsISO8601({ strict: true }, { message: 'A date.' })
  @Matches(DAY, { message: 'A date.' })
  warrantyUntil!: string | null;

  @IsBoolean()
  pets!: boolean;

  @IsNumber({}, { message: 'Hours a week.' })
  @Min(0, { message: 'Hours a week.' })
  @Max(168, { message: 'A week has 168 hours.' })
  hoursPerWeek!: number;

  /** For the next technician; shown in every job of the machine. */
  @IsString()
  @Length(0, 4000, { message: 'At most 4000 characters.' })
  note!: string;
}

export class ChangeOwnerDto extends JobDeedDto {
  @IsInt({ message: 'Whose is it now?' })
  customerId!: number;
}

/** Makes another machine's book part of this one. */
export class MergeMachinesDto extends JobDeedDto {
  @IsString()
  @Matches(/^[A-Za-z0-9-]{3,20}$/, { message: 'The tag of the machine that goes into this one.' })
  other!: string;
}
