import { IsArray, IsIn, IsOptional, IsString, Length } from 'class-validator';
import { JobDeedDto } from '../jobDeed/dto';
import type { Ending } from '../jobView/dto';

export class HandBackDto extends JobDeedDto {
  /** How the visit ends; done and proved when absent. */
  @IsOptional()
  @IsIn(['repaired', 'unrepaired', 'unrepairable', 'scrapped', 'authorised', 'cancelled', 'not-seen'], {
    message: 'How it ends.',
  })
  ending?: Ending;

  /** What was found after all: confirmed faults, from which the odds learn. */
  @IsArray()
  @IsString({ each: true })
  faults!: string[];

  /** What it was or why it ends so, in words: what has no name in the list. */
  @IsOptional()
  @IsString()
  @Length(0, 2000, { message: 'At most 2000 characters.' })
  foundWords?: string;

  /** What the owner said of what stays open. */
  @IsOptional()
  @IsString()
  @Length(0, 2000, { message: 'At most 2000 characters.' })
  ownersWord?: string;

  /** What to watch, in words for the owner; printed on the care sheet. */
  @IsString()
  @Length(0, 4000)
  advice!: string;
}
