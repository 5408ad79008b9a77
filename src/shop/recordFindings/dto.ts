import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, IsString, Length } from 'class-validator';
import { Nested } from '../nested';
import { FindingDto } from '../finding/dto';
import { JobDeedDto } from '../jobDeed/dto';

export class RecordFindingsDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(12)
  @Nested(() => FindingDto, { each: true })
  findings!: FindingDto[];

  /** The check that was shown when it was answered: an answer to another is refused. */
  @IsOptional()
  @IsString()
  @Length(1, 80)
  shown?: string;
}
