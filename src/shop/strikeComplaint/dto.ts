import { ArrayMaxSize, IsArray, IsOptional, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class StrikeComplaintDto extends JobDeedDto {
  @IsString()
  complaint!: string;

  @IsString()
  @Length(3, 500, { message: 'Why it does not stand (3 to 500 characters).' })
  why!: string;

  /** What is wrong with it instead: complaints that stand from now on. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(8, { message: 'At most 8 at once.' })
  @IsString({ each: true })
  instead?: string[];
}
