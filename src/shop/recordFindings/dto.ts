import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { Nested } from '../nested';
import { FindingDto } from '../finding/dto';
import { JobDeedDto } from '../jobDeed/dto';

export class RecordFindingsDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(12)
  @Nested(() => FindingDto, { each: true })
  findings!: FindingDto[];
}
