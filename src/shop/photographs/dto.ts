import { ArrayMaxSize, ArrayMinSize, IsArray, IsInt, IsOptional, IsString, Length, Matches } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

/** Photographs that were sent before, given to a job. */
export class AddPhotographsDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1, { message: 'Which photographs?' })
  @ArrayMaxSize(40, { message: 'At most 40 at once.' })
  @IsInt({ each: true })
  photographs!: number[];

  @IsString()
  @Length(0, 300, { message: 'At most 300 characters.' })
  caption!: string;

  /** What it shows: a step of the way in, an item of the service, a check or a fault. @example 'fault:belt-broken' */
  @IsOptional()
  @Matches(/^(step|item|check|fault):[a-z][a-z0-9-]{0,59}$/, { message: 'step, item, check or fault, and which.' })
  shows?: string;
}

export class RemovePhotographDto extends JobDeedDto {
  @IsInt()
  photograph!: number;
}
