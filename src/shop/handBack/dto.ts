import { IsArray, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';

export class HandBackDto extends JobDeedDto {
  /** What was found after all: confirmed faults, from which the odds learn. */
  @IsArray()
  @IsString({ each: true })
  faults!: string[];

  /** What to watch, in words for the owner; printed on the care sheet. */
  @IsString()
  @Length(0, 4000)
  advice!: string;
}
