import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { FindingDto } from '../finding/dto';
import { JobDeedDto } from '../jobDeed/dto';

export class RecordFindingsDto extends JobDeedDto {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => FindingDto)
  findings!: FindingDto[];
}
