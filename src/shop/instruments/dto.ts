import {
  IsBoolean,
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
import { DeedDto } from '../deed/dto';

/** An instrument of the shop, new or as it should be. */
export class PutInstrumentDto extends DeedDto {
  /** Absent for a new one. */
  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsString()
  @Length(1, 60, { message: 'What it is called: 60 characters at most.' })
  name!: string;

  @IsString()
  @Length(0, 120, { message: 'At most 120 characters.' })
  measures!: string;

  /** Standard uncertainty, per cent of the reading. */
  @IsOptional()
  @IsNumber({ maxDecimalPlaces: 3 }, { message: 'Per cent, such as 1.5.' })
  @Min(0.001, { message: 'Above nought.' })
  @Max(100, { message: 'At most 100 %.' })
  goodToPercent?: number | null;

  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A day.' })
  @IsISO8601({ strict: true }, { message: 'There is no such day.' })
  calibratedOn?: string | null;

  @IsInt({ message: 'Whole months.' })
  @Min(1, { message: 'At least a month.' })
  @Max(120, { message: 'At most ten years.' })
  everyMonths!: number;

  @IsString()
  @Length(0, 120, { message: 'At most 120 characters.' })
  certificate!: string;

  @IsString()
  @Length(0, 500, { message: 'At most 500 characters.' })
  note!: string;

  @IsBoolean()
  outOfUse!: boolean;
}

export interface InstrumentView {
  id: number;
  version: number;
  name: string;
  measures: string;
  goodToPercent: number | null;
  calibratedOn: string | null;
  everyMonths: number;
  /** When its calibration runs out; null when it never was calibrated. */
  dueOn: string | null;
  /** By today’s date in the shop. */
  state: 'good' | 'soon' | 'past' | 'never' | 'out-of-use';
  certificate: string;
  note: string;
  outOfUse: boolean;
}
