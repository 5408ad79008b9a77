import 'reflect-metadata';
import { SUPPLY_VOLTS } from '@/core/units/supplyVolts';
import {
  ArrayMaxSize,
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
import { DeedDto } from '../deed/dto';
import { Nested } from '../nested';
import { IntervalDto } from '../plans/dto';

export class AddedStationDto {
  @IsIn(['power', 'drive', 'air', 'water', 'traction', 'frame'], { message: 'A line of the board.' })
  line!: string;

  @IsString()
  after!: string;

  @IsString()
  @Matches(/^[a-z][a-z0-9-]{1,39}$/, { message: 'Small letters, digits and dashes.' })
  id!: string;

  @IsString()
  @Length(1, 40, { message: 'What the part is called.' })
  label!: string;
}

/** Another model of the list that is the same as this one. */
export class MergeModelsDto extends DeedDto {
  @IsInt()
  @Min(1)
  version!: number;

  @IsInt({ message: 'Choose the other model.' })
  other!: number;
}

/** The maker's interval of one item, by the plate or the papers. */
export class PlateDto extends IntervalDto {
  @IsString()
  item!: string;
}

/** A model of the shop's own list, new or as it should be. */
export class PutModelDto extends DeedDto {
  /** Absent for a new model. */
  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsString()
  @Length(1, 80, { message: 'Who made it.' })
  maker!: string;

  @IsString()
  @Length(1, 80, { message: 'What it is called.' })
  name!: string;

  @IsString()
  @Length(1, 80, { message: 'Choose the kind.' })
  kind!: string;

  @IsIn(SUPPLY_VOLTS, { message: 'A mains voltage of 100 to 240 V, or that of a pack: 12 to 48 V.' })
  mainsV!: number;

  @IsInt({ message: 'Whole months; 0 for none.' })
  @Min(0, { message: 'Whole months; 0 for none.' })
  @Max(240, { message: 'At most 240 months.' })
  warrantyMonths!: number;

  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, 120, { each: true, message: 'At most 120 characters each.' })
  belts!: string[];

  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, 120, { each: true, message: 'At most 120 characters each.' })
  bearings!: string[];

  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, 120, { each: true, message: 'At most 120 characters each.' })
  filters!: string[];

  @IsArray()
  @ArrayMaxSize(60)
  @IsString({ each: true })
  droppedStations!: string[];

  @IsArray()
  @ArrayMaxSize(20, { message: 'At most 20 added stations.' })
  @Nested(() => AddedStationDto, { each: true })
  addedStations!: AddedStationDto[];

  @IsString()
  @Length(0, 2000, { message: 'At most 2000 characters.' })
  note!: string;

  /** What its plate or its papers say of its service; as it was, when absent. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @Nested(() => PlateDto, { each: true })
  plates?: PlateDto[];

  /** Its batteries are closed; null when nobody knows, as it was when absent. */
  @IsOptional()
  @IsBoolean()
  sealedBattery?: boolean | null;
}

export interface ModelView {
  id: number;
  version: number;
  maker: string;
  name: string;
  kind: string;
  mainsV: number;
  warrantyMonths: number;
  belts: string[];
  bearings: string[];
  filters: string[];
  droppedStations: string[];
  addedStations: { line: string; after: string; id: string; label: string }[];
  note: string;
  plates: { item: string; days: number | null; hours: number | null; uses: number | null }[];
  sealedBattery: boolean | null;
  machines: number;
}
