import 'reflect-metadata';
import { Type } from 'class-transformer';
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
  IsUUID,
  Length,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';

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
}

export class NewMachineDto {
  @IsInt({ message: 'Choose the model.' })
  modelId!: number;

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
}

/** A machine over the counter: known or new, of a customer known or new. */
export class TakeInDto {
  @IsUUID(undefined, { message: 'A UUID chosen by the sender.' })
  key!: string;

  @IsOptional()
  @IsInt()
  machineId?: number;

  @IsOptional()
  @ValidateNested()
  @Type(() => NewMachineDto)
  newMachine?: NewMachineDto;

  @IsOptional()
  @IsInt()
  customerId?: number;

  @IsOptional()
  @ValidateNested()
  @Type(() => NewCustomerDto)
  newCustomer?: NewCustomerDto;

  @IsString()
  @Length(0, 20000, { message: 'At most 20 000 characters.' })
  words!: string;

  @IsArray()
  @ArrayMinSize(1, { message: 'Pick at least one complaint.' })
  @ArrayMaxSize(12, { message: 'At most 12 complaints.' })
  @IsString({ each: true })
  complaints!: string[];

  @IsOptional()
  @IsString()
  customerDiagnosis?: string;

  @IsBoolean()
  openedBefore!: boolean;

  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  arrivalSigns!: string[];

  @IsISO8601({ strict: true }, { message: 'A date.' })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A date.' })
  promisedOn!: string;
}
