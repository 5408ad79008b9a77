import { IsIn, IsNumber, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class RecordProofDto extends JobDeedDto {
  @IsString()
  item!: string;

  @IsIn(['pass', 'fail'])
  result!: 'pass' | 'fail';

  @IsOptional()
  @IsNumber({}, { message: 'A number.' })
  @Min(0)
  @Max(100000)
  before?: number;

  @IsOptional()
  @IsNumber({}, { message: 'A number.' })
  @Min(0)
  @Max(100000)
  after?: number;

  @IsString()
  @Length(0, 500)
  note!: string;

  /** By which rules an electrical check was made. */
  @IsOptional()
  @IsString()
  @Length(0, 200)
  rules?: string;

  /** What was read: earth, insulation, touch current. */
  @IsOptional()
  @IsString()
  @Length(0, 500)
  readings?: string;

  /** Who made it. */
  @IsOptional()
  @IsString()
  @Length(0, 120)
  tester?: string;
}
