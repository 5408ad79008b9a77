import 'reflect-metadata';
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
  ValidateIf,
} from 'class-validator';
import { DeedDto } from '../deed/dto';
import { SUPPLY_VOLTS } from '@/core/units/supplyVolts';
import { Nested } from '../nested';

export class NewCustomerDto {
  @IsString()
  @Length(1, 200, { message: 'The customer’s name.' })
  name!: string;

  @IsIn(['household', 'business'])
  kind!: 'household' | 'business';

  @IsString()
  @Length(0, 40, { message: 'At most 40 characters.' })
  phone!: string;

  @IsString()
  @Length(0, 200)
  email!: string;

  @IsString()
  @Length(0, 400)
  address!: string;

  /** What holds for every job of theirs, such as "ring before nine". */
  @IsOptional()
  @IsString()
  @Length(0, 4000)
  standing?: string;
}

/** Something seen on a part on arrival, marked on the line board. */
export class ConditionMarkDto {
  @IsString()
  station!: string;

  @IsString()
  @Length(1, 200, { message: 'What is seen there, 200 characters at most.' })
  text!: string;
}

/** A model that is in no list yet, as its plate says; by anybody at the counter. */
export class NewModelDto {
  @IsString()
  @Length(1, 80, { message: 'Who made it, as the plate says.' })
  maker!: string;

  @IsString()
  @Length(1, 80, { message: 'What it is called, as the plate says.' })
  name!: string;

  @IsString()
  @Length(1, 80, { message: 'Which kind of machine is it?' })
  kind!: string;

  /** Of the mains, or of its pack or batteries; the shop's own mains when absent. */
  @IsOptional()
  @IsIn(SUPPLY_VOLTS, { message: 'The volts on its plate: 100 to 240 of the mains, 12 to 48 of a pack.' })
  mainsV?: number;
}

export class NewMachineDto {
  /** Of the list; or a new model. */
  @ValidateIf((dto: NewMachineDto) => !dto.newModel)
  @IsInt({ message: 'Choose the model, or add it.' })
  modelId?: number;

  @IsOptional()
  @Nested(() => NewModelDto)
  newModel?: NewModelDto;

  @IsString()
  @Length(0, 60, { message: 'At most 60 characters.' })
  serial!: string;

  @IsOptional()
  @IsInt({ message: 'A year, such as 2019.' })
  @Min(1950, { message: 'A year from 1950.' })
  @Max(2200)
  madeYear?: number;

  @IsBoolean()
  pets!: boolean;

  @IsNumber({}, { message: 'Hours a week.' })
  @Min(0)
  @Max(168, { message: 'A week has 168 hours.' })
  hoursPerWeek!: number;

  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A date.' })
  @IsISO8601({ strict: true }, { message: 'A date.' })
  purchasedOn?: string;

  @IsOptional()
  @IsInt()
  siteId?: number;
}

/** A machine over the counter: known or new, of a customer known or new. */
export class TakeInDto extends DeedDto {
  @IsOptional()
  @IsInt()
  machineId?: number;

  @IsOptional()
  @Nested(() => NewMachineDto)
  newMachine?: NewMachineDto;

  @IsOptional()
  @IsInt()
  customerId?: number;

  @IsOptional()
  @Nested(() => NewCustomerDto)
  newCustomer?: NewCustomerDto;

  /** Also for a known machine: it was asked at the counter and was not known before. */
  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A date.' })
  @IsISO8601({ strict: true }, { message: 'A date.' })
  purchasedOn?: string;

  @IsString()
  @Length(0, 20000, { message: 'At most 20 000 characters.' })
  words!: string;

  /** Why it is here when nothing is wrong with it. */
  @IsOptional()
  @IsIn(['', 'service', 'height', 'new-part', 'before-sale'], { message: 'A reason for the visit.' })
  visit?: '' | 'service' | 'height' | 'new-part' | 'before-sale';

  @ValidateIf((dto: TakeInDto) => !dto.visit || dto.complaints?.length > 0)
  @IsArray()
  @ArrayMinSize(1, { message: 'Pick at least one complaint, or a reason for the visit.' })
  @ArrayMaxSize(12, { message: 'At most 12 complaints.' })
  @IsString({ each: true })
  complaints!: string[];

  @IsOptional()
  @IsString()
  customerDiagnosis?: string;

  @IsBoolean()
  openedBefore!: boolean;

  /** By whom it was opened. */
  @IsOptional()
  @IsString()
  @Length(0, 200, { message: 'At most 200 characters.' })
  openedBy?: string;

  /** What it picked up last. */
  @IsOptional()
  @IsString()
  @Length(0, 1000, { message: 'At most 1000 characters.' })
  pickedUp?: string;

  @IsOptional()
  @IsIn(['not-asked', 'no', 'yes', 'unknown'])
  everWet?: 'not-asked' | 'no' | 'yes' | 'unknown';

  /** What was left with it. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(30, { message: 'At most 30 things.' })
  @IsString({ each: true })
  @Length(1, 80, { each: true, message: 'At most 80 characters each.' })
  accessories?: string[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40, { message: 'At most 40 marks.' })
  @Nested(() => ConditionMarkDto, { each: true })
  marks?: ConditionMarkDto[];

  /** Photographs sent before, by their numbers. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40, { message: 'At most 40 photographs.' })
  @IsInt({ each: true })
  photographs?: number[];

  /** Hours on the machine's own meter. */
  @IsOptional()
  @IsNumber({}, { message: 'Hours on the meter.' })
  @Min(0)
  @Max(9_999_999, { message: 'Hours on the meter.' })
  meterHours?: number;

  /** What the owner chose when the machine is under warranty. */
  @IsOptional()
  @IsIn(['none', 'repair-here', 'authorised'], { message: 'Repair here, or to the authorised shop.' })
  warrantyChoice?: 'none' | 'repair-here' | 'authorised';

  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  arrivalSigns!: string[];

  @IsISO8601({ strict: true }, { message: 'A date.' })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A date.' })
  promisedOn!: string;
}
