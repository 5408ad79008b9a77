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
}
