import { ArrayMaxSize, ArrayMinSize, IsArray, IsISO8601, IsOptional, IsString, Length, Matches } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

/** Corrects what was written down at the counter; what is not named stays. */
export class AmendJobDto extends JobDeedDto {
  @IsOptional()
  @IsString()
  @Length(0, 20000, { message: 'At most 20 000 characters.' })
  words?: string;

  @IsOptional()
  @IsArray()
  @ArrayMinSize(1, { message: 'Pick at least one complaint.' })
  @ArrayMaxSize(12, { message: 'At most 12 complaints.' })
  @IsString({ each: true })
  complaints?: string[];

  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'A date.' })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'A date.' })
  promisedOn?: string;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(30, { message: 'At most 30 things.' })
  @IsString({ each: true })
  @Length(1, 80, { each: true, message: 'At most 80 characters each.' })
  accessories?: string[];

  @IsOptional()
  @IsString()
  @Length(0, 1000, { message: 'At most 1000 characters.' })
  pickedUp?: string;
}
